using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Record.History;

/// <summary>One clarity of a station's record.</summary>
/// <param name="Visit">The visit.</param>
/// <param name="Date">Local day.</param>
/// <param name="ClarityM">Reported clarity, m; the sounding where censored.</param>
/// <param name="Censored">True where the disc was seen on the bottom.</param>
/// <param name="Usable">False where a stop stands open: kept out of the summary.</param>
/// <param name="Text">As reported, in its own unit.</param>
/// <param name="Method">How it was read; null where nobody said.</param>
/// <param name="SignedOff">True once a reviewer vouches for it.</param>
public sealed record ClarityPoint(
    Guid Visit,
    DateOnly Date,
    [property: Within(0, 100, "m")] decimal ClarityM,
    bool Censored,
    bool Usable,
    string? Text = null,
    string? Method = null,
    bool SignedOff = false
);
