using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Record.Described;

/// <summary>A photograph.</summary>
internal sealed class PhotoField(string code, string label) : Field(code, label)
{
    internal override FieldDescription Describe() => new(Code, Label, FieldKind.Photo, Required);

    internal override bool Filled(ObservedValue value) => value.Photo is not null;

    internal override IEnumerable<Finding> Judge(ObservedValue value) => [];

    internal override string Text(ObservedValue value) => "photograph";
}
