using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Record.Described;

/// <summary>One of some choices, or some of them.</summary>
internal sealed class ChoiceField(string code, string label, params FieldChoice[] choices) : Field(code, label)
{
    /// <summary>True where more than one may hold.</summary>
    internal bool Many { get; init; }

    internal override FieldDescription Describe() =>
        new(Code, Label, Many ? FieldKind.SomeOf : FieldKind.OneOf, Required, Choices: choices);

    internal override bool Filled(ObservedValue value) => Many ? value.Choices is not null : value.Choice is not null;

    internal override IEnumerable<Finding> Judge(ObservedValue value) =>
        Chosen(value).FirstOrDefault(c => choices.All(known => known.Code != c)) is { } unknown
            ?
            [
                CommonFindings.ChoiceUnknown.With(
                    ("value", unknown),
                    ("field", Label),
                    ("choices", string.Join(", ", choices.Select(c => c.Words)))
                ),
            ]
            : [];

    internal override string Text(ObservedValue value) =>
        string.Join(
            ", ",
            Chosen(value).Select(c => choices.FirstOrDefault(known => known.Code == c)?.Words ?? c).Append(value.Words).OfType<string>()
        );

    private static IEnumerable<string> Chosen(ObservedValue value) => value.Choices ?? (value.Choice is { } one ? [one] : []);
}
