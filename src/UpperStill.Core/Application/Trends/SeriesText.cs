using System.Globalization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Application.Trends;

/// <summary>A pasted series.</summary>
/// <param name="Text">A day, or a year, and a value in each line; &lt; or &gt; before a value that is only a limit.</param>
/// <param name="Dates">The order of the days; null where it is not known.</param>
public sealed record SeriesTextRequest(string Text, DateOrder? Dates = null);

/// <summary>What was read of a pasted series.</summary>
/// <param name="Points">The values, in their order.</param>
/// <param name="Findings">Lines that could not be read.</param>
public sealed record SeriesTextResult(IReadOnlyList<SeriesPoint> Points, IReadOnlyList<Finding> Findings);

/// <summary>Reads a series out of pasted text, line by line; a line that cannot be read is named and left out.</summary>
public static class SeriesText
{
    private const int MostNamed = 10;
    private static readonly char[] Between = [' ', '\t', ';'];

    /// <summary>Reads it.</summary>
    public static SeriesTextResult Read(SeriesTextRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        List<SeriesPoint> points = [];
        List<Finding> findings = [];
        var order = request.Dates ?? WrittenDate.OrderOf(request.Text.Split('\n').Select(l => l.Trim().Split(Between)[0]));
        foreach (var (line, number) in request.Text.Split('\n').Select((l, i) => (l.Trim(), i + 1)).Where(l => l.Item1.Length > 0))
        {
            if (One(line, number, order) is { } point)
            {
                points.Add(point);
            }
            else if (findings.Count < MostNamed)
            {
                findings.Add(
                    Finding.Check(
                        "row-unreadable",
                        $"Line {number}, “{(line.Length > 40 ? line[..40] + "…" : line)}”, is not a day and a value.",
                        "It is left out.",
                        "Write the day as 2013-06-15 or the year alone, then the value."
                    )
                );
            }
        }

        return new SeriesTextResult(points, findings);
    }

    private static SeriesPoint? One(string line, int number, DateOrder? order)
    {
        var parts = line.Split(Between, 2, StringSplitOptions.RemoveEmptyEntries);
        parts = parts.Length == 2 ? parts : line.Split(',', 2);
        if (parts.Length < 2 || DayOf(parts[0].Trim(',', ' '), order) is not { } day)
        {
            return null;
        }

        var written = parts[1].Trim(',', ' ', ';');
        var plain = written.TrimStart('<', '>', ' ');
        return NumberText.Read(plain).Value is { } value
            ? new SeriesPoint(
                new Guid(number, 0, 0, new byte[8]),
                day,
                value,
                written[0] switch
                {
                    '<' => Censoring.Below,
                    '>' => Censoring.Above,
                    _ => Censoring.None,
                }
            )
            : null;
    }

    // A year alone is one value of that year; its middle stands for it.
    private static DateOnly? DayOf(string written, DateOrder? order) =>
        written.Length == 4 && int.TryParse(written, NumberStyles.None, CultureInfo.InvariantCulture, out var year) && year > 1000
            ? new DateOnly(year, 7, 1)
            : WrittenDate.Read(written, order);
}
