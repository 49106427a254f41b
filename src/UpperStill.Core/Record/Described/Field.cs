using System.Globalization;
using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Geodesy;

namespace UpperStill.Core.Record.Described;

/// <summary>What a field holds, and so how it is asked.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<FieldKind>))]
public enum FieldKind
{
    /// <summary>A number with its unit.</summary>
    [JsonStringEnumMemberName("number")] Number,

    /// <summary>A whole number.</summary>
    [JsonStringEnumMemberName("whole")] Whole,

    /// <summary>A length as it is read from a line, finder or tape.</summary>
    [JsonStringEnumMemberName("length")] Length,

    /// <summary>A temperature.</summary>
    [JsonStringEnumMemberName("temperature")] Temperature,

    /// <summary>Yes or no.</summary>
    [JsonStringEnumMemberName("yes-no")] YesNo,

    /// <summary>One of some choices.</summary>
    [JsonStringEnumMemberName("one-of")] OneOf,

    /// <summary>Some of some choices.</summary>
    [JsonStringEnumMemberName("some-of")] SomeOf,

    /// <summary>Words.</summary>
    [JsonStringEnumMemberName("words")] Words,

    /// <summary>A count, one touch each.</summary>
    [JsonStringEnumMemberName("counter")] Counter,

    /// <summary>A count by kind, one touch a specimen.</summary>
    [JsonStringEnumMemberName("tally")] Tally,

    /// <summary>A time that is waited.</summary>
    [JsonStringEnumMemberName("timer")] Timer,

    /// <summary>A list to tick.</summary>
    [JsonStringEnumMemberName("checklist")] Checklist,

    /// <summary>A place.</summary>
    [JsonStringEnumMemberName("position")] Position,

    /// <summary>Somebody.</summary>
    [JsonStringEnumMemberName("person")] Person,

    /// <summary>A photograph.</summary>
    [JsonStringEnumMemberName("photo")] Photo,
}

/// <summary>A choice of a field, or a line of a list.</summary>
/// <param name="Code">As it is kept.</param>
/// <param name="Words">For people.</param>
public sealed record FieldChoice(string Code, string Words);

/// <summary>A unit in which a field may be read.</summary>
/// <param name="Code">As it is kept and shown.</param>
/// <param name="Factor">How much of the field's first unit it is; the first has 1.</param>
public sealed record FieldUnit(string Code, [property: Within(1e-12, 1e12)] decimal Factor = 1);

/// <summary>A box of a described protocol, as it is published: other software and the page know it by this alone.</summary>
/// <param name="Code">Its name, for ever.</param>
/// <param name="Label">For people.</param>
/// <param name="Kind">What it holds.</param>
/// <param name="Required">True where its step is not done without it.</param>
/// <param name="Units">The units in which it may be read, the usual first; none for what has none.</param>
/// <param name="Least">The least that it may be, in the first unit.</param>
/// <param name="Most">The most.</param>
/// <param name="UsualLeast">The least that is usual.</param>
/// <param name="UsualMost">The most that is usual.</param>
/// <param name="Choices">Choices, or the lines of a list.</param>
/// <param name="Wanted">How many are wanted of what is counted; the seconds that a timer waits.</param>
/// <param name="Safety">True for a list of what keeps people safe.</param>
public sealed record FieldDescription(
    string Code, string Label, FieldKind Kind, bool Required, IReadOnlyList<FieldUnit>? Units = null, decimal? Least = null, decimal? Most = null, decimal? UsualLeast = null, decimal? UsualMost = null,
    IReadOnlyList<FieldChoice>? Choices = null, int? Wanted = null, bool Safety = false);

/// <summary>A box of a described protocol: what it asks, and what of an answer cannot be.</summary>
/// <param name="code">Its name, for ever.</param>
/// <param name="label">For people.</param>
internal abstract class Field(string code, string label)
{
    internal string Code => code;

    internal string Label => label;

    /// <summary>False where its step is done without it.</summary>
    internal bool Required { get; init; } = true;

    /// <summary>As it is published.</summary>
    internal abstract FieldDescription Describe();

    /// <summary>True where the value is one of this field, whatever is wrong with it.</summary>
    internal abstract bool Filled(ObservedValue value);

    /// <summary>What is wrong with a value that is there, by itself.</summary>
    internal abstract IEnumerable<Finding> Judge(ObservedValue value);

    /// <summary>The value for the reader.</summary>
    internal abstract string Text(ObservedValue value);

