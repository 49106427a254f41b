using UpperStill.Core.Setup.Laboratories;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Seasons;

namespace UpperStill.Core.Tests.Setup.Seasons;

/// <summary>A northern lake's season: clarity every fortnight, chlorophyll monthly, a lab that is open from Monday to Thursday and on
/// Friday morning.</summary>
internal static class SampleSeason
{
    internal const int Year = 2026;

    internal static readonly ProtocolPlan Fortnights = new(Protocol.Clarity, Rhythm.Days, new(5, 1), new(9, 30), 14, 10, 18, 6);

    internal static readonly ProtocolPlan Months = new(
        Protocol.Chlorophyll,
        Rhythm.Monthly,
        new(5, 1),
        new(9, 30),
        LeastGapDays: 21,
        Least: 4,
        HoldHours: 24
    );

    internal static readonly HoursWindow Hours = new(new TimeOnly(10, 0), new TimeOnly(16, 0));

    internal static readonly Laboratory Lab = new(
        "District lab",
        [
            Open(DayOfWeek.Monday, 15),
            Open(DayOfWeek.Tuesday, 15),
            Open(DayOfWeek.Wednesday, 15),
            Open(DayOfWeek.Thursday, 15),
            Open(DayOfWeek.Friday, 11),
        ],
        []
    );

    internal static DateOnly Day(int month, int day) => new(Year, month, day);

    internal static StationSeason Station(params DoneVisit[] done) => new("HAR-1", [Fortnights, Months], Hours, done);

    internal static DoneVisit Took(int month, int day, params Protocol[] protocols) =>
        new(Day(month, day), protocols.Length == 0 ? [Protocol.Clarity] : protocols);

    internal static StationPlan Plan(StationSeason station, DateOnly today, Laboratory? lab = null) =>
        SeasonPlanner.Work(new SeasonRequest(Year, today, [station], lab ?? Lab)).Stations[0];

    internal static List<SeasonDate> Ahead(this StationPlan plan) =>
        [.. plan.Dates.Where(d => d.State is DateState.Planned or DateState.Today)];

    private static Opening Open(DayOfWeek day, int until) => new(day, new TimeOnly(8, 0), new TimeOnly(until, 0));
}
