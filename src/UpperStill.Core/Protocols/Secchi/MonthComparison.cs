using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.History;

namespace UpperStill.Core.Protocols.Secchi;

/// <summary>A clarity beside the same month of earlier years.</summary>
/// <remarks>Robust limits by the scaled median absolute deviation: Rousseeuw &amp; Croux 1993; 3.5 as the limit: Iglewicz &amp; Hoaglin
/// 1993.</remarks>
internal static class MonthComparison
{
    // Makes the median absolute deviation an estimate of the standard deviation for normal data.
    private const decimal Scale = 1.4826m;

    private static readonly string[] Names =
    [
        "January",
        "February",
        "March",
        "April",
        "May",
        "June",
        "July",
        "August",
        "September",
        "October",
        "November",
        "December",
    ];

    /// <summary>The range of the month's uncensored values; null without any.</summary>
    internal static MonthBand? Band(ClarityRequest request, ReadMarks marks)
    {
        if (request.Day is not { } day)
        {
            return null;
        }

        var values = Values(request, day);
        return values.Length == 0
            ? null
            : new MonthBand(
                day.Month,
                values.Length,
                Decimals.Published(values.Min()),
                Decimals.Published(values.Max()),
                Decimals.Published(Decimals.Median(values)),
                $"{Names[day.Month - 1]} here: {marks.Show(values.Min())} to {marks.Show(values.Max())} in {values.Length} earlier readings"
            );
    }

    /// <summary>The finding for a value far outside the month's scatter, or none.</summary>
    internal static Finding? Unusual(ClarityRequest request, ReadMarks marks, Length reported, MonthBand band)
    {
        var values = Values(request, request.Day!.Value);
        if (values.Length < marks.Limits.UnusualLeastCount)
        {
            return null;
        }

        var median = Decimals.Median(values);
        var deviation = Decimals.Median(values.Select(v => Math.Abs(v - median))) * Scale;

        // Values all alike say nothing about what is usual.
        return deviation > 0 && Math.Abs(reported.Metres - median) > marks.Limits.UnusualMads * deviation
            ? Finding.Check(
                "clarity-unusual",
                $"{marks.Show(reported)}; here in {Names[band.Month - 1]} it is {marks.Show(values.Min())} – {marks.Show(values.Max())}.",
                "Perhaps real, perhaps the line.",
                "Read once more; both are kept."
            ) with
            {
                Beside = Beside.Clarity,
            }
            : null;
    }

    private static decimal[] Values(ClarityRequest request, DateOnly day) =>
        [.. MonthHistory.Of(request.History ?? [], day).Select(p => p.ClarityM)];
}
