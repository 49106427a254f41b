using CsCheck;
using UpperStill.Core.Application.Trends;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Tests.Application.Trends;

/// <summary>The sentences against the numbers they stand on.</summary>
public sealed class TrendRuleTests
{
    private static readonly SummarySettings Summer = new(6, 9, 4);
    private static readonly double[] Wobble = [0.1, -0.2, 0.15, 0.05, -0.1, 0.2, -0.15, 0, 0.1, -0.05, 0.12, -0.18, 0.07, -0.02];

    [Fact]
    public void A_rise_that_chance_does_not_explain()
    {
        var result = Trend(Years(14, (year, _) => 4 + (0.08 * year) + Wobble[year]));
        Assert.Equal((TrendVerdict.Rising, "The water is getting clearer: 0.76 m more each decade."), (result.Verdict, result.Headline));
        Assert.Equal(0.7625, result.Annual!.PerDecade!.Value, 9); // the median of the 91 slopes, worked outside of this code
        Assert.Contains(
            $"(p {(result.Annual.P < 0.0001 ? "< 0.0001" : $"= {result.Annual.P:0.0000}")})",
            result.Detail,
            StringComparison.Ordinal
        );
        Assert.StartsWith(
            $"Between {result.Annual.LowPerDecade:0.00} and {result.Annual.HighPerDecade:0.00} m with 95 % confidence; unlikely to be chance",
            result.Detail,
            StringComparison.Ordinal
        );
        Assert.EndsWith("Fourteen years, 2013 to 2026, June to September.", result.Detail, StringComparison.Ordinal);
    }

    [Fact]
    public void A_fall()
    {
        var result = Trend(Years(14, (year, _) => 6 - (0.08 * year) + Wobble[year]));
        Assert.Equal(
            (TrendVerdict.Falling, "The water is getting murkier: 0.84 m less clear each decade."),
            (result.Verdict, result.Headline)
        );
    }

    [Fact]
    public void Nothing_that_could_be_told_from_chance_and_how_long_it_would_take()
    {
        var result = Trend(Years(10, (year, _) => 4 + (year % 2 == 0 ? 0.5 : -0.5) + Wobble[year]));
        Assert.Equal((TrendVerdict.None, "No change in clarity that could be told from chance."), (result.Verdict, result.Headline));
        Assert.Contains("which chance explains", result.Detail, StringComparison.Ordinal);
        Assert.True(result.WouldKnow!.Years > 10);
        var (from, until) = (result.WouldKnow.YearsFrom!.Value, result.WouldKnow.YearsUntil!.Value);
        Assert.InRange(result.WouldKnow.Years!.Value, from, until);
        Assert.Equal(
            $"With this scatter it takes {from} to {until} years to see a change of 0.50 m per decade. You have 10: {from - 10} to "
                + $"{until - 10} more.",
            result.WouldKnow.Text
        );
    }

    [Theory]
    [InlineData(0, "Nothing on clarity yet that a trend could rest on.")]
    [InlineData(1, "Too early to say whether clarity changes.")]
    [InlineData(2, "Too early to say whether clarity changes.")]
    [InlineData(7, "Too early to say whether clarity changes.")]
    public void Too_few_years_give_points_and_no_test(int years, string headline)
    {
        var result = Trend(Years(years, (year, _) => 4 + year));
        Assert.Equal((TrendVerdict.TooFew, headline, (TestNumbers?)null), (result.Verdict, result.Headline, result.Annual));
        Assert.EndsWith("a trend needs 8.", result.Detail, StringComparison.Ordinal);
        Assert.Equal(years * 4, result.Points.Count);
    }

    [Fact]
    public void Months_that_go_different_ways_have_no_one_trend()
    {
        var result = Trend(Years(14, (year, month) => month <= 7 ? 4 + (0.2 * year) : 7 - (0.2 * year)));
        Assert.Equal(TrendVerdict.Mixed, result.Verdict);
        Assert.StartsWith("The months go different ways", result.Headline, StringComparison.Ordinal);
        Assert.StartsWith(
            "June and July rising, August and September falling; they differ by more than chance allows.",
            result.Detail,
            StringComparison.Ordinal
        );
        Assert.Null(result.Line);
        Assert.True(result.Seasonal!.HeterogeneityP < 0.05);
    }

