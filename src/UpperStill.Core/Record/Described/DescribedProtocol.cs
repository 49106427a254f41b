using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Seasons;

namespace UpperStill.Core.Record.Described;

/// <summary>
/// A protocol that describes itself: its steps and fields are data, only what is worked out and what is found is code. One fold, one
/// page, one kind of entry serve all of them.
/// </summary>
public abstract class DescribedProtocol : VisitPart
{
    private readonly ProtocolScript script;
    private readonly Lazy<ProtocolDescription> description;

    private protected DescribedProtocol(ProtocolScript script)
        : base(script.Code)
    {
        this.script = script;
        description = new(() =>
            new ProtocolDescription(
                script.Code,
                script.Version,
                script.Title,
                script.Purpose,
                script.Rank,
                script.Stirs,
                [.. script.Steps.Select(s => s.Describe())],
                [.. script.Steps.Select(s => s.Repeat).OfType<Repeat>().Distinct().Select(r => r.Describe())],
                script.Parameters,
                script.Methods
            )
            {
                Thresholds = script.Thresholds,
                Findings = script.Findings,
                Containers = [.. script.Containers.Select(c => c.Describe())],
                AnyTime = script.AnyTime,
                Picture = script.Picture,
                Roles =
                [
                    .. script
                        .Steps.SelectMany(s => s.Fields)
                        .OfType<RoleField>()
                        .Distinct()
                        .Select(r => new RoleDescription(r.Code, r.Label, r.Touches)),
                ],
            }
        );
    }

    /// <summary>As it is published.</summary>
    public ProtocolDescription Description => description.Value;

    /// <inheritdoc/>
    public sealed override IReadOnlyList<Method> Methods => script.Methods;

    /// <inheritdoc/>
    public sealed override IReadOnlyList<Threshold> Thresholds => script.Thresholds;

    /// <inheritdoc/>
    public sealed override IReadOnlyList<ParameterDescription> Parameters => script.Parameters;

    /// <summary>What it asks of its day; null where any day of its window serves.</summary>
    internal DayNeed? Day(Programme programme) => script.Day?.Invoke(programme);

    /// <summary>Questions that are answered here, and not on other pages of a visit on which it is due.</summary>
    internal IReadOnlyList<string> Answers => script.Answers;

    /// <summary>The steps that stir what a container is filled from afterwards, by their codes.</summary>
    internal IReadOnlyList<string> Stirring => [.. script.Steps.Where(s => s.Stirs).Select(s => s.Code)];

    private Protocol Protocol => new(script.Code);

    /// <inheritdoc/>
    internal sealed override IReadOnlyList<BottlePlan> Bottles(ProtocolPlan plan, Programme programme) =>
        plan.Protocol == Protocol ? [.. script.Containers.Where(c => c.Chosen(programme)).SelectMany(c => c.Plans(programme))] : [];

    /// <inheritdoc/>
    internal sealed override IEnumerable<string> Overboard(SheetDraft draft) =>
        script.Overboard is { } thing && Mine(draft) is { Values.Count: > 0 } ? [thing] : [];

    /// <inheritdoc/>
    internal sealed override IEnumerable<PackNeed> Pack(Packing outing) => outing.Takes(Protocol) ? script.Pack(outing) : [];

    /// <inheritdoc/>
    internal sealed override IEnumerable<PaperPiece> Paper(PlannedStop stop) => stop.Takes(Protocol) ? ProtocolPaper.Of(script, stop) : [];

    /// <summary>What follows from what was recorded, and what is to be said of it.</summary>
    private protected abstract void Evaluate(ProtocolRun run);

    /// <inheritdoc/>
    internal sealed override void Fold(SheetDraft draft)
    {
        var due = draft.Wants(Protocol);
        if (!due && !draft.Standing(ObservationKinds.Observation).Any(o => o.Body.Protocol == Protocol))
        {
            return;
        }

        var run = new ProtocolRun(draft, script);
        Evaluate(run);
        CommonChecks.Of(run, script);
        draft.Described().Add(run.Sheet(due, draft.Standing(VisitKinds.StepSkipped).Select(s => s.Body.Step).ToHashSet()));
    }

    /// <inheritdoc/>
    internal sealed override IEnumerable<PartStep> Steps(SheetDraft draft)
    {
        if (Mine(draft) is not { } sheet)
        {
            yield break;
        }

        var afloat = sheet
            .Steps.Where(s => script.Steps.First(x => x.Code == s.Step) is { Bench: false, Always: false, OnlyWords: false })
            .ToList();
        yield return new PartStep
        {
            Name = script.Code,
            Title = script.Title,
            Way = $"the {char.ToLowerInvariant(script.Title[0])}{script.Title[1..]}",
            Rank = script.Rank,
            Done =
                (sheet is { Done: true, Values.Count: > 0 } && !Stopped(draft))
                || (
                    script.FilledBefore
                    && sheet is { Values.Count: 0, Containers.Count: > 0 }
                    && sheet.Containers.All(c => c.Entry is not null)
                ),
            Summary = sheet.Derived.FirstOrDefault(d => d.Value is not null) is { } first
                ? $"{first.Name} {first.Text}"
                : $"{afloat.Count(s => s.State is StepState.Done or StepState.Skipped)} of {afloat.Count} steps",
            Required = sheet.Due,
            Begun = sheet.Values.Count > 0,
            NeedsDepth = script.NeedsSounding,
        };
    }

    /// <inheritdoc/>
    internal sealed override IEnumerable<SampleStepTaken> SampleSteps(SheetDraft draft) => Mine(draft)?.Later ?? [];

    /// <inheritdoc/>
    internal sealed override IEnumerable<Protocol> Took(SheetDraft draft) => Mine(draft) is { Values.Count: > 0 } ? [Protocol] : [];

    /// <inheritdoc/>
    internal sealed override IEnumerable<Reading> Readings(SheetDraft draft) =>
        Mine(draft) is not { } sheet
            ? []
            : sheet
                .Derived.Where(d => d.Value is not null)
                .Select(d => new Reading
                {
                    Protocol = Protocol,
                    Parameter = d.Parameter,
                    Item = d.Item ?? string.Empty,
                    Depth = d.Depth ?? string.Empty,
                    Value = d.Value!.Value,
                    Unit = d.Unit,
                    Censored = d.Censored,
                    Usable = !Stopped(draft),
                    Method = d.Method,
                    Text = d.Text,
                });

    /// <inheritdoc/>
    internal sealed override StepGuideResult? Guide(string step, ChosenMethods methods) =>
        step == script.Code
            ? StepGuideResult.Of(
                script
                    .Steps.Select(s => new GuideLine(s.Do, s.Why))
                    .Concat(
                        script
                            .Methods.Where(m => m.GuideOnly)
                            .Select(m => new GuideLine(
                                $"{m.Matter}: {methods.Words(m)}.",
                                methods.ChoiceOf(m) == m.Usual ? m.Why : "So your programme has it."
                            ))
                    ),
                [.. script.Steps.SelectMany(s => s.Cautions).Distinct()]
            )
            : null;

    private bool Stopped(SheetDraft draft) =>
        draft.Findings.Exists(f =>
            f.Level == FindingLevel.Stop
            && f.At?.StartsWith($"{script.Code}/", StringComparison.Ordinal) == true
            && draft.AnswerTo(f) is null
        );

    private SheetProtocol? Mine(SheetDraft draft) => draft.Described().Find(p => p.Protocol == script.Code);
}
