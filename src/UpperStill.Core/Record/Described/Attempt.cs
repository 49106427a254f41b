using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Setup.People;

namespace UpperStill.Core.Record.Described;

/// <summary>One try of some steps: what stands in their fields.</summary>
internal sealed class Attempt(ProtocolRun run, string group, string? item, int number)
{
    private readonly Dictionary<string, SheetValue> values = [];

    /// <summary>What it is repeated for, by its code; empty where it is done once.</summary>
    internal string Group => group;

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

    /// <summary>The moment; null where it is not there.</summary>
    internal DateTimeOffset? this[TimeField field] => Of(field)?.At;

    /// <summary>The day; null where it is not there.</summary>
    internal DateOnly? this[DayField field] => Of(field)?.Day;

    /// <summary>The code; null where it is not there.</summary>
    internal string? this[CodeField field] => Of(field)?.Written?.Trim();

    /// <summary>The numbers; null where one of them cannot be used.</summary>
    internal IReadOnlyList<decimal>? this[NumbersField field] => Of(field) is { } v ? field.Read(v) : null;

    /// <summary>Some of the choices; null where it is not there.</summary>
    internal IReadOnlyList<string>? Some(ChoiceField field) => Of(field)?.Choices;

    /// <summary>How good the position is, m; null where it is not known.</summary>
    internal decimal? Accuracy(PositionField field) => Of(field)?.AccuracyM;

    /// <summary>When the entry was written in which a field stands; null where it is empty.</summary>
    internal DateTimeOffset? WrittenAt(Field field) => Entry(field) is { } entry ? run.Draft.Log.Find(entry)?.At : null;

    /// <summary>The last moment of any of its fields; null where there is none.</summary>
    internal DateTimeOffset? LastAt => values.Values.Select(v => (DateTimeOffset?)run.Draft.Log.Find(v.Entry)?.At).Max();

    /// <summary>Seconds; null where it is not there or cannot be used.</summary>
    internal decimal? this[TimerField field] => Of(field) is { } v ? TimerField.Read(v) : null;

    /// <summary>Seconds of a beat; null where it is not there or cannot be used.</summary>
    internal decimal? this[BeatField field] => Of(field) is { } v ? BeatField.Read(v) : null;

    /// <summary>The code of a thing of the kit; null where none is named.</summary>
    internal string? Equipment(EquipmentField field) => Of(field)?.Choice;

    /// <summary>The words; null where they are not there.</summary>
    internal string? this[WordsField field] => Of(field)?.Words;

    /// <summary>The place; null where it is not there.</summary>
    internal Position? this[PositionField field] => Of(field)?.Position;

    /// <summary>Whoever it is; null where nobody is named.</summary>
    internal NamedPerson? this[PersonField field] => Of(field) is { Name: { } name } v ? new NamedPerson(v.Person, name) : null;

    /// <summary>The unit in which it was written; null where none was.</summary>
    internal string? Unit(Field field) => Of(field)?.Unit;

    /// <summary>As it was written; null where it is not there.</summary>
    internal string? Written(Field field) => Of(field)?.Written;

    /// <summary>The entry that a field stands in; null where it is empty.</summary>
    internal Guid? Entry(Field field) => values.GetValueOrDefault(field.Code)?.Entry;

    /// <summary>A field as it stands, for a working.</summary>
    internal WorkingInput Input(Field field) => new(field.Label, values.GetValueOrDefault(field.Code)?.Text ?? "not read", Entry(field));

    /// <summary>True where a field holds what may be and is not usual.</summary>
    internal bool Unusual(Field field) => Of(field) is { } v && field.Judge(v).Any(f => f.Code == CommonFindings.ValueUnusual.Code);

    internal bool Has(Field field) => values.ContainsKey(field.Code);

    internal void Put(SheetValue value) => values[value.Field] = value;

    /// <summary>A finding beside a field of this try.</summary>
    internal void Find(FindingWords words, Field at, params (string Name, string Text)[] given) => run.Find(this, words.With(given), at);

    /// <summary>A finding of another level than is usual for it.</summary>
    internal void Find(FindingWords words, FindingLevel level, Field at, params (string Name, string Text)[] given) =>
        run.Find(this, (words with { Level = level }).With(given), at);

    /// <summary>A finding for which this try cannot be used: it stays with its reason, and another is asked.</summary>
    internal void Fail(FindingWords words, Field at, params (string Name, string Text)[] given)
    {
        Failed = true;
        Find(words, at, given);
    }

    private ObservedValue? Of(Field field) => values.GetValueOrDefault(field.Code)?.Value;
}
