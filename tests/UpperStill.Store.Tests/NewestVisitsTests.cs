using UpperStill.Core.Record.Entries;
using UpperStill.StandIns.Demo;
using UpperStill.Store.Log;
using UpperStill.Store.Projections;

namespace UpperStill.Store.Tests;

/// <summary>What the writer remembers of the visits it wrote to last is what the log holds of them.</summary>
public sealed class NewestVisitsTests
{
    private static readonly List<List<Entry>> Visits =
    [
        .. DemoSeasons
            .Write(DemoScenario.Load())
            .GroupBy(e => e.Visit)
            .Where(v => v.First().At.Year >= 2026)
            .Select(v => v.ToList())
            .Take(6),
    ];

    [Fact]
    public async Task Visits_sent_entry_by_entry_by_turns_are_worked_out_as_a_rebuild_works_them_out()
    {
        await using var test = await TestBook.OpenAsync();
        for (var i = 0; i < Visits.Max(v => v.Count); i++)
        {
            foreach (var visit in Visits.Where(v => v.Count > i))
            {
                await test.DeliverAsync(visit[i]);
            }
        }

        var before = await test.ProjectionsAsync();
        await using var book = test.Book();
        Assert.Empty(await book.RebuildAsync(CancellationToken.None));
        Assert.Equal(before, await test.ProjectionsAsync());
    }

    [Fact]
    public async Task What_was_written_besides_is_there_for_the_next_delivery()
    {
        await using var test = await TestBook.OpenAsync();
        var visit = Visits.MaxBy(v => v.Count)!;
        await test.DeliverAsync(visit[..3]);
        await using (var book = test.Book())
        {
            await test.Log.AloneAsync(
                book,
                async () =>
                {
                    await book.AppendAsync([.. visit[3..^1].Select(e => EntryRow.From(e, TestBook.Receipt))], CancellationToken.None);
                    return true;
                },
                CancellationToken.None
            );
        }

        await test.DeliverAsync(visit[^1]);

        await using var whole = await TestBook.OpenAsync();
        await whole.DeliverAsync(visit);
        Assert.Equal(await whole.ProjectionsAsync(), await test.ProjectionsAsync());
    }

    [Fact]
    public void Only_so_much_is_remembered_and_the_oldest_goes_first()
    {
        var newest = new NewestVisits();
        var row = EntryRow.From(Visits[0][0], TestBook.Receipt);
        var ids = Enumerable.Range(0, 50).Select(_ => Guid.CreateVersion7()).ToList();

        foreach (var id in ids)
        {
            newest.Keep(id, Enumerable.Repeat(row, 1000).ToList());
            newest.Keep(ids[0], [row]);
        }

        Assert.NotNull(newest.Of(ids[0]));
        Assert.Equal(ids[^7..], ids.Where(id => id != ids[0] && newest.Of(id) is not null));
        newest.Keep(ids[0], []);
        Assert.Null(newest.Of(ids[0]));
        newest.Forget();
        Assert.All(ids, id => Assert.Null(newest.Of(id)));
    }
}