    /// <summary>The findings of a number against what it may be and what is usual, in the field's first unit.</summary>
    private protected static IEnumerable<Finding> InRange(decimal value, string text, (decimal Low, decimal High) allowed, (decimal Low, decimal High)? usual, string unit)
    {
        string Bound(decimal bound) => $"{Decimals.Text(bound)}{(unit.Length == 0 ? string.Empty : " " + unit)}";
        if (value < allowed.Low || value > allowed.High)
        {
            yield return CommonFindings.ValueImpossible.With(("value", text), ("low", Decimals.Text(allowed.Low)), ("high", Bound(allowed.High)));
        }
        else if (usual is var (low, high) && (value < low || value > high))
        {
            yield return CommonFindings.ValueUnusual.With(("value", text), ("low", Decimals.Text(low)), ("high", Bound(high)));
        }
    }
}

/// <summary>A number with its units; what it may be stands in the first of them.</summary>
internal sealed class NumberField(string code, string label, decimal least, decimal most, params FieldUnit[] units) : Field(code, label)
{
    /// <summary>What is usual, in the first unit.</summary>
    internal (decimal Low, decimal High)? Usual { get; init; }

    /// <summary>True where only whole numbers can be.</summary>
    internal bool Whole { get; init; }

    internal IReadOnlyList<FieldUnit> Units => units;

    internal override FieldDescription Describe() =>
        new(Code, Label, Whole ? FieldKind.Whole : FieldKind.Number, Required, units.Length == 0 ? null : units, least, most, Usual?.Low, Usual?.High);

    internal override bool Filled(ObservedValue value) => value.Written is not null;

    /// <summary>The number in the first unit; null where it cannot be used.</summary>
    internal decimal? Read(ObservedValue value) =>
        NumberText.Read(value.Written).Value is { } number && Factor(value.Unit) is { } factor && number * factor is var read && read >= least && read <= most && (!Whole || decimal.IsInteger(number)) ? read : null;

    internal override IEnumerable<Finding> Judge(ObservedValue value)
    {
        var (number, finding) = NumberText.Read(value.Written);
        if (number is not { } read)
        {
            return [finding!];
        }

        if (Whole && !decimal.IsInteger(read))
        {
            return [Finding.Stop("number-not-whole", $"{value.Written} is no whole number.", "It is counted, not measured.", "Write it anew.")];
        }

        return Factor(value.Unit) is { } factor ? InRange(read * factor, Text(value), (least, most), Usual, units.Length == 0 ? string.Empty : units[0].Code)
            : value.Unit is null ? [CommonFindings.UnitMissing.With(("value", value.Written!))]
            : [CommonFindings.UnitUnknown.With(("value", value.Written!), ("unit", value.Unit), ("field", Label), ("units", string.Join(" or ", units.Select(u => u.Code))))];
    }

    internal override string Text(ObservedValue value) => value.Unit is { } unit ? $"{value.Written} {unit}" : value.Written ?? string.Empty;

    private decimal? Factor(string? unit) => units.Length == 0 && unit is null ? 1 : units.FirstOrDefault(u => u.Code == unit)?.Factor;
}

/// <summary>A length as it is read; what it may be stands in metres.</summary>
internal sealed class LengthField(string code, string label, decimal leastM, decimal mostM) : Field(code, label)
{
    private static readonly FieldUnit[] Units = [new("m"), new("ft", Length.MetresPerFoot), new("ft-in", Length.MetresPerFoot), new("cm", 0.01m), new("in", Length.MetresPerInch)];

    /// <summary>What is usual, m.</summary>
    internal (decimal Low, decimal High)? UsualM { get; init; }

    internal override FieldDescription Describe() => new(Code, Label, FieldKind.Length, Required, Units, leastM, mostM, UsualM?.Low, UsualM?.High);

    internal override bool Filled(ObservedValue value) => value.Written is not null;

    /// <summary>The length; null where it cannot be used.</summary>
    internal Length? Read(ObservedValue value) => Unit(value.Unit) is { } unit && LengthParser.Parse(value.Written ?? string.Empty, unit).Length is { } length && length.Metres >= leastM && length.Metres <= mostM ? length : null;

    internal override IEnumerable<Finding> Judge(ObservedValue value)
    {
        if (value.Unit is not null && Unit(value.Unit) is null)
        {
            return [CommonFindings.UnitUnknown.With(("value", value.Written!), ("unit", value.Unit), ("field", Label), ("units", "m or ft"))];
        }

        var (length, finding) = LengthParser.Parse(value.Written ?? string.Empty, Unit(value.Unit));
        return length is not { } read ? finding is null ? [] : [finding] : InRange(read.Metres, LengthText.Write(read), (leastM, mostM), UsualM, "m");
    }

    internal override string Text(ObservedValue value) => LengthParser.Parse(value.Written ?? string.Empty, Unit(value.Unit)).Length is { } length ? LengthText.Write(length) : $"“{value.Written}”";

