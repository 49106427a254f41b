using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Entries;

namespace UpperStill.Core.Protocols.Arrival;

/// <summary>Kinds of entry of the head of the sheet.</summary>
public static class ArrivalKinds
{
    /// <summary>Where the boat is.</summary>
    public static readonly EntryKind<FixBody> Fix = new(
        "fix",
        1,
        "A position; the first of a visit is where it anchored, later ones show drift.",
        () => ArrivalJson.Default.FixBody,
        (b, _) =>
            $"Position {Decimals.Text(decimal.Round((decimal)b.LatitudeDeg, 5))}, "
            + $"{Decimals.Text(decimal.Round((decimal)b.LongitudeDeg, 5))}"
            + (b.Source == FixSource.Simulated ? ", simulated" : string.Empty)
    )
    {
        NumbersBeside = Beside.Header,
    };

    /// <summary>Landmarks in line, or not.</summary>
    public static readonly EntryKind<LandmarksBody> Landmarks = new(
        "landmarks",
        1,
        "Whether a transit of the station is in line.",
        () => ArrivalJson.Default.LandmarksBody,
        (b, _) => $"Landmarks {b.Transit + 1} {(b.InLine ? "in line" : "not in line")}"
    )
    {
        NumbersBeside = Beside.Header,
    };

    /// <summary>The head of the sheet.</summary>
    public static readonly EntryKind<ConditionsBody> Conditions = new(
        "conditions",
        2,
        "People, anchor, weather and water of the day; an entry carries only what was answered with it. What an instrument shows is "
            + "a number; what was told without one is a class.",
        () => ArrivalJson.Default.ConditionsBody,
        (b, _) => ArrivalFold.WordsOf(b),
        older: (b, version) => b.OfVersion(version)
    )
    {
        NumbersBeside = Beside.Header,
    };

    /// <summary>All of them.</summary>
    internal static IReadOnlyList<EntryKind> All { get; } = [Fix, Landmarks, Conditions];
}
