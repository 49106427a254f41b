using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Science.Sky;

namespace UpperStill.StandIns.Services;

/// <summary>Made-up harmonic constants of a coast with two tides a day, of nearly three metres at springs; its crest comes later further
/// north.</summary>
public sealed class SimulatedTide : ITideConstants
{
    private const double LagPerDegreeNorth = 24;
    private const double Origin = 51.8;

    /// <inheritdoc/>
    public bool Simulated => true;

    /// <inheritdoc/>
    public TideConstants? At(Position place)
    {
        var lag = (place.LatitudeDeg - Origin) * LagPerDegreeNorth;
        return new TideConstants(
            "simulated coast",
            1.9,
            [
                new(TidalConstituent.M2, 1.05, 152 + lag),
                new(TidalConstituent.S2, 0.36, 190 + lag),
                new(TidalConstituent.N2, 0.21, 131 + lag),
                new(TidalConstituent.K1, 0.09, 128 + (lag / 2)),
                new(TidalConstituent.O1, 0.08, 12 + (lag / 2)),
            ]
        );
    }
}
