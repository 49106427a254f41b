using System.Globalization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Setup.People;

namespace UpperStill.Core.Record.Described;

/// <summary>One try of some steps: what stands in their fields.</summary>
internal sealed class Attempt(ProtocolRun run, string? item, int number)
{
    private readonly Dictionary<string, SheetValue> values = [];

    internal string? ItemCode => item;

    internal int Number => number;

    /// <summary>True where it cannot be used: another try is asked.</summary>
    internal bool Failed { get; private set; }

    /// <summary>The number, in the first unit of its field; null where it is not there or cannot be used.</summary>
    internal decimal? this[NumberField field] => Of(field) is { } v ? field.Read(v) : null;

    /// <summary>The length; null where it is not there or cannot be used.</summary>
    internal Length? this[LengthField field] => Of(field) is { } v ? field.Read(v) : null;

    /// <summary>°C; null where it is not there or cannot be used.</summary>
    internal decimal? this[TemperatureField field] => Of(field) is { } v ? TemperatureField.Read(v) : null;

    /// <summary>Yes or no; null where it is not there.</summary>
    internal bool? this[YesNoField field] => Of(field)?.Yes;

    /// <summary>The choice; null where it is not there.</summary>
    internal string? this[ChoiceField field] => Of(field)?.Choice;

    /// <summary>The count; null where it is not there.</summary>
    internal int? this[CounterField field] => Of(field)?.Count;

    /// <summary>The counts by kind; null where they are not there.</summary>
    internal IReadOnlyDictionary<string, int>? this[TallyField field] => Of(field)?.Counts;

    /// <summary>Seconds; null where it is not there or cannot be used.</summary>
    internal decimal? this[TimerField field] => Of(field) is { } v ? TimerField.Read(v) : null;

    /// <summary>The words; null where they are not there.</summary>
    internal string? this[WordsField field] => Of(field)?.Words;

    /// <summary>The place; null where it is not there.</summary>
    internal Position? this[PositionField field] => Of(field)?.Position;

    /// <summary>Whoever it is; null where nobody is named.</summary>
    internal NamedPerson? this[PersonField field] => Of(field) is { Name: { } name } v ? new NamedPerson(v.Person, name) : null;

    /// <summary>As it was written; null where it is not there.</summary>
    internal string? Written(Field field) => Of(field)?.Written;

    /// <summary>The entry that a field stands in; null where it is empty.</summary>
    internal Guid? Entry(Field field) => values.GetValueOrDefault(field.Code)?.Entry;

    /// <summary>A field as it stands, for a working.</summary>
    internal WorkingInput Input(Field field) => new(field.Label, values.GetValueOrDefault(field.Code)?.Text ?? "not read", Entry(field));

    internal bool Has(Field field) => values.ContainsKey(field.Code);

    internal void Put(SheetValue value) => values[value.Field] = value;

    /// <summary>A finding beside a field of this try.</summary>
    internal void Find(FindingWords words, Field at, params (string Name, string Text)[] given) => run.Find(this, words.With(given), at);

    /// <summary>A finding of another level than is usual for it.</summary>
    internal void Find(FindingWords words, FindingLevel level, Field at, params (string Name, string Text)[] given) => run.Find(this, (words with { Level = level }).With(given), at);

    /// <summary>A finding for which this try cannot be used: it stays with its reason, and another is asked.</summary>
    internal void Fail(FindingWords words, Field at, params (string Name, string Text)[] given)
    {
        Failed = true;
        Find(words, at, given);
    }

    private ObservedValue? Of(Field field) => values.GetValueOrDefault(field.Code)?.Value;
}

/// <summary>A described protocol while its visit is folded: what was recorded, and what its conditions say of it.</summary>
internal sealed class ProtocolRun
{
    private readonly ProtocolScript script;
    private readonly List<(Attempt Attempt, Finding Finding)> found = [];
    private readonly List<SheetValue> values = [];
    private readonly Dictionary<(string Group, string? Item, int Try), Attempt> attempts = [];

    internal ProtocolRun(SheetDraft draft, ProtocolScript script)
    {
        (Draft, this.script) = (draft, script);
        Read();
    }

    /// <summary>The visit.</summary>
    internal SheetDraft Draft { get; }

    /// <summary>What is recorded once.</summary>
    internal Attempt Once => Attempt(string.Empty, null, Math.Max(1, Last(string.Empty, null)));

    internal IReadOnlyList<SheetValue> Values => values;

    internal List<SheetDerived> Derived { get; } = [];

    internal List<SheetInterval> Intervals { get; } = [];

    /// <summary>The items that something stands for, in their order.</summary>
    internal IReadOnlyList<string> Items(Repeat repeat) => [.. attempts.Keys.Where(k => k.Group == repeat.Code).Select(k => k.Item!).Distinct().OrderBy(Order).ThenBy(i => i, StringComparer.Ordinal)];

    /// <summary>Every try of an item, in order.</summary>
    internal IReadOnlyList<Attempt> Tries(Repeat? repeat, string? item) => [.. attempts.Where(a => a.Key.Group == (repeat?.Code ?? string.Empty) && a.Key.Item == item).OrderBy(a => a.Key.Try).Select(a => a.Value)];

    /// <summary>The try of an item that counts: the last good one, else the last.</summary>
    internal Attempt? Counts(Repeat? repeat, string? item) => Tries(repeat, item) is { Count: > 0 } tries ? tries.LastOrDefault(t => !t.Failed) ?? tries[^1] : null;

    internal void Derive(SheetDerived derived) => Derived.Add(derived);

