using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Profile;

namespace UpperStill.Formats.Casts;

/// <summary>How a logged cast is read.</summary>
/// <param name="Separator">Between columns.</param>
/// <param name="DecimalComma">True where numbers are written 3,85.</param>
/// <param name="FirstRow">Lines before the first row of numbers.</param>
/// <param name="Columns">What each column holds, as a person confirmed it.</param>
/// <param name="Levels">The levels to fill, in order from the surface; where there are none, the whole metres.</param>
public sealed record CastRequest(
    string Separator,
    bool DecimalComma,
    int FirstRow,
    IReadOnlyList<CastColumn> Columns,
    IReadOnlyList<CastTarget> Levels
);

/// <summary>A level to be filled from a logged cast.</summary>
/// <param name="Depth">As it will be written.</param>
/// <param name="DepthM">The same in metres.</param>
public sealed record CastTarget(WrittenLength Depth, decimal DepthM);

/// <summary>What a logged cast gives for one level: the medians of the rows nearest to it.</summary>
/// <param name="Body">The entry that would be written.</param>
/// <param name="DepthM">Its depth, m.</param>
/// <param name="Rows">How many rows it was made from.</param>
public sealed record CastLevel(LevelBody Body, decimal DepthM, int Rows);

/// <summary>What was found in a logged cast.</summary>
/// <param name="Rows">Rows of numbers in the file.</param>
/// <param name="Used">Rows of the way down.</param>
/// <param name="WayUp">True where the file has no way down and the way up was taken.</param>
/// <param name="DeepestM">The deepest row, m; null where none has a depth.</param>
/// <param name="Levels">One for each level that has rows.</param>
/// <param name="Findings">What the reader should know before the levels are written.</param>
public sealed record CastResult(
    int Rows,
    int Used,
    bool WayUp,
    decimal? DeepestM,
    IReadOnlyList<CastLevel> Levels,
    IReadOnlyList<FieldFinding> Findings
);