    private static LengthUnit? Unit(string? code) => code switch
    {
        "m" => LengthUnit.Metre,
        "cm" => LengthUnit.Centimetre,
        "ft" => LengthUnit.Foot,
        "in" => LengthUnit.Inch,
        "ft-in" => LengthUnit.FootInch,
        _ => null,
    };
}

/// <summary>A temperature of air or water.</summary>
internal sealed class TemperatureField(string code, string label) : Field(code, label)
{
    private static readonly FieldUnit[] Units = [new("°C"), new("°F")];

    internal override FieldDescription Describe() => new(Code, Label, FieldKind.Temperature, Required, Units, -50, 60);

    internal override bool Filled(ObservedValue value) => value.Written is not null;

    /// <summary>°C; null where it cannot be used.</summary>
    internal static decimal? Read(ObservedValue value) => As(value)?.Read().Celsius is { } c && c >= -50 && c <= 60 ? c : null;

    internal override IEnumerable<Finding> Judge(ObservedValue value)
    {
        if (As(value) is not { } written)
        {
            return [CommonFindings.UnitUnknown.With(("value", value.Written!), ("unit", value.Unit!), ("field", Label), ("units", "°C or °F"))];
        }

        var (celsius, finding) = written.Read();
        return celsius is not { } c ? [finding!] : InRange(c, Text(value), (-50, 60), null, "°C");
    }

    internal override string Text(ObservedValue value) => value.Unit is { } unit ? $"{value.Written} {unit}" : value.Written ?? string.Empty;

    private static WrittenTemperature? As(ObservedValue value) => value.Unit switch
    {
        null => new WrittenTemperature(value.Written!),
        "°C" => new WrittenTemperature(value.Written!, TemperatureUnit.Celsius),
        "°F" => new WrittenTemperature(value.Written!, TemperatureUnit.Fahrenheit),
        _ => null,
    };
}

/// <summary>Yes or no.</summary>
internal sealed class YesNoField(string code, string label) : Field(code, label)
{
    internal override FieldDescription Describe() => new(Code, Label, FieldKind.YesNo, Required);

    internal override bool Filled(ObservedValue value) => value.Yes is not null;

    internal override IEnumerable<Finding> Judge(ObservedValue value) => [];

    internal override string Text(ObservedValue value) => value.Yes == true ? "yes" : "no";
}

/// <summary>One of some choices, or some of them.</summary>
internal sealed class ChoiceField(string code, string label, params FieldChoice[] choices) : Field(code, label)
{
    /// <summary>True where more than one may hold.</summary>
    internal bool Many { get; init; }

    internal override FieldDescription Describe() => new(Code, Label, Many ? FieldKind.SomeOf : FieldKind.OneOf, Required, Choices: choices);

    internal override bool Filled(ObservedValue value) => Many ? value.Choices is not null : value.Choice is not null;

    internal override IEnumerable<Finding> Judge(ObservedValue value) => Chosen(value).FirstOrDefault(c => choices.All(known => known.Code != c)) is { } unknown
        ? [CommonFindings.ChoiceUnknown.With(("value", unknown), ("field", Label), ("choices", string.Join(", ", choices.Select(c => c.Words))))]
        : [];

    internal override string Text(ObservedValue value) => string.Join(", ", Chosen(value).Select(c => choices.FirstOrDefault(known => known.Code == c)?.Words ?? c).Append(value.Words).OfType<string>());

    private static IEnumerable<string> Chosen(ObservedValue value) => value.Choices ?? (value.Choice is { } one ? [one] : []);
}

/// <summary>Words.</summary>
internal sealed class WordsField(string code, string label) : Field(code, label)
{
    internal override FieldDescription Describe() => new(Code, Label, FieldKind.Words, Required);

    internal override bool Filled(ObservedValue value) => !string.IsNullOrWhiteSpace(value.Words);

    internal override IEnumerable<Finding> Judge(ObservedValue value) => [];

    internal override string Text(ObservedValue value) => value.Words ?? string.Empty;
}

/// <summary>A count, one touch each.</summary>
internal sealed class CounterField(string code, string label, int wanted, FindingWords? shorter = null) : Field(code, label)
{
    internal override FieldDescription Describe() => new(Code, Label, FieldKind.Counter, Required, Wanted: wanted);

    internal override bool Filled(ObservedValue value) => value.Count is not null;

    internal override IEnumerable<Finding> Judge(ObservedValue value) => value.Count < wanted
        ? [(shorter ?? CommonFindings.CountShort).With(("count", Decimals.Text(value.Count!.Value)), ("wanted", Decimals.Text(wanted)), ("field", Label))]
        : [];