    [Fact]
    public void A_disc_on_the_bottom_year_after_year_hides_what_the_water_does()
    {
        var result = Trend([.. Years(14, (_, _) => 2.4).Select(p => p with { Censored = Censoring.Above })]);
        Assert.Equal(
            (TrendVerdict.Censored, "Whether clarity changes cannot be told: too many values lie beyond a limit."),
            (result.Verdict, result.Headline)
        );
        Assert.Contains("In 56 of 56 readings the disc lay on the bottom: the water was clearer than it is deep.", result.HeldBack);
        Assert.Contains(result.Findings, f => f.Code == "slope-censored");
        Assert.Null(result.Annual!.PerDecade);
        Assert.All(result.Years, y => Assert.Equal((null, null, Censoring.Above), (y.Mean, y.Median, y.Censored)));
    }

    [Fact]
    public void Some_on_the_bottom_leave_the_median_as_it_is()
    {
        var result = Trend([
            .. Years(9, (year, _) => 2 + (0.02 * year))
                .Select(p => p.Day.Month == 6 ? p with { Value = 2.5m, Censored = Censoring.Above } : p),
        ]);
        Assert.Equal(AnnualStatistic.Median, result.Statistic);
        Assert.All(result.Years, y => Assert.Equal((null, Censoring.None), (y.Mean, y.Censored)));
        Assert.Equal(0.2, result.Annual!.PerDecade!.Value, 6);
        Assert.Contains(result.Findings, f => f.Code == "slope-censored"); // a quarter of them
    }

    [Fact]
    public void A_year_without_enough_values_has_no_mean_and_that_is_said()
    {
        var result = Trend([.. Years(9, (year, _) => 4 + year).Where(p => p.Day.Year != 2018 || p.Day.Month != 8)]);
        Assert.Equal(("not enough (3 of 4)", null, false), (result.Years[5].Text, result.Years[5].Mean, result.Years[5].Enough));
        Assert.Contains("2018 has 3 of 4: no mean.", result.HeldBack);
        Assert.Equal(8, result.Annual!.Years);
    }

    [Fact]
    public void What_nobody_signed_off_stays_out_unless_it_is_asked_for()
    {
        List<SeriesPoint> points =
        [
            .. Years(14, (year, _) => 4 + (0.08 * year) + Wobble[year]).Select(p => p with { SignedOff = p.Day.Year < 2026 }),
        ];
        var result = Trend(points);
        Assert.Equal((13, 4), (result.Annual!.Years, result.Waiting));
        Assert.Contains("4 values wait for review and do not count yet.", result.HeldBack);
        Assert.True(result.Years[^1].Provisional);
        Assert.Equal(14, TrendRule.Work(Request(points) with { Provisional = true }).Annual!.Years);
    }

    [Fact]
    public void What_has_an_open_stop_never_counts()
    {
        var result = TrendRule.Work(
            Request([.. Years(9, (year, _) => 4 + year).Select(p => p with { Usable = p.Day.Year != 2021 })]) with
            {
                Provisional = true,
            }
        );
        Assert.Equal(8, result.Annual!.Years);
        Assert.Contains("4 values have an open stop and do not count.", result.HeldBack);
    }

