using System.Globalization;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Protocols.Results;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Laboratories;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Samples;
using UpperStill.StandIns.Lakes;

namespace UpperStill.StandIns.Demo;

/// <summary>The weeks of a beach: a bottle each Wednesday before noon, in the lab by three, its count a day later.</summary>
internal sealed class DemoBeach(DemoScenario scenario, DemoStation station)
{
    private const int FirstYear = 2023;
    private const int LeastCounted = 10;
    private static readonly Protocol Bacteria = new("bacteria");
    private static readonly TimeSpan Summer = TimeSpan.FromHours(1);
    private readonly Programme programme = scenario.ProgrammeOf(station);
    private readonly Chance chance = new(scenario.Seed ^ 611953);
    private readonly DemoEntry sampler = new(station.Observers[0]);
    private readonly DemoEntry laboratory = new(scenario.People.First(p => p.SignInName == "laboratory").Name, "laboratory");
    private readonly List<Entry> entries = [];
    private Guid visit;
    private DateTimeOffset at;

    /// <summary>True where a programme asks for nothing else.</summary>
    internal static bool Is(Programme programme) => programme.Season is [var only] && only.Protocol == Bacteria;

    /// <summary>All entries before the demo's day.</summary>
    internal IReadOnlyList<Entry> Write()
    {
        var plan = programme.Season![0];
        for (var year = FirstYear; year < scenario.Now.Year; year++)
        {
            var day = plan.From.In(year);
            day = day.AddDays((DayOfWeek.Wednesday - day.DayOfWeek + 7) % 7);
            for (; day <= plan.Until.In(year); day = day.AddDays(plan.EveryDays))
            {
                // A storm now and then: nobody wades.
                if (chance.Even() > 1 / 14.0)
                {
                    Week(day);
                }
            }
        }

        foreach (var day in station.ThisSeason)
        {
            Week(day);
        }

        return entries;
    }

    private void Week(DateOnly day)
    {
        at = new DateTimeOffset(day.ToDateTime(new TimeOnly(11, 30)), Summer);
        visit = chance.Uuid(at);
        // Rain washes it down the drain on the beach.
        var rain = chance.Even() < 0.2;
        Make(
            VisitKinds.VisitStarted,
            new VisitStartedBody(
                station.Station.Code,
                station.Programme,
                programme.Version,
                station.Observers,
                station.Line,
                Due: [Bacteria]
            )
        );
        Observe("look", "bathers", DemoEntry.Number(chance.Whole(0, rain ? 3 : 25), "F0"));
        Observe("look", "birds", DemoEntry.Number(chance.Whole(0, 40), "F0"));
        Observe("look", "dogs", DemoEntry.Number(chance.Whole(0, 4), "F0"));
        Observe("look", "drain", new ObservedValue { Choice = rain ? "running" : "dry" });
        Observe("label", "labelled", new ObservedValue { Yes = true });
        Observe("wade", "depth", DemoEntry.Number(0.5 + (0.04 * chance.Bell()), "F1", "m"));
        Observe("wade", "wait", new ObservedValue { At = at, Until = at.AddSeconds(chance.Whole(60, 75)) });
        at = new DateTimeOffset(day.ToDateTime(new TimeOnly(11, 40)), Summer);
        Observe("scoop", "scoops", new ObservedValue { Count = 1 });
        var bottle = PlannedSamples.Of(station.Station, programme, [Bacteria], day, VisitParts.Bottles)[0];
        Make(FillKinds.Fill, new FillBody(bottle.Number, bottle.Type.Code, FilledFrom.Lake, FilledTo.AsAsked) { InsideTouched = false });
        var water = 12 + (5 * Math.Sin((day.DayOfYear - 120) / 365.0 * 2 * Math.PI)) + (0.4 * chance.Bell());
        Observe("temperatures", "air", DemoEntry.Number(water + 2 + (2 * chance.Bell()), "F1", "°C"));
        Observe("temperatures", "water", DemoEntry.Number(water, "F1", "°C"));
        Make(VisitKinds.VisitClosed, new EmptyBody());
        ToTheLab(bottle.Number, day, rain);
    }

    private void ToTheLab(string number, DateOnly day, bool rain)
    {
        string[] numbers = [number];
        Make(CustodyKinds.Stored, new StoredBody(numbers, StorePlace.Cooler, TemperatureC: "3"));
        at = new DateTimeOffset(day.ToDateTime(new TimeOnly(13, 50)), Summer);
        var manifest = chance.Uuid(at);
        Make(
            CustodyKinds.HandedOver,
            new HandedOverBody(manifest, numbers, scenario.Laboratory.Name, TravelBy.Hand, TravelOn.Ice, station.Observers[0])
        );
        at = at.AddHours(1);
        Make(CustodyKinds.Received, new ReceivedBody(numbers, ArrivedAs.Good, laboratory.By, manifest, "4"), laboratory);
        at = at.AddHours(25);
        var count = Math.Exp(3.4 + (0.7 * chance.Bell()) + (rain ? 1.4 : 0));
        Make(
            ResultKinds.Result,
            new ResultBody(
                number,
                "e-coli",
                Math.Max(LeastCounted, count).ToString("F0", CultureInfo.InvariantCulture),
                "per 100 mL",
                count < LeastCounted ? Qualifier.Below : null,
                LeastCounted.ToString(CultureInfo.InvariantCulture),
                "most probable number",
                DateOnly.FromDateTime(at.DateTime)
            ),
            laboratory
        );
    }

    private void Observe(string step, string field, ObservedValue value) =>
        Make(ObservationKinds.Observation, new ObservationBody(Bacteria, 1, step, field, value, null));

    private void Make<T>(EntryKind<T> kind, T body, DemoEntry? by = null)
        where T : class
    {
        at = at.AddSeconds(chance.Whole(15, 40));
        entries.Add((by ?? sampler).Of(chance, visit, kind, body, at));
    }
}
