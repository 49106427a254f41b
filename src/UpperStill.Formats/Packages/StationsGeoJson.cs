using System.Text;
using System.Text.Json;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Formats.Packages;

/// <summary>Stations as GeoJSON (RFC 7946), in degrees, WGS 84.</summary>
public static class StationsGeoJson
{
    /// <summary>Writes it.</summary>
    public static string Write(IEnumerable<Station> stations)
    {
        ArgumentNullException.ThrowIfNull(stations);
        using var stream = new MemoryStream();
        using (var json = new Utf8JsonWriter(stream))
        {
            json.WriteStartObject();
            json.WriteString("type", "FeatureCollection");
            json.WriteStartArray("features");
            foreach (var station in stations)
            {
                json.WriteStartObject();
                json.WriteString("type", "Feature");
                json.WriteString("id", station.Code);
                json.WriteStartObject("geometry");
                json.WriteString("type", "Point");
                json.WriteStartArray("coordinates");
                json.WriteNumberValue(station.LongitudeDeg);
                json.WriteNumberValue(station.LatitudeDeg);
                json.WriteEndArray();
                json.WriteEndObject();
                json.WriteStartObject("properties");
                json.WriteString("code", station.Code);
                json.WriteString("name", station.Name);
                json.WriteString("water", station.Water);
                json.WriteString("district", station.District);
                json.WriteEndObject();
                json.WriteEndObject();
            }

            json.WriteEndArray();
            json.WriteEndObject();
        }

        return Encoding.UTF8.GetString(stream.ToArray());
    }
}
