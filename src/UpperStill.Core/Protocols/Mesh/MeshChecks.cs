using System.Globalization;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Described;
using static UpperStill.Core.Protocols.Mesh.MeshFields;

namespace UpperStill.Core.Protocols.Mesh;

/// <summary>What is to be said of jar, mesh and tubes; and how often the jar is filled.</summary>
internal static class MeshChecks
{
    private const decimal RinseShare = 0.1m;

    internal static void Of(ProtocolRun run)
    {
        var once = run.Once;
        if (once[Dated] is { } dated && run.Draft.Day is { } today && dated != today)
        {
            once.Find(MeshFindings.Dated, Dated, ("dated", Day(dated)), ("today", Day(today)));
        }

        if (once[Through] == "raw")
        {
            once.Find(MeshFindings.RinseUnfiltered, Through);
        }

        foreach (var lowering in run.Every(Lowering))
        {
            if (lowering[Touched] == true)
            {
                lowering.Fail(MeshFindings.Touched, Touched);
            }

            if (lowering[Enough] == false)
            {
                lowering.Fail(MeshFindings.TooLittle, Enough);
            }

            if (lowering[MeshState] is { } state and not "whole")
            {
                lowering.Fail(MeshFindings.Mesh, MeshState, ("how", state == "torn" ? "is torn" : "overflowed"));
            }
        }

        foreach (var tube in run.Every(Tube).Where(t => t[TubeWater] == "raw"))
        {
            tube.Find(MeshFindings.RinseUnfiltered, TubeWater);
        }

        Fills(run);
    }

    private static void Fills(ProtocolRun run)
    {
        if (run.Containers.Bottles.Count == 0)
        {
            return;
        }

        var jar = run.Gear(run.Once, Jar)?.Figure("volume-ml");
        if (jar is not { } volume || volume <= 0)
        {
            run.Derive(new SheetDerived("jar-fills", "Fills of the jar", "waits for the volume of the jar", null, string.Empty));
            return;
        }

        var rinses = run.Containers.Bottles[0].Type.Rinse.Times;
        var needed = run.Containers.Bottles.Sum(b => b.Type.VolumeMl) * (1 + (RinseShare * rinses));
        var fills = (int)decimal.Ceiling(needed / volume);
        run.Derive(
            new SheetDerived(
                "jar-fills",
                "Fills of the jar",
                $"{Decimals.Text(needed)} mL, {(fills == 1 ? "1 fill" : $"{fills} fills")}",
                fills,
                string.Empty,
                Working: new Basis.Workings.Working(
                    "Fills of the jar",
                    [run.Once.Input(Jar)],
                    [
                        $"{run.Containers.Bottles.Count} × {run.Containers.Bottles[0].Type.VolumeMl} mL × (1 + 0.1 × {rinses}) = {Decimals.Text(needed)} mL",
                        $"{Decimals.Text(needed)} / {Decimals.Text(volume)} mL, up: {fills}",
                    ],
                    "A rinse takes a tenth of a tube.",
                    "Small arithmetic of the sampler"
                )
            )
        );
    }

    private static string Day(DateOnly day) => day.ToString("d MMMM", CultureInfo.InvariantCulture);
}
