using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Record.Described;

/// <summary>A code that is scanned, or typed as it is printed: the name of a bottle that came with one.</summary>
internal sealed class CodeField(string code, string label) : Field(code, label)
{
    internal override FieldDescription Describe() => new(Code, Label, FieldKind.Code, Required);

    internal override bool Filled(ObservedValue value) => !string.IsNullOrWhiteSpace(value.Written);

    internal override IEnumerable<Finding> Judge(ObservedValue value) => [];

    internal override string Text(ObservedValue value) => value.Written?.Trim() ?? string.Empty;
}
