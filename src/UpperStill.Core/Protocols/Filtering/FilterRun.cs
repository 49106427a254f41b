using System.Text.Json.Serialization;

namespace UpperStill.Core.Protocols.Filtering;

/// <summary>The steps of a filter, in their order.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<FilterStep>))]
public enum FilterStep
{
    /// <summary>Which bottle, syringe or pump.</summary>
    [JsonStringEnumMemberName("begin")]
    Begin,

    /// <summary>Which disc is in the holder.</summary>
    [JsonStringEnumMemberName("disc")]
    Disc,

    /// <summary>Rinse with the sample.</summary>
    [JsonStringEnumMemberName("rinse")]
    Rinse,

    /// <summary>Push it through, fill by fill.</summary>
    [JsonStringEnumMemberName("fills")]
    Fills,

    /// <summary>The label.</summary>
    [JsonStringEnumMemberName("label")]
    Label,

    /// <summary>Foil and freezer.</summary>
    [JsonStringEnumMemberName("store")]
    Store,

    /// <summary>Done.</summary>
    [JsonStringEnumMemberName("done")]
    Done,
}

/// <summary>One fill that was pushed through.</summary>
/// <param name="Entry">The entry.</param>
/// <param name="Text">In words.</param>
/// <param name="ThroughMl">What went through, mL; null where it cannot be read.</param>
/// <param name="Seconds">How long it took, s.</param>
public sealed record FilterFill(Guid Entry, string Text, decimal? ThroughMl, decimal? Seconds = null);

/// <summary>A filter on its way from the bottle to the freezer.</summary>
/// <param name="Next">What comes next.</param>
/// <param name="Answers">What was answered so far.</param>
/// <param name="Fills">The fills.</param>
/// <param name="TotalMl">What went through, mL.</param>
/// <param name="TotalText">The same for the reader, with its sum.</param>
/// <param name="Clogged">True where it clogged.</param>
/// <param name="StartMl">Where a fill usually begins, mL.</param>
public sealed record FilterRun(
    FilterStep Next,
    FilterBody Answers,
    IReadOnlyList<FilterFill> Fills,
    decimal TotalMl,
    string TotalText,
    bool Clogged,
    decimal StartMl
)
{
    /// <summary>How to push the syringe, by the programme.</summary>
    public string Pace { get; init; } = string.Empty;
}
