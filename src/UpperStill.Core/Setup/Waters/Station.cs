using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Science.Hydraulics;

namespace UpperStill.Core.Setup.Waters;

/// <summary>A place on a water where readings are made again and again.</summary>
/// <param name="Code">Unique in the group, for example <c>HAR-1</c>.</param>
/// <param name="WaterCode">The code of its water.</param>
/// <param name="Water">The water body's name.</param>
/// <param name="District">The district, since many waters share a name.</param>
/// <param name="Name">The station's own name.</param>
/// <param name="KnownDepth">The depth on file, as it was sounded.</param>
/// <param name="LatitudeDeg">Decimal degrees, north positive.</param>
/// <param name="LongitudeDeg">Decimal degrees, east positive.</param>
/// <param name="RadiusM">How near a fix must be to count as there, m.</param>
/// <param name="LevelAllowanceM">How much the depth may change with stage or tide beyond the usual check, m.</param>
public sealed record Station(
    string Code,
    string WaterCode,
    string Water,
    string District,
    string Name,
    WrittenLength KnownDepth,
    [property: Within(-90, 90, "°")] double LatitudeDeg,
    [property: Within(-180, 180, "°")] double LongitudeDeg,
    [property: Within(0, 100000, "m")] decimal RadiusM = Station.UsualRadiusM,
    [property: Within(0, 100, "m")] decimal LevelAllowanceM = 0
)
{
    /// <summary>True for a pier, bank or beach: no boat; follows from <see cref="Kind"/> where that is said.</summary>
    public bool Shore { get; init; }

    /// <summary>Names it also goes by.</summary>
    public IReadOnlyList<string>? OtherNames { get; init; }

    /// <summary>Landmarks in line.</summary>
    public IReadOnlyList<Transit>? Transits { get; init; }

    /// <summary>Compass bearings to landmarks.</summary>
    public IReadOnlyList<Bearing>? Bearings { get; init; }

    /// <summary>Magnetic declination of the bearings, east positive.</summary>
    [Within(-180, 180, "°")]
    public double DeclinationDeg { get; init; }

    /// <summary>From where it is worked; null where an earlier build did not ask: then a shore is a pier, anything else a boat’s.</summary>
    public StationKind? Kind { get; init; }

    /// <summary>Flow by the staff, row by row from the lowest; null where the group has no table for it.</summary>
    public IReadOnlyList<StageRow>? StageTable { get; init; }

    /// <summary>True where nobody goes afloat.</summary>
    internal bool OnLand => Kind is { } kind ? kind != StationKind.Boat : Shore;

    /// <summary>False on a beach, a bank and at a pond: nothing there is taken by depth.</summary>
    internal bool ByDepth => Kind is not (StationKind.Beach or StationKind.Bank or StationKind.Pond);

    /// <summary>The same with what follows from its kind.</summary>
    public Station Settled() => Kind is null ? this : this with { Shore = OnLand };

    /// <summary>The unit in which depths are read here: that of the known depth.</summary>
    public LengthUnit NativeUnit() => KnownDepth.Unit ?? LengthUnit.Metre;

    /// <summary>The radius where nothing else is said, m.</summary>
    public const decimal UsualRadiusM = Resection.UsualRadiusM;

    /// <summary>Where it is.</summary>
    internal Position At => new(LatitudeDeg, LongitudeDeg);
}
