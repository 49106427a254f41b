using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Delivery;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Review;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Setup.People;
using UpperStill.Store.Log;

namespace UpperStill.Store.Tests;

/// <summary>Nobody writes in another's name; what a coordinator brings in for others says so.</summary>
public class DelivererTests
{
    private static readonly PersonNames Asa = new(Guid.CreateVersion7(), ["Asa", "A. Lind"]);
    private static readonly PersonNames Ada = new(Guid.CreateVersion7(), ["Ada"]);
    private static readonly Permissions Sampler = new([new Grant(Role.Sampler)]);
    private static readonly Permissions Coordinator = new([new Grant(Role.Coordinator, ["harrowmere"])]);

    private readonly Guid visit = Guid.CreateVersion7();

    [Theory]
    [InlineData(true, "Asa", true)]
    [InlineData(true, "a. lind", true)] // a name she had before
    [InlineData(false, "Asa", true)] // an entry of an earlier build
    [InlineData(true, "Ada", false)]
    [InlineData(false, "Ada", false)]
    [InlineData(false, "unknown", false)]
    public async Task An_entry_is_delivered_by_whoever_made_it(bool withId, string by, bool kept)
    {
        await using var test = await TestBook.OpenAsync();
        var delivered = (await DeliverAsync(test, new Deliverer(Sampler, Asa), Start() with { By = by, Person = withId ? Asa.Id : null }))[
            0
        ];
        Assert.Equal(
            (kept ? Delivery.Kept : Delivery.Refused, kept ? null : "entry-of-another"),
            (delivered.Delivery, delivered.Refusal?.Code)
        );
    }

    [Fact]
    public async Task Not_by_another_sampler_nor_by_a_coordinator_who_does_not_say_that_it_is_for_another()
    {
        await using var test = await TestBook.OpenAsync();
        var start = Start() with { Person = Asa.Id };
        Assert.Equal("entry-of-another", (await DeliverAsync(test, new Deliverer(Sampler, Ada), start))[0].Refusal?.Code);
        Assert.Equal("entry-of-another", (await DeliverAsync(test, new Deliverer(Sampler, Ada, OnBehalf: true), start))[0].Refusal?.Code);
        Assert.Equal("entry-of-another", (await DeliverAsync(test, new Deliverer(Coordinator, Ada), start))[0].Refusal?.Code);
    }

    [Fact]
    public async Task What_a_coordinator_brings_in_names_both_in_the_log_the_changes_and_the_review()
    {
        await using var test = await TestBook.OpenAsync();
        Entry[] entries =
        [
            Start() with
            {
                Person = Asa.Id,
            },
            TestBook.Entry(visit, SoundingKinds.Sounding, new SoundingBody(new WrittenLength("9", LengthUnit.Metre))) with
            {
                Person = Asa.Id,
            },
        ];
        Assert.All(await DeliverAsync(test, new Deliverer(Coordinator, Ada, OnBehalf: true), entries), d =>
            Assert.Equal(Delivery.Kept, d.Delivery)
        );

        await using var book = test.Book();
        Assert.All(await book.Entries.ToListAsync(), e =>
            Assert.Equal((Asa.Id, Ada.Id, "Ada"), (e.Person, e.DeliveredById, e.DeliveredBy))
        );
        var change = Assert.Single(await book.Changes.ToListAsync());
        Assert.Equal(("Ada", "brought-in", visit.ToString()), (change.By, change.Subject, change.Key));
        Assert.Contains("2 entries of Asa", change.After!, StringComparison.Ordinal);
        var review = (await Projections.Projector.ReviewAsync(book, visit, CancellationToken.None))!;
        Assert.Contains(
            "2 entries of Asa came through Ada",
            Assert.Single(review.Said!, f => f.Code == "brought-in").Seen,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public async Task A_question_a_sign_off_and_a_move_are_their_makers_own()
    {
        await using var test = await TestBook.OpenAsync();
        await DeliverAsync(test, new Deliverer(Sampler, Asa), Start() with { Person = Asa.Id });
        Entry[] words =
        [
            TestBook.Entry(visit, ReviewKinds.Asked, new AskedBody("Was it taped?")),
            TestBook.Entry(visit, ReviewKinds.SignedOff, new SignedOffBody("0", "0")),
            TestBook.Entry(visit, VisitKinds.VisitMoved, new VisitMovedBody("HAR-2")) with
            {
                Why = "the wrong name",
            },
        ];
        var other = Guid.CreateVersion7();
        Assert.All(
            await DeliverAsync(
                test,
                new Deliverer(Coordinator, Ada, OnBehalf: true),
                [.. words.Select(w => w with { By = "Bea", Person = other })]
            ),
            d => Assert.Equal("entry-of-another", d.Refusal?.Code)
        );
        Assert.All(
            await DeliverAsync(test, new Deliverer(Coordinator, Ada), [.. words.Select(w => w with { By = "Ada", Person = Ada.Id })]),
            d => Assert.Equal(Delivery.Kept, d.Delivery)
        );
    }

    [Fact]
    public async Task Readings_that_an_earlier_build_received_are_begun_by_whoever_made_them()
    {
        await using var test = await TestBook.OpenAsync();
        var reading = TestBook.Entry(visit, SoundingKinds.Sounding, new SoundingBody(new WrittenLength("9", LengthUnit.Metre)));
        await using (var book = test.Book())
        {
            // The sign-in name stood there then, and no id.
            await test.Log.DeliverAsync(
                book,
                [reading],
                TestBook.Receipt with
                {
                    DeliveredBy = "asa.lind",
                },
                new Deliverer(Sampler),
                CancellationToken.None
            );
        }

        Assert.Equal(
            "visit-of-another",
            (await DeliverAsync(test, new Deliverer(Sampler, Ada), Start() with { By = "Ada", Person = Ada.Id }))[0].Refusal?.Code
        );
        Assert.Equal(Delivery.Kept, (await DeliverAsync(test, new Deliverer(Sampler, Asa), Start() with { Person = Asa.Id }))[0].Delivery);
    }

    [Fact]
    public async Task Who_made_an_entry_and_who_delivered_it_are_in_its_link()
    {
        await using var test = await TestBook.OpenAsync();
        await DeliverAsync(test, new Deliverer(Sampler, Asa), Start() with { Person = Asa.Id });
        await using var book = test.Book();
        var row = await book.Entries.AsNoTracking().SingleAsync();
        var link = LogChain.Link([], row);
        Assert.Equal((await book.Links.SingleAsync()).Hash, link);
        row.Person = Ada.Id;
        Assert.NotEqual(link, LogChain.Link([], row));
    }

    private Entry Start() => TestBook.Entry(visit, VisitKinds.VisitStarted, new VisitStartedBody("HAR-1", "layered-lake", 1, ["Asa"]));

    private static async Task<IReadOnlyList<Delivered>> DeliverAsync(TestBook test, Deliverer who, params Entry[] entries)
    {
        await using var book = test.Book();
        return await test.Log.DeliverAsync(
            book,
            entries,
            TestBook.Receipt with
            {
                DeliveredBy = who.Is!.Names[0],
                DeliveredById = who.Is.Id,
            },
            who,
            CancellationToken.None
        );
    }
}
