using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Application.Trends;

/// <summary>Looks at a series: is it changing, how sure is that, what would it take to know. Says no more than the numbers carry, and never
/// a cause.</summary>
public static class TrendRule
{
    private const double Significant = 0.05;
    private const decimal MuchCensored = 0.15m;
    private const double FewCertain = 0.5;
    private const int LeastForScatter = 4;

    /// <summary>Looks at it.</summary>
    public static TrendResult Work(TrendRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        if (request.Window is not { FromMonth: >= 1 and <= 12, UntilMonth: >= 1 and <= 12 })
        {
            throw new ArgumentOutOfRangeException(nameof(request), "The months of the window are not all from 1 to 12.");
        }

        return new Look(request).Result();
    }

    /// <summary>Looks at it for a list of many: the same answer without its values and its working.</summary>
    public static SeriesAnswer Answer(TrendRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        return new Look(request).Answer();
    }

    private static TestNumbers Annual(IReadOnlyList<TrendPoint> years)
    {
        var (score, line) = (KendallScore.Of(years), TheilSen.Of(years));
        return new TestNumbers(
            TrendTest.Annual,
            years.Count,
            years.Count,
            score.S,
            score.Variance,
            score.Z,
            score.P,
            line.Slope * 10,
            line.Low * 10,
            line.High * 10
        )
        {
            CertainShare = Certain(score.Certain, [years.Count], years.Any(y => y.Censored != Censoring.None)),
            Pairs = Pairs([years.Count]),
            Slopes = line.Slopes,
            HalfWidth = line.HalfWidth,
        };
    }

    // Of values that are all known every order is known, ties as well.
    private static double Certain(long certain, IEnumerable<int> counts, bool censored) =>
        censored && Pairs(counts) is > 0 and var pairs ? certain / (double)pairs : 1;

    private static long Pairs(IEnumerable<int> counts) => counts.Sum(n => n * (n - 1L) / 2);

    /// <summary>One series being looked at.</summary>
    private sealed class Look
    {
        private readonly TrendRequest request;
        private readonly ParameterDescription subject;
        private readonly TrendWords words;
        private readonly IReadOnlyList<SeriesPoint> all;
        private readonly AnnualStatistic statistic;
        private readonly IReadOnlyList<SeriesBreak> breaks;
        private readonly IReadOnlyList<SeriesPoint> used;
        private readonly List<YearSummary> years;
        private readonly IReadOnlyList<YearSummary> shown;
        private readonly bool earlier;

        internal Look(TrendRequest request)
        {
            this.request = request;
            subject = request.Described ?? Subjects.Of(request.Subject);
            words = new TrendWords(request, subject);
            all = YearSums.ByDay(request.Points.Where(p => p.Usable));
            statistic =
                request.Statistic != AnnualStatistic.Usual ? request.Statistic
                : all.Any(p => p.Censored != Censoring.None && request.Window.Holds(p.Day.Month)) ? AnnualStatistic.Median
                : subject.Summary switch
                {
                    SeasonSummary.Median => AnnualStatistic.Median,
                    SeasonSummary.GeometricMean when all.All(p => p.Value > 0) => AnnualStatistic.GeometricMean,
                    SeasonSummary.GeometricMean => AnnualStatistic.Median,
                    _ => AnnualStatistic.Mean,
                };
            var counted =
                request.Provisional || all.All(p => p.SignedOff) ? all : YearSums.ByDay(request.Points.Where(p => p.Usable && p.SignedOff));
            (breaks, var parts) = SeriesBreaks.Of(counted, (request.Joins ?? []).ToHashSet());
            shown = Sum(all);
            var enough = parts
                .Select(p => (Points: p, Years: (parts.Count == 1 && counted == all ? shown : Sum(p)).Where(y => y.Enough).ToList()))
                .ToList();

            // The newest part that carries a test; the newest of all where none does.
            var chosen = enough.FindLastIndex(p => p.Years.Count >= request.LeastYears);
            earlier = chosen >= 0 && chosen < enough.Count - 1;
            (used, years) = enough[chosen < 0 ? enough.Count - 1 : chosen];
        }

        internal TrendResult Result()
        {
            var (annual, seasonal, test, verdict, line, would, waiting) = Said();
            var running = request.Running is null ? null : RunningMeans.Of(request.Points, request.Running, words);
            var greatest = all.Count == 0 ? 5m : all.Max(p => p.Value);
            return new TrendResult(
                request.Subject,
                subject.Name,
                subject.Unit,
                verdict,
                words.Headline(verdict, test, years.Count),
                words.Detail(verdict, test, seasonal, years, earlier),
                [.. HeldBack(waiting)],
                shown,
                [.. request.Points.OrderBy(p => p.Day).ThenBy(p => p.Visit).Select(p => p with { Text = words.Point(p) })],
                breaks
            )
            {
                Findings =
                [
                    .. Findings(),
                    .. running is null ? [] : RunningMeans.Findings(request.Points, running, request.Running!, request.Limits ?? [], words),
                ],
                Window = words.Window(),
                Least = request.Window.LeastReadings,
                Statistic = statistic,
                Waiting = waiting,
                Greatest = Decimals.Published(greatest),
                Annual = annual,
                Seasonal = seasonal,
                Line = line,
                Smooth = request.YearsOnly ? null : Smooth(),
                WouldKnow = would,
                Working = TrendWorking.Of(test, annual, years, statistic, words),
                Scale = subject.Hanging ? DepthScale.To(greatest * 1.1m, request.Native, request.Reader) : null,
                Limits = request.Limits is null ? null : [.. request.Limits.Select(l => words.Limit(l, shown))],
                Log = subject.Log,
                Better = subject.Better,
                Running = running,
            };
        }

