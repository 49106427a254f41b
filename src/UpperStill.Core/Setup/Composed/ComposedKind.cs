using System.Text.Json.Serialization;

namespace UpperStill.Core.Setup.Composed;

/// <summary>What a box of a composed protocol holds: the parts that need no code of their own.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<ComposedKind>))]
public enum ComposedKind
{
    /// <summary>A number with its unit.</summary>
    [JsonStringEnumMemberName("number")]
    Number,

    /// <summary>A whole number.</summary>
    [JsonStringEnumMemberName("whole")]
    Whole,

    /// <summary>A length, in the unit in which it is read; its ranges are in m.</summary>
    [JsonStringEnumMemberName("length")]
    Length,

    /// <summary>A temperature.</summary>
    [JsonStringEnumMemberName("temperature")]
    Temperature,

    /// <summary>Yes or no.</summary>
    [JsonStringEnumMemberName("yes-no")]
    YesNo,

    /// <summary>One of some choices, or other, with words.</summary>
    [JsonStringEnumMemberName("one-of")]
    OneOf,

    /// <summary>Some of some choices.</summary>
    [JsonStringEnumMemberName("some-of")]
    SomeOf,

    /// <summary>Words.</summary>
    [JsonStringEnumMemberName("words")]
    Words,

    /// <summary>A count, one touch each.</summary>
    [JsonStringEnumMemberName("counter")]
    Counter,

    /// <summary>A time that is waited.</summary>
    [JsonStringEnumMemberName("timer")]
    Timer,

    /// <summary>A list to tick.</summary>
    [JsonStringEnumMemberName("checklist")]
    Checklist,

    /// <summary>A photograph.</summary>
    [JsonStringEnumMemberName("photo")]
    Photo,

    /// <summary>A moment.</summary>
    [JsonStringEnumMemberName("time")]
    Time,

    /// <summary>A place.</summary>
    [JsonStringEnumMemberName("position")]
    Position,

    /// <summary>Somebody.</summary>
    [JsonStringEnumMemberName("person")]
    Person,

    /// <summary>A code that is scanned.</summary>
    [JsonStringEnumMemberName("code")]
    Code,
}
