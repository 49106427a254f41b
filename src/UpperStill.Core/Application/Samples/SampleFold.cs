using System.Globalization;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Protocols.Filtering;
using UpperStill.Core.Protocols.Results;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Application.Samples;

/// <summary>Folds the samples of a visit: what is planned, what was added, and what happened to each.</summary>
internal sealed class SampleFold
{
    private readonly SheetDraft draft;
    private readonly FieldSheet sheet;
    private readonly Dictionary<string, SampleDraft> samples = new(StringComparer.OrdinalIgnoreCase);
    private readonly List<Finding> findings = [];

    internal SampleFold(FoldRequest request, FieldSheet sheet)
    {
        this.sheet = sheet;
        draft = new SheetDraft(request, VisitParts.Bottles);
        draft.Described().AddRange(sheet.Protocols ?? []);
    }

    internal VisitSamples Samples()
    {
        if (draft.Start is not { } start || draft.Day is not { } day)
        {
            return new VisitSamples(sheet.Visit, [], [], []);
        }

        Planned(start.Body.Due ?? Filled(), day);
        Added();
        Filters();
        foreach (
            var step in VisitParts
                .Of(draft.Context.Programme)
                .SelectMany(p => p.SampleSteps(draft))
                .OrderBy(s => s.Entry.At.UtcTicks)
                .ThenBy(s => s.Entry.Id)
        )
        {
            Take(step);
        }

        // What was added to the water stands on its filter's label, too.
        foreach (var filter in samples.Values.Where(s => s.Filter?.Answers.From is not null))
        {
            filter.Added ??= samples.GetValueOrDefault(SampleNumber.Body(filter.Filter!.Answers.From!))?.Added;
        }

        Used(start.Entry, day);
        ResultPart.Fold(draft, samples.Values);
        foreach (var sample in samples.Values)
        {
            SampleChecks.Fold(draft, sample, samples.Values);
        }

        var (values, about) = ResultPart.Values(draft, samples.Values);
        foreach (var (sample, finding) in about)
        {
            sample.Findings.Add(finding);
        }

        values.AddRange(ValueStated.Of(draft, findings));
        var clarity = sheet.Clarity.Result;
        return new VisitSamples(
            sheet.Visit,
            [.. samples.Values.Select(s => s.Show(draft, day, Hold(s), Answered(s.Findings)) with { Bench = Bench(s) })],
            Answered(findings),
            values,
            clarity.Censored ? null : clarity.ClarityM
        );
    }

    // Visits of before it was asked what is due: what was filled was due.
    private List<Protocol> Filled()
    {
        var types = FillChecks.Counting(draft).Select(f => f.Body.Type).ToHashSet();
        return
        [
            .. (draft.Context.Programme.Season ?? [])
                .Where(p => VisitParts.Bottles(p, draft.Context.Programme).Any(b => types.Contains(b.Type)))
                .Select(p => p.Protocol),
        ];
    }

    private void Planned(IReadOnlyList<Protocol> due, DateOnly day)
    {
        SampleDraft? first = null;
        foreach (
            var planned in PlannedSamples.Of(
                draft.Labelled,
                draft.Context.Programme,
                [.. due],
                day,
                draft.Bottles,
                draft.Start?.Body.Series
            )
        )
        {
            var sample = new SampleDraft(planned.Number, planned.Type, planned.Place, Depth(planned), planned.Replicate);
            if (planned.Replicate == 0)
            {
                first = sample;
            }
            else if (first is not null)
            {
                (sample.Kin, sample.Of) = (SampleKin.Replicate, first.Number);
            }

            samples[SampleNumber.Body(planned.Number)] = sample;
        }
    }

    private string Depth(PlannedSample planned) =>
        planned.FilledBy is { } protocol
            ? sheet.Protocols?.FirstOrDefault(p => p.Protocol == protocol.Code)?.SampleDepth ?? string.Empty
            : planned.Place.At(
                planned.Place == SamplePlace.Composite
                    ? sheet.Composite.Text
                    : sheet.Bottles?.Places.FirstOrDefault(p => p.Place == planned.Place)?.Text
            );

