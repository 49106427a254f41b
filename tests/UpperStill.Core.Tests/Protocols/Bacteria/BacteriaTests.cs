using UpperStill.Core.Application.Samples;
using UpperStill.Core.Application.Trends;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Statistics;
using UpperStill.Core.Setup.Waters;
using UpperStill.Core.Tests.Application.Visits;
using UpperStill.Core.Tests.Record.Described;

namespace UpperStill.Core.Tests.Protocols.Bacteria;

/// <summary>The cases of the handbook, and what a scoop does to its visit.</summary>
public class BacteriaTests
{
    [Theory]
    [InlineData("20 45 10 130 88", "40.04", Censoring.None)]
    [InlineData("20 45 10 130 880", "63.46", Censoring.None)]
    [InlineData("20 45 <10 130 88", "40.04", Censoring.Below)]
    [InlineData("20 45 10 >2400 88", "71.74", Censoring.Above)]
    public void The_mean_of_the_last_five_is_geometric_and_a_limit_makes_it_one(string results, string mean, Censoring side)
    {
        var last = Trend(results).Running!.Single();
        Assert.Equal((mean, side), (decimal.Round(last.Value, 2).ToString("0.00", null), last.Censored));
    }

    [Theory]
    [InlineData("20 45 <10 >2400 88")]
    [InlineData("20 45 0 130 88")]
    public void Under_and_over_together_and_a_bare_nothing_give_no_mean(string results) => Assert.Empty(Trend(results).Running!);

    [Fact]
    public void Four_results_give_no_mean_yet() =>
        Assert.Equal("4 of 5: no mean yet.", Trend("20 45 10 130").Findings.Single(f => f.Code == "mean-few").Seen);

    [Fact]
    public void A_programme_may_ask_for_five_within_thirty_days()
    {
        var wide = Trend("20 45 10 130 88", withinDays: 30, apart: 7);
        Assert.Equal(28, wide.Running!.Single().Days);
        var apart = Trend("20 45 10 130 88", withinDays: 30, apart: 8);
        Assert.Empty(apart.Running!);
        Assert.Equal("4 of 5 within 30 days: no mean yet.", apart.Findings.Single(f => f.Code == "mean-few").Seen);
    }

    [Theory]
    [InlineData("20 45 10 130 88", 100, null)]
    [InlineData("20 45 10 130 880", 50, "limit-exceeded")]
    [InlineData("20 45 <10 130 88", 30, "limit-undecided")]
    [InlineData("20 45 <10 130 88", 50, null)]
    [InlineData("20 45 10 >2400 88", 50, "limit-exceeded")]
    [InlineData("20 45 10 >2400 88", 100, "limit-undecided")]
    public void The_mean_is_held_against_the_limits_that_were_entered(string results, int limit, string? code)
    {
        var found = Trend(results, limit: limit).Findings.SingleOrDefault(f => f.Code.StartsWith("limit-", StringComparison.Ordinal));
        Assert.Equal(code, found?.Code);
        Assert.All(found is null ? [] : new[] { found }, f => Assert.Contains("(bathing, the district)", f.Seen, StringComparison.Ordinal));
    }

    [Fact]
    public void A_bottle_that_was_rinsed_or_touched_inside_is_spoilt_and_a_new_one_settles_it()
    {
        var visit = new ObservedVisit("bacteria");
        var bottle = Assert.Single(visit.Protocol.Containers);
        visit.Visit.Write(
            FillKinds.Fill,
            new FillBody(bottle.Number, "bacteria", FilledFrom.Lake, FilledTo.AsAsked, Rinses: 1) { InsideTouched = true }
        );
        Assert.Equal(["bottle-never-rinsed", "inside-touched"], visit.Codes);

        visit.Visit.Write(FillKinds.Fill, new FillBody(bottle.Number, "bacteria", FilledFrom.Lake, FilledTo.Less));
        Assert.Equal(["fill-wrong"], visit.Sheet.Findings.Where(f => f is { At: not null, Kept: null }).Select(f => f.Code));
        Assert.Equal(
            "taken",
            VisitSamples
                .Fold(new FoldRequest(visit.Visit.Entries, visit.Context))
                .Samples.Single(s => s.Number == bottle.Number)
                .State.ToString()
                .ToLowerInvariant()
        );
    }

