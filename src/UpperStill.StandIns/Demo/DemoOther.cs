using System.Globalization;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Protocols.Results;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Waters;
using UpperStill.StandIns.Lakes;

namespace UpperStill.StandIns.Demo;

/// <summary>Stations where nothing is asked but protocols that describe themselves: their seasons, one day of work after
/// another.</summary>
internal sealed class DemoOther(DemoScenario scenario, DemoStation station)
{
    private const int FirstYear = 2024;
    private static readonly TimeSpan Summer = TimeSpan.FromHours(1);
    private readonly Programme programme = scenario.ProgrammeOf(station);
    private readonly List<Entry> entries = [];

    /// <summary>True where a programme asks for nothing that an older part of a visit does.</summary>
    internal static bool Is(Programme programme) =>
        programme.Season is { Count: > 0 } season
        && season.All(p => VisitParts.Described.Any(d => d.Code == p.Protocol.Code) && p.Protocol != Protocol.Seawater);

    /// <summary>All entries before the demo's day.</summary>
    internal IReadOnlyList<Entry> Write()
    {
        var chance = new Chance(scenario.Seed ^ ((ulong)station.Station.Code[^1] * 7919) ^ ((ulong)station.Station.Code[0] * 104651));
        foreach (var plan in programme.Season!)
        {
            for (var year = FirstYear; year < scenario.Now.Year; year++)
            {
                foreach (var day in Days(plan, year, chance))
                {
                    Visit(day, plan.Protocol, chance);
                }
            }
        }

        foreach (var day in station.ThisSeason)
        {
            foreach (var plan in programme.Season!.Where(p => p.Holds(day)))
            {
                Visit(day, plan.Protocol, chance);
            }
        }

        return entries;
    }

    private static IEnumerable<DateOnly> Days(ProtocolPlan plan, int year, Chance chance)
    {
        var day = plan.From.In(year).AddDays(chance.Whole(0, 6));
        var every =
            plan.Rhythm == Rhythm.Monthly ? 30
            : plan.Rhythm == Rhythm.Once ? 400
            : plan.EveryDays;
        for (; day <= plan.Until.In(year); day = day.AddDays(every + chance.Whole(-1, 1)))
        {
            yield return day;
        }
    }

    private void Visit(DateOnly day, Protocol protocol, Chance chance)
    {
        var at = new DateTimeOffset(day.ToDateTime(new TimeOnly(10, 20)), Summer).AddMinutes(chance.Whole(0, 30));
        var work = new DemoWork(scenario, station, programme, day, protocol, chance, chance.Uuid(at), at);
        work.Begin();
        work.Sound();
        DemoProtocols.Write(work);
        work.End();
        entries.AddRange(work.Entries);
    }
}

/// <summary>One protocol on one day of the demo, entry after entry.</summary>
internal sealed class DemoWork(
    DemoScenario scenario,
    DemoStation station,
    Programme programme,
    DateOnly day,
    Protocol protocol,
    Chance chance,
    Guid visit,
    DateTimeOffset at
)
{
    private readonly DemoEntry sampler = new(station.Observers[0]);
    private readonly DemoEntry laboratory = new(scenario.People.First(p => p.SignInName == "laboratory").Name, "laboratory");

    internal List<Entry> Entries { get; } = [];

    internal Chance Chance => chance;

    internal DateOnly Day => day;

    internal string Protocol => protocol.Code;

    /// <summary>Its observers.</summary>
    internal IReadOnlyList<string> People => station.Observers;

    internal DateTimeOffset At => at;

    internal DemoStation Station => station;

    /// <summary>A wave of the year: 0 in winter, 1 in summer.</summary>
    internal double Summerly => 0.5 - (0.5 * Math.Cos((day.DayOfYear - 20) / 365.0 * 2 * Math.PI));

    /// <summary>True where the laboratory has had time for it.</summary>
    internal bool Old => scenario.Now.DateTime - day.ToDateTime(TimeOnly.MinValue) > TimeSpan.FromDays(20);

    internal void Begin() =>
        Make(
            VisitKinds.VisitStarted,
            new VisitStartedBody(
                station.Station.Code,
                station.Programme,
                programme.Version,
                station.Observers,
                station.Line,
                Due: [protocol]
            )
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

    internal void End() => Make(VisitKinds.VisitClosed, new EmptyBody());

    internal void Later(double minutes) => at = at.AddMinutes(minutes);

    internal void Put(string step, string field, ObservedValue value, string? item = null, int number = 1) =>
        Make(ObservationKinds.Observation, new ObservationBody(protocol, 1, step, field, value, item, number));

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
    internal IReadOnlyList<PlannedSample> Samples => PlannedSamples.Of(station.Station, programme, [protocol], day, VisitParts.Bottles);

    internal void Fill(PlannedSample sample, FilledFrom from = FilledFrom.Lake, bool? preserved = null) =>
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

    /// <summary>What the laboratory reports, three weeks later.</summary>
    internal void Result(PlannedSample sample, string analyte, double value, string format, string unit)
    {
        if (Old)
        {
            Entries.Add(
                laboratory.Of(
                    chance,
                    visit,
                    ResultKinds.Result,
                    new ResultBody(sample.Number, analyte, value.ToString(format, CultureInfo.InvariantCulture), unit, On: day.AddDays(15)),
                    at.AddDays(16)
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
