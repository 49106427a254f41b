using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Setup.Programmes;

/// <summary>Whether a station fits how many a programme has on a water.</summary>
public static class StationsOfWater
{
    private const decimal SquareKilometre = 1_000_000;

    /// <summary>What is to be looked at before a station is kept; nothing that keeps it from being kept.</summary>
    /// <param name="station">The station.</param>
    /// <param name="water">Its water.</param>
    /// <param name="others">The other stations of the group.</param>
    /// <param name="programme">The programme that it follows.</param>
    public static IReadOnlyList<FieldFinding> Findings(Station station, Water water, IReadOnlyList<Station> others, Programme programme)
    {
        ArgumentNullException.ThrowIfNull(station);
        ArgumentNullException.ThrowIfNull(water);
        ArgumentNullException.ThrowIfNull(others);
        ArgumentNullException.ThrowIfNull(programme);
        List<Station> here = [.. others.Where(o => o.WaterCode == station.WaterCode)];
        return programme.ChoiceOf(SeasonOptions.Stations) switch
        {
            "deepest" when here.OrderByDescending(Depth).FirstOrDefault(o => Depth(o) >= Depth(station)) is { } deeper =>
            [
                Finding
                    .Check(
                        "station-not-deepest",
                        $"{deeper.Code} {deeper.Name} is at least as deep.",
                        $"{programme.Name} has one station on a water, at its deepest point.",
                        "Use that one, or say by another programme why there are two."
                    )
                    .At("knownDepth"),
            ],
            "size" when water.Hypsography is { Count: > 0 } areas =>
            [
                Finding
                    .Note(
                        "stations-by-size",
                        $"{here.Count + 1} {(here.Count == 0 ? "station" : "stations")} on "
                            + $"{Decimals.Fixed(areas.Max(a => a.AreaM2) / SquareKilometre, 1)} km².",
                        $"{programme.Name} has more stations on a larger water.",
                        "Look whether each part of it has one."
                    )
                    .At("position"),
            ],
            _ => [],
        };
    }

    private static decimal Depth(Station station) => station.KnownDepth.Read().Length?.Metres ?? 0;
}
