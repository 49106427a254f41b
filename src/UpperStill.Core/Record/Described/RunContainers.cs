using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Record.Described;

/// <summary>The containers of a protocol on a visit: which there are, in which step each is filled, and what is to be said of it.</summary>
internal sealed class RunContainers
{
    /// <summary>Stands among what a step still asks where its containers are not full.</summary>
    internal const string Open = "container";

    private readonly SheetDraft draft;
    private readonly ProtocolScript script;
    private readonly List<Own> all;

    internal RunContainers(SheetDraft draft, ProtocolScript script)
    {
        (this.draft, this.script) = (draft, script);
        all = Planned();
        Judge();
    }

    /// <summary>All of them.</summary>
    internal IReadOnlyList<SheetBottle> Bottles => [.. all.Select(c => c.Bottle)];

    /// <summary>What was filled, oldest first, each as it was filled last.</summary>
    internal IReadOnlyList<Read<FillBody>> Fills =>
        [.. FillChecks.Counting(draft).Where(f => Find(f.Body.Sample) is not null).OrderBy(f => f.Entry.At)];

    /// <summary>Those that are filled in a step, for one of what it is repeated for.</summary>
    internal IReadOnlyList<SheetBottle> In(StepScript step, string? item) =>
        [.. all.Where(c => c.Step == step.Code && (c.Item is null || c.Item == item)).Select(c => c.Bottle)];

    /// <summary>Which of what its step is repeated for a container belongs to; null for the step as a whole.</summary>
    internal string? ItemOf(string sample) => Find(sample)?.Item;

    /// <summary>A finding beside a container.</summary>
    internal void Say(Read<FillBody> fill, FindingWords words, params (string Name, string Text)[] given) => Say(fill, words.With(given));

    /// <summary>What later steps say of them, for the life of the samples.</summary>
    internal IReadOnlyList<SampleStepTaken> Later(ProtocolRun run) => [.. Added(run), .. Counted()];

    private IEnumerable<SampleStepTaken> Counted()
    {
        foreach (var own in all.Where(c => c.Script?.CountedIn is not null && c.Bottle.Entry is not null))
        {
            var counts = draft
                .Standing(ObservationKinds.Observation)
                .Where(o => o.Body.Protocol.Code == script.Code && o.Body.Field == own.Script!.CountedIn!.Code)
                .FirstOrDefault(o => own.Item is null || o.Body.Item == own.Item);
            if (counts is not null)
            {
                yield return new(counts.Entry, SampleStep.Count, [own.Bottle.Number], "counted at the bench");
            }
        }
    }

    private IEnumerable<SampleStepTaken> Added(ProtocolRun run) =>
        [
            .. all.Where(c => c.Script?.Fixed is not null && c.Bottle.Entry is not null)
                .Select(c => (c.Bottle, Drops: run.Once[c.Script!.Fixed!], Entry: run.Once.Entry(c.Script.Fixed!)))
                .Where(c => c is { Drops: > 0, Entry: not null })
                .Select(c => new SampleStepTaken(
                    draft.Log.Find(c.Entry!.Value)!,
                    SampleStep.Preserve,
                    [c.Bottle.Number],
                    Words(c.Bottle, c.Drops!.Value)
                )
                {
                    Added = Words(c.Bottle, c.Drops!.Value),
                }),
        ];

    private List<Own> Planned()
    {
        var fills = draft.Standing(FillKinds.Fill);
        return
        [
            .. draft
                .Planned.Where(p => p.FilledBy?.Code == script.Code && p.Type.FilledAt == FilledAt.Water)
                .GroupBy(p => p.Type.Code)
                .SelectMany(group =>
                {
                    var own = script.Containers.FirstOrDefault(c => c.Type == group.Key);
                    return group
                        .Take(own?.Needed?.Invoke(draft) ?? int.MaxValue)
                        .Select(
                            (planned, i) =>
                                new Own(
                                    Bottle(planned, own, fills.LastOrDefault(f => SampleNumber.Same(f.Body.Sample, planned.Number))),
                                    own?.Step ?? script.Steps.FirstOrDefault(s => s.Fills)?.Code ?? string.Empty,
                                    own?.Of?.Invoke(draft, i),
                                    own
                                )
                        );
                }),
        ];
    }

    private static SheetBottle Bottle(PlannedSample planned, ContainerScript? own, Read<FillBody>? fill) =>
        new(
            planned.Number,
            Here(planned.Type, own),
            planned.Replicate,
            own?.From ?? FilledFrom.Lake,
            fill?.Entry.Id,
            fill is null ? null : FillChecks.Words(fill.Body)
        )
        {
            RinsesCounted = own?.RinsesCounted == true,
        };

    // Where drops are counted in a later step, that step says what is to be said of them.
    private static SampleType Here(SampleType type, ContainerScript? own) => own?.Fixed is null ? type : type with { Added = null };

    // What is to be said of a filling; of a container that was filled anew only the last counts.
    private void Judge()
    {
        foreach (var fill in draft.Standing(FillKinds.Fill))
        {
            if (Find(fill.Body.Sample) is { } own && draft.Context.Programme.TypeOf(fill.Body.Type) is { } type)
            {
                foreach (var finding in FillChecks.Of(draft, fill.Body, Here(type, own.Script)))
                {
                    Say(fill, finding);
                }
            }
        }
    }

    private void Say(Read<FillBody> fill, Finding finding)
    {
        var own = Find(fill.Body.Sample);
        draft.Findings.Add(
            FillChecks.Standing(
                draft,
                fill,
                finding.On(Beside.Observation, fill.Entry.Id) with
                {
                    At = $"{ProtocolRun.Address(script.Code, own?.Step ?? string.Empty, own?.Item, 1)}{Open}",
                }
            )
        );
    }

    private Own? Find(string sample) => all.Find(c => SampleNumber.Same(c.Bottle.Number, sample));

    private string Words(SheetBottle bottle, int drops) =>
        $"{Decimals.Text(drops)} {(drops == 1 ? "drop" : "drops")} of {draft.Context.Programme.TypeOf(bottle.Type.Code)?.Added?.Name}";

    private sealed record Own(SheetBottle Bottle, string Step, string? Item, ContainerScript? Script);
}
