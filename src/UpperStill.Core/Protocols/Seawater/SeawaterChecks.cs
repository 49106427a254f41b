using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Protocols.Arrival;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Setup.Programmes;
using static UpperStill.Core.Protocols.Seawater.SeawaterFields;

namespace UpperStill.Core.Protocols.Seawater;

/// <summary>What is to be said of a seawater bottle, and what the chemistry needs beside it.</summary>
internal static class SeawaterChecks
{
    private const decimal AirShare = 0.01m;

    internal static void Of(ProtocolRun run)
    {
        var once = run.Once;
        foreach (var fill in run.Tries(Fill, "1").Where(f => f[Bubbles] == true))
        {
            fill.Fail(SeawaterFindings.HasBubbles, Bubbles);
        }

        Fixed(run);
        ThermometersBeside.Water(run, once, Water);
        if (once[In] == "bottle" && run.Programme.Chooses(SeawaterProtocol.ThermometerIn, "bucket"))
        {
            once.Find(SeawaterFindings.ThermometerInSample, In);
        }

        if (once[FreshCap] == false)
        {
            once.Find(SeawaterFindings.CapReused, FreshCap);
        }

        if (once[Dark] == false)
        {
            once.Find(SeawaterFindings.NotDark, Dark);
        }

        // A reading of the refractometer on this visit is offered, never taken.
        if (
            run.Draft.Described().SelectMany(p => p.Derived).FirstOrDefault(d => d is { Parameter: "salinity", Value: not null }) is
            { } read
        )
        {
            run.Propose(
                Salinity,
                new ObservedValue { Written = Decimals.Text(read.Value!.Value), Unit = "ppt" },
                "as the refractometer gave it"
            );
        }

        if (run.Containers.Bottles.Count > 0)
        {
            var volume = run.Containers.Bottles[0].Type.VolumeMl;
            run.Derive(
                new SheetDerived(
                    "air-left",
                    "Air to leave",
                    $"{Decimals.Text(volume * AirShare)} mL",
                    volume * AirShare,
                    "mL",
                    Working: new Working(
                        "Air to leave",
                        [new WorkingInput("bottle", $"{volume} mL")],
                        [$"1 % of {volume} mL = {Decimals.Text(volume * AirShare)} mL"],
                        "Room for the water to grow as it warms.",
                        "Practice of carbonate sampling"
                    )
                )
            );
        }

        Give(run, once);
    }

    private static void Fixed(ProtocolRun run)
    {
        var once = run.Once;
        var filled = run.Containers.Fills is [.., var fill] ? fill.Entry.At : (DateTimeOffset?)null;
        var asked = run.Containers.Bottles is [var bottle, ..] ? run.Programme.TypeOf(bottle.Type.Code)?.Added?.Drops ?? 1 : 1;
        if (once[Drops] is { } drops)
        {
            if (drops == 0)
            {
                once.Find(SeawaterFindings.FixMissing, Drops);
            }
            else if (drops != asked)
            {
                once.Find(SeawaterFindings.FixCount, Drops, ("drops", Decimals.Text(drops)), ("asked", Decimals.Text(asked)));
            }

            if (
                drops > 0
                && filled is { } from
                && once.WrittenAt(Drops) is { } at
                && (decimal)(at - from).TotalMinutes is var minutes
                && minutes > run.Programme.Of(SeawaterProtocol.FixWithin)
            )
            {
                once.Find(SeawaterFindings.FixLate, Drops, ("min", Decimals.Fixed(minutes, 0)));
            }
        }
        else if (filled is { } from)
        {
            var until = from.AddMinutes((double)run.Programme.Of(SeawaterProtocol.FixWithin));
            run.Clock("To fix the bottle", from, until, $"fixative by {until:HH:mm}");
        }
    }

    private static void Give(ProtocolRun run, Attempt once)
    {
        if (once[Water] is { } celsius)
        {
            run.Derive(
                new SheetDerived(
                    "bucket-temperature",
                    "Warmth of the bucket",
                    Temperature.Show(celsius),
                    Decimals.Published(celsius),
                    "°C",
                    About: once[In] == "bottle"
                )
            );
        }

        if (once[Salinity] is { } ppt)
        {
            run.Derive(new SheetDerived("salinity", "Salinity", $"{Decimals.Text(ppt)} ppt", Decimals.Published(ppt), "ppt"));
        }
    }
}
