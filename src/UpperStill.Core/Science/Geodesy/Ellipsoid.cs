namespace UpperStill.Core.Science.Geodesy;

/// <summary>Distances and bearings on the WGS 84 ellipsoid.</summary>
/// <remarks>Vincenty, Survey Review 23 (176), 1975: to the millimetre up to 1 000 km and far beyond. Nearly opposite points, to which no
/// line of sight leads, are worked on the sphere.</remarks>
public static class Ellipsoid
{
    private const double Equatorial = 6_378_137;
    private const double Flattening = 1 / 298.257223563;
    private const double Polar = Equatorial * (1 - Flattening);
    private const double Settled = 1e-12;
    private const int MostRounds = 100;

    /// <summary>From one position to another: the length of the shortest line, m, and the direction in which it sets out, radians clockwise
    /// from true north.</summary>
    public static (double DistanceM, double AzimuthRad) Between(Position from, Position to)
    {
        var (sinU1, cosU1) = Reduced(from.LatitudeDeg);
        var (sinU2, cosU2) = Reduced(to.LatitudeDeg);
        var apart = Shape.Radians(Shape.Wrapped(to.LongitudeDeg - from.LongitudeDeg));
        var lambda = apart;
        for (var round = 0; round < MostRounds; round++)
        {
            var (sinLambda, cosLambda) = Math.SinCos(lambda);
            var (across, along) = (cosU2 * sinLambda, (cosU1 * sinU2) - (sinU1 * cosU2 * cosLambda));
            var sinSigma = Math.Sqrt((across * across) + (along * along));
            if (sinSigma == 0)
            {
                return (0, 0);
            }

            var cosSigma = (sinU1 * sinU2) + (cosU1 * cosU2 * cosLambda);
            var sigma = Math.Atan2(sinSigma, cosSigma);
            var sinAlpha = cosU1 * cosU2 * sinLambda / sinSigma;
            var cosSquareAlpha = 1 - (sinAlpha * sinAlpha);
            var cos2Mid = cosSquareAlpha == 0 ? 0 : cosSigma - (2 * sinU1 * sinU2 / cosSquareAlpha);
            var c = Flattening / 16 * cosSquareAlpha * (4 + (Flattening * (4 - (3 * cosSquareAlpha))));
            var next =
                apart
                + (
                    (1 - c) * Flattening * sinAlpha * (sigma + (c * sinSigma * (cos2Mid + (c * cosSigma * (-1 + (2 * cos2Mid * cos2Mid))))))
                );
            if (Math.Abs(next - lambda) < Settled)
            {
                var (a, b) = Series(cosSquareAlpha);
                return (Polar * a * (sigma - Bend(b, sinSigma, cosSigma, cos2Mid)), Math.Atan2(across, along));
            }

            lambda = next;
        }

        return (Shape.DistanceM(from, to), Math.Atan2(cosU2 * Math.Sin(apart), (cosU1 * sinU2) - (sinU1 * cosU2 * Math.Cos(apart))));
    }

    /// <summary>Where one comes to, setting out in a direction.</summary>
    public static Position From(Position start, double azimuthRad, double distanceM)
    {
        var (sinU1, cosU1) = Reduced(start.LatitudeDeg);
        var (sinAzimuth, cosAzimuth) = Math.SinCos(azimuthRad);
        var sigma1 = Math.Atan2(sinU1 / cosU1, cosAzimuth);
        var sinAlpha = cosU1 * sinAzimuth;
        var cosSquareAlpha = 1 - (sinAlpha * sinAlpha);
        var (a, b) = Series(cosSquareAlpha);
        var sigma = distanceM / (Polar * a);
        double sinSigma,
            cosSigma,
            cos2Mid,
            last;
        do
        {
            cos2Mid = Math.Cos((2 * sigma1) + sigma);
            (sinSigma, cosSigma) = Math.SinCos(sigma);
            last = sigma;
            sigma = (distanceM / (Polar * a)) + Bend(b, sinSigma, cosSigma, cos2Mid);
        } while (Math.Abs(sigma - last) > Settled);

        (sinSigma, cosSigma) = Math.SinCos(sigma);
        cos2Mid = Math.Cos((2 * sigma1) + sigma);
        var across = (sinU1 * sinSigma) - (cosU1 * cosSigma * cosAzimuth);
        var latitude = Math.Atan2(
            (sinU1 * cosSigma) + (cosU1 * sinSigma * cosAzimuth),
            (1 - Flattening) * Math.Sqrt((sinAlpha * sinAlpha) + (across * across))
        );
        var lambda = Math.Atan2(sinSigma * sinAzimuth, (cosU1 * cosSigma) - (sinU1 * sinSigma * cosAzimuth));
        var c = Flattening / 16 * cosSquareAlpha * (4 + (Flattening * (4 - (3 * cosSquareAlpha))));
        var apart =
            lambda
            - ((1 - c) * Flattening * sinAlpha * (sigma + (c * sinSigma * (cos2Mid + (c * cosSigma * (-1 + (2 * cos2Mid * cos2Mid)))))));
        return new Position(Shape.Degrees(latitude), Shape.Wrapped(start.LongitudeDeg + Shape.Degrees(apart)));
    }

    private static (double Sin, double Cos) Reduced(double latitudeDeg)
    {
        var tan = (1 - Flattening) * Math.Tan(Shape.Radians(latitudeDeg));
        var cos = 1 / Math.Sqrt(1 + (tan * tan));
        return (tan * cos, cos);
    }

    private static (double A, double B) Series(double cosSquareAlpha)
    {
        var square = cosSquareAlpha * ((Equatorial * Equatorial) - (Polar * Polar)) / (Polar * Polar);
        return (
            1 + (square / 16_384 * (4_096 + (square * (-768 + (square * (320 - (175 * square))))))),
            square / 1_024 * (256 + (square * (-128 + (square * (74 - (47 * square))))))
        );
    }

    private static double Bend(double b, double sinSigma, double cosSigma, double cos2Mid) =>
        b
        * sinSigma
        * (
            cos2Mid
            + (
                b
                / 4
                * (
                    (cosSigma * (-1 + (2 * cos2Mid * cos2Mid)))
                    - (b / 6 * cos2Mid * (-3 + (4 * sinSigma * sinSigma)) * (-3 + (4 * cos2Mid * cos2Mid)))
                )
            )
        );
}
