using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Record.Described;

/// <summary>A photograph, or several.</summary>
internal sealed class PhotoField(string code, string label, int wanted = 1) : Field(code, label)
{
    internal int Wanted => wanted;

    internal override bool Gathers => true;

    internal override FieldDescription Describe() => new(Code, Label, FieldKind.Photo, Required) { Wanted = wanted, Gathers = true };

    internal override bool Filled(ObservedValue value) => value.Photo is not null;

    internal override IEnumerable<Finding> Judge(ObservedValue value) => [];

    internal override string Text(ObservedValue value) => "photograph";
}
