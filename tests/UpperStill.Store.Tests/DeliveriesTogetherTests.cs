using System.Text.RegularExpressions;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Delivery;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Setup.People;
using UpperStill.StandIns.Demo;
using UpperStill.Store.Log;

namespace UpperStill.Store.Tests;

/// <summary>Deliveries of many devices that wait for the writer are written together, and each is answered as if it had come
/// alone.</summary>
public sealed class DeliveriesTogetherTests
{
    private static readonly List<List<Entry>> Visits =
    [
        .. DemoSeasons.Write(DemoScenario.Load()).GroupBy(e => e.Visit).Where(v => v.First().At.Year >= 2025).Select(v => v.ToList()),
    ];

    [Fact]
    public async Task What_many_send_at_once_is_projected_as_one_by_one()
    {
        await using var slowly = await TestBook.OpenAsync();
        foreach (var visit in Visits)
        {
            await slowly.DeliverAsync(visit);
        }

        // Each in two parts, so that some beginnings come after what follows them.
        await using var atOnce = await TestBook.OpenAsync();
        var parts = Visits
            .Select(v => v.Where((_, i) => i % 2 == 1).ToList())
            .Concat(Visits.Select(v => v.Where((_, i) => i % 2 == 0).ToList()));
        var answers = await TogetherAsync(atOnce, parts.Select(p => (Func<Task<IReadOnlyList<Delivered>>>)(() => atOnce.DeliverAsync(p))));

        Assert.True(Visits.Count > 30);
        Assert.All(answers.SelectMany(a => a), a => Assert.Contains(a.Delivery, new[] { Delivery.Kept, Delivery.Waits }));

        // What strikes an entry of the other part is sent again, as a device does.
        await TogetherAsync(atOnce, Visits.Select(v => (Func<Task<IReadOnlyList<Delivered>>>)(() => atOnce.DeliverAsync(v))));
        Assert.Equal(Sorted(await slowly.ProjectionsAsync()), Sorted(await atOnce.ProjectionsAsync()));

        // The order in which entries came is told by their sequence, and differs.
        static string Sorted(string text) => Regex.Replace(text, "\"LastSequence\":\\d+", string.Empty);
    }

    [Fact]
    public async Task The_same_entries_from_two_devices_at_once_are_kept_once()
    {
        await using var test = await TestBook.OpenAsync();

        var answers = await TogetherAsync(
            test,
            [() => test.DeliverAsync(Visits[0]), () => test.DeliverAsync(Visits[1]), () => test.DeliverAsync(Visits[0])]
        );

        Assert.All(answers[0].Concat(answers[1]), a => Assert.Equal(Delivery.Kept, a.Delivery));
        Assert.All(answers[2], a => Assert.Equal(Delivery.Already, a.Delivery));
    }

    [Fact]
    public async Task What_is_refused_to_one_is_kept_for_the_other()
    {
        await using var test = await TestBook.OpenAsync();
        var nobody = new Deliverer(new Permissions([new Grant(Role.Sampler, ["another-water"])]));

        var answers = await TogetherAsync(
            test,
            [
                () => test.DeliverAsync(Visits[0]),
                () => DeliverAsync(test, Visits[1], nobody, CancellationToken.None),
                () => test.DeliverAsync(Visits[2]),
            ]
        );

        Assert.All(answers[0].Concat(answers[2]), a => Assert.Equal(Delivery.Kept, a.Delivery));
        Assert.All(answers[1], a => Assert.Equal(Delivery.Refused, a.Delivery));
    }

    [Fact]
    public async Task Whoever_leaves_before_their_turn_leaves_nothing_and_delays_nobody()
    {
        await using var test = await TestBook.OpenAsync();
        using var leaves = new CancellationTokenSource();
        var all = new Deliverer(new Permissions([new Grant(Role.Coordinator)]));

        var gone = TogetherAsync(
            test,
            [() => DeliverAsync(test, Visits[0], all, leaves.Token), () => test.DeliverAsync(Visits[1])],
            leaves.Cancel
        );

        await Assert.ThrowsAnyAsync<OperationCanceledException>(() => gone);
        Assert.All(await test.DeliverAsync(Visits[1]), a => Assert.Equal(Delivery.Already, a.Delivery));
        Assert.All(await test.DeliverAsync(Visits[0]), a => Assert.Equal(Delivery.Kept, a.Delivery));
    }

    [Fact]
    public async Task A_full_disk_is_no_entrys_fault_nothing_is_kept_and_all_may_come_again()
    {
        await using var test = await TestBook.OpenAsync();
        var all = new Deliverer(new Permissions([new Grant(Role.Coordinator)]));
        await using (var book = test.Book())
        {
            // So small a database can hold no more than it does.
            await book.Database.OpenConnectionAsync(TestContext.Current.CancellationToken);
            await book.Database.ExecuteSqlRawAsync("PRAGMA max_page_count = 1", TestContext.Current.CancellationToken);

            var fault = await Assert.ThrowsAnyAsync<Exception>(() =>
                test.Log.DeliverAsync(book, [.. Visits.SelectMany(v => v)], TestBook.Receipt, all, CancellationToken.None)
            );

            Assert.Equal(StorageFault.Full, StorageFaults.Of(fault));
            await book.Database.ExecuteSqlRawAsync("PRAGMA max_page_count = 1000000", TestContext.Current.CancellationToken);
        }

        Assert.Equal(0, await CountAsync(test));
        Assert.All(await test.DeliverAsync([.. Visits.SelectMany(v => v)]), a => Assert.Equal(Delivery.Kept, a.Delivery));
    }

    private static async Task<int> CountAsync(TestBook test)
    {
        await using var book = test.Book();
        return await book.Entries.CountAsync(TestContext.Current.CancellationToken);
    }

    // Holds the writer until all wait for it.
    private static async Task<IReadOnlyList<Delivered>[]> TogetherAsync(
        TestBook test,
        IEnumerable<Func<Task<IReadOnlyList<Delivered>>>> deliveries,
        Action? meanwhile = null
    )
    {
        var waiting = new TaskCompletionSource();
        var holder = test.Log.UntouchedAsync(
            async () =>
            {
                await waiting.Task;
                return true;
            },
            CancellationToken.None
        );
        var all = deliveries.Select(d => d()).ToList();
        meanwhile?.Invoke();
        waiting.SetResult();
        await holder;
        return await Task.WhenAll(all);
    }

    private static async Task<IReadOnlyList<Delivered>> DeliverAsync(
        TestBook test,
        IReadOnlyList<Entry> entries,
        Deliverer who,
        CancellationToken cancel
    )
    {
        await using var book = test.Book();
        return await test.Log.DeliverAsync(book, entries, TestBook.Receipt, who, cancel);
    }
}