    internal void Find(Attempt attempt, Finding finding, Field at) =>
        found.Add((attempt, finding.On(Beside.Observation, attempt.Entry(at) is { } entry ? [entry] : []) with { At = Address(StepOf(at), at, attempt) }));

    /// <summary>The steps as they stand, and the findings: those of a failed try are settled once a later one came up right.</summary>
    internal SheetProtocol Sheet(bool due, IReadOnlySet<string> skipped)
    {
        foreach (var (attempt, finding) in found)
        {
            var tries = attempts.Where(a => a.Value.ItemCode == attempt.ItemCode && a.Key.Group == GroupOf(attempt)).Select(a => a.Value).ToList();
            var mended = attempt.Failed && tries.Exists(t => t.Number > attempt.Number && !t.Failed);
            Draft.Findings.Add(mended ? finding.Settled("a later try came up right") : finding);
        }

        foreach (var item in attempts.GroupBy(a => (a.Key.Group, a.Key.Item)))
        {
            var tries = item.OrderBy(a => a.Key.Try).Select(a => a.Value).ToList();
            if (tries.Count >= 3 && tries.TakeLast(3).All(t => t.Failed))
            {
                Draft.Findings.Add(CommonFindings.TriesMany.With().On(Beside.Observation, values.Where(v => v.Item == item.Key.Item && v.Try == tries[^1].Number).Select(v => v.Entry).Take(1)) with { At = $"{script.Code}///{tries[^1].Number}" });
            }
        }

        List<SheetProtocolStep> steps = [.. script.Steps.SelectMany(s => Shown(s, skipped))];
        return new SheetProtocol(script.Code, due, values, steps, Derived, Intervals) { Done = steps.All(s => s.State is StepState.Done or StepState.Skipped || script.Steps.First(x => x.Code == s.Step).Bench) };
    }

    private static int Order(string item) => int.TryParse(item, NumberStyles.None, CultureInfo.InvariantCulture, out var number) ? number : int.MaxValue;

    private IEnumerable<SheetProtocolStep> Shown(StepScript step, IReadOnlySet<string> skipped)
    {
        IEnumerable<string?> items = step.Repeat is { } repeat ? Items(repeat).Concat(Enumerable.Range(1, repeat.Usual).Select(n => n.ToString(CultureInfo.InvariantCulture))).Distinct().OrderBy(Order) : [null];
        foreach (var item in items)
        {
            var tries = Tries(step.Repeat, item);
            var last = tries.Count > 0 ? tries[^1] : null;
            var good = Counts(step.Repeat, item);
            var counting = last is { Failed: true } && good is { Failed: false } ? good : last;
            var open = step.Fields.Where(f => f.Required && counting?.Has(f) != true).Select(f => f.Code).ToList();
            var failed = counting?.Failed == true;
            var state = open.Count == 0 && !failed ? StepState.Done : skipped.Contains($"{script.Code}/{step.Code}") ? StepState.Skipped : StepState.ToDo;
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
                Draft.Findings.Add(CommonFindings.ProtocolUnknown.With(("protocol", script.Title), ("version", Decimals.Text(body.Version))).On(Beside.Observation, last.Entry.Id));
                continue;
            }

            var step = script.Steps.FirstOrDefault(s => s.Code == body.Step);
            if (step?.Fields.FirstOrDefault(f => f.Code == body.Field) is not { } field || (step.Repeat is null) != (body.Item is null))
            {
                Draft.Findings.Add(CommonFindings.FieldUnknown.With(("protocol", script.Title), ("field", body.Field), ("step", body.Step)).On(Beside.Observation, last.Entry.Id));
                continue;
            }

            if (!field.Filled(body.Value))
            {
                Draft.Findings.Add(CommonFindings.ValueMissing.With(("field", field.Label)).On(Beside.Observation, last.Entry.Id) with { At = Address(step, field, body.Item, body.Try) });
                continue;
            }

            Draft.Disagreement(Beside.Observation, field.Label, [.. at.Select(o => o.Entry)], e => field.Text(at.First(o => o.Entry == e).Body.Value));
            var value = new SheetValue(step.Code, field.Code, body.Item, body.Try, body.Value, field.Text(body.Value), last.Entry.Id);
            values.Add(value);
            var attempt = Attempt(step.Repeat?.Code ?? string.Empty, body.Item, body.Try);
            attempt.Put(value);
            foreach (var finding in field.Judge(body.Value))
            {
                found.Add((attempt, finding.On(Beside.Observation, last.Entry.Id) with { At = Address(step, field, body.Item, body.Try) }));
            }
        }
    }

    private Attempt Attempt(string group, string? item, int number)
    {
        if (!attempts.TryGetValue((group, item, number), out var attempt))
        {
            attempts[(group, item, number)] = attempt = new Attempt(this, item, number);
        }

        return attempt;
    }

    private int Last(string group, string? item) => attempts.Keys.Where(k => k.Group == group && k.Item == item).Select(k => k.Try).DefaultIfEmpty(0).Max();

    private string GroupOf(Attempt attempt) => attempts.First(a => a.Value == attempt).Key.Group;

    private StepScript StepOf(Field field) => script.Steps.First(s => s.Fields.Contains(field));

    private string Address(StepScript step, Field field, Attempt attempt) => Address(step, field, attempt.ItemCode, attempt.Number);

    private string Address(StepScript step, Field field, string? item, int number) => string.Create(CultureInfo.InvariantCulture, $"{script.Code}/{step.Code}/{item}/{number}/{field.Code}");
}
