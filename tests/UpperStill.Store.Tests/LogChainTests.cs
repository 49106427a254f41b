using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Entries;
using UpperStill.Store.Log;

namespace UpperStill.Store.Tests;

/// <summary>Whatever is done to the log past Upper Still is found, and named.</summary>
public class LogChainTests
{
    [Theory]
    [InlineData(
        "UPDATE Entries SET Body = replace(Body, '\"9\"', '\"8\"') WHERE Sequence = 3",
        "Entry 3 of the log (sounding",
        "is not what it was"
    )]
    [InlineData("UPDATE Entries SET By = 'Bea' WHERE Sequence = 5", "Entry 5 of the log", "is not what it was")]
    [InlineData("UPDATE Entries SET DeliveredBy = 'bea' WHERE Sequence = 1", "Entry 1 of the log", "is not what it was")]
    [InlineData("UPDATE Entries SET Why = '' WHERE Sequence = 2", "Entry 2 of the log", "is not what it was")]
    [InlineData("DELETE FROM Entries WHERE Sequence = 2", "Entry 2 of the log is missing", "its link is there")]
    [InlineData(
        "DELETE FROM Entries WHERE Sequence = 2; DELETE FROM Links WHERE Sequence = 2",
        "Entry 3 of the log",
        "the one before it is gone"
    )]
    [InlineData("DELETE FROM Links WHERE Sequence = 5", "Entry 5 of the log", "has no link")]
    [InlineData(
        "INSERT INTO Entries SELECT 9, '019ff54e-a5c0-73c3-91f3-76d716332433', Visit, Kind, Version, Body, At, \"By\", Device, "
            + "Strikes, Why, ReceivedAt, ClockOffS, DeliveredBy, Person, DeliveredById FROM Entries WHERE Sequence = 3",
        "Entry 9 of the log",
        "put in past Upper Still"
    )]
    [InlineData("UPDATE Links SET Hash = zeroblob(32) WHERE Sequence = 4", "Entry 4 of the log", "is not what it was")]
    public async Task What_was_done_by_hand_is_named(string sql, string names, string says)
    {
        await using var test = await FiveAsync();
        await using var book = test.Book();
        Assert.Empty(await book.WalkAsync(CancellationToken.None));
        await book.Database.ExecuteSqlRawAsync(
            "DROP TRIGGER Entries_no_update; DROP TRIGGER Entries_no_delete; DROP TRIGGER Links_no_update; DROP TRIGGER Links_no_delete"
        );
        await book.Database.ExecuteSqlRawAsync(sql);

        var faults = await book.WalkAsync(CancellationToken.None);
        Assert.Equal(4, faults.Count(f => f.Contains("The guard", StringComparison.Ordinal)));
        var fault = faults.First(f => !f.Contains("The guard", StringComparison.Ordinal));
        Assert.Contains(names, fault, StringComparison.Ordinal);
        Assert.Contains(says, fault, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("UPDATE Links SET Hash = zeroblob(32)")]
    [InlineData("DELETE FROM Links")]
    [InlineData("UPDATE Entries SET Kind = 'strike'")]
    [InlineData("DELETE FROM Entries")]
    public async Task The_database_itself_refuses_to_change_the_log(string sql)
    {
        await using var test = await FiveAsync();
        await using var book = test.Book();

        var refused = await Assert.ThrowsAsync<SqliteException>(() => book.Database.ExecuteSqlRawAsync(sql));

        Assert.Contains("append-only", refused.Message, StringComparison.Ordinal);
        Assert.Empty(await book.WalkAsync(CancellationToken.None));
    }

    [Fact]
    public async Task A_log_holds_its_earlier_marks_and_none_of_another()
    {
        await using var test = await FiveAsync();
        await using var other = await FiveAsync();
        await using var book = test.Book();
        await using var another = other.Book();
        var mark = await book.MarkAsync(CancellationToken.None);
        await test.DeliverAsync(Sounding(Guid.CreateVersion7()));

        Assert.Equal(5, mark.Sequence);
        Assert.True(await book.HoldsAsync(mark, CancellationToken.None));
        Assert.True(await book.HoldsAsync(LogMark.None, CancellationToken.None));
        Assert.False(await another.HoldsAsync(mark, CancellationToken.None));
        Assert.False(await another.HoldsAsync(await book.MarkAsync(CancellationToken.None), CancellationToken.None));
    }

    [Fact]
    public async Task Only_the_newest_are_looked_at_where_that_is_asked()
    {
        await using var test = await FiveAsync();
        await using var book = test.Book();
        await book.Database.ExecuteSqlRawAsync("DROP TRIGGER Entries_no_update; UPDATE Entries SET Device = 'x' WHERE Sequence = 2");

        Assert.Empty(await book.FaultsAsync(3, CancellationToken.None));
        Assert.Single(await book.FaultsAsync(4, CancellationToken.None));
    }

    [Fact]
    public async Task A_field_does_not_borrow_from_the_next_and_nothing_is_not_an_empty_text()
    {
        await using var test = await FiveAsync();
        await using var book = test.Book();
        var row = await book.Entries.AsNoTracking().FirstAsync();
        (row.By, row.Device, row.Why) = ("ab", "c", null);
        var link = LogChain.Link([], row);
        (row.By, row.Device) = ("a", "bc");
        Assert.NotEqual(link, LogChain.Link([], row));
        (row.By, row.Device, row.Why) = ("ab", "c", string.Empty);
        Assert.NotEqual(link, LogChain.Link([], row));
        row.Why = null;
        Assert.Equal(link, LogChain.Link([], row));
        Assert.NotEqual(link, LogChain.Link([1], row));
    }

    [Fact]
    public async Task A_log_that_was_kept_without_links_gets_them()
    {
        await using var test = await FiveAsync();
        await using var book = test.Book();
        var mark = await book.MarkAsync(CancellationToken.None);
        await book.Database.ExecuteSqlRawAsync("DROP TRIGGER Links_no_delete; DELETE FROM Links");

        await book.LinkAsync(CancellationToken.None);

        Assert.Equal(mark, await book.MarkAsync(CancellationToken.None));
        Assert.Empty(await book.FaultsAsync(null, CancellationToken.None));
    }

    private static async Task<TestBook> FiveAsync()
    {
        var test = await TestBook.OpenAsync();
        var visit = Guid.CreateVersion7();
        await test.DeliverAsync(TestBook.Entry(visit, VisitKinds.VisitStarted, new VisitStartedBody("HAR-1", "layered-lake", 1, ["Asa"])));
        for (var i = 0; i < 2; i++)
        {
            await test.DeliverAsync(Sounding(visit), Sounding(visit));
        }

        return test;
    }

    private static Entry Sounding(Guid visit) =>
        TestBook.Entry(visit, SoundingKinds.Sounding, new SoundingBody(new WrittenLength("9", LengthUnit.Metre)));
}
