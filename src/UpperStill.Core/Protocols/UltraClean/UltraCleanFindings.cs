using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Described;

namespace UpperStill.Core.Protocols.UltraClean;

/// <summary>The words of what ultra-clean water finds.</summary>
internal static class UltraCleanFindings
{
    internal static readonly FindingWords NoticeShort = new(
        "notice-short",
        FindingLevel.Check,
        "{days} days’ notice.",
        "Nobody may be there to receive it.",
        "Ring first."
    );
    internal static readonly FindingWords CompanionWindow = new(
        "companion-window",
        FindingLevel.Check,
        "{days} days from the companion sample.",
        "They no longer describe one time.",
        "Take both within the window, or say why not."
    );
    internal static readonly FindingWords OrderBroken = new(
        "order-broken",
        FindingLevel.Check,
        "Somebody has waded here{at}.",
        "Mud carries mercury.",
        "Upstream, farther out, or another day."
    );
    internal static readonly FindingWords Broken = new(
        "clean-hands-broken",
        FindingLevel.Stop,
        "Clean hands: {what}.",
        "Contaminated from here on.",
        "{act}"
    );
    internal static readonly FindingWords CannotReach = new(
        "cannot-reach-lab",
        FindingLevel.Check,
        "{day}: it is shipped within 24 h, Monday to Wednesday.",
        "It would stand in the warm over the weekend.",
        "Go on a Monday, Tuesday or Wednesday instead."
    );

    internal static IReadOnlyList<FindingWords> All { get; } = [NoticeShort, CompanionWindow, OrderBroken, Broken, CannotReach];
}
