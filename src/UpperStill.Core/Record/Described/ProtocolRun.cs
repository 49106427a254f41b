using System.Globalization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Record.Described;

/// <summary>A described protocol while its visit is folded: what was recorded, and what its conditions say of it.</summary>
internal sealed class ProtocolRun
{
    private readonly ProtocolScript script;
    private readonly List<(Attempt Attempt, Finding Finding)> found = [];
    private readonly List<SheetValue> values = [];
    private readonly List<SheetProposal> proposals = [];
    private readonly List<ColumnSpan> spans = [];
    private readonly List<SheetBottle> containers;
    private string? sampleDepth;
    private readonly Dictionary<(string Group, string? Item, int Try), Attempt> attempts = [];

    internal ProtocolRun(SheetDraft draft, ProtocolScript script)
    {
        (Draft, this.script) = (draft, script);
        containers = Containers();
        Read();
        Filled();
    }

    /// <summary>The visit.</summary>
    internal SheetDraft Draft { get; }

    /// <summary>What is recorded once.</summary>
    internal Attempt Once => Attempt(string.Empty, null, Math.Max(1, Last(string.Empty, null)));

    internal IReadOnlyList<SheetValue> Values => values;

    internal List<SheetDerived> Derived { get; } = [];

    /// <summary>The items that something stands for, in their order.</summary>
    internal IReadOnlyList<string> Items(Repeat repeat) =>
        [
            .. attempts
                .Keys.Where(k => k.Group == repeat.Code)
                .Select(k => k.Item!)
                .Distinct()
                .OrderBy(Order)
                .ThenBy(i => i, StringComparer.Ordinal),
        ];

    /// <summary>Every try of an item, in order.</summary>
    internal IReadOnlyList<Attempt> Tries(Repeat? repeat, string? item) =>
        [
            .. attempts
                .Where(a => a.Key.Group == (repeat?.Code ?? string.Empty) && a.Key.Item == item)
                .OrderBy(a => a.Key.Try)
                .Select(a => a.Value),
        ];

    /// <summary>The try of an item that counts: the last good one, else the last.</summary>
    internal Attempt? Counts(Repeat? repeat, string? item) =>
        Tries(repeat, item) is { Count: > 0 } tries ? tries.LastOrDefault(t => !t.Failed) ?? tries[^1] : null;

    internal void Derive(SheetDerived derived) => Derived.Add(derived);

    /// <summary>Proposes a value for a box that is done once; nothing where it is written.</summary>
    internal void Propose(Field field, ObservedValue value, string why)
    {
        if (!values.Exists(v => v.Field == field.Code))
        {
            proposals.Add(new SheetProposal(StepOf(field).Code, field.Code, value, field.Text(value), why));
        }
    }

    /// <summary>Draws a stretch of the column.</summary>
    internal void Span(ColumnSpan span) => spans.Add(span);

    /// <summary>Says of which depth or interval the samples are.</summary>
    internal void SamplesAreOf(string depth) => sampleDepth = depth;

    /// <summary>A thing of the kit that was named; null where none was, or it is not known here.</summary>
    internal Gear? Gear(Attempt attempt, EquipmentField field) =>
        Draft.Context.Gear?.FirstOrDefault(g => g.Code == attempt.Equipment(field));

    internal void Find(Attempt attempt, Finding finding, Field at) =>
        found.Add(
            (
                attempt,
                finding.On(Beside.Observation, attempt.Entry(at) is { } entry ? [entry] : []) with
                {
                    At = Address(StepOf(at), at, attempt.ItemCode, attempt.Number),
                }
            )
        );

