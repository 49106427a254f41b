using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Setup.Equipment;

/// <summary>What a visit needs to know of an item of the kit, other than a line.</summary>
/// <param name="Code">Its identity.</param>
/// <param name="Name">What it is.</param>
/// <param name="Kind">Meter, sampler, disc and the like.</param>
/// <param name="VolumeL">Volume, L.</param>
/// <param name="FallSpeedMs">Fall speed of the messenger, m/s.</param>
/// <param name="CalibratedOn">Last calibration of a meter.</param>
public sealed record Gear(
    string Code,
    string Name,
    KitKind Kind,
    [property: Within(0.01, 1000, "L")] decimal? VolumeL = null,
    [property: Within(0.01, 20, "m/s")] decimal? FallSpeedMs = null,
    DateOnly? CalibratedOn = null
)
{
    /// <summary>The figures that results need; null where it has none.</summary>
    public IReadOnlyList<KitFigure>? Figures { get; init; }

    /// <summary>A figure by its name; null where it is not on the item.</summary>
    internal decimal? Figure(string name) => Figures?.FirstOrDefault(f => f.Name == name)?.Value;

    private static readonly KitKind[] OnTheWater =
    [
        KitKind.Disc,
        KitKind.ViewingTube,
        KitKind.CompositeSampler,
        KitKind.BottleSampler,
        KitKind.Meter,
        KitKind.Thermometer,
        KitKind.Refractometer,
        KitKind.Net,
        KitKind.Grab,
        KitKind.Rake,
        KitKind.Sieve,
        KitKind.Quadrat,
        KitKind.Pole,
        KitKind.Mesh,
        KitKind.Bucket,
        KitKind.CurrentMeter,
        KitKind.Staff,
        KitKind.CountingCell,
    ];

    // Lots that a result is worked out with: alcohol by its strength, jars by their volume.
    private static bool WorkedWith(KitItem item) =>
        OnTheWater.Contains(item.Kind) || Figure(item, "strength-percent") is not null || Figure(item, "volume-ml") is not null;

    /// <summary>The item as a visit sees it; null where it is not used on the water, or not now.</summary>
    public static Gear? Of(KitItem item)
    {
        ArgumentNullException.ThrowIfNull(item);
        return !WorkedWith(item) || item.Condition != Condition.InUse
            ? null
            : new Gear(
                item.Code,
                item.Name,
                item.Kind,
                Figure(item, "volume-l"),
                Figure(item, "fall-speed-ms"),
                item.Standing.Where(c => c.Kind == KitCheckKind.Calibrated).Select(c => (DateOnly?)c.Day).Max()
            )
            {
                Figures = item.Figures is { Count: > 0 } figures ? figures : null,
            };
    }

    private static decimal? Figure(KitItem item, string name) => item.Figures?.FirstOrDefault(f => f.Name == name)?.Value;
}
