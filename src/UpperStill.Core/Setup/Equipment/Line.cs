using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Setup.Equipment;

/// <summary>A rope, chain or wheel on which depths are read. It has an identity, because every reading depends on its marks.</summary>
/// <param name="Code">The line's identity, for example <c>R-3</c>.</param>
/// <param name="Name">What it is, in words.</param>
/// <param name="Unit">The unit of its marks.</param>
/// <param name="MarkEvery">Distance between marks as written on the line's tag, for example <c>3 in</c> or <c>0.1 m</c>.</param>
/// <param name="Usable">Length that can be let out, as written.</param>
/// <param name="Checks">Its checks against a tape, in any order.</param>
/// <param name="RetiredOn">The day on which its marks were given up; null while it is used.</param>
/// <param name="Struck">Checks that were struck and correct nothing any more.</param>
public sealed record Line(
    string Code,
    string Name,
    LengthUnit Unit,
    WrittenLength MarkEvery,
    WrittenLength Usable,
    IReadOnlyList<LineCheck>? Checks = null,
    DateOnly? RetiredOn = null,
    IReadOnlyList<LineCheck>? Struck = null
)
{
    /// <summary>The line as it was known at a moment: without what was written down since, and with what was struck since.</summary>
    /// <param name="at">The moment.</param>
    public Line AsKnownAt(DateTimeOffset at) =>
        this with
        {
            Checks = [.. (Checks ?? []).Concat((Struck ?? []).Where(c => c.StruckAt > at)).Where(c => c.MadeAt is null || c.MadeAt <= at)],
            Struck = null,
        };

    /// <summary>True where something of its checks was written down or struck after a moment.</summary>
    /// <param name="at">The moment.</param>
    public bool ChangedAfter(DateTimeOffset at) => (Checks ?? []).Concat(Struck ?? []).Any(c => c.MadeAt > at || c.StruckAt > at);

    /// <summary>True where it was taped in that year.</summary>
    public bool CheckedIn(int year) => Checks?.Any(c => c.Day.Year == year) == true;

    /// <summary>Metres between marks; null if the tag cannot be read.</summary>
    internal decimal? MarkEveryM => MarkEvery.Read().Length?.Metres;

    /// <summary>Metres that can be let out by its own marks; null if the tag cannot be read.</summary>
    internal decimal? UsableM => Usable.Read().Length?.Metres;

    /// <summary>
    /// What a reading of that day is corrected by: the last check of the same year up to it; else the first of that year after
    /// it, since ropes are often taped when somebody wonders; else the last of the years before. Null where it needs none.
    /// </summary>
    public LineCorrection? CorrectionOn(DateOnly day)
    {
        var checks = (Checks ?? []).OrderBy(c => c.Day).ToList();
        var sameYear = checks.Where(c => c.Day.Year == day.Year).ToList();

        // Of two checks of one day the later one stands: the first was repeated.
        var check = sameYear.LastOrDefault(c => c.Day <= day)
            ?? sameYear.LastOrDefault(c => c.Day == sameYear[0].Day)
            ?? checks.LastOrDefault(c => c.Day <= day);
        return check is null ? null : LineCorrection.From(this, check);
    }
}
