using System.Globalization;
using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Setup.Equipment;

/// <summary>When an item's check falls due.</summary>
/// <param name="On">The day; null where it was never checked.</param>
/// <param name="Overdue">True from that day on, and where the last check found something wrong.</param>
/// <param name="Finding">What to do, where it is overdue or past its last day.</param>
public sealed record KitDue(DateOnly? On, bool Overdue, Finding? Finding = null)
{
    /// <summary>The due check of an item on a day; null where none falls due or the item does not go out.</summary>
    public static KitDue? Of(KitItem item, DateOnly today)
    {
        ArgumentNullException.ThrowIfNull(item);
        if (item.Condition != Condition.InUse)
        {
            return null;
        }

        if (item.UsableUntil is { } lastDay)
        {
            return At(
                item,
                lastDay.AddDays(1),
                today,
                $"{item.Code} was usable until {Words(lastDay)}.",
                "What is past its date spoils the sample it goes into.",
                "Take another lot."
            );
        }

        var rule = KitRules.Of(item.Kind);
        if (rule.Due is not { } kind)
        {
            return null;
        }

        if (item.Standing.Where(c => c.Kind == kind).OrderBy(c => c.Day).LastOrDefault() is not { Day: var checkedOn } last)
        {
            return new KitDue(null, true, Late($"{item.Code} has never been {Done(kind)}.", Why(kind), "Do it now, or take another."));
        }

        // Once a season means anew in each calendar year, before the first visit.
        var due = rule.EveryDays is { } days ? checkedOn.AddDays(days) : new DateOnly(checkedOn.Year + 1, 1, 1);

        // A meter is set when it is calibrated; whatever else was found wrong stays so until a later check finds it well.
        if (
            today < due
            && kind != KitCheckKind.Calibrated
            && KitCheckRule.Judge(item, last, last.Day).Findings is [{ Finding: var wrong }, ..]
        )
        {
            return new KitDue(due, true, wrong);
        }

        return At(
            item,
            due,
            today,
            $"{item.Code} was due {Words(due)}: last {Done(kind)} {Words(checkedOn)}.",
            Why(kind),
            "Do it now, or take another."
        );
    }

    private static KitDue At(KitItem item, DateOnly due, DateOnly today, string seen, string why, string act) =>
        new(due, today >= due, today >= due ? Late(seen, why, act) : null);

    private static Finding Late(string seen, string why, string act) => Finding.Check("kit-overdue", seen, why, act);

    private static string Done(KitCheckKind kind) =>
        kind switch
        {
            KitCheckKind.Taped => "taped",
            KitCheckKind.Calibrated => "calibrated",
            KitCheckKind.IcePoint => "checked in melting ice",
            KitCheckKind.Zeroed => "zeroed",
            KitCheckKind.Counted => "counted",
            _ => "looked over",
        };

    private static string Why(KitCheckKind kind) =>
        kind switch
        {
            KitCheckKind.Taped => "Ropes stretch, and a whole season reads short.",
            KitCheckKind.Calibrated => "Meters drift, and a whole column is wrong.",
            KitCheckKind.IcePoint or KitCheckKind.Zeroed => "Its zero wanders, and every reading with it.",
            KitCheckKind.Counted => "A lost part is found out on the water.",
            _ => "What is worn fails on the water.",
        };

    private static string Words(DateOnly day) => day.ToString("d MMM yyyy", CultureInfo.InvariantCulture);
}
