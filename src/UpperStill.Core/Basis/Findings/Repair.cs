using System.Text.Json;
using System.Text.Json.Serialization;

namespace UpperStill.Core.Basis.Findings;

/// <summary>What a repair asks the page for, where one touch does not mend it.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<RepairAsk>))]
public enum RepairAsk
{
    /// <summary>A level, by its entry or by its depth in metres where it is still to be read.</summary>
    [JsonStringEnumMemberName("level")]
    Level,

    /// <summary>One more reading of the disc.</summary>
    [JsonStringEnumMemberName("reading")]
    Reading,

    /// <summary>A bottle, by the entry that filled it: it is filled again.</summary>
    [JsonStringEnumMemberName("bottle")]
    Bottle,

    /// <summary>The calibration of the meter.</summary>
    [JsonStringEnumMemberName("meter")]
    Meter,

    /// <summary>Another step, by its name.</summary>
    [JsonStringEnumMemberName("step")]
    Step,
}

/// <summary>An entry that a repair writes; what was written before stays.</summary>
/// <param name="Kind">Its kind.</param>
/// <param name="Body">Its body.</param>
/// <param name="Strikes">The entry it strikes.</param>
/// <param name="Why">Why.</param>
public sealed record RepairEntry(string Kind, JsonElement Body, Guid? Strikes = null, string? Why = null);

/// <summary>A way to mend what was found, with one touch: either it writes entries or it asks for something anew.</summary>
/// <param name="Label">What the button says.</param>
/// <param name="Writes">The entries that it writes, in order.</param>
/// <param name="Asks">What it asks for.</param>
/// <param name="Of">Which of them.</param>
/// <param name="Either">True for one of several that exclude each other, none of them likelier.</param>
public sealed record Repair(
    string Label,
    IReadOnlyList<RepairEntry>? Writes = null,
    RepairAsk? Asks = null,
    string? Of = null,
    bool? Either = null
)
{
    internal static Repair Write(string label, params RepairEntry[] entries) => new(label, entries);

    internal static Repair Ask(string label, RepairAsk asks, string? of = null) => new(label, null, asks, of);
}
