using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Oxygen;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Profile;

/// <summary>What a probe showed at one moment.</summary>
/// <param name="Seconds">The instrument's clock, s.</param>
/// <param name="DepthM">Depth, m.</param>
/// <param name="Temperature">As it was shown; null where it has none.</param>
/// <param name="Oxygen">As it was shown; null where it has none.</param>
public sealed record SettlingReading(
    [property: Within(0, 1e9, "s")] decimal Seconds,
    [property: Within(-10, 11000, "m")] decimal DepthM,
    WrittenTemperature? Temperature = null,
    WrittenOxygen? Oxygen = null
);

/// <summary>Whether a probe has settled.</summary>
/// <param name="Readings">The last readings, in order; those of the last half minute are enough.</param>
/// <param name="Unit">What the display is believed to show for oxygen.</param>
/// <param name="Limits">The programme's limits that differ from the usual.</param>
/// <param name="TargetM">The level that is to be read, m; null where there is none.</param>
public sealed record SettlingRequest(
    IReadOnlyList<SettlingReading> Readings,
    OxygenUnit? Unit = null,
    [property: Within(-1000, 100000)] IReadOnlyDictionary<string, decimal>? Limits = null,
    [property: Within(0, 11000, "m")] decimal? TargetM = null
);

/// <summary>How still a probe holds.</summary>
/// <param name="Settled">True once everything held still for <see cref="Settling.HoldS"/>.</param>
/// <param name="HeldS">For how long it has held still, s, at most <see cref="Settling.HoldS"/>.</param>
/// <param name="HoldS">For how long it must, s.</param>
/// <param name="Words">What still moves, or that it holds.</param>
/// <param name="AtTarget">True where the probe hangs at the level that is to be read.</param>
public sealed record SettlingResult(bool Settled, decimal HeldS, decimal HoldS, string Words, bool AtTarget = false);

/// <summary>Says when a probe has settled: oxygen and temperature within the programme's limits for fifteen seconds, the probe at one
/// depth.</summary>
public static class Settling
{
    /// <summary>How long it must hold still, s.</summary>
    public const decimal HoldS = 15;

    private const decimal SameDepthM = 0.15m;

    /// <summary>Works it out.</summary>
    public static SettlingResult Work(SettlingRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var readings = request.Readings;
        if (readings.Count == 0)
        {
            return new SettlingResult(false, 0, HoldS, "Nothing has come from the sonde yet.");
        }

        // A display believed to show mg/L may have been left on per cent.
        var shows =
            (request.Unit is null or OxygenUnit.MgPerL)
            && NumberText.Read(readings[^1].Oxygen?.Written).Value > Limit(request, ProfileOptions.OxygenMgl)
                ? OxygenUnit.Percent
                : request.Unit;
        var oxygenMost = Limit(request, ProfileOptions.SettledOxygen) * OxygenUnits.PerMgPerL(shows);
        var (depth, celsius, oxygen) = (
            new Spread(SameDepthM),
            new Spread(Limit(request, ProfileOptions.SettledTemperature)),
            new Spread(oxygenMost)
        );
        var now = readings[^1].Seconds;
        var held = 0m;
        for (var i = readings.Count - 1; i >= 0 && held < HoldS; i--)
        {
            depth.Add(readings[i].DepthM);
            celsius.Add(Celsius(readings[i].Temperature));
            oxygen.Add(NumberText.Read(readings[i].Oxygen?.Written).Value);
            if (!depth.Still || !celsius.Still || !oxygen.Still)
            {
                break;
            }

            held = Math.Min(HoldS, now - readings[i].Seconds);
        }

        var unit = OxygenUnits.Text(request.Unit ?? OxygenUnit.MgPerL);
        return new SettlingResult(
            held >= HoldS,
            held,
            HoldS,
            held >= HoldS ? "Settled."
                : !depth.Still ? "The probe is on its way."
                : !celsius.Still ? $"Temperature moved {Decimals.Fixed(celsius.Size, 1)} °C."
                : !oxygen.Still ? $"Oxygen moved {Decimals.Fixed(oxygen.Size, 1)} {unit}."
                : "Holding still.",
            request.TargetM is { } target && ReadLevel.Same(target, readings[^1].DepthM)
        );
    }

    // Where the scale is not known it moves as one that is.
    private static decimal? Celsius(WrittenTemperature? shown) =>
        NumberText.Read(shown?.Written).Value is { } degrees ? Temperature.Celsius(degrees, shown!.Unit ?? TemperatureUnit.Celsius) : null;

    private static decimal Limit(SettlingRequest request, Threshold threshold) =>
        request.Limits?.TryGetValue(threshold.Setting, out var own) == true ? own : threshold.Usual;

    private sealed class Spread(decimal most)
    {
        private decimal? low;
        private decimal? high;

        internal decimal Size => (high - low) ?? 0;

        internal bool Still => Size <= most;

        internal void Add(decimal? value)
        {
            low = value is null ? low : Math.Min(low ?? value.Value, value.Value);
            high = value is null ? high : Math.Max(high ?? value.Value, value.Value);
        }
    }
}