        internal SeriesAnswer Answer()
        {
            var (annual, seasonal, test, verdict, line, would, waiting) = Said();
            return new SeriesAnswer(
                request.Subject,
                subject.Name,
                verdict,
                words.Headline(verdict, test, years.Count),
                words.Detail(verdict, test, seasonal, years, earlier),
                waiting,
                [.. shown.Select(YearBrief.Of)],
                subject.Hanging,
                subject.AskedAfter || verdict is TrendVerdict.Rising or TrendVerdict.Falling,
                request.Window.LeastReadings
            )
            {
                WouldKnow = would?.Text,
                Line = line is null ? null : [line[0], line[^1]],
                Annual = annual,
            };
        }

        private (
            TestNumbers? Annual,
            TestNumbers? Seasonal,
            TestNumbers? Test,
            TrendVerdict Verdict,
            IReadOnlyList<TrendAt>? Line,
            WouldKnow? Would,
            int Waiting
        ) Said()
        {
            var tested = !request.YearsOnly && years.Count >= request.LeastYears;
            var annual = tested ? Annual([.. years.Select(Point)]) : null;
            var seasonal = tested ? Seasonal() : null;
            var test = request.Test == TrendTest.Seasonal ? seasonal : annual;
            var verdict = Verdict(test, seasonal);
            var line = annual?.PerDecade is { } slope && verdict is not TrendVerdict.Mixed ? Line(annual, slope / 10) : null;
            var would = request.YearsOnly ? null : Would(verdict is TrendVerdict.Rising or TrendVerdict.Falling ? annual?.PerDecade : null);
            return (annual, seasonal, test, verdict, line, would, request.Points.Count(p => p.Usable && !p.SignedOff));
        }

        private IReadOnlyList<YearSummary> Sum(IReadOnlyList<SeriesPoint> points) =>
            YearSums.Of(points, request.Window, statistic, words.Value);

        private static TrendPoint Point(YearSummary year) => new(year.Year, (double)year.Value!.Value, year.Censored);

        private TestNumbers Seasonal()
        {
            // The months of years that carry a mean: a year with two readings says as little here as there.
            var enough = years.Select(y => y.Year).ToHashSet();
            var points = used.Where(p => request.Window.Holds(p.Day.Month) && enough.Contains(request.Window.SeasonOf(p.Day)))
                .GroupBy(p => (Year: request.Window.SeasonOf(p.Day), p.Day.Month))
                .Select(g =>
                    (g.Key.Month, YearSums.Median([.. g]) is var (value, side) ? new TrendPoint(g.Key.Year, (double)value, side) : default)
                )
                .ToList();
            var test = SeasonalKendall.Of(points);
            return new TestNumbers(
                TrendTest.Seasonal,
                test.Years,
                points.Count,
                test.S,
                test.UsedVariance,
                test.Z,
                test.P,
                test.Slope.Slope * 10,
                test.Slope.Low * 10,
                test.Slope.High * 10
            )
            {
                CertainShare = Certain(
                    test.Seasons.Sum(s => s.Score.Certain),
                    test.Seasons.Select(s => s.Score.Count),
                    points.Any(p => p.Item2.Censored != Censoring.None)
                ),
                Pairs = Pairs(test.Seasons.Select(s => s.Score.Count)),
                Slopes = test.Slope.Slopes,
                HalfWidth = test.Slope.HalfWidth,
                HeterogeneityP = test.HeterogeneityP,
                HeterogeneityChiSquare = test.HeterogeneityChiSquare,
                Seasons = [.. test.Seasons.Select(s => new SeasonNumbers(s.Season, s.Score.Count, s.Score.Z))],
            };
        }

        private static TrendVerdict Verdict(TestNumbers? test, TestNumbers? seasonal)
        {
            if (test is null)
            {
                return TrendVerdict.TooFew;
            }

            // One trend for seasons that move apart would mislead.
            var apart =
                seasonal is { HeterogeneityP: < Significant, Seasons: { } seasons }
                && seasons.Any(s => s.Z > 1)
                && seasons.Any(s => s.Z < -1);
            return apart ? TrendVerdict.Mixed
                : test.P < Significant && (test.PerDecade ?? test.S) is not 0
                    ? test.S > 0 ? TrendVerdict.Rising
                        : TrendVerdict.Falling
                : test.CertainShare < FewCertain ? TrendVerdict.Censored
                : TrendVerdict.None;
        }