    internal override string Text(ObservedValue value) => Decimals.Text(value.Count ?? 0);
}

/// <summary>A count by kind.</summary>
internal sealed class TallyField(string code, string label, params FieldChoice[] kinds) : Field(code, label)
{
    internal override FieldDescription Describe() => new(Code, Label, FieldKind.Tally, Required, Choices: kinds);

    internal override bool Filled(ObservedValue value) => value.Counts is not null;

    internal override IEnumerable<Finding> Judge(ObservedValue value) => [];

    internal override string Text(ObservedValue value) =>
        value.Counts is { Count: > 0 } counts ? string.Join(", ", counts.Select(c => $"{kinds.FirstOrDefault(k => k.Code == c.Key)?.Words ?? c.Key} {c.Value}")) : "none";
}

/// <summary>A time that is waited, with both moments kept.</summary>
internal sealed class TimerField(string code, string label, int leastS, string why) : Field(code, label)
{
    internal override FieldDescription Describe() => new(Code, Label, FieldKind.Timer, Required, Wanted: leastS);

    internal override bool Filled(ObservedValue value) => value is { At: not null, Until: not null };

    /// <summary>Seconds; null where it was not ended, or ended before it began.</summary>
    internal static decimal? Read(ObservedValue value) => value is { At: { } from, Until: { } until } && until >= from ? (decimal)(until - from).TotalSeconds : null;

    internal override IEnumerable<Finding> Judge(ObservedValue value) => Read(value) is not { } seconds
        ? [Finding.Stop("timer-backwards", $"{Label} ended before it began.", "A clock was set in between, or one of the two is mistyped.", "Strike it and time it again.")]
        : seconds < leastS ? [CommonFindings.TimerShort.With(("seconds", Decimals.Fixed(seconds, 0)), ("asked", Decimals.Text(leastS)), ("why", why))] : [];

    internal override string Text(ObservedValue value) => Read(value) is { } seconds ? $"{Decimals.Fixed(seconds, 0)} s" : "not ended";
}

/// <summary>A list to tick.</summary>
internal sealed class ChecklistField(string code, string label, params FieldChoice[] lines) : Field(code, label)
{
    /// <summary>True where it keeps people safe.</summary>
    internal bool Safety { get; init; }

    internal override FieldDescription Describe() => new(Code, Label, FieldKind.Checklist, Required, Choices: lines, Safety: Safety);

    internal override bool Filled(ObservedValue value) => value.Ticked is not null;

    internal override IEnumerable<Finding> Judge(ObservedValue value) => lines.Where(l => value.Ticked?.Contains(l.Code) != true).Select(l => l.Words).ToList() is { Count: > 0 } open
        ? [(Safety ? CommonFindings.SafetyUnticked : CommonFindings.GearUnready).With(("list", string.Join(", ", open)))]
        : [];

    internal override string Text(ObservedValue value) => string.Create(CultureInfo.InvariantCulture, $"{lines.Count(l => value.Ticked?.Contains(l.Code) == true)} of {lines.Length} ticked");
}

/// <summary>A place.</summary>
internal sealed class PositionField(string code, string label) : Field(code, label)
{
    internal override FieldDescription Describe() => new(Code, Label, FieldKind.Position, Required);

    internal override bool Filled(ObservedValue value) => value.Position is not null;

    internal override IEnumerable<Finding> Judge(ObservedValue value) => value.Position is { } at && !Shape.InRange(at)
        ? [Finding.Stop("position-format", $"{PlaceText.Words(at)} is no position.", "Latitude runs to 90, longitude to 180.", "Take a fix again.")]
        : [];

    internal override string Text(ObservedValue value) => value.Position is { } at ? PlaceText.Words(at) : string.Empty;
}

/// <summary>Somebody in a role.</summary>
internal sealed class PersonField(string code, string label) : Field(code, label)
{
    internal override FieldDescription Describe() => new(Code, Label, FieldKind.Person, Required);

    internal override bool Filled(ObservedValue value) => !string.IsNullOrWhiteSpace(value.Name);

    internal override IEnumerable<Finding> Judge(ObservedValue value) => [];

    internal override string Text(ObservedValue value) => value.Name ?? string.Empty;
}

/// <summary>A photograph.</summary>
internal sealed class PhotoField(string code, string label) : Field(code, label)
{
    internal override FieldDescription Describe() => new(Code, Label, FieldKind.Photo, Required);

    internal override bool Filled(ObservedValue value) => value.Photo is not null;

    internal override IEnumerable<Finding> Judge(ObservedValue value) => [];

    internal override string Text(ObservedValue value) => "photograph";
}
