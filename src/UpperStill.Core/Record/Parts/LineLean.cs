using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Setup.Equipment;

namespace UpperStill.Core.Record.Parts;

/// <summary>A line that leans makes every depth read on it too large.</summary>
internal static class LineLean
{
    private const decimal NoteDeg = 10;

    internal static Finding? Of(SheetDraft draft, decimal angleDeg, WrittenLength lineOut)
    {
        var limit = draft.Context.Programme.LimitOf("checks.line-angle-large");
        if (angleDeg is < 0 or >= 90)
        {
            return Finding.Check(
                "line-angle-range", $"A lean of {Decimals.Text(angleDeg)}° is no lean of a line that hangs.", "From 90° on it reaches no depth; the depth of this one is left open.", "Strike it and read the angle from the vertical again.");
        }

        if (angleDeg < NoteDeg)
        {
            return null;
        }

        var depth = lineOut.Read().Length is { } length && LineAngle.TrueM(length.Metres, angleDeg) is { } depthM ? $"true depth is about {draft.Show(depthM)}" : "true depth is less";
        var (seen, why, act) = ($"The line leans {Decimals.Fixed(angleDeg, 0)}°; {depth}.", "A straight line is assumed; a curved one is shallower still.", "Add weight or re-anchor. Both depths are kept.");
        return angleDeg > limit ? Finding.Check("line-angle-large", seen, why, act) : Finding.Note("line-angle-large", seen, why, act);
    }
}
