using System.Globalization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Science.Geodesy;

namespace UpperStill.Core.Setup.Waters;

/// <summary>One sounding of a scouting track.</summary>
/// <param name="LatitudeDeg">Decimal degrees.</param>
/// <param name="LongitudeDeg">Decimal degrees.</param>
/// <param name="DepthM">m; null where the track has no depth there.</param>
public sealed record ScoutPoint(double LatitudeDeg, double LongitudeDeg, decimal? DepthM);

/// <summary>A scouting track.</summary>
/// <param name="Points">Its soundings in order.</param>
public sealed record ScoutRequest(IReadOnlyList<ScoutPoint> Points);

/// <summary>The deepest place that a track has seen.</summary>
/// <param name="Findings">What stands in its way, or weakens it.</param>
/// <param name="Deepest">The place; null where the track has none.</param>
/// <param name="Soundings">How many soundings were looked at.</param>
public sealed record ScoutResult(IReadOnlyList<FieldFinding> Findings, ScoutPoint? Deepest, int Soundings);

/// <summary>Proposes a station from a track of soundings: the deepest point seen.</summary>
public static class ScoutTrack
{
    private const int FewSoundings = 20;

    /// <summary>The deepest sounding, the first of equal ones; a lone spike is passed over.</summary>
    public static ScoutResult Work(ScoutRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var sounded = request.Points.Where(p => p.DepthM is > 0 && Shape.InRange(new Position(p.LatitudeDeg, p.LongitudeDeg))).ToList();
        if (sounded.Count == 0)
        {
            return new ScoutResult(
                [
                    Finding
                        .Stop(
                            "track-empty",
                            request.Points.Count == 0
                                ? "The track has no points."
                                : $"None of the {request.Points.Count} points has a depth.",
                            "The deepest place cannot be seen from it.",
                            "Record the finder’s depth with the track, or type the soundings."
                        )
                        .At("track"),
                ],
                null,
                0
            );
        }

        List<FieldFinding> findings = [];
        var steady = sounded.Where((p, i) => !Spike(sounded, i)).ToList();
        if (steady.Count < sounded.Count)
        {
            var spikes = sounded.Count - steady.Count;
            findings.Add(
                Finding
                    .Check(
                        "track-spikes",
                        $"{spikes} {(spikes == 1 ? "sounding is" : "soundings are")} twice as deep as the ones before and after.",
                        "A finder doubles the depth when its echo comes twice.",
                        "They are left out; go back and sound there with a line if you think they are real."
                    )
                    .At("track")
            );
        }

        if (sounded.Count < FewSoundings)
        {
            findings.Add(
                Finding
                    .Note(
                        "track-short",
                        $"{sounded.Count} soundings.",
                        "The deepest place may lie between them.",
                        "Cross the basin in two directions if there is time."
                    )
                    .At("track")
            );
        }

        return new ScoutResult(findings, (steady.Count > 0 ? steady : sounded).MaxBy(p => p.DepthM), sounded.Count);
    }

    /// <summary>Reads soundings as people type them: latitude, longitude and depth in metres, one a line.</summary>
    public static ScoutResult Read(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        List<ScoutPoint> points = [];
        var number = 0;
        foreach (var line in text.Split('\n'))
        {
            number++;
            var parts = line.Split([' ', '\t', ',', ';', '\r'], StringSplitOptions.RemoveEmptyEntries);
            if (parts.Length == 0)
            {
                continue;
            }

            if (
                parts.Length != 3
                || !Number(parts[0], out var latitude)
                || !Number(parts[1], out var longitude)
                || !decimal.TryParse(parts[2], NumberStyles.Number, CultureInfo.InvariantCulture, out var depth)
            )
            {
                return new ScoutResult(
                    [
                        Finding
                            .Stop(
                                "track-line",
                                $"Line {number} is “{line.Trim()}”.",
                                "It is not a latitude, a longitude and a depth.",
                                "Write three numbers with points, for example 51.9127 -21.4419 30.8."
                            )
                            .At("track"),
                    ],
                    null,
                    0
                );
            }

            points.Add(new ScoutPoint(latitude, longitude, depth));
        }

        return Work(new ScoutRequest(points));
    }

    private static bool Spike(List<ScoutPoint> points, int i) =>
        i > 0 && i < points.Count - 1 && points[i].DepthM > 1.8m * points[i - 1].DepthM && points[i].DepthM > 1.8m * points[i + 1].DepthM;

    private static bool Number(string text, out double value) =>
        double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out value) && double.IsFinite(value);
}