    [Fact]
    public void Another_method_is_another_series_until_somebody_joins_them()
    {
        List<SeriesPoint> points =
        [
            .. Years(14, (year, _) => 4 + (0.05 * year) + Wobble[year] + (year >= 10 ? 1 : 0))
                .Select(p => p with { Method = p.Day.Year < 2023 ? "without a tube" : "through a tube" }),
        ];
        var split = Trend(points);
        Assert.Equal((10, 2022), (split.Annual!.Years, split.Line![^1].Year));
        Assert.Contains("By the method of before", split.Detail, StringComparison.Ordinal);
        var change = Assert.Single(split.Breaks);
        Assert.Equal((new DateOnly(2023, 6, 15), false), (change.Day, change.Joined));
        Assert.Contains(
            "Another method since 15 June 2023: through a tube; before, without a tube. The two stand by themselves.",
            split.HeldBack
        );

        var joined = TrendRule.Work(Request(points) with { Joins = [change.Day] });
        Assert.Equal(14, joined.Annual!.Years);
        Assert.True(joined.Annual.PerDecade > split.Annual.PerDecade);
        Assert.Contains(
            "Joined across 15 June 2023, where without a tube became through a tube: what differs between them is in the trend.",
            joined.HeldBack
        );
    }

    [Fact]
    public void A_disc_that_is_not_always_named_is_no_change_and_another_one_is()
    {
        string[] methods = ["disc lost; disc, quartered, 20 cm", "disc lost", "disc lost; disc, quartered, 20 cm"];
        Assert.Empty(Trend([.. Years(9, (year, _) => 4 + year).Select((p, i) => p with { Method = methods[i % 3] })]).Breaks);

        var changed = Trend([
            .. Years(9, (year, _) => 4 + year).Select((p, i) => p with { Method = i < 16 ? methods[0] : "disc lost; disc, white, 30 cm" }),
        ]);
        Assert.Contains(
            "Another method since 15 June 2017: disc lost, disc, white, 30 cm; before, disc lost, disc, quartered, 20 cm. The two "
                + "stand by themselves.",
            changed.HeldBack
        );
    }

    [Fact]
    public void One_visit_with_a_borrowed_tube_is_no_new_method() =>
        Assert.Empty(
            Trend([
                .. Years(9, (year, _) => 4 + year).Select((p, i) => p with { Method = i == 17 ? "through a tube" : "without a tube" }),
            ]).Breaks
        );

    [Fact]
    public void Two_values_of_one_day_are_one()
    {
        var once = Years(9, (year, _) => 4 + year);
        var twice = Trend([.. once, .. once.Select(p => p with { Visit = Guid.NewGuid(), Value = p.Value + 1 })]);
        Assert.Equal((4, 4.5m), (twice.Years[0].Count, twice.Years[0].Mean));
        Assert.Contains(twice.Findings, f => f.Code == "days-twice");
    }

    [Fact]
    public void Values_all_alike_and_days_before_1900_and_a_single_season_break_nothing()
    {
        var alike = Trend(Years(12, (_, _) => 3, from: 1889));
        Assert.Equal((TrendVerdict.None, 1.0, 0.0), (alike.Verdict, alike.Annual!.P, alike.Annual.PerDecade!.Value));
        Assert.Equal((1889, 1900), (alike.Years[0].Year, alike.Years[^1].Year));
        var july = TrendRule.Work(
            Request([.. Years(12, (year, _) => 3 + year).Where(p => p.Day.Month == 7)]) with
            {
                Window = new SummarySettings(7, 7, 1),
                Test = TrendTest.Seasonal,
            }
        );
        Assert.Equal((TrendVerdict.Rising, null), (july.Verdict, july.Seasonal!.HeterogeneityP));
    }

    [Fact]
    public void Feet_for_a_reader_of_feet()
    {
        var result = TrendRule.Work(Request(Years(14, (year, _) => 4 + (0.08 * year) + Wobble[year])) with { Reader = ReaderUnit.Feet });
        Assert.Equal("The water is getting clearer: 2.5 ft more each decade.", result.Headline);
        Assert.Equal("ft", result.Scale!.Unit);
    }

