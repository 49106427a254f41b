using System.Globalization;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;
using UpperStill.StandIns.Lakes;

namespace UpperStill.StandIns.Demo;

/// <summary>A tow of the plankton net as it would have been written down. Its own chance, so that everything else stays as it
/// was.</summary>
internal sealed class DemoTow(DemoScenario scenario, DemoStation station, DateOnly day, Guid visit, DateTimeOffset from)
{
    private const int JarKeptDays = 40;
    private static readonly Protocol Tow = new("net-tow");
    private readonly Chance chance = new(scenario.Seed ^ ((ulong)day.DayNumber * 350377) ^ (ulong)station.Station.Code[0]);
    private readonly List<Entry> entries = [];
    private DateTimeOffset at = from;

    // The day whose self-audit says three.
    private bool TwoRinses => station.Station.Code == "HAR-2" && day is { Year: 2026, Month: 7 };

    /// <summary>Adds its entries. The last tow before the demo’s day waits at the bench: its jar is still to be counted.</summary>
    internal void Write(List<Entry> all)
    {
        var depth =
            station.Station.WaterCode == "skarn-sound" ? 6.0 : Math.Round(5.5 + (day.DayOfYear - 120) / 60.0 + (0.4 * chance.Bell()), 1);
        Put("look", "look", new ObservedValue { Ticked = ["holes", "cup", "clip", "weight"] });
        Once("set", "net", new ObservedValue { Choice = "N-1", Name = "Plankton net, 80 µm" });
        Once("set", "direction", new ObservedValue { Choice = "vertical" });
        Once("set", "from", DemoEntry.Number(depth, "F1", "m"));
        Once("lower", "line-out", DemoEntry.Number(depth, "F1", "m"));
        Once("lower", "angle", DemoEntry.Number(chance.Whole(0, 9), "F0", "°"));
        at = at.AddSeconds(40);
        Once("haul", "tow-s", new ObservedValue { At = at, Until = at.AddSeconds(Math.Round(depth / (0.5 + (0.04 * chance.Bell())))) });
        Once("haul", "went", new ObservedValue { Choice = "through" });
        Once("haul", "touched", new ObservedValue { Yes = false });
        Once("wash", "washes", new ObservedValue { Count = TwoRinses ? 2 : 3 });
        Once("wash", "wash-water", new ObservedValue { Choice = "filtered" });
        Once("wash", "drained", new ObservedValue { Choice = "freely" });
        Put("jar", "gloves", new ObservedValue { Ticked = ["on", "whole"] });
        Put("jar", "cup-rinses", new ObservedValue { Count = 3 });
        var caught = chance.Whole(40, 60);
        Put("jar", "catch", DemoEntry.Number(caught, "F0", "mL"));
        Put("jar", "alcohol", new ObservedValue { Choice = "E-1", Name = "Stained alcohol, 95 %" });
        Put("jar", "alcohol-ml", DemoEntry.Number(caught * 70 / 25.0, "F0", "mL"));
        if (scenario.Now.DateTime - day.ToDateTime(TimeOnly.MinValue) < TimeSpan.FromDays(JarKeptDays))
        {
            Jar();
        }

        if (scenario.Now.DateTime - day.ToDateTime(TimeOnly.MinValue) > TimeSpan.FromDays(JarKeptDays))
        {
            Count();
        }

        all.AddRange(entries);
    }

    private void Jar()
    {
        var jar = PlannedSamples.Of(station.Station, scenario.ProgrammeOf(station), [Tow], day, VisitParts.Bottles)[0];
        Make(FillKinds.Fill, new FillBody(jar.Number, jar.Type.Code, FilledFrom.Net, FilledTo.AsAsked, Preserved: true));
    }

    private void Count()
    {
        at = at.AddHours(6);
        Put("make-up", "made-up", DemoEntry.Number(50, "F0", "mL"));
        Put("make-up", "sub", DemoEntry.Number(1, "F0", "mL"));
        var season = Math.Sin((day.DayOfYear - 90) / 180.0 * Math.PI);
        // Some years have twice the animals of others.
        var year = Math.Exp(0.3 * new Chance(scenario.Seed ^ ((ulong)day.Year * 15485863) ^ (ulong)station.Station.Code[0]).Bell());
        (string Kind, double Mean)[] kinds =
        [
            ("water-fleas", 6 + (24 * Math.Max(0, season))),
            ("copepods", 14 + (8 * season)),
            ("nauplii", 8),
            ("rotifers", 20 - (12 * season)),
        ];
        for (var sub = 1; sub <= 3; sub++)
        {
            Put(
                "count",
                "counts",
                new ObservedValue
                {
                    Counts = kinds.ToDictionary(
                        k => k.Kind,
                        k => Math.Max(0, (int)Math.Round((k.Mean * year) + (0.7 * Math.Sqrt(k.Mean * year) * chance.Bell())))
                    ),
                },
                sub.ToString(CultureInfo.InvariantCulture)
            );
        }
    }

    private void Once(string step, string field, ObservedValue value) => Put(step, field, value, "1");

    private void Put(string step, string field, ObservedValue value, string? item = null) =>
        Make(ObservationKinds.Observation, new ObservationBody(Tow, 1, step, field, value, item));

    private void Make<T>(EntryKind<T> kind, T body)
        where T : class
    {
        at = at.AddSeconds(chance.Whole(15, 40));
        entries.Add(new DemoEntry(station.Observers[0]).Of(chance, visit, kind, body, at));
    }
}
