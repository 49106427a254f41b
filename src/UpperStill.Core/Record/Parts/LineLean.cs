using UpperStill.Core.Basis.Boxes;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Record.Parts;

/// <summary>A line that leans makes every depth read on it too large.</summary>
internal static class LineLean
{
    /// <summary>From how many degrees on a lean is a check.</summary>
    public static readonly Threshold Large = new("checks.line-angle-large", MethodGroup.Clarity, "Line leans by more than", "°", 30, 5, 60);

    private const decimal NoteDeg = 10;

    /// <summary>The leans that an eye can tell apart.</summary>
    internal static Box Asked(string code, string label) =>
        Box.Numbers(code, label, (0, "straight down"), (10, "10°"), (20, "20°"), (30, "30°"), (45, "45°"));

    internal static Finding? Of(SheetDraft draft, decimal angleDeg, decimal? lineOutM)
    {
        var limit = draft.Context.Programme.Of(Large);
        if (angleDeg is < 0 or >= 90)
        {
            return Finding.Check(
                "line-angle-range",
                $"A lean of {Decimals.Text(angleDeg)}° is no lean of a line that hangs.",
                "From 90° on it reaches no depth; the depth of this one is left open.",
                "Strike it and read the angle from the vertical again."
            );
        }

        if (angleDeg <= NoteDeg)
        {
            return null;
        }

        var depth =
            lineOutM is { } metres && LineAngle.TrueM(metres, angleDeg) is { } depthM
                ? $"true depth is about {draft.Show(depthM)}"
                : "true depth is less";
        var (seen, why, act) = (
            $"The line leans {Decimals.Fixed(angleDeg, 0)}°; {depth}.",
            "A straight line is assumed; a curved one is shallower still.",
            "Add weight or re-anchor. Both depths are kept."
        );
        return angleDeg > limit ? Finding.Check("line-angle-large", seen, why, act) : Finding.Note("line-angle-large", seen, why, act);
    }
}
