using System.Globalization;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;

namespace UpperStill.Core.Application.Trends;

/// <summary>The working of a trend.</summary>
internal static class TrendWorking
{
    private const string AnnualSource =
        "Mann 1945, Econometrica 13, 245–259; Kendall 1975, Rank Correlation Methods, 4th ed.; Sen 1968, J. Am. Stat. Assoc. 63, "
        + "1379–1389; limits by rank, Gilbert 1987";

    private const string SeasonalSource =
        "Hirsch, Slack & Smith 1982, Water Resour. Res. 18, 107–121; Hirsch & Slack 1984, Water Resour. Res. 20, 727–732; van Belle "
        + "& Hughes 1984, Water Resour. Res. 20, 127–136";

    // Of the normal distribution, both sides 5 %.
    private const double Normal975 = 1.959964;

    internal static Working? Of(
        TestNumbers? test,
        TestNumbers? annual,
        IReadOnlyList<YearSummary> years,
        AnnualStatistic statistic,
        TrendWords words
    )
    {
        if (test is null)
        {
            return null;
        }

        // What a step goes on with stands as it is printed.
        var variance = Math.Round(test.Variance, 4);
        var inputs = years.Select(y => new WorkingInput(y.Name, y.Text)).ToList();
        List<string> steps =
            test.Test == TrendTest.Annual
                ? [$"S = rising less falling pairs of {test.Count} years = {test.S}"]
                :
                [
                    "S, month by month within its own years: "
                        + $"{string.Join(", ", (test.Seasons ?? []).Select(s => $"{Month(s.Month)} Z {Number(s.Z, 2)}"))}",
                    $"Sum of S = {test.S}",
                ];
        steps.Add(
            $"Variance of S{(test is { Test: TrendTest.Seasonal, Years: >= 10 } ? ", months taken together" : string.Empty)} = "
                + $"{Number(variance, 4)}"
        );
        steps.Add(
            test.S == 0 || variance <= 0
                ? $"Z = 0; p, both sides, {TrendWords.P(test.P)}"
                : $"Z = (S ∓ 1) / √variance = ({test.S} {(test.S > 0 ? "−" : "+")} 1) / √{Number(variance, 4)} = "
                    + $"{Number((test.S - Math.Sign(test.S)) / Math.Sqrt(variance), 3)}; p, both sides, {TrendWords.P(test.P)}"
        );
        if (test.Pairs > 0)
        {
            steps.Add($"Tau = S / pairs = {test.S} / {test.Pairs} = {Number(test.S / (double)test.Pairs, 3)}");
        }

        if (test.CertainShare < 1)
        {
            steps.Add(
                $"Order certain in {Number(100 * test.CertainShare, 0)} % of the pairs; the others count as neither rising nor falling"
            );
        }

        if (test.PerDecade is { } slope)
        {
            steps.Add($"Slope = median of the N′ = {test.Slopes} pairwise slopes = {words.Signed(slope)} per decade");
            var spread = Math.Round(Math.Pow(test.HalfWidth / Normal975, 2), 4);
            var c = Math.Round(Normal975 * Math.Sqrt(spread), 2);
            steps.Add(
                $"C = 1.959964 √variance{(test.CertainShare < 1 ? " of the values that are not censored" : string.Empty)} = "
                    + $"1.959964 × √{Number(spread, 4)} = {Number(c, 2)}"
            );
            steps.Add(
                $"Ranks (N′ − C)/2 = ({test.Slopes} − {Number(c, 2)}) / 2 = {Number((test.Slopes - c) / 2, 3)} and (N′ + C)/2 + 1 = "
                    + $"({test.Slopes} + {Number(c, 2)}) / 2 + 1 = {Number(((test.Slopes + c) / 2) + 1, 3)}"
            );
            steps.Add(
                test is { LowPerDecade: { } low, HighPerDecade: { } high }
                    ? $"95 % limits, the slopes at these ranks: {words.Signed(low)} to {words.Signed(high)} per decade"
                    : "Too few slopes for 95 % limits"
            );
        }

        if (test is { HeterogeneityP: { } apart, HeterogeneityChiSquare: { } square })
        {
            steps.Add(
                $"Do the months agree? χ² = ΣZ² − m Z̄² = {Number(square, 2)} with {(test.Seasons?.Count ?? 0) - 1} degrees of "
                    + $"freedom, p {TrendWords.P(apart)}"
            );
        }

        if (test.Test == TrendTest.Seasonal && annual is not null)
        {
            steps.Add($"Beside it, one value a year: p {TrendWords.P(annual.P)}");
        }

        var value = statistic.Words();
        return new Working(
            "Trend",
            inputs,
            steps,
            test.Test == TrendTest.Annual
                ? $"One {value} a year, of years with enough values. A pair counts only where its order is certain; slopes rest on "
                    + "values that are not censored."
                : "Each month is held against the same month of other years; from ten years on, that months of one year resemble "
                    + "each other is allowed for.",
            test.Test == TrendTest.Annual ? AnnualSource : SeasonalSource
        );
    }

    private static string Month(int month) => CultureInfo.InvariantCulture.DateTimeFormat.GetAbbreviatedMonthName(month);

    private static string Number(double value, int decimals) => Decimals.Fixed(value, decimals);
}
