using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Record.Described;

/// <summary>Words.</summary>
internal sealed class WordsField(string code, string label) : Field(code, label)
{
    internal override FieldDescription Describe() => new(Code, Label, FieldKind.Words, Required);

    internal override bool Filled(ObservedValue value) => !string.IsNullOrWhiteSpace(value.Words);

    internal override IEnumerable<Finding> Judge(ObservedValue value) => [];

    internal override string Text(ObservedValue value) => value.Words ?? string.Empty;
}
