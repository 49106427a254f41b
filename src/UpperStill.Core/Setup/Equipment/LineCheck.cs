using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Setup.Equipment;

/// <summary>A mark of a line laid along a tape.</summary>
/// <param name="Mark">What the line says.</param>
/// <param name="Tape">What the tape says.</param>
public sealed record TapedMark(WrittenLength Mark, WrittenLength Tape);

/// <summary>A line laid along a tape, wet and under its load.</summary>
/// <param name="Day">When.</param>
/// <param name="Marks">One mark gives a single factor, several a factor that changes along the line; none where every mark was
/// true.</param>
/// <param name="By">Who.</param>
/// <param name="MadeAt">When it was written down; null where that is not known.</param>
/// <param name="StruckAt">When it was struck; null while it stands.</param>
public sealed record LineCheck(
    DateOnly Day,
    IReadOnlyList<TapedMark> Marks,
    string? By = null,
    DateTimeOffset? MadeAt = null,
    DateTimeOffset? StruckAt = null
);
