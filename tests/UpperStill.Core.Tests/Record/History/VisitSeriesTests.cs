using UpperStill.Core.Application.Samples;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.History;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Tests.Application.Visits;

namespace UpperStill.Core.Tests.Record.History;

/// <summary>Two visits of one day at one station.</summary>
public class VisitSeriesTests
{
    private static readonly DateOnly Day = new(2026, 8, 12);

    [Fact]
    public void The_first_keeps_the_printed_numbers_and_later_ones_carry_a_letter()
    {
        Assert.Null(VisitSeries.Next(new VisitSeriesRequest(Day, [])).Series);
        Assert.Null(VisitSeries.Next(new VisitSeriesRequest(Day, [Other(11)])).Series);
        Assert.Equal("B", VisitSeries.Next(new VisitSeriesRequest(Day, [Other(12)])).Series);
        Assert.Equal("D", VisitSeries.Next(new VisitSeriesRequest(Day, [Other(12), Other(12) with { Series = "C" }])).Series);
    }

    [Fact]
    public void No_number_of_one_is_a_number_of_the_other()
    {
        var (first, second) = (Numbers(null), Numbers("B"));

        Assert.NotEmpty(first);
        Assert.Empty(first.Intersect(second));
        Assert.All(second, n => Assert.Equal(("HAR-2", null), (SampleNumber.StationOf(n), SampleNumber.Read(n).Finding)));
        Assert.Contains(second, n => n.StartsWith("HAR-2-260812B-", StringComparison.Ordinal));
    }

    [Fact]
    public void Where_neither_knew_of_the_other_the_later_one_is_told_which_bottle()
    {
        var visit = SampleVisit.MetricBegun(Protocol.Chlorophyll);
        var number = SampleNumber.Checked("HAR-2-260812-C1");
        visit.Write(FillKinds.Fill, new FillBody(number, "chlorophyll-water", FilledFrom.Sampler, FilledTo.AsAsked));
        var start = visit.Entries[0];

        Finding? Said(double hours, string filled)
        {
            OtherVisit other = new(Guid.CreateVersion7(), start.At.AddHours(hours), Filled: [filled]);
            var samples = VisitSamples.Fold(new FoldRequest(visit.Entries, SampleVisit.Metric with { Others = [other] })).Samples;
            return samples.SelectMany(s => s.Findings).SingleOrDefault(f => f.Code == "sample-number-used");
        }

        Assert.Equal(FindingLevel.Stop, Said(-1, number)?.Level);
        Assert.Null(Said(1, number));
        Assert.Null(Said(-24, number));
        Assert.Null(Said(-1, SampleNumber.Checked("HAR-2-260812-C2")));
    }

    private static OtherVisit Other(int day) =>
        new(Guid.CreateVersion7(), new DateTimeOffset(2026, 8, day, 10, 0, 0, TimeSpan.FromHours(1)));

    private static IReadOnlyList<string> Numbers(string? series)
    {
        var visit = SampleVisit.MetricBegun();
        var start = visit.Entries[0];
        var body = VisitKinds.VisitStarted.Read(start.Body)! with { Due = [Protocol.Phosphorus, Protocol.Chlorophyll], Series = series };
        visit.Entries.Clear();
        visit.Write(VisitKinds.VisitStarted, body);
        return [.. VisitSamples.Fold(new FoldRequest(visit.Entries, SampleVisit.Metric)).Samples.Select(s => s.Number)];
    }
}
