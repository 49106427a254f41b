using UpperStill.Core.Application.Reports;
using UpperStill.Core.Application.Trends;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Oxygen;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Tests.Application.Reports;

/// <summary>Each sentence against the numbers that it stands on.</summary>
public sealed class AnnualReportTests
{
    private static readonly SummarySettings Summer = new(6, 9, 4);
    private static readonly double[] Wobble = [0.1, -0.2, 0.15, 0.05, -0.1, 0.2, -0.15, 0, 0.1, -0.05];

    [Fact]
    public void What_was_done()
    {
        var report = AnnualReport.Write(
            new ReportRequest("Pell Tarn", 2022, 9, new DateOnly(2022, 5, 4), new DateOnly(2022, 9, 30), ["Ida", "Noor", "Piers"], [])
        );
        Assert.Equal("Ida, Noor and Piers went out 9 times in 2022, between 4 May and 30 September.", Section(report, "What was done")[0]);
        Assert.Equal(
            "Nobody went out to Pell Tarn in 2022.",
            Section(AnnualReport.Write(new ReportRequest("Pell Tarn", 2022, 0, null, null, [], [])), "What was done")[0]
        );
    }

    [Fact]
    public void How_clear_and_beside_the_other_years()
    {
        var report = Report(Clarity((year, _) => 4 + (0.1 * year)));
        Assert.Equal(
            ["The disc was seen down to 4.9 m, the mean of 4 readings from June to September. It was clearer than in all 9 earlier years."],
            Section(report, "How clear")
        );
        Assert.Equal(
            ["The disc was seen down to 3.1 m, the mean of 4 readings from June to September. No earlier year of 9 was less clear."],
            Section(Report(Clarity((year, _) => 4 - (0.1 * year))), "How clear")
        );
    }

    [Fact]
    public void Too_few_readings_give_no_mean_and_that_is_said() =>
        Assert.Equal(
            ["The disc was read twice between June and September: too few for a mean, which needs 4."],
            Section(Report([.. Clarity((_, _) => 4).Where(p => p.Day.Year < 2022 || p.Day.Month < 8)]), "How clear")
        );

    [Fact]
    public void A_disc_on_the_bottom_is_a_limit_and_no_value()
    {
        var report = Report([.. Clarity((_, _) => 2.4).Select(p => p with { Censored = Censoring.Above })]);
        Assert.Equal(
            [
                "The disc was seen down to > 2.4 m, the median of 4 readings from June to September. 4 times the disc lay on the "
                    + "bottom and was still in sight: the water was clearer than it is deep.",
            ],
            Section(report, "How clear")
        );
        Assert.Equal("Whether the water changes cannot be told: too many values lie beyond what could be read.", report.InShort);
    }

    [Fact]
    public void A_rise_a_fall_and_nothing_to_be_told()
    {
        Assert.StartsWith(
            "The water is getting clearer: ",
            Report(Clarity((year, _) => 4 + (0.1 * year) + Wobble[year])).InShort,
            StringComparison.Ordinal
        );
        Assert.StartsWith(
            "The water is getting murkier: ",
            Report(Clarity((year, _) => 6 - (0.1 * year) + Wobble[year])).InShort,
            StringComparison.Ordinal
        );
        var none = Report(Clarity((year, _) => 4 + (year % 2) + Wobble[year]));
        Assert.Equal("No change could be told from chance; that is not the same as no change.", none.InShort);
        Assert.Contains("which chance explains", Section(none, "Is it changing?")[0], StringComparison.Ordinal);
        Assert.Contains("With this scatter it takes", Section(none, "Is it changing?")[0], StringComparison.Ordinal);
    }

    [Fact]
    public void Months_that_go_different_ways_and_too_few_years()
    {
        Assert.StartsWith(
            "The months go different ways",
            Report(Clarity((year, month) => month <= 7 ? 4 + (0.2 * year) : 7 - (0.2 * year))).InShort,
            StringComparison.Ordinal
        );
        Assert.Equal(
            "It is too early to say whether the water changes.",
            Report([.. Clarity((_, _) => 4).Where(p => p.Day.Year > 2018)]).InShort
        );
    }

    [Fact]
    public void Two_stations_are_told_apart_and_what_moves_stands_before_what_does_not()
    {
        var up = TrendRule.Work(new TrendRequest(Parameter.Clarity, Clarity((year, _) => 4 + (0.1 * year) + Wobble[year]), Summer));
        var still = TrendRule.Work(new TrendRequest(Parameter.Clarity, Clarity((year, _) => 4 + (year % 2)), Summer));
        var report = AnnualReport.Write(
            new ReportRequest(
                "Harrowmere",
                2022,
                8,
                new DateOnly(2022, 6, 1),
                new DateOnly(2022, 9, 1),
                ["Asa"],
                [new("D", "Deep Hole", [up]), new("N", "North Arm", [still])]
            )
        );
        Assert.Equal(
            $"At Deep Hole: {up.Headline} For the rest no change could be told from chance; that is not the same as no change.",
            report.InShort
        );
        Assert.StartsWith("At North Arm the disc was seen down to ", Section(report, "How clear")[1], StringComparison.Ordinal);
    }

    [Fact]
    public void Oxygen_in_plain_words()
    {
        var season = OxygenSeasons
            .Work(
                new OxygenSeasonsRequest([
                    new(new DateOnly(2022, 6, 1), BottomMgL: 5),
                    new(new DateOnly(2022, 8, 1), AnoxicM: 9.24, BottomMgL: 0.3, HypoxicM: 8),
                ])
            )
            .Seasons[0];
        Assert.Equal(
            ["The least oxygen at the bottom was 0.3 mg/L in 2 profiles. At worst there was next to none from 9.2 m down."],
            Section(Report([], season), "Oxygen")
        );
    }

    [Fact]
    public void It_never_names_a_cause()
    {
        var report = Report(Clarity((year, _) => 6 - (0.1 * year) + Wobble[year]));
        string[] words = [report.InShort, .. report.Sections.SelectMany(s => s.Paragraphs)];
        Assert.All(words, w => Assert.DoesNotMatch(@"\b(because|due to|caused|owing|result of)\b", w));
        Assert.Contains("A trend says that something changed. It does not say why.", report.Cautions);
    }

    private static IReadOnlyList<string> Section(ReportResult report, string title) =>
        report.Sections.First(s => s.Title == title).Paragraphs;

    private static ReportResult Report(List<SeriesPoint> clarity, OxygenSeason? oxygen = null) =>
        AnnualReport.Write(
            new ReportRequest(
                "Harrowmere",
                2022,
                4,
                new DateOnly(2022, 6, 15),
                new DateOnly(2022, 9, 15),
                ["Asa"],
                [
                    new ReportStation(
                        "HAR-1",
                        "Deep Hole",
                        clarity.Count == 0 ? [] : [TrendRule.Work(new TrendRequest(Parameter.Clarity, clarity, Summer))],
                        oxygen
                    ),
                ]
            )
        );

    private static List<SeriesPoint> Clarity(Func<int, int, double> value) =>
        [
            .. from i in Enumerable.Range(0, 10)
            from month in Enumerable.Range(6, 4)
            select new SeriesPoint(
                new Guid(i, (short)month, 0, new byte[8]),
                new DateOnly(2013 + i, month, 15),
                (decimal)Math.Round(value(i, month), 4)
            ),
        ];
}
