using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Equipment;
using static UpperStill.Core.Protocols.Mesh.MeshFields;

namespace UpperStill.Core.Protocols.Mesh;

/// <summary>Phosphorus through a mesh: without large grazers, by post.</summary>
public sealed class MeshProtocol : DescribedProtocol
{
    internal const string Name = "mesh";

    /// <summary>One of it is enough.</summary>
    public MeshProtocol()
        : base(
            new ProtocolScript
            {
                Code = Name,
                Title = "Phosphorus through a mesh",
                Purpose = "Phosphorus without large grazers, by post.",
                Rank = StepRank.Composite,
                NeedsSounding = true,
                Overboard = "weighted bottle and its line",
                Steps =
                [
                    new("date", "At home, dry: the date in pencil on jar and tubes.", "A trip that slips is struck and rewritten.", Dated),
                    new(
                        "jar",
                        "Rinse the jar with surface water through the mesh.",
                        "Raw water brings grazers back.",
                        Jar,
                        MeshItem,
                        JarRinses,
                        Through
                    ),
                    new("lower", "Lower the weighted bottle to the mark, raise.", "It fills down and up.", LineOut, Touched, Enough)
                    {
                        Repeat = Lowering,
                    },
                    new("pour", "Pour through the mesh into the jar.", "Grazers hold phosphorus, too.", MeshState) { Repeat = Lowering },
                    new(
                        "tube",
                        "Rinse the tube with filtered water only; fill it 1 cm over the line; lid tight.",
                        "The lab measures to the line.",
                        TubeRinses,
                        TubeWater
                    )
                    {
                        Repeat = Tube,
                        Fills = true,
                    },
                    new("post", "Wrap, refrigerate, post; mesh and bottle home with the last.", "They are loans.", Posted) { Bench = true },
                ],
                Containers =
                [
                    new("phosphorus-mesh")
                    {
                        Replicates = 1,
                        Of = (_, i) => (i + 1).ToString(System.Globalization.CultureInfo.InvariantCulture),
                    },
                ],
                Pack = outing =>
                    [
                        Packing.Plain("posted-box", Crate.Bottles, "posted box: jar, two tubes, funnel", 1, "phosphorus through a mesh"),
                        outing.Of(KitKind.Mesh, "mesh", "a mesh of 80 µm", "keeping grazers out"),
                        Packing.Plain(
                            "weighted-bottle",
                            Crate.Bottles,
                            "weighted bottle on a marked line",
                            1,
                            "the layer of the mesh sample"
                        ),
                    ],
                Findings = MeshFindings.All,
            }
        ) { }

    private protected override void Evaluate(ProtocolRun run)
    {
        MeshDepth.Of(run);
        MeshChecks.Of(run);
    }
}
