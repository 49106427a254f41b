using UpperStill.Core.Record.Described;
using UpperStill.Core.Setup.Composed;

namespace UpperStill.Core.Protocols.Own;

/// <summary>The boxes of a composed protocol.</summary>
internal static class OwnFields
{
    // Where nothing is said: counts to 9 999, depths to 200 m; other numbers have no bounds that mean anything.
    private const decimal Unbounded = 1e9m;
    private const int MostCounted = 9999;
    private const decimal DeepestM = 200;

    /// <summary>The box as the page, the fold and the paper know it.</summary>
    /// <param name="field">As it was composed.</param>
    /// <param name="why">Why its step is done.</param>
    internal static Field Of(ComposedField field, string why) =>
        field.Kind switch
        {
            ComposedKind.Number => Number(field, -Unbounded, Unbounded),
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
            ComposedKind.Timer => new TimerField(field.Code, field.Label, field.Wanted ?? 0, why) { Required = field.Required },
            ComposedKind.Checklist => new ChecklistField(field.Code, field.Label, [.. Choices(field)]) { Required = field.Required },
            ComposedKind.Photo => new PhotoField(field.Code, field.Label, Math.Max(1, field.Wanted ?? 1)) { Required = field.Required },
            ComposedKind.Time => new TimeField(field.Code, field.Label) { Required = field.Required },
            ComposedKind.Position => new PositionField(field.Code, field.Label) { Required = field.Required },
            ComposedKind.Person => new PersonField(field.Code, field.Label) { Required = field.Required },
            _ => new CodeField(field.Code, field.Label) { Required = field.Required },
        };

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

    private static IEnumerable<FieldChoice> Choices(ComposedField field) => field.Choices.Select(c => new FieldChoice(c, c));
}
