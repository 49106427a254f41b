using System.Globalization;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Science.Geodesy;
using static UpperStill.Core.Protocols.Plastics.PlasticsFields;

namespace UpperStill.Core.Protocols.Plastics;

/// <summary>Tide, marks and pairs of a beach.</summary>
internal static class PlasticsChecks
{
    private static readonly TimeSpan NearLow = TimeSpan.FromHours(2);

    // Of the stretch between the outer marks.
    private const decimal Share = 0.1m;

    internal static void Of(ProtocolRun run)
    {
        var once = run.Once;
        Tide(run, once);
        foreach (var band in new[] { BandNorth, BandMiddle, BandSouth }.Where(b => once[b] == "outside"))
        {
            once.Find(PlasticsFindings.OutsideBand, band);
        }

        Marks(run, once);
        foreach (var water in run.Every(Water))
        {
            if (water[Off] is { } off && Decimals.Text(off) != water.ItemCode)
            {
                water.Find(PlasticsFindings.Mispaired, Off, ("i", water.ItemCode!), ("j", Decimals.Text(off)));
            }

            KneeDeep.Of(water, Depth);
            if (water[Capped] == "in-air")
            {
                water.Find(CommonFindings.CapInAir, Capped);
            }

            if (water[Holds] is { } holds and not "clear")
            {
                water.Fail(
                    CommonFindings.SampleHasSediment,
                    Holds,
                    (
                        "what",
                        holds switch
                        {
                            "weed" => "Weed is",
                            "jelly" => "Jelly is",
                            "litter" => "Litter is",
                            _ => "Sand is",
                        }
                    )
                );
            }
        }
    }

    private static void Tide(ProtocolRun run, Attempt once)
    {
        if (once[LowWater] is not { } low)
        {
            return;
        }

        run.Clock("Low water", null, low, $"low water {low.ToString("HH:mm", CultureInfo.InvariantCulture)}");
        if ((run.FirstAt("band") ?? run.Draft.Start?.Entry.At) is { } begun && (begun - low).Duration() is var gap && gap > NearLow)
        {
            once.Find(
                PlasticsFindings.TideNotLow,
                LowWater,
                ("time", low.ToString("HH:mm", CultureInfo.InvariantCulture)),
                ("gap", $"{(int)gap.TotalHours} h {gap.Minutes} min")
            );
        }
    }

    private static void Marks(ProtocolRun run, Attempt once)
    {
        if (once[North] is not { } north || once[South] is not { } south)
        {
            return;
        }

        var distance = (decimal)Shape.DistanceM(north, south);
        var asked = run.Programme.Chooses(PlasticsProtocol.Spacing, "20-m") ? 40m : 61m;
        run.Derive(
            new SheetDerived(
                "marker-distance",
                "Between the outer marks",
                $"{Decimals.Fixed(distance, 1)} m",
                decimal.Round(distance, 1),
                "m",
                Working: new Basis.Workings.Working(
                    "Between the outer marks",
                    [once.Input(North), once.Input(South)],
                    [$"Along the great circle: {Decimals.Fixed(distance, 1)} m"],
                    "The earth is taken as a sphere of 6 371 km.",
                    "Sinnott 1984, Sky and Telescope 68, 159"
                )
            )
        );
        var fix = Math.Max(once.Accuracy(North) ?? 0, once.Accuracy(South) ?? 0);
        if (Math.Abs(distance - asked) > Math.Max(asked * Share, fix))
        {
            once.Find(
                PlasticsFindings.Spacing,
                South,
                ("distance", $"{Decimals.Fixed(distance, 1)} m"),
                ("asked", $"{Decimals.Text(asked)} m")
            );
        }

        if (north.LatitudeDeg < south.LatitudeDeg)
        {
            once.Find(PlasticsFindings.Swapped, North);
        }
    }
}
