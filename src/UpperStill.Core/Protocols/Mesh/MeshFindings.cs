using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Described;

namespace UpperStill.Core.Protocols.Mesh;

/// <summary>The words of what a sample through a mesh finds.</summary>
internal static class MeshFindings
{
    internal static readonly FindingWords RinseUnfiltered = new(
        "rinse-unfiltered",
        FindingLevel.Check,
        "Rinsed with raw water.",
        "Grazers are back in.",
        "Rinse twice with filtered water."
    );
    internal static readonly FindingWords Touched = new(
        "sampler-touched",
        FindingLevel.Stop,
        "It touched the bottom.",
        "Mud is in it.",
        "Empty it away from the spot, rinse, move, again."
    );
    internal static readonly FindingWords TooLittle = new(
        "bottle-too-little",
        FindingLevel.Check,
        "It brought too little.",
        "The layer is not all in it.",
        "Lower it again; slower down, slower up."
    );
    internal static readonly FindingWords Mesh = new(
        "mesh-failed",
        FindingLevel.Check,
        "The mesh {how}.",
        "Grazers hold phosphorus, and came by.",
        "Empty and rinse the jar, a whole mesh, again."
    );
    internal static readonly FindingWords Dated = new(
        "label-differs",
        FindingLevel.Check,
        "{dated} stands on it; today is {today}.",
        "The lab goes by the tube.",
        "Strike the date and write today’s."
    );
    internal static readonly FindingWords DepthDiffers = new(
        "composite-depth-differs",
        FindingLevel.Check,
        "Taken from {taken}; {target} is asked.",
        "Another layer is another number.",
        "Go again while the line is wet, or say why."
    );

    internal static IReadOnlyList<FindingWords> All { get; } = [RinseUnfiltered, Touched, TooLittle, Mesh, Dated, DepthDiffers];
}
