using System.Globalization;
using CsvHelper;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Custody;

namespace UpperStill.Formats.Manifests;

/// <summary>A manifest as a file for the laboratory: RFC 4180, UTF-8, one sample a row.</summary>
public static class ManifestCsv
{
    private static readonly string[] Heads =
    [
        "Sample number",
        "Water",
        "District",
        "Station",
        "Date",
        "Collected",
        "Depth",
        "Measure",
        "Container",
        "Volume filtered mL",
        "Replicate of",
        "Kept",
    ];

    /// <summary>Writes it.</summary>
    /// <param name="samples">The samples.</param>
    public static string Write(IEnumerable<LedgerSample> samples)
    {
        ArgumentNullException.ThrowIfNull(samples);
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        using (var csv = new CsvWriter(text, CultureInfo.InvariantCulture))
        {
            foreach (var head in Heads)
            {
                csv.WriteField(head);
            }

            csv.NextRecord();
            foreach (var sample in samples)
            {
                string?[] fields =
                [
                    sample.Number,
                    sample.Water,
                    sample.District,
                    sample.Station,
                    sample.Day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture),
                    sample.CollectedAt?.ToString("yyyy-MM-dd'T'HH:mmzzz", CultureInfo.InvariantCulture),
                    sample.Depth,
                    sample.Measures,
                    sample.Container,
                    sample.VolumeMl is { } ml ? Decimals.Text(ml) : null,
                    sample.Kin == SampleKin.Replicate ? sample.Of
                    : sample.Kin == SampleKin.Blank ? "BLANK"
                    : null,
                    sample.Keep.ToString().ToLowerInvariant(),
                ];
                foreach (var field in fields)
                {
                    csv.WriteField(SpreadsheetText.Harmless(field));
                }

                csv.NextRecord();
            }
        }

        return text.ToString();
    }
}
