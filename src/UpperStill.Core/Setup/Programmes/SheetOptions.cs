namespace UpperStill.Core.Setup.Programmes;

/// <summary>What a programme may choose of its paper sheet.</summary>
public static class SheetOptions
{
    /// <summary>Clock.</summary>
    public static readonly Method Clock = Method.Of(
        MethodGroup.Visit,
        "visit.clock",
        "Clock",
        "The half of the day follows from it: never ask twice.",
        ["24h: 24 h", "half-day: 24 h and an a.m./p.m. box"]
    );

    /// <summary>True where the sheet has a box for the half of the day.</summary>
    public static bool AsksHalf(this Programme programme)
    {
        ArgumentNullException.ThrowIfNull(programme);
        return programme.Chooses(Clock, "half-day");
    }
}
