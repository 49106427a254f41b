using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Protocols.Sounding;

/// <summary>Today's sounding.</summary>
/// <param name="DepthM">m.</param>
/// <param name="Text">For the reader.</param>
/// <param name="Entry">The entry it stands in.</param>
/// <param name="Likelier">The same figure in the unit in which it would be usual here; null where it is usual as it stands, or in
/// neither.</param>
/// <param name="LikelierText">That, as the finder would show it.</param>
public sealed record SheetSounding(decimal DepthM, string Text, Guid Entry, WrittenLength? Likelier = null, string? LikelierText = null);
