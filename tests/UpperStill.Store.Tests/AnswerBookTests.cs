using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Trends;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Readings;
using UpperStill.StandIns.Demo;
using UpperStill.Store.Projections;

namespace UpperStill.Store.Tests;

/// <summary>What series say is kept, and never told once something under it has changed.</summary>
public sealed class AnswerBookTests
{
    private const string Station = "HAR-1";
    private static readonly IReadOnlyList<IGrouping<Guid, Entry>> Visits =
    [
        .. DemoSeasons
            .Write(DemoScenario.Load())
            .GroupBy(e => e.Visit)
            .Where(v => Begins(v) is { Station: Station } && v.First().At.Month is >= 7 and <= 8)
            .Take(12),
    ];

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    [Fact]
    public async Task What_was_worked_out_is_kept_and_told_again()
    {
        await using var test = await WithVisitsAsync();
        var first = await ClarityAsync(test);
        await using (var book = test.Book())
        {
            Assert.Equal(Subjects.Measured.Count, await book.Answers.CountAsync(Cancel));
            // A mark that only a kept answer can have.
            await book
                .Answers.Where(a => a.Subject == Parameter.Clarity)
                .ExecuteUpdateAsync(
                    a => a.SetProperty(r => r.Definition, r => r.Definition!.Replace("\"detail\":\"", "\"detail\":\"kept ")),
                    Cancel
                );
        }

        Assert.Equal($"kept {first.Detail}", (await ClarityAsync(test)).Detail);
    }

    [Fact]
    public async Task A_visit_that_comes_or_goes_is_in_the_next_answer()
    {
        await using var test = await WithVisitsAsync();
        var before = (await ClarityAsync(test)).Years.Sum(y => y.Count);
        await test.DeliverAsync([.. Visits[^1]]);
        Assert.Equal(before + 1, (await ClarityAsync(test)).Years.Sum(y => y.Count));

        var start = Visits[^1].First(e => e.Kind == VisitKinds.VisitStarted.Name);
        await test.DeliverAsync(
            TestBook.Entry(start.Visit, VisitKinds.Strike, new EmptyBody()) with
            {
                Strikes = start.Id,
                Why = "another lake",
            }
        );
        Assert.Equal(before, (await ClarityAsync(test)).Years.Sum(y => y.Count));
    }

    [Theory]
    [InlineData("UPDATE Stations SET Definition = Definition WHERE Code = 'HAR-1'", true)]
    [InlineData("UPDATE Programmes SET Definition = Definition WHERE Code = (SELECT Programme FROM Stations WHERE Code = 'HAR-1')", true)]
    [InlineData(
        "INSERT INTO Programmes SELECT Code, Version + 1, Definition FROM Programmes WHERE Code = (SELECT Programme FROM Stations "
            + "WHERE Code = 'HAR-1') ORDER BY Version DESC LIMIT 1",
        true
    )]
    [InlineData("INSERT INTO SeriesJoins VALUES ('HAR-1', 'Clarity', '2020-05-12', 'side by side', 'Asa')", true)]
    [InlineData("UPDATE Stations SET Definition = Definition WHERE Code = 'PEL-1'", false)]
    [InlineData("INSERT INTO SeriesJoins VALUES ('PEL-1', 'Clarity', '2020-05-12', 'side by side', 'Asa')", false)]
    public async Task What_is_set_up_anew_makes_the_answers_old_of_the_stations_that_rest_on_it(string sql, bool old)
    {
        await using var test = await WithVisitsAsync();
        await ClarityAsync(test);
        await using var book = test.Book();
        await book.Answers.ExecuteUpdateAsync(a => a.SetProperty(r => r.Definition, (string?)null), Cancel);
        Assert.Empty(await AnswersAsync(book));

        await book.Database.ExecuteSqlRawAsync(sql, Cancel);
        Assert.Equal(old, (await AnswersAsync(book)).Count > 0);
    }

    [Fact]
    public async Task Answers_of_other_rules_are_worked_out_again()
    {
        await using var test = await WithVisitsAsync();
        await ClarityAsync(test);
        await using var book = test.Book();
        await book.Answers.ExecuteUpdateAsync(
            a => a.SetProperty(r => r.Rules, "before").SetProperty(r => r.Definition, (string?)null),
            Cancel
        );
        Assert.NotEmpty(await AnswersAsync(book));
    }

    [Fact]
    public async Task Whoever_asks_is_answered_while_somebody_else_writes()
    {
        await using var test = await WithVisitsAsync();
        await using var writer = test.Book();
        await using var writing = await writer.Database.BeginTransactionAsync(Cancel);
        await writer.Database.ExecuteSqlRawAsync("UPDATE Stations SET Ordinal = Ordinal", Cancel);
        await using var book = test.Book();
        Assert.NotEmpty(await AnswersAsync(book));
        Assert.Equal(0, await book.Answers.CountAsync(Cancel));
    }

    [Fact]
    public async Task The_test_alone_is_that_of_the_whole_answer()
    {
        await using var test = await WithVisitsAsync();
        await using var book = test.Book();
        var rows = await book.Stations.AsNoTracking().ToListAsync(Cancel);
        var tests = await book.TestsAsync(rows, Parameter.Clarity, Cancel);
        var answers = await book.AnswersAsync(rows, [Parameter.Clarity], ReaderUnit.AsRead, Cancel);
        Assert.Equal(answers.Select(a => (a.Key, RegionalStation.Of(a.Single()))), tests.Select(t => (t.Key, t.Single())));
    }

    private static VisitStartedBody? Begins(IEnumerable<Entry> visit) =>
        visit.FirstOrDefault(e => e.Kind == VisitKinds.VisitStarted.Name) is { } start ? VisitKinds.VisitStarted.Read(start.Body) : null;

    private static async Task<TestBook> WithVisitsAsync()
    {
        var test = await TestBook.OpenAsync();
        await test.DeliverAsync([.. Visits.Take(Visits.Count - 1).SelectMany(v => v)]);
        return test;
    }

    private static async Task<SeriesAnswer> ClarityAsync(TestBook test)
    {
        await using var book = test.Book();
        return (await AnswersAsync(book)).Single(a => a.Subject == Parameter.Clarity);
    }

    private static async Task<IReadOnlyList<SeriesAnswer>> AnswersAsync(FieldBook book) =>
        [
            .. (
                await book.AnswersAsync(
                    await book.Stations.AsNoTracking().Where(s => s.Code == Station).ToListAsync(Cancel),
                    null,
                    ReaderUnit.AsRead,
                    Cancel
                )
            )[Station],
        ];
}
