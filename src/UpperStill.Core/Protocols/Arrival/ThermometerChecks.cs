using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Protocols.Arrival;

/// <summary>The checks on air and water by thermometer.</summary>
internal static class ThermometerChecks
{
    internal static IEnumerable<Finding> Of(SheetDraft draft, SheetArrival arrival)
    {
        var (now, programme) = (arrival.Now, draft.Context.Programme);
        if (now.Water is not { } water)
        {
            yield break;
        }

        var (celsius, unread) = water.Read();
        if (unread is not null || now.WaterSecond?.Read().Finding is not null)
        {
            yield return On(arrival, (unread ?? now.WaterSecond!.Read().Finding)!, "water");
            yield break;
        }

        if (celsius is { } c && WaterTemperature.Doubt(draft, c, water.Unit == TemperatureUnit.Celsius) is { } doubt)
        {
            yield return On(arrival, doubt, "water");
        }

        if (Finer(draft, water) is { } finer)
        {
            yield return On(arrival, finer, "water");
        }

        if (now.Air is { } air && air.Read().Celsius is { } airC)
        {
            var (ofAir, ofWater) = (At(draft, b => b.Air is not null), At(draft, b => b.Water is not null));
            if (ofAir > ofWater)
            {
                yield return On(
                    arrival,
                    Finding.Check(
                        "air-after-water",
                        "The air was read after the water.",
                        "A wet bulb reads cold.",
                        "Dry it, wait, read again."
                    ),
                    "air",
                    "water"
                );
            }
            else if (airC == celsius)
            {
                yield return On(
                    arrival,
                    Finding.Note(
                        "air-equals-water",
                        $"Air and water both {Temperature.Show(airC)}.",
                        "It happens, and so does a bulb that was wet.",
                        "Was the bulb dry for the air?"
                    ),
                    "air",
                    "water"
                );
            }
        }

        if (
            now.WaterSecond?.Read().Celsius is { } second
            && celsius is { } first
            && Math.Abs(second - first) > programme.Of(ArrivalOptions.ThermometersDisagree)
        )
        {
            yield return On(
                arrival,
                Finding.Note(
                    "thermometers-disagree",
                    $"Two thermometers: {Temperature.Show(first)} and {Temperature.Show(second)}.",
                    "One of the two is off. Both are kept.",
                    "Check both in melting ice."
                ),
                "water",
                "waterSecond"
            );
        }

        if (now.WaterSteady == false)
        {
            yield return On(
                arrival,
                Finding.Check(
                    "not-settled",
                    "The thermometer was still moving.",
                    "A bulb is slow, and reads what it left.",
                    "Wait until it holds still, at least a minute."
                ),
                "water",
                "waterSteady"
            );
        }
    }

    // Finer than the programme reads its thermometers: as with a line, it is kept as written.
    private static Finding? Finer(SheetDraft draft, WrittenTemperature water)
    {
        decimal? step = draft.Context.Programme.ChoiceOf(ArrivalOptions.TemperatureRoundTo) switch
        {
            "whole" => 1,
            "half" => 0.5m,
            "tenth" => 0.1m,
            _ => null,
        };
        return step is { } every && NumberText.Read(water.Written).Value is { } read && read % every != 0
            ? Finding.Note(
                "off-the-marks",
                $"{water.Written} is finer than {Decimals.Text(every)}°.",
                "The programme reads its thermometers no finer.",
                "It is kept as written."
            )
            : null;
    }

    private static DateTimeOffset At(SheetDraft draft, Func<ConditionsBody, bool> has) =>
        draft.Standing(ArrivalKinds.Conditions).Where(e => has(e.Body)).Max(e => e.Entry.At);

    private static Finding On(SheetArrival arrival, Finding finding, params string[] fields) =>
        finding.On(Beside.Header, arrival.Boxes.Where(b => fields.Contains(b.Field)).Select(b => b.Entry));
}
