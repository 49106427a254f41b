using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Setup.Composed;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Protocols.Own;

/// <summary>A composed protocol as the script that every described protocol is.</summary>
internal sealed class OwnScript
{
    private const int MostTimes = 12;

    private readonly ComposedProtocol composed;
    private readonly Dictionary<string, RoleField> roles;
    private readonly Repeat? repeat;

    internal OwnScript(ComposedProtocol composed)
    {
        this.composed = composed;
        Fields = composed.Steps.SelectMany(s => s.Fields.Select(f => OwnFields.Of(f, s.Why))).ToDictionary(f => f.Code);
        roles = composed.Roles.ToDictionary(r => r.Code, r => new RoleField(r.Code, r.Label, r.Touches));
        repeat = composed.Repeat is { } many ? Times(many) : null;
    }

    /// <summary>Its boxes, by their codes.</summary>
    internal IReadOnlyDictionary<string, Field> Fields { get; }

    /// <summary>What the step of a box is repeated for; null where it is done once.</summary>
    internal Repeat? RepeatOf(string field) =>
        composed.Steps.FirstOrDefault(s => s.Fields.Any(f => f.Code == field)) is { Repeated: true } ? repeat : null;

    /// <summary>Every try in which a box may stand.</summary>
    internal IEnumerable<Attempt> Tries(ProtocolRun run, string field) =>
        RepeatOf(field) is { } many ? run.Every(many) : run.Tries(null, null);

    /// <summary>The script.</summary>
    internal ProtocolScript Script() =>
        new()
        {
            Code = composed.Code,
            Version = Math.Max(1, composed.Version),
            Title = composed.Title,
            Purpose = Purpose(composed),
            Rank = composed.Rank,
            Stirs = composed.Stirs,
            Apart = composed.RolesApart ? [.. roles.Values] : [],
            Steps = [.. Parts(), .. ComposedOrder.Of(composed.Steps).Steps.Select(Step)],
            Containers = [.. composed.Containers.Select(Container)],
            Pack = _ =>
                composed.Pack.Select(
                    (line, i) => Packing.Plain($"{composed.Code}-{Decimals.Text(i)}", Crate.Bottles, line, 1, composed.Title)
                ),
            Parameters = [.. composed.Sums.Select(Parameter)],
            Findings = [OwnProtocol.TryUnusable],
        };

    // By how many, and from where.
    private static string Purpose(ComposedProtocol composed)
    {
        var kinds = WaterBoxes.All.Single(b => b.Code == "station.kind").Choices;
        List<string> told =
        [
            .. composed.People > 1 ? [$"for {Decimals.Text(composed.People)} people"] : (string[])[],
            .. composed.Places.Count > 0
                ?
                [
                    $"from {string.Join(" or ", composed.Places.Select(p => kinds.First(k => string.Equals(k.Code, p.ToString(), StringComparison.OrdinalIgnoreCase)).Words))}",
                ]
                : (string[])[],
        ];
        return told.Count == 0 ? composed.Purpose : $"{composed.Purpose} {Sentence.Begun(string.Join("; ", told))}.";
    }

    private static Repeat Times(ComposedRepeat many)
    {
        List<RepeatItem> named = [.. many.Names.Select(n => new RepeatItem(ComposedCodes.OfName(n), n))];
        return named.Count == 0
            ? new Repeat("time", many.Label, many.Times, MostTimes)
            : new Repeat("time", many.Label, many.Times, many.Times) { Asked = _ => named, OnPaper = _ => named };
    }

    private IEnumerable<StepScript> Parts() =>
        roles.Count == 0
            ? []
            : [new StepScript(ComposedCodes.Parts, "Who has which part?", "Each pair of hands does its own.", [.. roles.Values])];

    private StepScript Step(ComposedStep step)
    {
        var gloves = step.Cautions.Any(c => ComposedCautions.AskGloves.Contains(c));
        return new StepScript(
            step.Code,
            step.Do,
            step.Why,
            [.. gloves ? [StepScript.Gloves] : (Field[])[], .. step.Fields.Select(f => Fields[f.Code])]
        )
        {
            Repeat = step.Repeated ? repeat : null,
            Bench = step.Bench,
            Fills = composed.Containers.Any(c => c.Step == step.Code),
            Cautions =
            [
                .. step.Cautions.Select(Caution.ByLetter).OfType<string>(),
                .. string.IsNullOrWhiteSpace(step.OwnCaution) ? [] : (string[])[step.OwnCaution],
            ],
            Role = step.Role is { } role ? roles.GetValueOrDefault(role) : null,
            Stirs = composed.Stirs,
        };
    }

    // In a repeated step there is one for each time.
    private ContainerScript Container(ComposedContainer container, int index)
    {
        var each = composed.Steps.Any(s => s.Code == container.Step && s.Repeated) ? repeat : null;
        return new ContainerScript(container.Own is null ? container.Type ?? string.Empty : composed.SampleCode(index))
        {
            Step = container.Step,
            Replicates = container.Replicates,
            Count = _ => each is null ? 1 : composed.Repeat!.Times,
            Of = each is null ? null : (draft, i) => each.Items(draft)[i / (container.Replicates + 1)].Code,
        };
    }

    private ParameterDescription Parameter(ComposedSum sum) =>
        new()
        {
            Code = new(composed.SeriesCode(sum)),
            Name = sum.Name,
            Unit = ComposedUnits.Of(composed, sum),
            Decimals = ComposedUnits.Decimals(composed, sum),
            Hanging = sum.Downward,
            AskedPerDecade = sum.AskedPerDecade,
            Protocol = new(composed.Code),
        };
}