    [Fact]
    public void Chlorophyll_below_the_limit_is_never_put_at_it()
    {
        var points = Years(9, (year, _) => 5 + year)
            .Select(p => p.Day.Month == 6 ? p with { Value = 1, Censored = Censoring.Below } : p)
            .ToList();
        var result = TrendRule.Work(Request(points) with { Subject = Parameter.Chlorophyll, Statistic = AnnualStatistic.Mean });
        Assert.All(result.Years, y => Assert.Equal((null, Censoring.Below), (y.Mean, y.Censored)));
        Assert.Contains("9 of 36 values lie below what the laboratory can see.", result.HeldBack);
        Assert.StartsWith("mean < ", result.Years[0].Text, StringComparison.Ordinal);
    }

    [Fact]
    public void Years_are_held_against_a_limit_and_a_disc_on_the_bottom_only_where_that_is_certain()
    {
        var rising = TrendRule.Work(
            Request(Years(9, (year, _) => 2 + (0.1 * year))) with
            {
                Limits = [new TrendLimit(true, 2.45m), new TrendLimit(false, 2.45m)],
            }
        );
        Assert.Equal(
            ["At least 2.45 m: 2021 keeps it; 4 of 9 years do.", "At most 2.45 m: 2021 does not keep it; 5 of 9 years do."],
            rising.Limits
        );

        var bottom = TrendRule.Work(
            Request([.. Years(9, (_, _) => 2.4).Select(p => p with { Censored = Censoring.Above })]) with
            {
                Limits = [new TrendLimit(true, 2), new TrendLimit(true, 3)],
            }
        );
        Assert.Equal(["At least 2.0 m: 2021 keeps it; 9 of 9 years do.", "At least 3.0 m: no year can be held against it."], bottom.Limits);
    }

    [Fact]
    public void The_line_lies_in_its_band_and_the_band_is_widest_at_the_ends()
    {
        var line = Trend(Years(14, (year, _) => 4 + (0.08 * year) + Wobble[year])).Line!;
        Assert.All(line, at => Assert.True(at.Low < at.Value && at.Value < at.High));
        Assert.True(line[0].High - line[0].Low > line[7].High - line[7].Low);
    }

    [Fact]
    public void The_order_of_the_values_does_not_matter() =>
        Gen.Select(Gen.Double[0.5, 9].Array[40], Gen.Int)
            .Sample(
                (values, seed) =>
                {
                    var points = Years(10, (year, month) => values[(year * 4) + month - 6]).ToArray();
                    var one = TrendRule.Work(Request(points));
                    new Random(seed).Shuffle(points);
                    var other = TrendRule.Work(Request(points));
                    Assert.Equal((one.Headline, one.Detail, one.WouldKnow!.Text), (other.Headline, other.Detail, other.WouldKnow!.Text));
                    Assert.Equal(one.Years, other.Years);
                },
                iter: 20
            );

    [Fact]
    public void The_short_answer_says_what_the_long_one_says() =>
        Gen.Int[0, 12]
            .SelectMany(years => Gen.Double[0.2, 12].Array[years * 4])
            .Sample(values =>
            {
                var request = Request(Years(values.Length / 4, (year, month) => values[(year * 4) + (month - 6)]));
                var (whole, brief) = (TrendRule.Work(request), TrendRule.Answer(request));
                Assert.Equal(
                    (whole.Verdict, whole.Headline, whole.Detail, whole.WouldKnow?.Text, whole.Annual),
                    (brief.Verdict, brief.Headline, brief.Detail, brief.WouldKnow, brief.Annual)
                );
                Assert.Equal(whole.Years.Select(y => (y.Year, y.Count, y.Value)), brief.Years.Select(y => (y.Year, y.Count, y.Value)));
                Assert.Equal(whole.Line is null ? null : [whole.Line[0], whole.Line[^1]], brief.Line);
            });

    [Fact]
    public void Both_tests_speak_of_the_same_years()
    {
        // Two years with two readings each carry no mean; neither test may use their months.
        var few = Years(12, (year, _) => 4 + Wobble[year]).Where(p => p.Day.Year is not (2014 or 2015) || p.Day.Month < 8).ToList();
        var (with, without) = (Trend(few), Trend([.. few.Where(p => p.Day.Year is not (2014 or 2015))]));

        Assert.Equal((10, 10), (with.Annual!.Years, with.Seasonal!.Years));
        Assert.Equal(
            (without.Seasonal!.S, without.Seasonal.Variance, without.Seasonal.PerDecade),
            (with.Seasonal.S, with.Seasonal.Variance, with.Seasonal.PerDecade)
        );
    }

