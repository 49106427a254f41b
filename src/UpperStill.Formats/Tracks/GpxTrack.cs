using System.Globalization;
using System.Xml;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Formats.Tracks;

/// <summary>Reads soundings from GPX 1.1 (topografix.com/GPX/1/1): track, route and way points, each with a depth in an element
/// <c>depth</c> (m, downward positive) or, where that is missing, an elevation below zero.</summary>
public static class GpxTrack
{
    private const int MostPoints = 200_000;

    private static readonly XmlReaderSettings Settings = new()
    {
        DtdProcessing = DtdProcessing.Prohibit,
        XmlResolver = null,
        IgnoreComments = true,
        IgnoreWhitespace = true,
    };

    /// <summary>Reads a stream point by point; nothing in it is fetched or run.</summary>
    /// <returns>The points, or what is wrong with the file and where.</returns>
    public static (IReadOnlyList<ScoutPoint> Points, FieldFinding? Fault) Read(Stream stream)
    {
        List<ScoutPoint> points = [];
        using var reader = XmlReader.Create(stream, Settings);
        try
        {
            double? latitude = null,
                longitude = null,
                elevation = null,
                depth = null;
            while (reader.Read())
            {
                if (
                    reader.NodeType == XmlNodeType.Element
                    && reader.LocalName is "trkpt" or "rtept" or "wpt"
                    && reader.NodeType == XmlNodeType.Element
                )
                {
                    (latitude, longitude, elevation, depth) = (
                        Number(reader.GetAttribute("lat")),
                        Number(reader.GetAttribute("lon")),
                        null,
                        null
                    );
                    if (reader.IsEmptyElement)
                    {
                        Add();
                    }
                }
                else if (reader is { NodeType: XmlNodeType.Element, LocalName: "ele" or "depth", IsEmptyElement: false })
                {
                    var name = reader.LocalName;
                    reader.Read();
                    var value = reader.NodeType == XmlNodeType.Text ? Number(reader.Value) : null;
                    (elevation, depth) = name == "ele" ? (value, depth) : (elevation, value);
                }
                else if (reader is { NodeType: XmlNodeType.EndElement, LocalName: "trkpt" or "rtept" or "wpt" })
                {
                    Add();
                }

                if (points.Count > MostPoints)
                {
                    return (
                        [],
                        Fault(
                            reader,
                            $"The track has more than {MostPoints} points.",
                            "Nobody could look at it on a map.",
                            "Send the part that crosses the basin."
                        )
                    );
                }
            }

            void Add()
            {
                if (latitude is { } lat && longitude is { } lon)
                {
                    var below = depth ?? (elevation < 0 ? -elevation : null);
                    points.Add(new ScoutPoint(lat, lon, below is > 0 and < 12_000 ? (decimal)below.Value : null));
                }

                (latitude, longitude) = (null, null);
            }
        }
        catch (XmlException e)
        {
            return (
                [],
                Finding
                    .Stop(
                        "track-file",
                        $"The file breaks off at line {Math.Max(1, e.LineNumber)}.",
                        e.Message,
                        "Export the track as GPX again."
                    )
                    .At("track")
            );
        }

        return points.Count > 0
            ? (points, null)
            : (
                [],
                Finding
                    .Stop(
                        "track-empty",
                        "The file has no points.",
                        "It may hold a map or a log of something else.",
                        "Export the track itself as GPX."
                    )
                    .At("track")
            );
    }

    private static FieldFinding Fault(XmlReader reader, string seen, string why, string act) =>
        Finding.Stop("track-file", reader is IXmlLineInfo info ? $"{seen} (line {info.LineNumber})" : seen, why, act).At("track");

    private static double? Number(string? text) =>
        double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var value) && double.IsFinite(value) ? value : null;
}
