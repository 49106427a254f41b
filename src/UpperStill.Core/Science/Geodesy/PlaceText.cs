using System.Globalization;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Science.Geodesy;

/// <summary>Positions, distances and directions for the reader.</summary>
internal static class PlaceText
{
    private static readonly string[] Winds = ["N", "NE", "E", "SE", "S", "SW", "W", "NW"];

    /// <summary>A distance for the reader: whole metres, kilometres from one on.</summary>
    internal static string Distance(decimal metres) =>
        metres < 1000 ? $"{Decimals.Fixed(metres, 0)} m" : $"{Decimals.Fixed(metres / 1000, 1)} km";

    /// <summary>The eight winds: 44° is NE.</summary>
    internal static string Towards(double bearingDeg) => Winds[(int)Math.Round(bearingDeg / 45) % 8];

    /// <summary>Latitude and longitude in degrees, to about a metre.</summary>
    internal static string Words(Position at) =>
        string.Create(CultureInfo.InvariantCulture, $"{Math.Round(at.LatitudeDeg, 5)}, {Math.Round(at.LongitudeDeg, 5)}");
}
