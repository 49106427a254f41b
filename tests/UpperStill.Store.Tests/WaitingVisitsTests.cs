using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Record.Entries;
using UpperStill.StandIns.Demo;
using UpperStill.Store.Log;
using UpperStill.Store.Projections;

namespace UpperStill.Store.Tests;

/// <summary>A long import comes whole into the log and is worked out between the deliveries of boats.</summary>
public sealed class WaitingVisitsTests
{
    private static readonly List<Entry> Seasons = [.. DemoSeasons.Write(DemoScenario.Load())];

    // Fourteen seasons of some stations: the middle years are brought in, the others come from boats.
    private static readonly List<Visit> All = [.. Seasons.GroupBy(e => e.Visit).Select(v => new Visit([.. v])).OrderBy(v => v.Day)];
    private static readonly List<Visit> Old = [.. All.Where(v => v.Day.Year is >= 2014 and <= 2019)];
    private static readonly List<Visit> Before = [.. All.Where(v => v.Day.Year == 2013)];
    private static readonly List<Visit> Meanwhile = [.. All.Where(v => v.Day.Year is 2020 or 2021)];

    [Fact]
    public async Task What_boats_send_before_and_meanwhile_is_in_the_end_judged_by_what_was_brought_in()
    {
        await using var test = await TestBook.OpenAsync();
        await DeliverAsync(test, Before);
        await BringInAsync(test, Old);
        Assert.True(Old.Count > 2 * WaitingVisits.AtOnce);
        Assert.Empty(await StandingAsync(test, Old));

        // Some before anything is worked out, then one a turn: some stations are done by then, others are not.
        var meanwhile = new Queue<Visit>(Meanwhile);
        await DeliverAsync(test, Enumerable.Range(0, Meanwhile.Count / 2).Select(_ => meanwhile.Dequeue()));
        for (var left = 1; left > 0; )
        {
            left = await WorkOutSomeAsync(test);
            if (meanwhile.TryDequeue(out var visit))
            {
                await DeliverAsync(test, [visit]);
                Assert.Single(await StandingAsync(test, [visit]));
                left++;
            }
        }

        var made = await test.ProjectionsAsync();
        await using var book = test.Book();
        Assert.Empty(await book.RebuildAsync(CancellationToken.None));
        Assert.Equal(await test.ProjectionsAsync(), made);
        Assert.Empty(await book.WalkAsync(CancellationToken.None));
    }

    [Fact]
    public async Task It_is_taken_back_whole_also_while_it_is_worked_out()
    {
        await using var test = await TestBook.OpenAsync();
        await DeliverAsync(test, Before);
        var before = await test.ProjectionsAsync();
        await BringInAsync(test, Old);
        await WorkOutSomeAsync(test);

        await BringInAsync(test, [.. Old.Select(v => new Visit([Strike(v.Entries[0])]) { Station = v.Station, Day = v.Day })]);
        while (await WorkOutSomeAsync(test) > 0) { }

        Assert.Equal(before, await test.ProjectionsAsync());
    }

    [Fact]
    public async Task Whoever_gives_up_before_it_is_kept_leaves_nothing()
    {
        await using var test = await TestBook.OpenAsync();
        using var gone = new CancellationTokenSource();
        await using var book = test.Book();

        // The writer is busy until they have gone.
        await test.Log.UntouchedAsync(
            async () =>
            {
                var waits = BringInAsync(test, Old, gone.Token);
                await gone.CancelAsync();
                await Assert.ThrowsAnyAsync<OperationCanceledException>(() => waits);
                return true;
            },
            CancellationToken.None
        );

        Assert.Equal((0, 0), (await book.Entries.CountAsync(), await book.WaitingAsync(CancellationToken.None)));
    }

    [Fact]
    public async Task One_entry_that_cannot_be_kept_keeps_all_out()
    {
        await using var test = await TestBook.OpenAsync();
        await Assert.ThrowsAnyAsync<Exception>(() => BringInAsync(test, [.. Old, Old[0]]));
        await using var book = test.Book();
        Assert.Equal((0, 0), (await book.Entries.CountAsync(), await book.WaitingAsync(CancellationToken.None)));
        Assert.Empty(await book.WalkAsync(CancellationToken.None));
    }

    private static async Task DeliverAsync(TestBook test, IEnumerable<Visit> visits)
    {
        foreach (var visit in visits)
        {
            Assert.All(await test.DeliverAsync(visit.Entries), a => Assert.Equal(Delivery.Kept, a.Delivery));
        }
    }

    private static async Task BringInAsync(TestBook test, List<Visit> visits, CancellationToken cancel = default)
    {
        await using var book = test.Book();
        await test.Log.BringInAsync(
            book,
            [.. visits.SelectMany(v => v.Entries).Select(e => EntryRow.From(e, TestBook.Receipt))],
            [.. visits.Select(v => (v.Id, v.Station, v.Day))],
            cancel
        );
    }

    private static async Task<int> WorkOutSomeAsync(TestBook test)
    {
        await using var book = test.Book();
        return await test.Log.WorkOutSomeAsync(book, CancellationToken.None);
    }

    private static async Task<List<Guid>> StandingAsync(TestBook test, List<Visit> visits)
    {
        await using var book = test.Book();
        var ids = visits.Select(v => v.Id).ToList();
        return await book.Visits.Where(v => ids.Contains(v.Visit)).Select(v => v.Visit).ToListAsync();
    }

    private static Entry Strike(Entry start) =>
        TestBook.Entry(start.Visit, VisitKinds.Strike, new EmptyBody()) with
        {
            Strikes = start.Id,
            Why = "wrong station",
        };

    private sealed record Visit(List<Entry> Entries)
    {
        internal Guid Id => Entries[0].Visit;

        internal string Station { get; init; } = VisitKinds.VisitStarted.Read(Entries[0].Body)?.Station ?? string.Empty;

        internal DateOnly Day { get; init; } = DateOnly.FromDateTime(Entries[0].At.DateTime);
    }
}
