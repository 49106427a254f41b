using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Setup.Programmes;

/// <summary>What is wrong with the plan of one protocol, by itself.</summary>
public static class PlanCheck
{
    /// <summary>Stops keep it from being planned.</summary>
    public static IEnumerable<Finding> Findings(ProtocolPlan protocol)
    {
        ArgumentNullException.ThrowIfNull(protocol);
        var name = protocol.Protocol.Words();
        if (
            protocol.From.Month is < 1 or > 12
            || protocol.Until.Month is < 1 or > 12
            || protocol.From.Day is < 1 or > 31
            || protocol.Until.Day is < 1 or > 31
        )
        {
            yield return Finding.Stop(
                "season-window",
                $"The window of {name} begins or ends on a day that no year has.",
                "No date can be proposed.",
                "Months run from 1 to 12, days to 31."
            );
        }

        if (protocol.LeastGapDays < 1 || (protocol.Rhythm == Rhythm.Days && protocol.LeastGapDays > protocol.GreatestGapDays))
        {
            yield return Finding.Stop(
                "season-gaps",
                $"The least gap of {name}, {protocol.LeastGapDays} days, and the greatest, {protocol.GreatestGapDays}, leave "
                    + "nothing between.",
                "No two dates can keep both.",
                "The least is at least 1 and not above the greatest."
            );
        }
        else if (
            protocol.Rhythm == Rhythm.Days
            && (protocol.EveryDays < protocol.LeastGapDays || protocol.EveryDays > protocol.GreatestGapDays)
        )
        {
            yield return Finding.Stop(
                "season-gaps",
                $"{name} is wanted every {protocol.EveryDays} days, but {protocol.LeastGapDays}–{protocol.GreatestGapDays} are allowed.",
                "The rhythm lies outside its own gaps.",
                "Change one of the three."
            );
        }

        if (protocol.HoldHours is <= 0)
        {
            yield return Finding.Stop(
                "hold-none",
                $"{name} may stand {protocol.HoldHours} h.",
                "No lab is reached in that time.",
                "Write the hours as the lab says; 24 on ice where it has not said."
            );
        }
    }
}
