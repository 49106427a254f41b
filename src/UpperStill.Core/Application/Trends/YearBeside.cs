using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Application.Trends;

/// <summary>One year of a series beside all the years before it.</summary>
/// <param name="Year">The year.</param>
/// <param name="Text">What stands for it, in words; how many values there are where they are too few.</param>
/// <param name="Count">Values inside the window.</param>
/// <param name="Least">Values that a year needs.</param>
/// <param name="Value">What stands for the year; null where nothing certain does.</param>
/// <param name="Median">Median of the earlier years that are certain; null of fewer than three.</param>
/// <param name="Earlier">How many they are.</param>
/// <param name="Below">How many of them lie below the year.</param>
/// <param name="Words">The comparison in words; null where there is none.</param>
/// <param name="Provisional">True where some of the year waits for review.</param>
public sealed record YearBeside(
    int Year,
    string Text,
    int Count,
    int Least,
    decimal? Value = null,
    decimal? Median = null,
    int Earlier = 0,
    int Below = 0,
    string? Words = null,
    bool Provisional = false
)
{
    private const int LeastEarlier = 3;

    /// <summary>The year beside those before it; null where nothing was read in it.</summary>
    /// <param name="answer">What the series says.</param>
    /// <param name="year">The year.</param>
    /// <param name="native">The unit in which depths were read.</param>
    /// <param name="reader">Unit for the words.</param>
    public static YearBeside? Of(SeriesAnswer answer, int year, LengthUnit native = LengthUnit.Metre, ReaderUnit reader = ReaderUnit.AsRead)
    {
        ArgumentNullException.ThrowIfNull(answer);
        if (answer.Years.FirstOrDefault(y => y.Year == year) is not { Count: > 0 } here)
        {
            return null;
        }

        var text = here.Text ?? $"{here.Count} of {answer.Least}";
        var earlier = answer
            .Years.Where(y => y.Year < year && y is { Value: not null, Censored: Censoring.None })
            .Select(y => y.Value!.Value)
            .ToArray();
        if (here is not { Value: { } value, Censored: Censoring.None } || earlier.Length < LeastEarlier)
        {
            return new YearBeside(
                year,
                text,
                here.Count,
                answer.Least,
                here.Censored == Censoring.None ? here.Value : null,
                Provisional: here.Provisional
            );
        }

        var (median, below) = (Decimals.Median(earlier), earlier.Count(v => v < value));
        return new YearBeside(
            year,
            text,
            here.Count,
            answer.Least,
            value,
            Decimals.Published(median),
            earlier.Length,
            below,
            $"{Show(answer.Subject, median, native, reader)} is the median of {earlier.Length} earlier years; {below} of them lay "
                + "below this one",
            here.Provisional
        );
    }

    private static string Show(Parameter subject, decimal value, LengthUnit native, ReaderUnit reader)
    {
        var words = Subjects.Of(subject);
        return words.Hanging ? LengthText.Show(value, native, reader) : $"{Decimals.Fixed(value, words.Decimals)} {words.Unit}".TrimEnd();
    }
}