    /// <summary>The steps as they stand, and the findings: those of a failed try are settled once a later one came up right.</summary>
    internal SheetProtocol Sheet(bool due, IReadOnlySet<string> skipped)
    {
        // Of what is said of one field the most specific stands alone.
        var specific = found.Where(f => f.Finding.Code != CommonFindings.ValueUnusual.Code).Select(f => f.Finding.At).ToHashSet();
        foreach (
            var (attempt, finding) in found.Where(f =>
                f.Finding.Code != CommonFindings.ValueUnusual.Code || !specific.Contains(f.Finding.At)
            )
        )
        {
            var mended =
                attempt.Failed
                && attempts.Values.Any(t =>
                    t.Group == attempt.Group && t.ItemCode == attempt.ItemCode && t.Number > attempt.Number && !t.Failed
                );
            Draft.Findings.Add(mended ? finding.Settled("a later try came up right") : finding);
        }

        foreach (var item in attempts.GroupBy(a => (a.Key.Group, a.Key.Item)))
        {
            var tries = item.OrderBy(a => a.Key.Try).Select(a => a.Value).ToList();
            if (tries.Count >= 3 && tries.TakeLast(3).All(t => t.Failed))
            {
                Draft.Findings.Add(
                    CommonFindings
                        .TriesMany.With()
                        .On(
                            Beside.Observation,
                            values.Where(v => v.Item == item.Key.Item && v.Try == tries[^1].Number).Select(v => v.Entry).Take(1)
                        ) with
                    {
                        At = Address(
                            script.Steps.First(s => (s.Repeat?.Code ?? string.Empty) == item.Key.Group).Code,
                            item.Key.Item,
                            tries[^1].Number
                        ),
                    }
                );
            }
        }

        List<SheetProtocolStep> steps = [.. script.Steps.SelectMany(s => Shown(s, skipped))];
        return new SheetProtocol(script.Code, due, values, steps, Derived)
        {
            Containers = containers,
            Proposals = proposals,
            Spans = spans,
            SampleDepth = sampleDepth,
            BenchOpen = steps.Exists(s => s.State == StepState.ToDo && script.Steps.First(x => x.Code == s.Step).Bench),
            Done = steps.All(s => s.State is StepState.Done or StepState.Skipped || script.Steps.First(x => x.Code == s.Step).Bench),
        };
    }

    /// <summary>Stands among what a step still asks where its containers are not full.</summary>
    internal const string OpenContainer = "container";

    private List<SheetBottle> Containers()
    {
        var fills = Draft.Standing(FillKinds.Fill);
        return
        [
            .. Draft
                .Planned.Where(p => p.FilledBy?.Code == script.Code && p.Type.FilledAt == FilledAt.Water)
                .Select(p =>
                {
                    var fill = fills.LastOrDefault(f => SampleNumber.Same(f.Body.Sample, p.Number));
                    return new SheetBottle(
                        p.Number,
                        p.Type,
                        p.Replicate,
                        script.Containers.FirstOrDefault(c => c.Type == p.Type.Code)?.From ?? FilledFrom.Lake,
                        fill?.Entry.Id,
                        fill is null ? null : FillChecks.Words(fill.Body)
                    );
                }),
        ];
    }

    // What is to be said of its containers stands at the step that fills them; of one that was filled anew only the last counts.
    private void Filled()
    {
        if (containers.Count == 0 || script.Steps.FirstOrDefault(s => s.Fills) is not { } step)
        {
            return;
        }

        foreach (var fill in Draft.Standing(FillKinds.Fill).Where(f => containers.Any(c => SampleNumber.Same(c.Number, f.Body.Sample))))
        {
            foreach (var finding in Draft.Context.Programme.TypeOf(fill.Body.Type) is { } type ? FillChecks.Of(Draft, fill.Body, type) : [])
            {
                Draft.Findings.Add(
                    FillChecks.Standing(
                        Draft,
                        fill,
                        finding.On(Beside.Observation, fill.Entry.Id) with
                        {
                            At = $"{Address(step.Code, null, 1)}{OpenContainer}",
                        }
                    )
                );
            }
        }
    }

    private static int Order(string item) =>
        int.TryParse(item, NumberStyles.None, CultureInfo.InvariantCulture, out var number) ? number : int.MaxValue;

