using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Setup.Equipment;

namespace UpperStill.Core.Record.Described;

/// <summary>A thing of the kit, whose figures results are worked out with.</summary>
internal sealed class EquipmentField(string code, string label, KitKind kind) : Field(code, label)
{
    internal KitKind Kind => kind;

    internal override FieldDescription Describe() =>
        new(Code, Label, FieldKind.Equipment, Required) { Equipment = new FieldEquipment(kind) };

    internal override bool Filled(ObservedValue value) => !string.IsNullOrWhiteSpace(value.Choice);

    internal override IEnumerable<Finding> Judge(ObservedValue value) => [];

    internal override string Text(ObservedValue value) => value.Name is { } name ? $"{value.Choice}, {name}" : value.Choice ?? string.Empty;
}
