using System.Text.Json;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Formats.Shapes;

/// <summary>A water's shape as a file gives it.</summary>
/// <param name="Outline">Closed rings, the outer shore first.</param>
/// <param name="Contours">Lines of equal depth.</param>
/// <param name="Findings">What was wrong, or left aside.</param>
public sealed record WaterShape(
    IReadOnlyList<IReadOnlyList<Position>> Outline,
    IReadOnlyList<DepthContour> Contours,
    IReadOnlyList<FieldFinding> Findings
);

/// <summary>Reads a water's outline and depth contours from GeoJSON (RFC 7946): polygons are the outline, lines with a property
/// <c>depth</c> or <c>depthM</c> are contours.</summary>
public static class GeoJsonShape
{
    /// <summary>Reads a document of at most the server's limit of size.</summary>
    public static async Task<WaterShape> ReadAsync(Stream stream, CancellationToken cancel)
    {
        try
        {
            using var document = await JsonDocument.ParseAsync(stream, cancellationToken: cancel);
            var reading = new Reading();
            reading.Take(document.RootElement, null);
            return reading.Outline.Count > 0 || reading.Contours.Count > 0
                ? new WaterShape(reading.Outline, reading.Contours, reading.Findings)
                : Broken("The file holds no outline and no contour.", "Only polygons, and lines with a depth, are a water’s shape.");
        }
        catch (JsonException e)
        {
            return Broken($"The file breaks off at line {(e.LineNumber ?? 0) + 1}.", "It is not GeoJSON.");
        }
        catch (InvalidOperationException)
        {
            return Broken("A coordinate in the file is not a number.", "A shape with a hole in it cannot be drawn.");
        }
    }

    private static WaterShape Broken(string seen, string why) =>
        new([], [], [Finding.Stop("outline-file", seen, why, "Export the outline as GeoJSON again, in degrees (WGS 84).").At("outline")]);

    private sealed class Reading
    {
        private int passedOver;

        internal List<IReadOnlyList<Position>> Outline { get; } = [];

        internal List<DepthContour> Contours { get; } = [];

        internal IReadOnlyList<FieldFinding> Findings =>
            passedOver == 0
                ? []
                :
                [
                    Finding
                        .Note(
                            "outline-left-aside",
                            $"{passedOver} {(passedOver == 1 ? "thing was" : "things were")} left aside.",
                            "Points, and lines without a depth, are not part of a shape.",
                            "Give each contour a property depth in metres if it was meant as one."
                        )
                        .At("outline"),
                ];

        internal void Take(JsonElement element, decimal? depthM)
        {
            if (element.ValueKind != JsonValueKind.Object)
            {
                passedOver++;
                return;
            }

            switch (element.TryGetProperty("type", out var type) ? type.GetString() : null)
            {
                case "FeatureCollection":
                    Each(element, "features", e => Take(e, null));
                    break;
                case "GeometryCollection":
                    Each(element, "geometries", e => Take(e, depthM));
                    break;
                case "Feature" when element.TryGetProperty("geometry", out var geometry):
                    Take(geometry, DepthOf(element));
                    break;
                case "Polygon":
                    Each(element, "coordinates", ring => Outline.Add(Line(ring)));
                    break;
                case "MultiPolygon":
                    Each(element, "coordinates", polygon => Outline.AddRange(polygon.EnumerateArray().Select(Line)));
                    break;
                case "LineString" when depthM is { } depth:
                    Contours.Add(new DepthContour(depth, Line(element.GetProperty("coordinates"))));
                    break;
                case "MultiLineString" when depthM is { } depth:
                    Each(element, "coordinates", line => Contours.Add(new DepthContour(depth, Line(line))));
                    break;
                default:
                    passedOver++;
                    break;
            }
        }

        private static void Each(JsonElement element, string name, Action<JsonElement> take)
        {
            if (element.TryGetProperty(name, out var list) && list.ValueKind == JsonValueKind.Array)
            {
                foreach (var item in list.EnumerateArray())
                {
                    take(item);
                }
            }
        }

        private static decimal? DepthOf(JsonElement feature) =>
            feature.TryGetProperty("properties", out var properties)
            && properties.ValueKind == JsonValueKind.Object
            && (properties.TryGetProperty("depth", out var depth) || properties.TryGetProperty("depthM", out depth))
            && depth.ValueKind == JsonValueKind.Number
            && depth.TryGetDecimal(out var metres)
                ? metres
                : null;

        // GeoJSON puts longitude first; a third number is an altitude.
        private static List<Position> Line(JsonElement coordinates) =>
            [
                .. coordinates
                    .EnumerateArray()
                    .Select(c =>
                        c.GetArrayLength() >= 2
                            ? new Position(c[1].GetDouble(), c[0].GetDouble())
                            : throw new InvalidOperationException("A position has two numbers.")
                    ),
            ];
    }
}