    [Fact]
    public void A_summer_over_the_new_year_is_one_season_with_its_own_name()
    {
        // November to April: a rise from season to season, and none within.
        List<SeriesPoint> points =
        [
            .. from season in Enumerable.Range(0, 10)
            from month in new[] { 11, 12, 13, 14, 15, 16 }
            select new SeriesPoint(
                new Guid(season, (short)month, 0, new byte[8]),
                new DateOnly(2010 + season + (month > 12 ? 1 : 0), month > 12 ? month - 12 : month, 15),
                4 + (0.1m * season)
            ),
        ];
        var result = TrendRule.Work(new TrendRequest(Parameter.Clarity, points, new SummarySettings(11, 4, 6)));

        Assert.Equal(10, result.Years.Count);
        Assert.All(result.Years, year => Assert.Equal((6, year.Low), (year.Count, year.High)));
        Assert.Equal(("2010/11", "2019/20"), (result.Years[0].Name, result.Years[^1].Name));
        Assert.Equal(1, result.Annual!.PerDecade!.Value, 9);
        Assert.Equal(10, result.Seasonal!.Years);
        Assert.EndsWith("Ten years, 2010/11 to 2019/20, November to April.", result.Detail, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(TrendTest.Annual)]
    [InlineData(TrendTest.Seasonal)]
    public void The_working_carries_what_the_limits_and_the_verdict_are_read_from(TrendTest test)
    {
        var result = TrendRule.Work(
            Request(Years(14, (year, month) => 4 + (0.08 * year) + Wobble[(year + month) % 14])) with
            {
                Test = test,
            }
        );
        var (numbers, steps) = (test == TrendTest.Annual ? result.Annual! : result.Seasonal!, string.Join('\n', result.Working!.Steps));

        Assert.Equal(Distributions.NormalQuantile(0.975) * Math.Sqrt(numbers.Variance), numbers.HalfWidth, 9);
        Assert.Contains(FormattableString.Invariant($"N′ = {numbers.Slopes} pairwise slopes"), steps, StringComparison.Ordinal);
        Assert.Contains(
            FormattableString.Invariant($"= {numbers.HalfWidth:F2}\nRanks (N′ − C)/2 = ({numbers.Slopes} − {numbers.HalfWidth:F2}) / 2 = "),
            steps,
            StringComparison.Ordinal
        );
        Assert.Contains(
            FormattableString.Invariant($"= {numbers.S} / {numbers.Pairs} = {numbers.S / (double)numbers.Pairs:F3}"),
            steps,
            StringComparison.Ordinal
        );
        Assert.Equal(test == TrendTest.Seasonal, steps.Contains("χ² = ΣZ² − m Z̄²", StringComparison.Ordinal));
        if (numbers.HeterogeneityChiSquare is { } square)
        {
            Assert.Equal(Distributions.ChiSquareAbove(square, numbers.Seasons!.Count - 1), numbers.HeterogeneityP!.Value, 12);
        }
    }

    private static TrendResult Trend(IReadOnlyList<SeriesPoint> points) => TrendRule.Work(Request(points));

    private static TrendRequest Request(IReadOnlyList<SeriesPoint> points) => new(Parameter.Clarity, points, Summer);

    // Four values a summer, in the middle of each month.
    private static List<SeriesPoint> Years(int count, Func<int, int, double> value, int @from = 2013) =>
        [
            .. from i in Enumerable.Range(0, count)
            from month in Enumerable.Range(6, 4)
            select new SeriesPoint(
                new Guid(i, (short)month, 0, new byte[8]),
                new DateOnly(@from + i, month, 15),
                (decimal)Math.Round(value(i, month), 4)
            ),
        ];
}
