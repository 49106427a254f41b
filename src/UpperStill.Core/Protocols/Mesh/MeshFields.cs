using UpperStill.Core.Record.Described;
using UpperStill.Core.Setup.Equipment;

namespace UpperStill.Core.Protocols.Mesh;

/// <summary>The boxes of a sample through a mesh.</summary>
internal static class MeshFields
{
    internal static readonly DayField Dated = new("dated", "Date on jar and tubes");
    internal static readonly EquipmentField Jar = new("jar-lot", "Jar", KitKind.Bottles) { Required = false };
    internal static readonly EquipmentField MeshItem = new("mesh-item", "Mesh", KitKind.Mesh) { Required = false };
    internal static readonly CounterField JarRinses = new("jar-rinses", "Jar rinsed", 2);
    internal static readonly ChoiceField Through = new(
        "through",
        "Rinsed with",
        new("filtered", "water through the mesh"),
        new("raw", "raw water")
    );
    internal static readonly LengthField LineOut = new("line-out", "Line out", 0.3m, 50);
    internal static readonly YesNoField Touched = new("touched", "It touched the bottom");
    internal static readonly YesNoField Enough = new("enough", "It brought enough water");
    internal static readonly ChoiceField MeshState = new(
        "mesh",
        "The mesh",
        new("whole", "stayed whole"),
        new("torn", "is torn"),
        new("overflowed", "overflowed")
    );
    internal static readonly CounterField TubeRinses = new("tube-rinses", "Tube rinsed", 2);
    internal static readonly ChoiceField TubeWater = new(
        "tube-water",
        "The tube was rinsed with",
        new("filtered", "filtered water"),
        new("raw", "raw water")
    );
    internal static readonly DayField Posted = new("posted", "Posted on");

    internal static readonly Repeat Lowering = new("lowering", "lowering", 1, 1);
    internal static readonly Repeat Tube = new("tube", "tube", 2, 2);
}