    // Bottles beside the plan: filled all the same, or written down as a replicate, a part or a blank of another.
    private void Added()
    {
        foreach (var fill in FillChecks.Counting(draft))
        {
            if (!samples.ContainsKey(SampleNumber.Body(fill.Body.Sample)) && draft.Context.Programme.TypeOf(fill.Body.Type) is { } type)
            {
                samples[SampleNumber.Body(fill.Body.Sample)] = new SampleDraft(fill.Body.Sample, type, SamplePlace.Other, string.Empty, 0);
            }
        }

        foreach (var added in draft.Standing(CustodyKinds.SampleAdded))
        {
            var key = SampleNumber.Body(added.Body.Sample);
            if (samples.TryGetValue(key, out var known) || draft.Context.Programme.TypeOf(added.Body.Type) is not { } type)
            {
                known?.Findings.Add(
                    Finding
                        .Stop(
                            "sample-number-used",
                            $"{added.Body.Sample} is already a {known.Type.Container}.",
                            "Two bottles would become one.",
                            "Strike it and take a new number."
                        )
                        .On(Beside.Sample, added.Entry.Id) with
                    {
                        NoWayRound = true,
                    }
                );
                continue;
            }

            if (!samples.TryGetValue(SampleNumber.Body(added.Body.Of), out var of))
            {
                findings.Add(
                    Finding
                        .Check(
                            "sample-kin",
                            $"{added.Body.Sample} is a {added.Body.Kin.ToString().ToLowerInvariant()} of {added.Body.Of}, which is "
                                + "no sample of this visit.",
                            "A replicate without its sample says nothing.",
                            "Strike it, or add the sample."
                        )
                        .On(Beside.Sample, added.Entry.Id)
                );
            }

            samples[key] = new SampleDraft(
                added.Body.Sample,
                type,
                of?.Place ?? SamplePlace.Other,
                of?.Depth ?? string.Empty,
                added.Body.Kin == SampleKin.Replicate
                    ? 1 + samples.Values.Count(s => s.Of == of?.Number && s.Kin == SampleKin.Replicate)
                    : 0
            )
            {
                Kin = added.Body.Kin,
                Of = of?.Number ?? added.Body.Of,
            };
        }
    }

    // Another visit of that day, begun before this one, has filled a bottle under the same number.
    private void Used(Entry start, DateOnly day)
    {
        foreach (
            var other in (draft.Context.Others ?? []).Where(o =>
                o.Visit != start.Visit
                && DateOnly.FromDateTime(o.StartedAt.DateTime) == day
                && (o.StartedAt.UtcTicks, o.Visit).CompareTo((start.At.UtcTicks, start.Visit)) < 0
            )
        )
        {
            foreach (var number in other.Filled ?? [])
            {
                if (samples.GetValueOrDefault(SampleNumber.Body(number)) is { } sample && sample.State.Whereabouts() != Whereabouts.Planned)
                {
                    sample.Findings.Add(
                        Finding
                            .Stop(
                                "sample-number-used",
                                $"{sample.Number} was filled on the visit begun at "
                                    + $"{other.StartedAt.ToString("HH:mm", CultureInfo.InvariantCulture)} that day, too.",
                                "Two bottles would become one.",
                                "Strike the fill here and write it under a new label; tell the laboratory which is which."
                            )
                            .On(Beside.Sample) with
                        {
                            NoWayRound = true,
                        }
                    );
                }
            }
        }
    }

    private void Filters()
    {
        var answers = draft.Standing(FilterKinds.Filter).ToLookup(a => SampleNumber.Body(a.Body.Sample), StringComparer.OrdinalIgnoreCase);
        var fills = draft
            .Standing(FilterKinds.FilterFill)
            .ToLookup(f => SampleNumber.Body(f.Body.Sample), StringComparer.OrdinalIgnoreCase);
        foreach (var (key, sample) in samples.Where(s => s.Value.Type.FilledAt == FilledAt.Bench))
        {
            sample.Filter = new FilterPart(draft.Context.Programme, sample.Number, [.. answers[key]], [.. fills[key]]);
        }

        foreach (
            var loose in answers
                .Select(a => (Key: a.Key, a.First().Entry))
                .Concat(fills.Select(f => (f.Key, f.First().Entry)))
                .Where(l => !samples.ContainsKey(l.Key))
                .DistinctBy(l => l.Key)
        )
        {
            findings.Add(Unknown(loose.Key, loose.Entry));
        }
    }

