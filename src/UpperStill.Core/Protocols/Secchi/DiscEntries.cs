using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Secchi;

/// <summary>How a clarity reading ended, where not in two plain marks.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<DiscOutcome>))]
public enum DiscOutcome
{
    /// <summary>The disc lay on the bottom and was still in sight: deeper than the sounding, right-censored.</summary>
    [JsonStringEnumMemberName("on-bottom")]
    OnBottom,

    /// <summary>Lost in plants: not a clarity reading.</summary>
    [JsonStringEnumMemberName("in-plants")]
    InPlants,

    /// <summary>Lost in sediment that we stirred up: wait or move.</summary>
    [JsonStringEnumMemberName("in-mud")]
    InMud,

    /// <summary>Not taken, for a reason.</summary>
    [JsonStringEnumMemberName("not-taken")]
    NotTaken,
}

/// <summary>Body of the entry <c>disc-mark</c>: one mark on the line.</summary>
/// <param name="Lowering">Which lowering, from 1.</param>
/// <param name="Event">Lost or seen again.</param>
/// <param name="Depth">The mark as read.</param>
/// <param name="Observer">Who looked.</param>
/// <param name="ObserverId">Who that is; null in entries of earlier builds.</param>
public sealed record DiscMarkBody(
    [property: Within(1, 99)] int Lowering,
    DiscEvent Event,
    WrittenLength Depth,
    string? Observer = null,
    Guid? ObserverId = null
);

/// <summary>Body of the entry <c>disc-outcome</c>.</summary>
/// <param name="Outcome">How it ended.</param>
public sealed record DiscOutcomeBody(DiscOutcome Outcome);
