namespace UpperStill.Store.Projections;

/// <summary>A visit that a long import brought, or on which one may bear: what it says is still to be worked out.</summary>
public sealed class WaitingVisitRow
{
    /// <summary>The visit.</summary>
    public Guid Visit { get; set; }

    /// <summary>The station's code.</summary>
    public required string Station { get; set; }

    /// <summary>Its day: at each station the earliest are worked out first, since later ones rest on them.</summary>
    public DateOnly Day { get; set; }

    /// <summary>How far the log reached when it was put here: what came later at its station did not know of it.</summary>
    public long Since { get; set; }
}
