using UpperStill.Core.Application.Review;
using UpperStill.Core.Application.Samples;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Tests.Application.Visits;

namespace UpperStill.Core.Tests.Record.Entries;

/// <summary>A visit that was begun at the wrong station.</summary>
public class VisitPlaceTests
{
    private static readonly VisitContext Elsewhere = SampleVisit.Metric with
    {
        Station = SampleVisit.Metric.Station with { Code = "PEL-1", Name = "Tarn Head" },
    };

    [Fact]
    public void It_lies_where_it_was_begun_until_it_is_moved_and_again_once_that_is_struck()
    {
        var visit = SampleVisit.MetricBegun(Protocol.Clarity);
        Assert.Equal(("HAR-2", "HAR-2"), Place(visit.Entries));

        var move = visit.Write(VisitKinds.VisitMoved, new VisitMovedBody("PEL-1"), null, "the wrong name was touched");
        Assert.Equal(("PEL-1", "HAR-2"), Place(visit.Entries));
        Assert.Equal(("PEL-1", "HAR-2"), Place([.. visit.Entries.AsEnumerable().Reverse()]));

        visit.Write(VisitKinds.Strike, new EmptyBody(), move, "it was right");
        Assert.Equal(("HAR-2", "HAR-2"), Place(visit.Entries));
    }

    [Fact]
    public void A_struck_beginning_still_says_where_it_lies()
    {
        var visit = SampleVisit.MetricBegun();
        visit.Write(VisitKinds.Strike, new EmptyBody(), visit.Entries[0], "not today");

        Assert.Equal(("HAR-2", "HAR-2"), Place(visit.Entries));
        Assert.Equal((null, null), Place([]));
    }

    [Fact]
    public void Its_bottles_keep_their_labels_and_the_record_says_that_it_was_moved()
    {
        var visit = SampleVisit.MetricBegun(Protocol.Chlorophyll);
        var before = visit.Fold(SampleVisit.Metric);
        var numbers = Samples(visit, SampleVisit.Metric, before).Select(s => s.Number).ToList();
        var mark = VisitReview.Fold(new FoldRequest(visit.Entries, SampleVisit.Metric)).Field;
        visit.Write(VisitKinds.VisitMoved, new VisitMovedBody("PEL-1"), null, "the wrong name was touched");

        var after = visit.Fold(Elsewhere);

        Assert.NotEmpty(numbers);
        Assert.Equal(numbers, Samples(visit, Elsewhere, after).Select(s => s.Number));
        Assert.All(Samples(visit, Elsewhere, after), s => Assert.Equal("PEL-1", s.Station));
        Assert.Contains(
            "Begun at HAR-2, moved to PEL-1",
            Assert.Single(after.Findings, f => f.Code == "visit-moved").Seen,
            StringComparison.Ordinal
        );

        // Whoever vouched for it did so for another station.
        Assert.NotEqual(mark, VisitReview.Fold(new FoldRequest(visit.Entries, Elsewhere)).Field);
    }

    private static IReadOnlyList<LedgerSample> Samples(SampleVisit visit, VisitContext context, FieldSheet sheet) =>
        VisitSamples.Fold(new FoldRequest(visit.Entries, context), sheet).Samples;

    private static (string?, string?) Place(IReadOnlyList<Entry> entries)
    {
        var place = VisitPlace.Of(new VisitPlaceRequest(entries));
        return (place.Station, place.Begun);
    }
}
