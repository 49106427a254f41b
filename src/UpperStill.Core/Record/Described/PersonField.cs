using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Record.Described;

/// <summary>Somebody in a role.</summary>
internal sealed class PersonField(string code, string label) : Field(code, label)
{
    internal override FieldDescription Describe() => new(Code, Label, FieldKind.Person, Required);

    internal override bool Filled(ObservedValue value) => !string.IsNullOrWhiteSpace(value.Name);

    internal override IEnumerable<Finding> Judge(ObservedValue value) => [];

    internal override string Text(ObservedValue value) => value.Name ?? string.Empty;
}
