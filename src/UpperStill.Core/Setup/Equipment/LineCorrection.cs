using System.Globalization;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Setup.Equipment;

/// <summary>
/// True length for length by the marks: straight between the marks that were taped, from nothing at the disc; beyond the last
/// one its own factor goes on.
/// </summary>
/// <remarks>Rope factor = true length / marked length from the last check, piecewise where several marks were taped.</remarks>
public sealed class LineCorrection
{
    private readonly Line line;
    private readonly LineCheck check;
    private readonly IReadOnlyList<(Length Mark, Length Tape)> knots;

    private LineCorrection(Line line, LineCheck check, IReadOnlyList<(Length Mark, Length Tape)> knots) =>
        (this.line, this.check, this.knots) = (line, check, knots);

    /// <summary>Null where every mark is true or nothing can be read from the check.</summary>
    public static LineCorrection? From(Line line, LineCheck check)
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(check);
        List<(Length Mark, Length Tape)> knots = [];
        foreach (var taped in check.Marks)
        {
            if (taped.Mark.Read().Length is { Metres: > 0 } mark && taped.Tape.Read().Length is { Metres: > 0 } tape)
            {
                knots.Add((mark, tape));
            }
        }

        return knots.All(k => k.Mark.Metres == k.Tape.Metres)
            ? null
            : new LineCorrection(line, check, [.. knots.OrderBy(k => k.Mark.Metres)]);
    }

    /// <summary>True metres for metres by the marks.</summary>
    public decimal TrueM(decimal markM) => Across(markM, k => k.Mark.Metres, k => k.Tape.Metres);

    /// <summary>Metres by the marks at which the line is truly so long: the inverse.</summary>
    public decimal MarkM(decimal trueM) => Across(trueM, k => k.Tape.Metres, k => k.Mark.Metres);

    /// <summary>The check in words, for a working.</summary>
    public string Words =>
        $"{line.Code}, taped {check.Day.ToString("d MMM yyyy", CultureInfo.InvariantCulture)}: "
        + string.Join("; ", knots.Select(k => $"the mark {LengthText.Write(k.Mark)} is at {LengthText.Write(k.Tape)}"));

    private decimal Across(decimal at, Func<(Length Mark, Length Tape), decimal> from, Func<(Length Mark, Length Tape), decimal> to)
    {
        var (lowFrom, lowTo) = (0m, 0m);
        foreach (var knot in knots)
        {
            if (at <= from(knot))
            {
                return lowTo + ((at - lowFrom) * (to(knot) - lowTo) / (from(knot) - lowFrom));
            }

            (lowFrom, lowTo) = (from(knot), to(knot));
        }

        return at * lowTo / lowFrom;
    }
}
