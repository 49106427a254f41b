using UpperStill.Core.Application.Visits;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Samples;
using UpperStill.Core.Setup.Seasons;

namespace UpperStill.Core.Application.Outings;

/// <summary>What the protocols of a programme ask of their days.</summary>
public static class SeasonNeeds
{
    // What keeps longer is posted, or handed in with the next visit: no day depends on it.
    private const int FreshHours = 72;

    /// <summary>Notice, days of the week, low water, companions: of what is planned.</summary>
    public static IReadOnlyList<DayNeed> Of(Programme programme)
    {
        ArgumentNullException.ThrowIfNull(programme);
        return [.. Planned(programme).Select(p => p.Day(programme)).OfType<DayNeed>()];
    }

    /// <summary>The programme’s plans; where a plan does not say how long its water may stand, its containers do.</summary>
    public static IReadOnlyList<ProtocolPlan> Plans(Programme programme)
    {
        ArgumentNullException.ThrowIfNull(programme);
        HashSet<string> described = [.. Planned(programme).Select(p => p.Code)];
        return
        [
            .. (programme.Season ?? []).Select(plan =>
                plan.HoldHours is null && !plan.TurnIn && described.Contains(plan.Protocol.Code)
                    ? plan with
                    {
                        HoldHours = Hold(plan, programme),
                    }
                    : plan
            ),
        ];
    }

    private static int? Hold(ProtocolPlan plan, Programme programme) =>
        VisitParts
            .Bottles(plan, programme)
            .Select(b => programme.TypeOf(b.Type))
            .OfType<SampleType>()
            .Where(t => !t.Shipped && t.Keep != Keeping.Frozen)
            .Select(t => CustodyOptions.HoldHours(programme, t))
            .Min(hours => hours <= FreshHours ? (int?)hours : null);

    private static IEnumerable<DescribedProtocol> Planned(Programme programme) =>
        VisitParts.DescribedIn(programme).Where(p => programme.Season?.Any(s => s.Protocol.Code == p.Code) == true);
}
