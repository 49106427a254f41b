using System.Text.Json.Serialization;

namespace UpperStill.Core.Setup.Equipment;

/// <summary>What sort of thing an item of the kit is.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<KitKind>))]
public enum KitKind
{
    /// <summary>A rope, chain or wheel with marks.</summary>
    [JsonStringEnumMemberName("line")]
    Line,

    /// <summary>A Secchi disc.</summary>
    [JsonStringEnumMemberName("disc")]
    Disc,

    /// <summary>A viewing tube.</summary>
    [JsonStringEnumMemberName("viewing-tube")]
    ViewingTube,

    /// <summary>A weighted bottle or tube that takes water from a whole layer.</summary>
    [JsonStringEnumMemberName("composite-sampler")]
    CompositeSampler,

    /// <summary>A bottle that is closed at a depth by a messenger.</summary>
    [JsonStringEnumMemberName("bottle-sampler")]
    BottleSampler,

    /// <summary>A meter with probes.</summary>
    [JsonStringEnumMemberName("meter")]
    Meter,

    /// <summary>A thermometer.</summary>
    [JsonStringEnumMemberName("thermometer")]
    Thermometer,

    /// <summary>A refractometer.</summary>
    [JsonStringEnumMemberName("refractometer")]
    Refractometer,

    /// <summary>A plankton net.</summary>
    [JsonStringEnumMemberName("net")]
    Net,

    /// <summary>A bottom grab.</summary>
    [JsonStringEnumMemberName("grab")]
    Grab,

    /// <summary>A plant rake on a rope.</summary>
    [JsonStringEnumMemberName("rake")]
    Rake,

    /// <summary>A sieve, or a bucket with a mesh.</summary>
    [JsonStringEnumMemberName("sieve")]
    Sieve,

    /// <summary>A frame laid on the sand.</summary>
    [JsonStringEnumMemberName("quadrat")]
    Quadrat,

    /// <summary>A pole with a holder.</summary>
    [JsonStringEnumMemberName("pole")]
    Pole,

    /// <summary>A mesh through which water is poured.</summary>
    [JsonStringEnumMemberName("mesh")]
    Mesh,

    /// <summary>A bucket with a line.</summary>
    [JsonStringEnumMemberName("bucket")]
    Bucket,

    /// <summary>A current meter.</summary>
    [JsonStringEnumMemberName("current-meter")]
    CurrentMeter,

    /// <summary>A staff with marks.</summary>
    [JsonStringEnumMemberName("staff")]
    Staff,

    /// <summary>A cell in which animals are counted.</summary>
    [JsonStringEnumMemberName("counting-cell")]
    CountingCell,

    /// <summary>A lot of filters.</summary>
    [JsonStringEnumMemberName("filters")]
    Filters,

    /// <summary>A lot of bottles or vials.</summary>
    [JsonStringEnumMemberName("bottles")]
    Bottles,

    /// <summary>A preservative, fixative, stain or standard.</summary>
    [JsonStringEnumMemberName("reagent")]
    Reagent,

    /// <summary>Anything else.</summary>
    [JsonStringEnumMemberName("other")]
    Other,
}

/// <summary>How an item is.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<Condition>))]
public enum Condition
{
    /// <summary>It goes out.</summary>
    [JsonStringEnumMemberName("in-use")]
    InUse,

    /// <summary>It stays ashore until it is mended.</summary>
    [JsonStringEnumMemberName("mending")]
    Mending,

    /// <summary>It is given up; its record stays.</summary>
    [JsonStringEnumMemberName("retired")]
    Retired,
}

/// <summary>What is done to check an item.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<KitCheckKind>))]
public enum KitCheckKind
{
    /// <summary>A line laid along a tape at one or several marks.</summary>
    [JsonStringEnumMemberName("taped")]
    Taped,

    /// <summary>A meter set by a standard: what it should have read and what it read before.</summary>
    [JsonStringEnumMemberName("calibrated")]
    Calibrated,

    /// <summary>A meter looked at by the standard again, without setting it.</summary>
    [JsonStringEnumMemberName("end-check")]
    EndCheck,

    /// <summary>A thermometer in melting ice.</summary>
    [JsonStringEnumMemberName("ice-point")]
    IcePoint,

    /// <summary>A refractometer with distilled water.</summary>
    [JsonStringEnumMemberName("zeroed")]
    Zeroed,

    /// <summary>The fall of a messenger timed.</summary>
    [JsonStringEnumMemberName("timed")]
    Timed,

    /// <summary>Parts counted.</summary>
    [JsonStringEnumMemberName("counted")]
    Counted,

    /// <summary>Looked over, point by point.</summary>
    [JsonStringEnumMemberName("looked-over")]
    LookedOver,
}
