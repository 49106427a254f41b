using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Setup.Equipment;

namespace UpperStill.Core.Record.Described;

/// <summary>What a field holds, and so how it is asked.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<FieldKind>))]
public enum FieldKind
{
    /// <summary>A number with its unit.</summary>
    [JsonStringEnumMemberName("number")]
    Number,

    /// <summary>A whole number.</summary>
    [JsonStringEnumMemberName("whole")]
    Whole,

    /// <summary>A length as it is read from a line, finder or tape.</summary>
    [JsonStringEnumMemberName("length")]
    Length,

    /// <summary>A temperature.</summary>
    [JsonStringEnumMemberName("temperature")]
    Temperature,

    /// <summary>Yes or no.</summary>
    [JsonStringEnumMemberName("yes-no")]
    YesNo,

    /// <summary>One of some choices.</summary>
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

    /// <summary>A count by kind, one touch a specimen.</summary>
    [JsonStringEnumMemberName("tally")]
    Tally,

    /// <summary>A time that is waited.</summary>
    [JsonStringEnumMemberName("timer")]
    Timer,

    /// <summary>A list to tick.</summary>
    [JsonStringEnumMemberName("checklist")]
    Checklist,

    /// <summary>A place.</summary>
    [JsonStringEnumMemberName("position")]
    Position,

    /// <summary>Somebody.</summary>
    [JsonStringEnumMemberName("person")]
    Person,

    /// <summary>A photograph.</summary>
    [JsonStringEnumMemberName("photo")]
    Photo,

    /// <summary>A thing of the kit, by its code.</summary>
    [JsonStringEnumMemberName("equipment")]
    Equipment,

    /// <summary>Somebody in a part of the work; a hand-over names the next.</summary>
    [JsonStringEnumMemberName("role")]
    Role,

    /// <summary>A code that is scanned, or typed as it is printed.</summary>
    [JsonStringEnumMemberName("code")]
    Code,

    /// <summary>A moment.</summary>
    [JsonStringEnumMemberName("time")]
    Time,

    /// <summary>A day.</summary>
    [JsonStringEnumMemberName("day")]
    Day,

    /// <summary>Three taps on upright passes of what swings.</summary>
    [JsonStringEnumMemberName("beat")]
    Beat,

    /// <summary>Several numbers of one unit.</summary>
    [JsonStringEnumMemberName("numbers")]
    Numbers,
}

/// <summary>A choice of a field, or a line of a list.</summary>
/// <param name="Code">As it is kept.</param>
/// <param name="Words">For people.</param>
public sealed record FieldChoice(string Code, string Words);

/// <summary>A unit in which a field may be read.</summary>
/// <param name="Code">As it is kept and shown.</param>
/// <param name="Factor">How much of the field's first unit it is; the first has 1.</param>
public sealed record FieldUnit(string Code, [property: Within(1e-12, 1e12)] decimal Factor = 1);

/// <summary>A box of a described protocol, as it is published: other software and the page know it by this alone.</summary>
/// <param name="Code">Its name, for ever.</param>
/// <param name="Label">For people.</param>
/// <param name="Kind">What it holds.</param>
/// <param name="Required">True where its step is not done without it.</param>
/// <param name="Units">The units in which it may be read, the usual first; none for what has none.</param>
/// <param name="Least">The least that it may be, in the first unit.</param>
/// <param name="Most">The most.</param>
/// <param name="UsualLeast">The least that is usual.</param>
/// <param name="UsualMost">The most that is usual.</param>
/// <param name="Choices">Choices, or the lines of a list.</param>
public sealed record FieldDescription(
    string Code,
    string Label,
    FieldKind Kind,
    bool Required,
    IReadOnlyList<FieldUnit>? Units = null,
    decimal? Least = null,
    decimal? Most = null,
    decimal? UsualLeast = null,
    decimal? UsualMost = null,
    IReadOnlyList<FieldChoice>? Choices = null
)
{
    /// <summary>How many are wanted of what is counted, listed or photographed; the seconds that a timer waits.</summary>
    public int? Wanted { get; init; }

    /// <summary>True for a list of what keeps people safe.</summary>
    public bool Safety { get; init; }

    /// <summary>True where what is written later stands beside what stood before: a next photograph, a hand-over.</summary>
    public bool Gathers { get; init; }

    /// <summary>Of a thing of the kit: what sort; null for other fields.</summary>
    public FieldEquipment? Equipment { get; init; }
}

/// <summary>What sort of thing a field asks for.</summary>
/// <param name="Kind">The sort.</param>
public sealed record FieldEquipment(KitKind Kind);
