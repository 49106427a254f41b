using System.Text.Json.Serialization;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Record.Described;

/// <summary>What some steps are repeated for.</summary>
/// <param name="Code">Its name, for ever.</param>
/// <param name="Label">One of them, for people.</param>
/// <param name="Usual">How many are usual.</param>
/// <param name="Most">How many there may be.</param>
public sealed record RepeatDescription(string Code, string Label, int Usual, int Most)
{
    /// <summary>What it stands within: the code of its item begins with that of the outer one and a plus sign; null for none.</summary>
    public string? Within { get; init; }

    /// <summary>What an inner one may be; its code stands after the plus sign.</summary>
    public IReadOnlyList<FieldChoice> Kinds { get; init; } = [];

    /// <summary>True where those that are asked for follow from the programme, and are named.</summary>
    public bool Named { get; init; }
}

/// <summary>How a page draws a protocol as a whole, beside its steps.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<ProtocolPicture>))]
public enum ProtocolPicture
{
    /// <summary>Its steps say enough.</summary>
    [JsonStringEnumMemberName("none")]
    None,

    /// <summary>A list to answer, line by line.</summary>
    [JsonStringEnumMemberName("lines")]
    Lines,
}

/// <summary>A part of the work, in somebody’s hands.</summary>
/// <param name="Code">The field in which it is written who has it.</param>
/// <param name="Label">For people.</param>
/// <param name="Touches">What whoever has it may touch.</param>
public sealed record RoleDescription(string Code, string Label, string Touches);

/// <summary>A step.</summary>
/// <param name="Code">Its name, for ever.</param>
/// <param name="Do">What to do.</param>
/// <param name="Why">Why.</param>
/// <param name="Fields">What is recorded, in order.</param>
/// <param name="Cautions">What can hurt.</param>
/// <param name="Repeat">What it is repeated for; null where it is done once.</param>
/// <param name="Bench">True where it is done ashore, later.</param>
public sealed record StepDescription(
    string Code,
    string Do,
    string Why,
    IReadOnlyList<FieldDescription> Fields,
    IReadOnlyList<string> Cautions,
    string? Repeat = null,
    bool Bench = false
)
{
    /// <summary>True where the protocol’s containers are filled in it.</summary>
    public bool Fills { get; init; }

    /// <summary>Whose part it is, by the code of its field; null where anybody does it.</summary>
    public string? Role { get; init; }

    /// <summary>True where it stirs what a container is filled from afterwards.</summary>
    public bool Stirs { get; init; }

    /// <summary>True where it is one touch away throughout, and never waited for.</summary>
    public bool Always { get; init; }
}

/// <summary>A protocol as it describes itself: the page, the sheet and other software know it by this alone.</summary>
/// <param name="Code">Its name, for ever.</param>
/// <param name="Version">Counts up from 1; a field once published keeps its code and units.</param>
/// <param name="Title">For people.</param>
/// <param name="Purpose">What it is for.</param>
/// <param name="Rank">Where it stands in the order of a visit.</param>
/// <param name="Stirs">True where what it stirs spoils what is sampled after it.</param>
/// <param name="Steps">Its steps, in order.</param>
/// <param name="Repeats">What steps are repeated for.</param>
/// <param name="Parameters">What it gives to the record.</param>
/// <param name="Methods">What a programme may choose.</param>
public sealed record ProtocolDescription(
    string Code,
    int Version,
    string Title,
    string Purpose,
    int Rank,
    bool Stirs,
    IReadOnlyList<StepDescription> Steps,
    IReadOnlyList<RepeatDescription> Repeats,
    IReadOnlyList<ParameterDescription> Parameters,
    IReadOnlyList<Method> Methods
)
{
    /// <summary>The numbers that a programme may change.</summary>
    public required IReadOnlyList<Threshold> Thresholds { get; init; }

    /// <summary>The words of what it finds.</summary>
    public required IReadOnlyList<FindingWords> Findings { get; init; }

    /// <summary>How it is drawn as a whole.</summary>
    public ProtocolPicture Picture { get; init; }

    /// <summary>True where it may begin on any visit, whatever is due.</summary>
    public bool AnyTime { get; init; }

    /// <summary>The parts of the work.</summary>
    public IReadOnlyList<RoleDescription> Roles { get; init; } = [];

    /// <summary>What it fills where its plan names nothing else.</summary>
    public IReadOnlyList<ContainerDescription> Containers { get; init; } = [];
}
