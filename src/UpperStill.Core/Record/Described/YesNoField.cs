using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Record.Described;

/// <summary>Yes or no.</summary>
internal sealed class YesNoField(string code, string label) : Field(code, label)
{
    internal override FieldDescription Describe() => new(Code, Label, FieldKind.YesNo, Required);

    internal override bool Filled(ObservedValue value) => value.Yes is not null;

    internal override IEnumerable<Finding> Judge(ObservedValue value) => [];

    internal override string Text(ObservedValue value) => value.Yes == true ? "yes" : "no";
}
