using System.Globalization;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Science.Geodesy;

namespace UpperStill.Core.Science.Sky;

/// <summary>Where and when the sun is asked for.</summary>
/// <param name="LatitudeDeg">North positive, −90–90.</param>
/// <param name="LongitudeDeg">East positive, −180–180.</param>
/// <param name="At">The instant.</param>
public sealed record SunRequest(
    [property: Within(-90, 90, "°")] double LatitudeDeg,
    [property: Within(-180, 180, "°")] double LongitudeDeg,
    DateTimeOffset At
);

/// <summary>The sun over a place.</summary>
/// <param name="AltitudeDeg">Above the horizon, degrees.</param>
/// <param name="AzimuthDeg">Clockwise from north, degrees.</param>
/// <param name="Noon">When it stands highest on that local day, with the instant's offset.</param>
/// <param name="Text">For the reader.</param>
/// <param name="Working">How it came about.</param>
public sealed record SunResult(double AltitudeDeg, double AzimuthDeg, DateTimeOffset Noon, string Text, Working Working);

/// <summary>The sun with its working; see <see cref="Sun"/>.</summary>
public static class SunRule
{
    /// <summary>Below this the glare on the water hides a disc.</summary>
    private const double LowDeg = 30;

    /// <summary>Works it out.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The place is none, or the year is outside 1900–2100.</exception>
    public static SunResult Work(SunRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var place = new Position(request.LatitudeDeg, request.LongitudeDeg);
        if (!Shape.InRange(place))
        {
            throw new ArgumentOutOfRangeException(
                nameof(request),
                $"{PlaceText.Words(place)} is not a position: latitude runs from −90 to 90°, longitude from −180 to 180°."
            );
        }

        if (request.At.Year is < 1900 or > 2100)
        {
            throw new ArgumentOutOfRangeException(
                nameof(request),
                $"{request.At.Year.ToString(CultureInfo.InvariantCulture)} is outside 1900–2100, for which the sun is worked out."
            );
        }

        var sun = Sun.Over(place, request.At);
        var noon = Sun.Noon(place, DateOnly.FromDateTime(request.At.DateTime), request.At.Offset);
        var clock = noon.ToString("HH:mm", CultureInfo.InvariantCulture);
        var text =
            sun.AltitudeDeg < 0
                ? $"below the horizon; highest at {clock}"
                : $"{One(sun.AltitudeDeg)}° high in direction "
                    + $"{Towards(sun.AzimuthDeg)}°{(sun.AltitudeDeg < LowDeg ? ", low for a disc" : string.Empty)}; highest at {clock}";
        return new SunResult(
            Math.Round(sun.AltitudeDeg, 2),
            Math.Round(sun.AzimuthDeg, 2),
            noon,
            text,
            new Working(
                "The sun",
                [
                    new WorkingInput("place", $"{Five(request.LatitudeDeg)}, {Five(request.LongitudeDeg)}"),
                    new WorkingInput("time", request.At.ToString("yyyy-MM-dd HH:mm zzz", CultureInfo.InvariantCulture)),
                ],
                [
                    $"Declination {One(Sun.DeclinationDeg(request.At))}°, equation of time "
                        + $"{One(Sun.EquationOfTimeMinutes(request.At))} min",
                    $"Highest at {clock}: noon by the sun",
                    $"Altitude {One(sun.AltitudeDeg)}° without refraction, azimuth {Towards(sun.AzimuthDeg)}° from north by east",
                ],
                "The shaded side of the boat lies opposite the azimuth. Under 30° the sun is low for reading a disc.",
                "Meeus, Astronomical Algorithms, 2nd ed. 1998, chapters 25 and 28; 0.01° from 1900 to 2100"
            )
        );
    }

    private static string One(double value) => Decimals.Fixed(value, 1);

    // Rounded to a tenth it may be a full circle, which is north.
    private static string Towards(double azimuthDeg) => One(Math.Round(azimuthDeg, 1) % 360);

    private static string Five(double value) => Decimals.Fixed(value, 5);
}
