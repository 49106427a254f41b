using System.Text.Json.Serialization;

namespace UpperStill.Core.Record.Parts;

/// <summary>Something that happens to a sample.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<SampleStep>))]
public enum SampleStep
{
    /// <summary>Its label is looked at.</summary>
    [JsonStringEnumMemberName("label")]
    Label,

    /// <summary>It is filled.</summary>
    [JsonStringEnumMemberName("take")]
    Take,

    /// <summary>What keeps it is added.</summary>
    [JsonStringEnumMemberName("preserve")]
    Preserve,

    /// <summary>It is put away.</summary>
    [JsonStringEnumMemberName("store")]
    Store,

    /// <summary>Its water goes through a filter, to the end.</summary>
    [JsonStringEnumMemberName("filter")]
    Filter,

    /// <summary>It leaves the group's hands.</summary>
    [JsonStringEnumMemberName("hand-over")]
    HandOver,

    /// <summary>The laboratory takes it in.</summary>
    [JsonStringEnumMemberName("receive")]
    Receive,

    /// <summary>The laboratory measures it.</summary>
    [JsonStringEnumMemberName("measure")]
    Measure,

    /// <summary>A result goes out.</summary>
    [JsonStringEnumMemberName("report")]
    Report,

    /// <summary>It is lost.</summary>
    [JsonStringEnumMemberName("lose")]
    Lose,

    /// <summary>The laboratory rejects it.</summary>
    [JsonStringEnumMemberName("reject")]
    Reject,

    /// <summary>What is inside is counted at the group’s own bench.</summary>
    [JsonStringEnumMemberName("count")]
    Count,
}
