using System.Globalization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Hydraulics;
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
    private readonly List<SheetClock> clocks = [];
    private SheetSection? section;
    private readonly List<(SheetBottle Bottle, string Step, string? Item)> containers;
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
    internal void Section(decimal fromM, decimal toM, IReadOnlyList<Panel> panels)
    {
        var flow = panels.Sum(p => p.FlowM3S);
        section = new SheetSection(
            Math.Min(fromM, toM),
            Math.Max(fromM, toM),
            [
                .. panels.Select(p =>
                {
                    var share = flow > 0 ? decimal.Round(100 * p.FlowM3S / flow, 1, MidpointRounding.AwayFromZero) : (decimal?)null;
                    return new SheetPanel(
                        p.TapeM,
                        p.FromM,
                        p.ToM,
                        p.DepthM,
                        p.VelocityMs,
                        share,
                        $"{Decimals.Text(p.TapeM)} m: {Decimals.Text(p.DepthM)} m deep, {Decimals.Text(p.VelocityMs)} m/s"
                            + (share is { } s ? $", {Decimals.Fixed(s, 0)} %" : string.Empty)
                    );
                }),
            ]
        );
    }

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

        List<SheetProtocolStep> steps = [.. Ordered().SelectMany(s => Shown(s.Step, s.Items, skipped))];
        return new SheetProtocol(script.Code, due, values, steps, Derived)
        {
            Containers = [.. containers.Select(c => c.Bottle)],
            Proposals = proposals,
            Spans = spans,
            Clocks = clocks,
            Section = section,
            SampleDepth = sampleDepth,
            Audited = [.. Audited(steps)],
            BenchOpen = steps.Exists(s => s.State == StepState.ToDo && script.Steps.First(x => x.Code == s.Step).Bench),
            Done = steps.All(s => s.State is StepState.Done or StepState.Skipped || script.Steps.First(x => x.Code == s.Step).Bench),
        };
    }

    /// <summary>Stands among what a step still asks where its containers are not full.</summary>
    internal const string OpenContainer = "container";

    private List<(SheetBottle Bottle, string Step, string? Item)> Containers()
    {
        var fills = Draft.Standing(FillKinds.Fill);
        return
        [
            .. Draft
                .Planned.Where(p => p.FilledBy?.Code == script.Code && p.Type.FilledAt == FilledAt.Water)
                .GroupBy(p => p.Type.Code)
                .SelectMany(group =>
                {
                    var own = script.Containers.FirstOrDefault(c => c.Type == group.Key);
                    return group
                        .Where(p => p.Replicate == 0 || own?.Needed is null)
                        .Take(own?.Needed?.Invoke(Draft) ?? int.MaxValue)
                        .Select(
                            (p, i) =>
                            {
                                var fill = fills.LastOrDefault(f => SampleNumber.Same(f.Body.Sample, p.Number));
                                return (
                                    new SheetBottle(
                                        p.Number,
                                        own?.Fixed is null ? p.Type : p.Type with { Added = null },
                                        p.Replicate,
                                        own?.From ?? FilledFrom.Lake,
                                        fill?.Entry.Id,
                                        fill is null ? null : FillChecks.Words(fill.Body)
                                    )
                                    {
                                        RinsesCounted = own?.RinsesCounted == true,
                                    },
                                    own?.Step ?? script.Steps.FirstOrDefault(s => s.Fills)?.Code ?? string.Empty,
                                    own?.Of?.Invoke(Draft, i)
                                );
                            }
                        );
                }),
        ];
    }

    /// <summary>What was filled, oldest first, each as it was filled last.</summary>
    internal IReadOnlyList<Read<FillBody>> Fills =>
        [
            .. FillChecks
                .Counting(Draft)
                .Where(f => containers.Exists(c => SampleNumber.Same(c.Bottle.Number, f.Body.Sample)))
                .OrderBy(f => f.Entry.At),
        ];

    /// <summary>A finding beside a container.</summary>
    internal void FindAt(Read<FillBody> fill, FindingWords words, params (string Name, string Text)[] given) =>
        Draft.Findings.Add(
            FillChecks.Standing(
                Draft,
                fill,
                words.With(given).On(Beside.Observation, fill.Entry.Id) with
                {
                    At = $"{Address(StepOf(fill.Body.Sample), ItemOf(fill.Body.Sample), 1)}{OpenContainer}",
                }
            )
        );

    /// <summary>What it fills on this visit.</summary>
    internal IReadOnlyList<SheetBottle> Bottles => [.. containers.Select(c => c.Bottle)];

    /// <summary>Which of what its step is repeated for a container belongs to; null for the step as a whole.</summary>
    internal string? ItemOf(string sample) => containers.Find(c => SampleNumber.Same(c.Bottle.Number, sample)).Item;

    // What is to be said of its containers stands at the step that fills them; of one that was filled anew only the last counts.
    private void Filled()
    {
        if (containers.Count == 0)
        {
            return;
        }

        foreach (
            var fill in Draft.Standing(FillKinds.Fill).Where(f => containers.Exists(c => SampleNumber.Same(c.Bottle.Number, f.Body.Sample)))
        )
        {
            // Where drops are counted in a later step, that step says what is to be said of them.
            var later = script.Containers.FirstOrDefault(c => c.Type == fill.Body.Type)?.Fixed is not null;
            foreach (
                var finding in Draft.Context.Programme.TypeOf(fill.Body.Type) is { } type
                    ? FillChecks.Of(Draft, fill.Body, later ? type with { Added = null } : type)
                    : []
            )
            {
                Draft.Findings.Add(
                    FillChecks.Standing(
                        Draft,
                        fill,
                        finding.On(Beside.Observation, fill.Entry.Id) with
                        {
                            At = $"{Address(StepOf(fill.Body.Sample), ItemOf(fill.Body.Sample), 1)}{OpenContainer}",
                        }
                    )
                );
            }
        }
    }

    private static int Order(string item) =>
        int.TryParse(item, NumberStyles.None, CultureInfo.InvariantCulture, out var number) ? number : int.MaxValue;

    // Steps that follow each other for one thing stay together: a drop, a depth, a throw is worked to its end before the next.
    private IEnumerable<(StepScript Step, IReadOnlyList<string?> Items)> Ordered()
    {
        for (var i = 0; i < script.Steps.Count; )
        {
            var outer = script.Steps[i].Repeat is { } own ? own.In ?? own : null;
            var until = i;
            while (until < script.Steps.Count && outer is not null && (script.Steps[until].Repeat is { } r ? r.In ?? r : null) == outer)
            {
                until++;
            }

            if (outer is null)
            {
                yield return (script.Steps[i++], [null]);
                continue;
            }

            foreach (
                var item in Items(outer)
                    .Concat(outer.Items(Draft).Select(x => x.Code))
                    .Distinct()
                    .OrderBy(x => Place(outer, x))
                    .ThenBy(Order)
            )
            {
                foreach (var step in script.Steps.Take(until).Skip(i))
                {
                    yield return (step, step.Repeat == outer ? [item] : [.. Inner(step.Repeat!, item)]);
                }
            }

            i = until;
        }
    }

    private int Place(Repeat repeat, string item)
    {
        var at = repeat.Items(Draft).TakeWhile(i => i.Code != item).Count();
        return at == repeat.Items(Draft).Count ? int.MaxValue : at;
    }

    private IEnumerable<SheetProtocolStep> Shown(StepScript step, IReadOnlyList<string?> items, IReadOnlySet<string> skipped)
    {
        if (step.OnlyAsked && !step.Fields.Any(f => step.Asks(Draft, f)) && !values.Exists(v => v.Step == step.Code))
        {
            yield break;
        }

        foreach (var item in items)
        {
            var tries = Tries(step.Repeat, item);
            var last = tries.Count > 0 ? tries[^1] : null;
            var good = Counts(step.Repeat, item);
            var counting = last is { Failed: true } && good is { Failed: false } ? good : last;
            List<string> open =
            [
                .. step.Fields.Where(f => f.Required && step.Asks(Draft, f) && counting?.Has(f) != true).Select(f => f.Code),
                .. step.Fills && containers.Any(c => c.Step == step.Code && (c.Item is null || c.Item == item) && c.Bottle.Entry is null)
                    ? [OpenContainer]
                    : Array.Empty<string>(),
            ];
            var failed = counting?.Failed == true;
            List<string> unasked = [.. step.Fields.Where(f => !step.Asks(Draft, f) && counting?.Has(f) != true).Select(f => f.Code)];
            if (step.Always && last is { Failed: true })
            {
                failed = true;
            }

            var state =
                open.Count == 0 && !failed ? StepState.Done
                : skipped.Contains($"{script.Code}/{step.Code}") ? StepState.Skipped
                : StepState.ToDo;
            yield return new SheetProtocolStep(step.Code, item, counting?.Number ?? 1, state, open, failed)
            {
                Words = item is null ? null : step.Repeat!.Words(Draft, item),
                Unasked = unasked.Count > 0 ? unasked : null,
                Containers = step.Fills
                    ? [.. containers.Where(c => c.Step == step.Code && (c.Item is null || c.Item == item)).Select(c => c.Bottle.Number)]
                    : null,
            };
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

    /// <summary>What every protocol says of itself: gloves before what needs them, parts in hands of their own, photographs that were
    /// asked for.</summary>
    internal void Common()
    {
        foreach (var step in script.Steps.Where(s => s.Gloved))
        {
            foreach (var tried in values.Where(v => v.Step == step.Code).Select(v => (v.Item, v.Try)).Distinct().ToList())
            {
                var attempt = Attempt(step.Repeat?.Code ?? string.Empty, tried.Item, tried.Try);
                if (!attempt.Has(StepScript.Gloves) && step.Fields.Any(f => f != StepScript.Gloves && attempt.Has(f)))
                {
                    attempt.Find(CommonFindings.GlovesMissing, StepScript.Gloves);
                }
            }
        }

        var apart = script
            .Apart.Select(r => (Role: r, Now: values.LastOrDefault(v => v.Field == r.Code)))
            .Where(r => r.Now is not null)
            .ToList();
        foreach (var (role, now) in apart.Skip(1))
        {
            if (apart.TakeWhile(a => a.Role != role).Any(a => Same(a.Now!.Value, now!.Value)))
            {
                Find(
                    Attempt(StepOf(role).Repeat?.Code ?? string.Empty, now!.Item, now.Try),
                    CommonFindings.RoleSamePerson.With(("name", now.Text)),
                    role
                );
            }
        }

        foreach (var step in script.Steps.Where(s => s.Fields.Any(f => f is PhotoField { Wanted: > 1 })))
        {
            foreach (var tried in values.Where(v => v.Step == step.Code).Select(v => (v.Item, v.Try)).Distinct().ToList())
            {
                foreach (var field in step.Fields.OfType<PhotoField>())
                {
                    var count = values.Count(v =>
                        v.Step == step.Code && v.Field == field.Code && v.Item == tried.Item && v.Try == tried.Try
                    );
                    if (count < field.Wanted)
                    {
                        Attempt(step.Repeat?.Code ?? string.Empty, tried.Item, tried.Try)
                            .Find(
                                CommonFindings.PhotosFew,
                                field,
                                ("count", Decimals.Text(count)),
                                ("wanted", Decimals.Text(field.Wanted))
                            );
                    }
                }
            }
        }
    }

    private IEnumerable<AuditLine> Audited(List<SheetProtocolStep> steps)
    {
        foreach (var shown in steps)
        {
            var step = script.Steps.First(s => s.Code == shown.Step);
            if (step is { Bench: true } or { Always: true } || (step.Fields.Count == 0 && !step.Fills))
            {
                continue;
            }

            var (at, of) = ($"{script.Code}.{step.Code}.{shown.Item}".TrimEnd('.'), shown.Words is { } words ? $", {words}" : string.Empty);
            yield return new AuditLine(
                at,
                $"{step.Do.TrimEnd('.')}{of}",
                shown.State == StepState.Done ? null
                    : shown.State == StepState.Skipped ? "it is written as left out"
                    : "it is not written as done"
            );
            foreach (var counter in step.Fields.OfType<CounterField>().Where(c => c.Asked && step.Asks(Draft, c)))
            {
                var count = Counts(step.Repeat, shown.Item)?[counter];
                yield return new AuditLine(
                    $"{at}.{counter.Code}",
                    $"{counter.Label}: {counter.Wanted}{of}",
                    count is null ? "none is counted"
                        : count < counter.Wanted ? $"{count} is recorded"
                        : null
                );
            }
        }

        foreach (var (bottle, _, _) in containers)
        {
            yield return new AuditLine(bottle.Number, $"{bottle.Number} is full", bottle.Entry is null ? "no filling is recorded" : null);
        }
    }

    private static bool Same(ObservedValue a, ObservedValue b) =>
        (a.Person is { } one && one == b.Person) || string.Equals(a.Name?.Trim(), b.Name?.Trim(), StringComparison.OrdinalIgnoreCase);

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

    private string StepOf(string sample) => containers.Find(c => SampleNumber.Same(c.Bottle.Number, sample)).Step;

    private StepScript StepOf(Field field) => script.Steps.First(s => s.Fields.Contains(field));

    private string Address(StepScript step, Field field, string? item, int number) => $"{Address(step.Code, item, number)}{field.Code}";

    private string Address(string step, string? item, int number) =>
        string.Create(CultureInfo.InvariantCulture, $"{script.Code}/{step}/{item}/{number}/");
}
