using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Geodesy;

namespace UpperStill.Core.Science.Sky;

/// <summary>The five constituents that carry most of a tide.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<TidalConstituent>))]
public enum TidalConstituent
{
    /// <summary>Moon, twice a day: 28.9841042°/h.</summary>
    M2,

    /// <summary>Sun, twice a day: 30°/h.</summary>
    S2,

    /// <summary>The moon's distance, twice a day: 28.4397295°/h.</summary>
    N2,

    /// <summary>Moon and sun, once a day: 15.0410686°/h.</summary>
    K1,

    /// <summary>Moon, once a day: 13.9430356°/h.</summary>
    O1,
}

/// <summary>One constituent at a place.</summary>
/// <param name="Constituent">Which.</param>
/// <param name="AmplitudeM">Half its range, m.</param>
/// <param name="PhaseLagDeg">By which it lags behind the equilibrium tide at Greenwich, degrees (g of the tables).</param>
public sealed record TideHarmonic(
    TidalConstituent Constituent,
    [property: Within(0, 20, "m")] double AmplitudeM,
    [property: Within(-360, 360, "°")] double PhaseLagDeg
);

/// <summary>The tide at a place.</summary>
/// <param name="Name">The place the constants belong to.</param>
/// <param name="MeanLevelM">Mean level above the datum of the depths, m.</param>
/// <param name="Harmonics">Its constituents.</param>
public sealed record TideConstants(string Name, double MeanLevelM, IReadOnlyList<TideHarmonic> Harmonics);

/// <summary>Harmonic constants of places.</summary>
public interface ITideConstants
{
    /// <summary>True where the constants are made up and must be marked so on the screen.</summary>
    bool Simulated { get; }

    /// <summary>The constants that hold at a place; null where there is no tide, or none is known.</summary>
    TideConstants? At(Position place);
}