    private void Take(SampleStepTaken step)
    {
        foreach (var number in step.Numbers)
        {
            if (!samples.TryGetValue(SampleNumber.Body(number), out var sample))
            {
                findings.Add(Unknown(number, step.Entry));
                continue;
            }

            var (verdict, after) = SampleLife.After(sample.State, step.Step);
            if (verdict == StepVerdict.Refused)
            {
                sample.Findings.Add(Refused(sample, step));
                continue;
            }

            if (verdict == StepVerdict.Early)
            {
                sample.Findings.Add(
                    Finding
                        .Check(
                            "step-early",
                            $"{sample.Number} was {step.Step.Words()}; before that it is only {sample.State.Words()}.",
                            "A link of the chain is not written down.",
                            "Write it down if you know it, or say why it is missing."
                        )
                        .On(Beside.Sample, step.Entry.Id)
                );
            }

            sample.Take(step, after);
        }
    }

    // A jar that was taken waits until it is counted.
    private Protocol? Bench(SampleDraft sample) =>
        sample.State.Whereabouts() == Whereabouts.Hand
        && sheet.Protocols?.FirstOrDefault(p => p.Protocol == sample.Place.Code) is { BenchOpen: true } waiting
            ? new Protocol(waiting.Protocol)
            : null;

    private static Finding Refused(SampleDraft sample, SampleStepTaken step) =>
        (
            step.Step == SampleStep.HandOver && sample.Manifest is not null
                ? Finding.Stop(
                    "handed-over-already",
                    $"{sample.Number} was handed over already, to {sample.To}.",
                    "Two manifests for one sample: one of them is short of it.",
                    "Look which one it went with, and strike the other."
                )
                : Finding.Stop(
                    "step-refused",
                    $"{sample.Number} cannot be {step.Step.Words()}: it is {sample.State.Words()}.",
                    "What was written does not count.",
                    "Strike whichever is wrong, or say why."
                )
        ).On(step.Step is SampleStep.Measure or SampleStep.Report ? Beside.Result : Beside.Sample, step.Entry.Id);

    private static Finding Unknown(string number, Entry entry) =>
        Finding
            .Check(
                "label-differs",
                $"{number} is no sample of this visit.",
                "A label of another water or day sends the result to the wrong record.",
                "Look at the label; strike it here and write it where it belongs."
            )
            .On(Beside.Sample, entry.Id);

    private SampleHold? Hold(SampleDraft sample)
    {
        if (
            sample.CollectedAt is not { } from
            || sample.State.Ended()
            || sample.State is SampleState.Planned or SampleState.Labelled or SampleState.Analysed
        )
        {
            return null;
        }

        if (SampleTypes.ForFilters(sample.Type.Code))
        {
            var (better, within) = (
                draft.Context.Programme.Of(FilteringOptions.FilterWithinNote),
                draft.Context.Programme.Of(FilteringOptions.FilterWithin)
            );
            return new SampleHold(
                from,
                from.AddHours((double)within),
                $"filter within {Decimals.Text(within)} h, better {Decimals.Text(better)} h",
                from.AddHours((double)better)
            );
        }

        return SampleHolds.ToTheLab(sample, draft);
    }

    private List<Finding> Answered(IEnumerable<Finding> given)
    {
        var answers = draft.Standing(VisitKinds.Kept);
        return
        [
            .. given.Select(f =>
                !f.NoWayRound
                && answers.LastOrDefault(a => a.Body.Finding == f.Code && a.Body.About.ToHashSet().SetEquals(f.About)) is { } answer
                    ? f with
                    {
                        Kept = answer.Entry.Why,
                    }
                    : f
            ),
        ];
    }
}
