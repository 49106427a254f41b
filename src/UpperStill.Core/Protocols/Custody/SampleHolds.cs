using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Protocols.Custody;

/// <summary>How long samples may wait until the laboratory has them.</summary>
internal static class SampleHolds
{
    private const int HoursOfADay = 24;
    private const int SaidInDays = 72;

    /// <summary>The hold of a sample that goes to a laboratory; null where it keeps.</summary>
    internal static SampleHold? ToTheLab(SampleDraft sample, Programme programme, bool onTheRoad = false)
    {
        if (Hours(sample.Type, programme) is not { } hours || sample.CollectedAt is not { } collected)
        {
            return null;
        }

        // A filter's time runs from the freezer, not from the lake.
        var from = sample.Filter?.Ended?.At ?? collected;
        if (sample.State == SampleState.Received && !onTheRoad)
        {
            return sample.Type.LabHours > 0 ? new SampleHold(from, from.AddHours((double)hours + sample.Type.LabHours), $"measure within {sample.Type.LabHours} h") : null;
        }

        var plan = Plan(sample.Type, programme);
        var words = hours > SaidInDays && hours % HoursOfADay == 0 ? $"{Decimals.Text(hours / HoursOfADay)} days" : $"{Decimals.Text(hours)} h";
        return new SampleHold(from, from.AddHours((double)hours), $"at the lab within {words}", TurnIn: plan?.TurnIn == true && sample.Type.Keep == Keeping.Frozen, Fresh: sample.Type.Keep != Keeping.Frozen);
    }

    private static decimal? Hours(SampleType type, Programme programme) => type.HoldHours is null ? null : Plan(type, programme)?.HoldHours ?? programme.Of(CustodyOptions.Hold(type));

    private static ProtocolPlan? Plan(SampleType type, Programme programme) => (programme.Season ?? []).FirstOrDefault(p => UsualBottles.Of(p).Any(b => b.Type == type.Code));
}
