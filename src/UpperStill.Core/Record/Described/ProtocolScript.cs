using UpperStill.Core.Record.Parts;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Seasons;

namespace UpperStill.Core.Record.Described;

/// <summary>A step of a described protocol.</summary>
/// <param name="code">Its name, for ever.</param>
/// <param name="words">What to do.</param>
/// <param name="why">Why.</param>
/// <param name="fields">What is recorded, in order.</param>
internal sealed class StepScript(string code, string words, string why, params Field[] fields)
{
    internal string Code => code;

    internal IReadOnlyList<Field> Fields => fields;

    internal Repeat? Repeat { get; init; }

    /// <summary>True where it is done ashore, later.</summary>
    internal bool Bench { get; init; }

    /// <summary>True where the protocol’s containers are filled in it.</summary>
    internal bool Fills { get; init; }

    /// <summary>What can hurt.</summary>
    internal IReadOnlyList<string> Cautions { get; init; } = [];

    /// <summary>Whose part it is; null where anybody does it.</summary>
    internal RoleField? Role { get; init; }

    /// <summary>True where it asks for nothing: words that are followed.</summary>
    internal bool OnlyWords => fields.Length == 0 && !Fills;

    /// <summary>True where it stirs what a container is filled from afterwards.</summary>
    internal bool Stirs { get; init; }

    /// <summary>Gloves, ticked before anything else of the step.</summary>
    internal static readonly ChecklistField Gloves = new(
        "gloves",
        "Gloves",
        new FieldChoice("on", "gloves are on"),
        new FieldChoice("whole", "no hole in them")
    )
    {
        Safety = true,
        Unticked = CommonFindings.GlovesMissing,
    };

    /// <summary>True where it is one touch away throughout, and never waited for.</summary>
    internal bool Always { get; init; }

    /// <summary>True where it is not shown where none of its fields is asked.</summary>
    internal bool OnlyAsked { get; init; }

    /// <summary>Whether a field is asked, by the programme.</summary>
    internal Func<SheetDraft, Field, bool> Asks { get; init; } = (_, _) => true;

    internal string Do => words;

    internal string Why => why;

    internal StepDescription Describe() =>
        new(code, words, why, [.. fields.Select(f => f.Describe())], Cautions, Repeat?.Code, Bench)
        {
            Fills = Fills,
            Role = Role?.Code,
            Stirs = Stirs,
            Always = Always,
        };
}

/// <summary>What a described protocol declares of itself.</summary>
internal sealed record ProtocolScript
{
    /// <summary>Its name, for ever.</summary>
    internal required string Code { get; init; }

    /// <summary>Counts up from 1.</summary>
    internal int Version { get; init; } = 1;

    /// <summary>For people.</summary>
    internal required string Title { get; init; }

    /// <summary>What it is for.</summary>
    internal required string Purpose { get; init; }

    /// <summary>Where it stands in the order of a visit.</summary>
    internal required int Rank { get; init; }

    /// <summary>True where what it stirs spoils what is sampled after it.</summary>
    internal bool Stirs { get; init; }

    /// <summary>Its steps, in order.</summary>
    internal required IReadOnlyList<StepScript> Steps { get; init; }

    /// <summary>What it fills.</summary>
    internal IReadOnlyList<ContainerScript> Containers { get; init; } = [];

    /// <summary>How it is drawn as a whole.</summary>
    internal ProtocolPicture Picture { get; init; }

    /// <summary>True where it may begin on any visit, whatever is due.</summary>
    internal bool AnyTime { get; init; }

    /// <summary>Questions that are answered here and not asked on other pages where it is due.</summary>
    internal IReadOnlyList<string> Answers { get; init; } = [];

    /// <summary>True where its bottle was filled before its steps were asked for: a full bottle alone is then enough.</summary>
    internal bool FilledBefore { get; init; }

    /// <summary>The parts that are never in the same hands.</summary>
    internal IReadOnlyList<RoleField> Apart { get; init; } = [];

    /// <summary>What it asks of its day; null where any day of its window serves.</summary>
    internal Func<Programme, DayNeed>? Day { get; init; }

    /// <summary>What it needs on an outing.</summary>
    internal Func<Packing, IEnumerable<PackNeed>> Pack { get; init; } = _ => [];

    /// <summary>False where the depth of the water is not asked for its sake.</summary>
    internal bool NeedsSounding { get; init; }

    /// <summary>What went over the side once it was begun; null where nothing does.</summary>
    internal string? Overboard { get; init; }

    /// <summary>What it gives to the record.</summary>
    internal IReadOnlyList<ParameterDescription> Parameters { get; init; } = [];

    /// <summary>The words of what it finds.</summary>
    internal IReadOnlyList<FindingWords> Findings { get; init; } = [];

    /// <summary>What a programme may choose.</summary>
    internal IReadOnlyList<Method> Methods { get; init; } = [];

    /// <summary>The numbers that a programme may change.</summary>
    internal IReadOnlyList<Threshold> Thresholds { get; init; } = [];
}
