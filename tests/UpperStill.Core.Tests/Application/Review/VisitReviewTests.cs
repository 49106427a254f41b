using CsCheck;
using UpperStill.Core.Application.Review;
using UpperStill.Core.Protocols.Results;
using UpperStill.Core.Protocols.Review;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Tests.Protocols.Custody;

namespace UpperStill.Core.Tests.Application.Review;

/// <summary>A visit under review: what is open, what was asked, what is signed off and for how long.</summary>
public sealed class VisitReviewTests
{
    [Fact]
    public void A_visit_that_has_not_ended_cannot_be_signed_off()
    {
        var bench = BenchVisit.Frozen();
        Assert.Equal(ReviewState.NotEnded, Fold(bench).State);
        SignOff(bench, "Ada");
        Assert.False(Fold(bench).FieldSigned);
    }

    [Fact]
    public void Every_stop_and_check_must_be_answered_first()
    {
        var bench = Ended("10"); // too little to measure
        var review = Fold(bench);
        Assert.Equal(ReviewState.Open, review.State);
        Assert.Contains(review.Blocks, b => b.EndsWith("open.", StringComparison.Ordinal));
        SignOff(bench, "Ada");
        Assert.False(Fold(bench).FieldSigned);

        Answer(bench);
        Assert.Equal(ReviewState.SignedOff, Fold(bench).State);
    }

    [Fact]
    public void Nobody_signs_off_their_own_visit()
    {
        var bench = Ended();
        Answer(bench);
        SignOff(bench, bench.Visit.Entries.First(e => e.Kind == VisitKinds.VisitStarted.Name).By);
        var review = Fold(bench);
        Assert.Equal((ReviewState.Ready, "signed-by-sampler"), (review.State, Assert.Single(review.Said!).Code));
    }

    [Fact]
    public void Results_that_come_later_are_provisional_and_leave_the_visit_signed_off()
    {
        var bench = Ended();
        Answer(bench);
        SignOff(bench, "Ada");
        bench.AtTheLab();
        Answer(bench);
        Assert.True(Fold(bench).ResultsSigned); // custody changes no value

        bench.Visit.Write(
            ResultKinds.Result,
            new UpperStill.Core.Protocols.Results.ResultBody(BenchVisit.F1, "chlorophyll-a", "4.2", "µg/L")
        );
        Answer(bench);
        var review = Fold(bench);
        Assert.Equal((true, false, ReviewState.Ready), (review.FieldSigned, review.ResultsSigned, review.State));
        Assert.Equal("Results came or changed after it was signed off.", Assert.Single(review.Said!).Seen);

        SignOff(bench, "Ada");
        Assert.Equal(ReviewState.SignedOff, Fold(bench).State);
    }

    [Fact]
    public void A_reading_struck_or_added_afterwards_ends_the_sign_off_and_the_former_state_restores_it()
    {
        var bench = Ended();
        Answer(bench);
        SignOff(bench, "Ada");
        var late = bench.Visit.Write(VisitKinds.Taken, new TakenBody(UpperStill.Core.Setup.Programmes.Protocol.Phosphorus));
        Answer(bench);
        Assert.False(Fold(bench).FieldSigned);
        bench.Visit.Write(VisitKinds.Strike, new EmptyBody(), strikes: late, why: "it was not taken");
        Answer(bench);
        Assert.True(Fold(bench).FieldSigned);
    }

    [Fact]
    public void A_question_keeps_the_visit_open_until_it_is_answered()
    {
        var bench = Ended();
        Answer(bench);
        var asked = bench.Visit.Write(ReviewKinds.Asked, new AskedBody("Was it read twice?"));
        Assert.Equal((ReviewState.Open, "1 question is not answered."), (Fold(bench).State, Assert.Single(Fold(bench).Blocks)));
        bench.Visit.Write(ReviewKinds.Answered, new AnsweredBody(asked.Id, "yes, by both"));
        var review = Fold(bench);
        Assert.Equal((ReviewState.Ready, "yes, by both"), (review.State, Assert.Single(review.Questions).Answer));
    }

    [Fact]
    public void The_review_does_not_depend_on_the_order_or_repetition_of_the_entries()
    {
        var bench = Ended();
        Answer(bench);
        bench.Visit.Write(ReviewKinds.Asked, new AskedBody("Which disc?"));
        SignOff(bench, "Ada");
        var expected = Said(Fold(bench));
        Gen.Int.Sample(
            seed =>
            {
                Entry[] entries = [.. bench.Visit.Entries, bench.Visit.Entries[^1]];
                new Random(seed).Shuffle(entries);
                Assert.Equal(expected, Said(VisitReview.Fold(new FoldRequest(entries, bench.Context))));
            },
            iter: 20
        );

        static string Said(VisitReview r) =>
            $"{r.State} {r.Field} {r.Results} {r.FieldSigned} {string.Join('|', r.Blocks)} "
            + $"{string.Join('|', r.Findings.Select(f => f.Finding.Code))} {string.Join('|', r.Questions.Select(q => q.Question))}";
    }

    private static BenchVisit Ended(string through = "50")
    {
        var bench = BenchVisit.Frozen(through, through);
        bench.Visit.Write(VisitKinds.VisitClosed, new EmptyBody());
        return bench;
    }

    private static void Answer(BenchVisit bench)
    {
        foreach (var open in Fold(bench).Findings.Where(f => f.Finding.Kept is null))
        {
            bench.Visit.Write(VisitKinds.Kept, new KeptBody(open.Finding.Code, open.Finding.About), why: "asked; it stands");
        }
    }

    private static void SignOff(BenchVisit bench, string by)
    {
        var review = Fold(bench);
        bench.Visit.Write(ReviewKinds.SignedOff, new SignedOffBody(review.Field, review.Results), by: by);
    }

    private static VisitReview Fold(BenchVisit bench) => VisitReview.Fold(new FoldRequest(bench.Visit.Entries, bench.Context));
}
