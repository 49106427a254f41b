namespace UpperStill.Core.Basis.Quantities;

/// <summary>What a class stands for, or what an instrument showed: from <paramref name="Least"/> to <paramref name="Most"/>, both within;
/// no end where <paramref name="Most"/> is null.</summary>
/// <param name="Least">In the unit of the thing: m/s, mm, per cent.</param>
/// <param name="Most">The same; null where the class has no upper end.</param>
/// <param name="Words">As it was told or read.</param>
internal sealed record Told(decimal Least, decimal? Most, string Words)
{
    /// <summary>True where all of it lies over a limit. A class that begins at the limit does; a number that was read must pass
    /// it.</summary>
    internal bool Over(decimal limit) => Least > limit || (Least == limit && Most != Least);

    /// <summary>True where some of it may lie over a limit.</summary>
    internal bool MayBeOver(decimal limit) => Most is not { } most || most > limit;
}
