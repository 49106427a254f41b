using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Protocols.Custody;

/// <summary>How long samples may wait until the laboratory has them.</summary>
internal static class SampleHolds
{
    private const int HoursOfADay = 24;
    private const int SaidInDays = 72;

    /// <summary>The hold of a sample that goes to a laboratory; null where it keeps.</summary>
    internal static SampleHold? ToTheLab(SampleDraft sample, SheetDraft draft, bool onTheRoad = false)
    {
        if (Hours(sample.Type, draft) is not { } hours || sample.CollectedAt is not { } collected)
        {
            return null;
        }

        if (sample.Type.Shipped && !sample.State.InHands())
        {
            return null;
        }

        // A filter's time runs from the freezer, not from the lake.
        var from = sample.Filter?.Ended?.At ?? collected;
        if (sample.State == SampleState.Received && !onTheRoad)
        {
            return sample.Type.LabHours > 0
                ? new SampleHold(from, from.AddHours((double)hours + sample.Type.LabHours), $"measure within {sample.Type.LabHours} h")
                : null;
        }

        var plan = Plan(sample.Type, draft);
        var words =
            hours > SaidInDays && hours % HoursOfADay == 0 ? $"{Decimals.Text(hours / HoursOfADay)} days" : $"{Decimals.Text(hours)} h";
        return new SampleHold(
            from,
            from.AddHours((double)hours),
            sample.Type.Shipped ? $"shipped within {words}" : $"at the lab within {words}",
            TurnIn: plan?.TurnIn == true && sample.Type.Keep == Keeping.Frozen,
            Fresh: sample.Type.Keep != Keeping.Frozen && !sample.Type.Shipped
        );
    }

    private static decimal? Hours(SampleType type, SheetDraft draft) =>
        type.HoldHours is null ? null : Plan(type, draft)?.HoldHours ?? CustodyOptions.HoldHours(draft.Context.Programme, type);

    private static ProtocolPlan? Plan(SampleType type, SheetDraft draft) =>
        (draft.Context.Programme.Season ?? []).FirstOrDefault(p => draft.Bottles(p, draft.Context.Programme).Any(b => b.Type == type.Code));
}
