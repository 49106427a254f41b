using UpperStill.Core.Quantities;

namespace UpperStill.Core.Kit;

/// <summary>A rope, chain or wheel on which depths are read. It has an identity, because every reading depends on its marks.</summary>
/// <param name="Code">The line's identity, for example <c>R-3</c>.</param>
/// <param name="Name">What it is, in words.</param>
/// <param name="Unit">The unit of its marks.</param>
/// <param name="MarkEvery">Distance between marks as written on the line's tag, for example <c>3 in</c> or <c>0.1 m</c>.</param>
/// <param name="Usable">Length that can be let out, as written.</param>
/// <param name="CheckedOn">Day of its last check against a tape; null if never.</param>
public sealed record Line(string Code, string Name, LengthUnit Unit, WrittenLength MarkEvery, WrittenLength Usable, DateOnly? CheckedOn)
{
    /// <summary>Metres between marks; null if the tag cannot be read.</summary>
    internal decimal? MarkEveryM => MarkEvery.Read().Length?.Metres;

    /// <summary>Metres that can be let out; null if the tag cannot be read.</summary>
    internal decimal? UsableM => Usable.Read().Length?.Metres;
}
