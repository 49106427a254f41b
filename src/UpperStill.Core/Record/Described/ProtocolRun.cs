using System.Globalization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Record.Described;

/// <summary>A described protocol while its visit is folded: what was recorded, and what its conditions say of it.</summary>
internal sealed class ProtocolRun
{
    private readonly ProtocolScript script;
    private readonly List<(Attempt Attempt, Finding Finding)> found = [];
    private readonly List<SheetValue> values = [];
    private readonly List<SheetProposal> proposals = [];
    private readonly List<ColumnSpan> spans = [];
    private readonly List<SheetClock> clocks = [];
    private readonly List<SheetPoint> points = [];
    private SheetSection? section;
    private string? sampleDepth;
    private readonly Dictionary<(string Group, string? Item, int Try), Attempt> attempts = [];

    internal ProtocolRun(SheetDraft draft, ProtocolScript script)
    {
        (Draft, this.script) = (draft, script);
        Containers = new RunContainers(draft, script);
        Read();
    }

    /// <summary>The visit.</summary>
    internal SheetDraft Draft { get; }

    /// <summary>What is recorded once.</summary>
    internal Attempt Once => Attempt(string.Empty, null, Math.Max(1, Last(string.Empty, null)));

    internal IReadOnlyList<SheetValue> Values => values;

    internal List<SheetDerived> Derived { get; } = [];

    /// <summary>The items that something stands for, in their order.</summary>
    internal IReadOnlyList<string> Items(Repeat repeat)
    {
        var asked = repeat.Items(Draft).Select(i => i.Code).ToList();
        return
        [
            .. attempts
                .Keys.Where(k => k.Group == repeat.Code)
                .Select(k => k.Item!)
                .Distinct()
                .OrderBy(i => asked.IndexOf(i) is >= 0 and var at ? at : int.MaxValue)
                .ThenBy(Order)
                .ThenBy(i => i, StringComparer.Ordinal),
        ];
    }

    /// <summary>The inner items of an outer one: the kinds of a throw.</summary>
    internal IReadOnlyList<string> Inner(Repeat inner, string item) =>
        [.. Items(inner).Where(i => i.StartsWith($"{item}{Repeat.Inner}", StringComparison.Ordinal))];

    /// <summary>The tries that count, one for each item that something stands for.</summary>
    internal IEnumerable<Attempt> All(Repeat repeat) => Items(repeat).Select(i => Counts(repeat, i)!);

    /// <summary>Every try of every item.</summary>
    internal IEnumerable<Attempt> Every(Repeat repeat) => Items(repeat).SelectMany(i => Tries(repeat, i));

    /// <summary>An item in words.</summary>
    internal string Words(Repeat repeat, string item) => repeat.Words(Draft, item);

    internal Programme Programme => Draft.Context.Programme;

    /// <summary>When something of a step was first written down; null while nothing is.</summary>
    internal DateTimeOffset? FirstAt(string step) =>
        values.Where(v => v.Step == step).Select(v => (DateTimeOffset?)Draft.Log.Find(v.Entry)?.At).Min();

    /// <summary>Draws a stream’s cross-section.</summary>
    internal void Section(SheetSection drawn) => section = drawn;

    /// <summary>Draws a point of a beach.</summary>
    internal void Point(SheetPoint point) => points.Add(point);

    /// <summary>Shows a clock.</summary>
    internal void Clock(string name, DateTimeOffset? from, DateTimeOffset? until, string words) =>
        clocks.Add(new SheetClock(name, from, until, words));

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
    internal void Propose(Field field, ObservedValue value, string why, string? item = null)
    {
        if (!values.Exists(v => v.Field == field.Code && (item is null || v.Item == item)))
        {
            proposals.Add(new SheetProposal(StepOf(field).Code, field.Code, value, field.Text(value), why) { Item = item });
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

        List<SheetProtocolStep> steps = [.. new ShownSteps(this, script, skipped).All()];
        return new SheetProtocol(script.Code, due, values, steps, Derived)
        {
            Containers = Containers.Bottles,
            Later = Containers.Later(this),
            Proposals = proposals,
            Spans = spans,
            Clocks = clocks,
            Points = points,
            Section = section,
            SampleDepth = sampleDepth,
            Audited = [.. AuditedSteps.Of(this, script, steps)],
            BenchOpen = steps.Exists(s => s.State == StepState.ToDo && script.Steps.First(x => x.Code == s.Step).Bench),
            Done = steps.All(s => s.State is StepState.Done or StepState.Skipped || script.Steps.First(x => x.Code == s.Step).Bench),
        };
    }

    /// <summary>What it fills on this visit.</summary>
    internal RunContainers Containers { get; }

    /// <summary>Counted items by their number, named ones behind them.</summary>
    internal static int Order(string item) =>
        int.TryParse(item, NumberStyles.None, CultureInfo.InvariantCulture, out var number) ? number : int.MaxValue;

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
            if (step?.Fields.FirstOrDefault(f => f.Code == body.Field) is not { } field || !Addressed(step, body.Item))
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
            if (field.Gathers)
            {
                values.AddRange(
                    at.SkipLast(1)
                        .Select(o => new SheetValue(
                            step.Code,
                            field.Code,
                            body.Item,
                            body.Try,
                            o.Body.Value,
                            field.Text(o.Body.Value),
                            o.Entry.Id
                        ))
                );
            }
            else
            {
                Draft.Disagreement(
                    Beside.Observation,
                    field.Label,
                    [.. at.Select(o => o.Entry)],
                    e => field.Text(at.First(o => o.Entry == e).Body.Value),
                    address
                );
            }

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

    /// <summary>The tries of a step of which something stands.</summary>
    internal IReadOnlyList<Attempt> TriesOf(StepScript step) =>
        [
            .. values
                .Where(v => v.Step == step.Code)
                .Select(v => (v.Item, v.Try))
                .Distinct()
                .Select(t => Attempt(step.Repeat?.Code ?? string.Empty, t.Item, t.Try)),
        ];

    /// <summary>The try that a value stands in.</summary>
    internal Attempt Holding(SheetValue value) =>
        Attempt(script.Steps.First(s => s.Code == value.Step).Repeat?.Code ?? string.Empty, value.Item, value.Try);

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

    // What stands within something else is named after it.
    private static bool Addressed(StepScript step, string? item) =>
        step.Repeat is null ? item is null : item is not null && (step.Repeat.In is null || item.Contains(Repeat.Inner));

    private StepScript StepOf(Field field) => script.Steps.First(s => s.Fields.Contains(field));

    private string Address(StepScript step, Field field, string? item, int number) => $"{Address(step.Code, item, number)}{field.Code}";

    private string Address(string step, string? item, int number) => Address(script.Code, step, item, number);

    /// <summary>The beginning of the address of everything that a step holds.</summary>
    internal static string Address(string protocol, string step, string? item, int number) =>
        string.Create(CultureInfo.InvariantCulture, $"{protocol}/{step}/{item}/{number}/");
}