    [Theory]
    [InlineData("0.3 m", true)]
    [InlineData("0.5 m", false)]
    [InlineData("2 ft", true)]
    [InlineData("20 in", false)]
    public void Knee_deep_is_asked(string depth, bool found) =>
        Assert.Equal(found, new ObservedVisit("bacteria").Number("wade", "depth", depth).Codes.Contains("depth-not-knee"));

    [Theory]
    [InlineData(StationKind.Beach, false)]
    [InlineData(StationKind.Pond, false)]
    [InlineData(StationKind.Boat, true)]
    [InlineData(null, true)]
    public void A_beach_is_asked_neither_for_a_sounding_nor_for_what_is_not_due(StationKind? kind, bool asked)
    {
        var visit = new ObservedVisit("bacteria");
        visit.Context = visit.Context with { Station = visit.Context.Station with { Kind = kind } };
        Assert.Equal(asked, visit.Sheet.Steps.Any(s => s.Name == "sounding"));
        Assert.Equal(asked, visit.Sheet.Steps.Any(s => s.Name == "clarity"));
        Assert.Contains(visit.Sheet.Steps, s => s.Name == "bacteria");
        Assert.Equal(asked, visit.Sheet.Findings.Single(f => f.Code == "field-empty").Seen.Contains("sounding", StringComparison.Ordinal));
    }

    [Fact]
    public void What_needs_the_depth_asks_for_it_on_a_pier_too()
    {
        var visit = new ObservedVisit("net-tow");
        visit.Context = visit.Context with { Station = visit.Context.Station with { Kind = StationKind.Pier } };
        Assert.Contains(visit.Sheet.Steps, s => s.Name == "sounding");
        Assert.DoesNotContain(visit.Sheet.Steps, s => s.Name == "clarity");
    }

    [Theory]
    [InlineData(StationKind.Beach, true)]
    [InlineData(StationKind.Boat, false)]
    public void Whether_anybody_goes_afloat_follows_from_the_kind(StationKind kind, bool shore) =>
        Assert.Equal(shore, (SampleVisit.Metric.Station with { Kind = kind, Shore = !shore }).Settled().Shore);

    [Fact]
    public void The_parameter_is_judged_as_the_programme_has_it()
    {
        var bacteria = Subjects.Of(new Parameter("bacteria"));
        var usual = new ObservedVisit("bacteria");
        Assert.Equal(new RunningRequest(5), Subjects.Running(bacteria, usual.Context.Programme));
        Assert.Equal(new RunningRequest(5, 30), Subjects.Running(bacteria, usual.With("bacteria.mean", "last-five-30").Context.Programme));
        Assert.Equal("e-coli", Subjects.ReadingCode(bacteria.Code));
    }

    private static TrendResult Trend(string results, int? limit = null, int? withinDays = null, int apart = 7) =>
        TrendRule.Work(
            new TrendRequest(
                new Parameter("bacteria"),
                [
                    .. results
                        .Split(' ')
                        .Select(
                            (text, i) =>
                                new SeriesPoint(
                                    Guid.CreateVersion7(),
                                    new DateOnly(2026, 6, 3).AddDays(i * apart),
                                    decimal.Parse(text.TrimStart('<', '>'), null),
                                    text[0] switch
                                    {
                                        '<' => Censoring.Below,
                                        '>' => Censoring.Above,
                                        _ => Censoring.None,
                                    }
                                )
                        ),
                ],
                new SummarySettings(5, 9, 4)
            )
            {
                Limits = limit is { } at ? [new TrendLimit(false, at, "bathing", "the district")] : null,
                Running = new RunningRequest(5, withinDays),
            }
        );
}