    private IEnumerable<SheetProtocolStep> Shown(StepScript step, IReadOnlySet<string> skipped)
    {
        IEnumerable<string?> items = step.Repeat is { } repeat
            ? Items(repeat)
                .Concat(Enumerable.Range(1, repeat.Usual).Select(n => n.ToString(CultureInfo.InvariantCulture)))
                .Distinct()
                .OrderBy(Order)
            : [null];
        foreach (var item in items)
        {
            var tries = Tries(step.Repeat, item);
            var last = tries.Count > 0 ? tries[^1] : null;
            var good = Counts(step.Repeat, item);
            var counting = last is { Failed: true } && good is { Failed: false } ? good : last;
            List<string> open =
            [
                .. step.Fields.Where(f => f.Required && counting?.Has(f) != true).Select(f => f.Code),
                .. step.Fills && containers.Any(c => c.Entry is null) ? [OpenContainer] : Array.Empty<string>(),
            ];
            var failed = counting?.Failed == true;
            var state =
                open.Count == 0 && !failed ? StepState.Done
                : skipped.Contains($"{script.Code}/{step.Code}") ? StepState.Skipped
                : StepState.ToDo;
            yield return new SheetProtocolStep(step.Code, item, counting?.Number ?? 1, state, open, failed);
        }
    }

    private void Read()
    {
        var mine = Draft.Standing(ObservationKinds.Observation).Where(o => o.Body.Protocol.Code == script.Code).ToList();
        foreach (var at in mine.GroupBy(o => (o.Body.Step, o.Body.Field, o.Body.Item, o.Body.Try)))
        {
            var last = at.Last();
            var body = last.Body;
            if (body.Version > script.Version)
            {
                Draft.Findings.Add(
                    CommonFindings
                        .ProtocolUnknown.With(("protocol", script.Title), ("version", Decimals.Text(body.Version)))
                        .On(Beside.Observation, last.Entry.Id) with
                    {
                        At = script.Code,
                    }
                );
                continue;
            }

            var step = script.Steps.FirstOrDefault(s => s.Code == body.Step);
            if (step?.Fields.FirstOrDefault(f => f.Code == body.Field) is not { } field || (step.Repeat is null) != (body.Item is null))
            {
                Draft.Findings.Add(
                    CommonFindings
                        .FieldUnknown.With(("protocol", script.Title), ("field", body.Field), ("step", body.Step))
                        .On(Beside.Observation, last.Entry.Id) with
                    {
                        At = script.Code,
                    }
                );
                continue;
            }

            if (!field.Filled(body.Value))
            {
                Draft.Findings.Add(
                    CommonFindings.ValueMissing.With(("field", field.Label)).On(Beside.Observation, last.Entry.Id) with
                    {
                        At = Address(step, field, body.Item, body.Try),
                    }
                );
                continue;
            }

            var address = Address(step, field, body.Item, body.Try);
            Draft.Disagreement(
                Beside.Observation,
                field.Label,
                [.. at.Select(o => o.Entry)],
                e => field.Text(at.First(o => o.Entry == e).Body.Value),
                address
            );
            var value = new SheetValue(step.Code, field.Code, body.Item, body.Try, body.Value, field.Text(body.Value), last.Entry.Id);
            values.Add(value);
            var attempt = Attempt(step.Repeat?.Code ?? string.Empty, body.Item, body.Try);
            attempt.Put(value);
            foreach (var finding in field.Judge(body.Value))
            {
                found.Add((attempt, finding.On(Beside.Observation, last.Entry.Id) with { At = address }));
            }
        }
    }

    private Attempt Attempt(string group, string? item, int number)
    {
        if (!attempts.TryGetValue((group, item, number), out var attempt))
        {
            attempts[(group, item, number)] = attempt = new Attempt(this, group, item, number);
        }

        return attempt;
    }

    private int Last(string group, string? item) =>
        attempts.Keys.Where(k => k.Group == group && k.Item == item).Select(k => k.Try).DefaultIfEmpty(0).Max();

    private StepScript StepOf(Field field) => script.Steps.First(s => s.Fields.Contains(field));

    private string Address(StepScript step, Field field, string? item, int number) => $"{Address(step.Code, item, number)}{field.Code}";

    private string Address(string step, string? item, int number) =>
        string.Create(CultureInfo.InvariantCulture, $"{script.Code}/{step}/{item}/{number}/");
}
