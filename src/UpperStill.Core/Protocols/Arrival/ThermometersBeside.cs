using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Described;

namespace UpperStill.Core.Protocols.Arrival;

/// <summary>Thermometers of a described protocol, judged as those of the head of the sheet are.</summary>
internal static class ThermometersBeside
{
    private static readonly FindingWords Disagree = new(
        "thermometers-disagree",
        FindingLevel.Note,
        "Two thermometers: {a} and {b}.",
        "One of the two is off. Both are kept; the first is the reading.",
        "Check both in melting ice."
    );

    private static readonly FindingWords AirAfterWater = new(
        "air-after-water",
        FindingLevel.Check,
        "The air was read after the water.",
        "A wet bulb reads cold.",
        "Dry it, wait, read again."
    );

    /// <summary>The words of what is found.</summary>
    internal static IReadOnlyList<FindingWords> All { get; } = [Disagree, AirAfterWater];

    /// <summary>Says where a temperature of the water can hardly be.</summary>
    internal static void Water(ProtocolRun run, Attempt attempt, TemperatureField field)
    {
        if (attempt[field] is { } celsius && WaterTemperature.Doubt(run.Draft, celsius, attempt.Unit(field) != "°F") is { } doubt)
        {
            run.Find(attempt, doubt, field);
        }
    }

    /// <summary>Says where two side by side differ. They are never averaged.</summary>
    internal static void Pair(ProtocolRun run, Attempt attempt, TemperatureField first, TemperatureField second)
    {
        if (attempt[first] is { } a && attempt[second] is { } b && Math.Abs(a - b) > run.Programme.Of(ArrivalOptions.ThermometersDisagree))
        {
            attempt.Find(Disagree, second, ("a", Temperature.Show(a)), ("b", Temperature.Show(b)));
        }
    }

    /// <summary>Says where the air was read with a wet bulb.</summary>
    internal static void AirFirst(Attempt ashore, Attempt inside, TemperatureField air, TemperatureField water)
    {
        if (ashore.WrittenAt(air) is { } dry && inside.WrittenAt(water) is { } wet && dry > wet)
        {
            ashore.Find(AirAfterWater, air);
        }
    }
}