        // The slope's limits swing round the middle of the series, and the level there is uncertain by itself.
        private IReadOnlyList<TrendAt>? Line(TestNumbers annual, double slope)
        {
            var plain = years.Where(y => y.Censored == Censoring.None).Select(Point).ToList();
            var (t, y) = (TheilSen.Median(plain.Select(p => p.T)), TheilSen.Median(plain.Select(p => p.Y)));
            var level = 1.2533 * 1.96 * YearScatter.Of(plain) / Math.Sqrt(plain.Count);
            var (down, up) = (slope - (annual.LowPerDecade / 10 ?? slope), (annual.HighPerDecade / 10 ?? slope) - slope);
            return
            [
                .. Enumerable
                    .Range(years[0].Year, years[^1].Year - years[0].Year + 1)
                    .Select(year =>
                    {
                        var (far, value) = (year - t, y + (slope * (year - t)));
                        var (below, above) = far < 0 ? (up * -far, down * -far) : (down * far, up * far);
                        return new TrendAt(
                            year,
                            Publish(value),
                            Publish(value - Math.Sqrt((below * below) + (level * level))),
                            Publish(value + Math.Sqrt((above * above) + (level * level)))
                        );
                    }),
            ];
        }

        private IReadOnlyList<TrendAt>? Smooth()
        {
            var plain = years.Where(y => y.Censored == Censoring.None).ToList();
            return plain.Count < LeastForScatter
                ? null
                :
                [
                    .. Lowess
                        .Of([.. plain.Select(Point)])
                        .Select((value, i) => new TrendAt(plain[i].Year, Publish(value), Publish(value), Publish(value))),
                ];
        }

        private WouldKnow? Would(double? shown)
        {
            var plain = years.Where(y => y.Censored == Censoring.None).Select(Point).ToList();
            if (plain.Count < LeastForScatter)
            {
                return null;
            }

            var asked = request.AskedPerDecade ?? subject.AskedPerDecade;
            var scatter = YearScatter.Of(plain);
            var (small, great) = YearScatter.Limits(scatter, plain.Count);
            var (needed, from, until) = (Needed(scatter), Needed(small), Needed(great));
            return new WouldKnow(
                asked,
                needed,
                years.Count,
                Publish(scatter),
                words.Would(asked, needed, from, until, years.Count, shown),
                from,
                until
            );

            int? Needed(double spread) => YearsToKnow.Of((double)asked / 10, spread, request.LeastYears);
        }

        private IEnumerable<string> HeldBack(int waiting)
        {
            foreach (var change in breaks)
            {
                yield return TrendWords.Break(change);
            }

            var few = shown.Where(y => !y.Enough && y.Count > 0).ToList();
            if (few.Count > 0)
            {
                yield return words.Few(few, statistic);
            }

            if (shown.Where(y => y.Count == 0).Select(y => y.Name).ToList() is { Count: > 0 } empty)
            {
                yield return $"{string.Join(", ", empty)}: nothing was read.";
            }

            if (waiting > 0)
            {
                yield return request.Provisional
                    ? $"{waiting} {(waiting == 1 ? "value is" : "values are")} provisional and counted here, because that was asked."
                    : $"{waiting} {(waiting == 1 ? "value waits" : "values wait")} for review and {(waiting == 1 ? "does" : "do")} "
                        + "not count yet.";
            }

            if (request.Points.Count(p => !p.Usable) is > 0 and var stopped)
            {
                yield return $"{stopped} {(stopped == 1 ? "value has" : "values have")} an open stop and "
                    + $"{(stopped == 1 ? "does" : "do")} not count.";
            }

            if (all.Count(p => p.Censored != Censoring.None && request.Window.Holds(p.Day.Month)) is > 0 and var censored)
            {
                yield return words.CensoredShare(censored, all.Count(p => request.Window.Holds(p.Day.Month)));
            }
        }

        private IEnumerable<Finding> Findings()
        {
            var inside = used.Where(p => request.Window.Holds(p.Day.Month)).ToList();
            var censored = inside.Count(p => p.Censored != Censoring.None);
            if (inside.Count > 0 && censored > MuchCensored * inside.Count)
            {
                yield return Finding.Check(
                    "slope-censored",
                    $"{Decimals.Fixed(100m * censored / inside.Count, 0)} % of the values are only known to lie beyond a limit.",
                    "The slope rests on the others alone, and they are not like these.",
                    "Read the direction, not the amount."
                );
            }

            if (request.Points.Where(p => p.Usable).GroupBy(p => p.Day).Count(g => g.Count() > 1) is > 0 and var twice)
            {
                yield return Finding.Note(
                    "days-twice",
                    $"{twice} {(twice == 1 ? "day has" : "days have")} two values.",
                    "Two values of one day are not two pieces of evidence.",
                    "Their mean counts once."
                );
            }
        }

        private static decimal Publish(double value) => Decimals.Published((decimal)value);
    }
}
