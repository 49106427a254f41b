using System.Globalization;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Protocols.Results;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Samples;
using UpperStill.Core.Setup.Waters;
using UpperStill.StandIns.Lakes;

namespace UpperStill.StandIns.Demo;

/// <summary>One day of work of the demo, entry after entry.</summary>
internal sealed class DemoWork(
    DemoScenario scenario,
    DemoStation station,
    Programme programme,
    DateOnly day,
    IReadOnlyList<Protocol> due,
    Chance chance,
    Guid visit,
    DateTimeOffset at
)
{
    private readonly DemoEntry sampler = new(station.Observers[0]);
    private readonly DemoEntry laboratory = new(scenario.People.First(p => p.SignInName == "laboratory").Name, "laboratory");

    private readonly List<PlannedSample> filled = [];
    private readonly HashSet<string> stays = [];

    internal List<Entry> Entries { get; } = [];

    internal Chance Chance => chance;

    internal DateOnly Day => day;

    /// <summary>What is done now.</summary>
    internal Protocol Current { get; set; } = due[0];

    /// <summary>Its observers.</summary>
    internal IReadOnlyList<string> People => station.Observers;

    /// <summary>Whoever answers for the district.</summary>
    internal string Coordinator => scenario.People.First(p => p.SignInName == "coordinator").Name;

    internal DateTimeOffset At => at;

    internal DemoStation Station => station;

    /// <summary>A wave of the year: 0 in winter, 1 in summer.</summary>
    internal double Summerly => 0.5 - (0.5 * Math.Cos((day.DayOfYear - 20) / 365.0 * 2 * Math.PI));

    /// <summary>True where the laboratory has had time for it.</summary>
    internal bool Old => scenario.Now.DateTime - day.ToDateTime(TimeOnly.MinValue) > TimeSpan.FromDays(6);

    internal void Begin() =>
        Make(
            VisitKinds.VisitStarted,
            new VisitStartedBody(station.Station.Code, station.Programme, programme.Version, station.Observers, station.Line, Due: due)
        );

    /// <summary>The depth of the water, from a boat.</summary>
    internal void Sound()
    {
        if (station.Station.Kind == StationKind.Boat)
        {
            Make(SoundingKinds.Sounding, new SoundingBody(station.Station.KnownDepth));
        }
    }

    /// <summary>The disc in sight on the bottom.</summary>
    internal void DiscOnBottom() => Make(SecchiKinds.DiscOutcome, new DiscOutcomeBody(DiscOutcome.OnBottom));

    /// <summary>The visit ends, and what was filled is with the laboratory the same afternoon.</summary>
    internal void End()
    {
        Make(VisitKinds.VisitClosed, new EmptyBody());
        Deliver();
    }

    /// <summary>What was filled is put away as its type asks, and brought: the same afternoon, what is frozen on the turn-in date of the
    /// year. What is counted at the own bench stays.</summary>
    internal void Deliver()
    {
        foreach (var put in filled.GroupBy(s => s.Type.Keep).ToList())
        {
            Make(CustodyKinds.Stored, new StoredBody([.. put.Select(s => s.Number)], put.Key.UsualPlace(), TemperatureC: Shows(put.Key)));
        }

        foreach (var sent in filled.Where(s => !stays.Contains(s.Number)).GroupBy(s => s.Type.Keep).ToList())
        {
            Bring([.. sent.Select(s => s.Number)], sent.Key);
        }
    }

    private void Bring(IReadOnlyList<string> numbers, Keeping keep)
    {
        at = new DateTimeOffset(BroughtOn(keep).ToDateTime(new TimeOnly(keep == Keeping.Frozen ? 10 : 13, 40)), at.Offset);
        var manifest = chance.Uuid(at);
        Make(
            CustodyKinds.HandedOver,
            new HandedOverBody(manifest, numbers, scenario.Laboratory.Name, TravelBy.Hand, TravelOn.Ice, station.Observers[0])
        );
        at = at.AddHours(1);
        Entries.Add(
            laboratory.Of(
                chance,
                visit,
                CustodyKinds.Received,
                new ReceivedBody(numbers, ArrivedAs.Good, laboratory.By, manifest, Shows(keep)),
                at
            )
        );
    }

    private DateOnly BroughtOn(Keeping keep) => keep == Keeping.Frozen ? new DateOnly(day.Year, 10, 2) : day;

    private static string? Shows(Keeping keep) =>
        keep switch
        {
            Keeping.Frozen => "-18",
            Keeping.Room => null,
            _ => "4",
        };

    internal void Later(double minutes) => at = at.AddMinutes(minutes);

    internal void Put(string step, string field, ObservedValue value, string? item = null, int number = 1) =>
        Make(ObservationKinds.Observation, new ObservationBody(Current, 1, step, field, value, item, number));

    internal void Number(string step, string field, double value, string format, string? unit = null, string? item = null) =>
        Put(step, field, DemoEntry.Number(value, format, unit), item);

    internal void Choose(string step, string field, string choice, string? item = null, int number = 1) =>
        Put(step, field, new ObservedValue { Choice = choice }, item, number);

    internal void Tick(string step, string field, params string[] lines) => Put(step, field, new ObservedValue { Ticked = lines });

    internal void Yes(string step, string field, bool yes, string? item = null) => Put(step, field, new ObservedValue { Yes = yes }, item);

    internal void Count(string step, string field, int count, string? item = null) =>
        Put(step, field, new ObservedValue { Count = count }, item);

    internal void Waited(string step, string field, double seconds, string? item = null)
    {
        at = at.AddSeconds(seconds);
        Put(step, field, new ObservedValue { At = at.AddSeconds(-seconds), Until = at }, item);
    }

    /// <summary>Its samples, in the order in which they are filled.</summary>
    internal IReadOnlyList<PlannedSample> Samples =>
        [.. PlannedSamples.Of(station.Station, programme, due, day, VisitParts.Bottles).Where(s => s.FilledBy == Current)];

    internal void Fill(PlannedSample sample, FilledFrom from = FilledFrom.Lake, bool? preserved = null)
    {
        filled.Add(sample);
        Make(
            FillKinds.Fill,
            new FillBody(
                sample.Number,
                sample.Type.Code,
                from,
                FilledTo.AsAsked,
                Rinses: sample.Type.Rinse.Times > 0 ? sample.Type.Rinse.Times : null,
                Preserved: preserved
            )
        );
    }

    /// <summary>A jar that is counted at the group’s own bench.</summary>
    internal void Jar(PlannedSample sample, bool? preserved = null)
    {
        stays.Add(sample.Number);
        Fill(sample, preserved: preserved);
    }

    /// <summary>What the laboratory reports some days later.</summary>
    internal void Result(PlannedSample sample, string analyte, double value, string format, string unit)
    {
        if (Old)
        {
            var brought = BroughtOn(sample.Type.Keep);
            Entries.Add(
                laboratory.Of(
                    chance,
                    visit,
                    ResultKinds.Result,
                    new ResultBody(
                        sample.Number,
                        analyte,
                        value.ToString(format, CultureInfo.InvariantCulture),
                        unit,
                        On: brought.AddDays(4)
                    ),
                    at.AddDays(brought.DayNumber - day.DayNumber + 5)
                )
            );
        }
    }

    private void Make<T>(EntryKind<T> kind, T body)
        where T : class
    {
        at = at.AddSeconds(chance.Whole(12, 30));
        Entries.Add(sampler.Of(chance, visit, kind, body, at));
    }
}
