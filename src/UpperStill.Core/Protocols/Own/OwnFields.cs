using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Setup.Composed;

namespace UpperStill.Core.Protocols.Own;

/// <summary>The boxes of a composed protocol.</summary>
internal static class OwnFields
{
    // Where nothing is said: counts to 9 999, depths to 200 m.
    private const int MostCounted = 9999;
    private const decimal DeepestM = 200;

    /// <summary>The box as the page, the fold and the paper know it.</summary>
    internal static Field Of(ComposedField field) =>
        field.Kind switch
        {
            ComposedKind.Number => Number(field, decimal.MinValue / 10, decimal.MaxValue / 10),
            ComposedKind.Whole => Number(field, 0, MostCounted),
            ComposedKind.Length => new LengthField(field.Code, field.Label, field.Least ?? 0, field.Most ?? DeepestM)
            {
                Required = field.Required,
                UsualM = Usual(field, field.Least ?? 0, field.Most ?? DeepestM),
            },
            ComposedKind.Temperature => new TemperatureField(field.Code, field.Label) { Required = field.Required },
            ComposedKind.YesNo => new YesNoField(field.Code, field.Label) { Required = field.Required },
            ComposedKind.OneOf => new ChoiceField(field.Code, field.Label, [.. Choices(field)]) { Required = field.Required },
            ComposedKind.SomeOf => new ChoiceField(field.Code, field.Label, [.. Choices(field)]) { Required = field.Required, Many = true },
            ComposedKind.Words => new WordsField(field.Code, field.Label) { Required = field.Required },
            ComposedKind.Counter => new CounterField(field.Code, field.Label, field.Wanted ?? 0) { Required = field.Required },
            ComposedKind.Timer => new TimerField(field.Code, field.Label, field.Wanted ?? 0, "Sooner, it has not settled.")
            {
                Required = field.Required,
            },
            ComposedKind.Checklist => new ChecklistField(field.Code, field.Label, [.. Choices(field)]) { Required = field.Required },
            ComposedKind.Photo => new PhotoField(field.Code, field.Label, Math.Max(1, field.Wanted ?? 1)) { Required = field.Required },
            ComposedKind.Time => new TimeField(field.Code, field.Label) { Required = field.Required },
            ComposedKind.Position => new PositionField(field.Code, field.Label) { Required = field.Required },
            ComposedKind.Person => new PersonField(field.Code, field.Label) { Required = field.Required },
            _ => new CodeField(field.Code, field.Label) { Required = field.Required },
        };

    /// <summary>The code of a choice: the words of it, for ever.</summary>
    internal static string Code(string words, int index) =>
        Codes.From(words) is { Length: > 0 } code ? code : $"choice-{Decimals.Text(index + 1)}";

    private static NumberField Number(ComposedField field, decimal least, decimal most) =>
        new(
            field.Code,
            field.Label,
            field.Least ?? least,
            field.Most ?? most,
            string.IsNullOrWhiteSpace(field.Unit) ? [] : [new FieldUnit(field.Unit.Trim())]
        )
        {
            Required = field.Required,
            Whole = field.Kind == ComposedKind.Whole,
            Usual = Usual(field, field.Least ?? least, field.Most ?? most),
        };

    private static (decimal, decimal)? Usual(ComposedField field, decimal least, decimal most) =>
        field.UsualLeast is null && field.UsualMost is null ? null : (field.UsualLeast ?? least, field.UsualMost ?? most);

    private static IEnumerable<FieldChoice> Choices(ComposedField field) => field.Choices.Select((c, i) => new FieldChoice(Code(c, i), c));
}
