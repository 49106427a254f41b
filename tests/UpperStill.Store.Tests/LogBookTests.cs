using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Profile;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.History;
using UpperStill.Core.Science.Stratification;
using UpperStill.Core.Setup.Programmes;
using UpperStill.StandIns.Demo;
using UpperStill.Store.Log;
using UpperStill.Store.Projections;
using UpperStill.Store.Reference;

namespace UpperStill.Store.Tests;

public class LogBookTests
{
    private static readonly IReadOnlyList<Entry> Demo = DemoSeasons.Write(DemoScenario.Load());

    [Theory]
    [InlineData("UPDATE Entries SET By = 'nobody'")]
    [InlineData("DELETE FROM Entries")]
    public async Task The_database_itself_refuses_to_change_what_is_written(string sql)
    {
        await using var test = await TestBook.OpenAsync();
        await test.DeliverAsync(Demo[0]);
        await using var book = test.Book();

        var refused = await Assert.ThrowsAsync<SqliteException>(() => book.Database.ExecuteSqlRawAsync(sql));

        Assert.Contains("append-only", refused.Message, StringComparison.Ordinal);
        Assert.Equal(Demo[0].By, (await book.Entries.SingleAsync()).By);
    }

    [Fact]
    public async Task An_entry_comes_back_as_it_was_sent_local_time_included()
    {
        await using var test = await TestBook.OpenAsync();
        await test.DeliverAsync(Demo[1]);
        await using var book = test.Book();

        var back = (await book.Entries.SingleAsync()).ToEntry();

        Assert.Equal((Demo[1].At, Demo[1].At.Offset, Demo[1].Body.GetRawText()), (back.At, back.At.Offset, back.Body.GetRawText()));
        Assert.Equal(TestBook.Receipt, back.Receipt);
    }

    [Fact]
    public async Task Many_visits_at_once_are_projected_as_one_by_one()
    {
        var visits = Demo.GroupBy(e => e.Visit).Where(v => v.First().At.Year >= 2018).ToList();
        await using var slowly = await TestBook.OpenAsync();
        foreach (var visit in visits)
        {
            await slowly.DeliverAsync([.. visit]);
        }

        // The newer half first, so that what is there already is made anew with what comes before it.
        await using var atOnce = await TestBook.OpenAsync();
        await atOnce.DeliverAsync([.. visits.Skip(visits.Count / 2).Take(40).SelectMany(v => v)]);
        await atOnce.DeliverAsync([.. visits.SelectMany(v => v)]);

        Assert.True(visits.Count > 200);
        Assert.Equal(Sorted(await slowly.ProjectionsAsync()), Sorted(await atOnce.ProjectionsAsync()));

        // The order in which entries came is told by their sequence, and differs.
        static string Sorted(string text) => System.Text.RegularExpressions.Regex.Replace(text, "\"LastSequence\":\\d+", string.Empty);
    }

    [Fact]
    public async Task Delivering_again_is_harmless_and_says_so()
    {
        await using var test = await TestBook.OpenAsync();
        var visit = Demo.Where(e => e.Visit == Demo[0].Visit).ToList();
        await test.DeliverAsync(visit);
        var once = await test.ProjectionsAsync();

        var again = await test.DeliverAsync([.. visit, .. visit]);

        Assert.All(again, d => Assert.Equal(Delivery.Already, d.Delivery));
        Assert.Equal(once, await test.ProjectionsAsync());
    }

    [Fact]
    public async Task The_same_entry_twice_in_one_delivery_is_kept_once()
    {
        await using var test = await TestBook.OpenAsync();

        var answers = await test.DeliverAsync(Demo[0], Demo[0]);

        Assert.Equal([Delivery.Kept, Delivery.Already], answers.Select(a => a.Delivery));
    }

    [Fact]
    public async Task Another_entry_under_a_known_id_is_refused_and_the_first_stands()
    {
        await using var test = await TestBook.OpenAsync();
        await test.DeliverAsync(Demo[0]);

        var answer = Assert.Single(await test.DeliverAsync(Demo[0] with { By = "Somebody else" }));

        Assert.Equal("entry-differs", answer.Refusal!.Code);
    }

    [Fact]
    public async Task A_bad_entry_is_refused_by_itself_and_the_good_ones_are_kept()
    {
        await using var test = await TestBook.OpenAsync();

        var answers = await test.DeliverAsync(Demo[0], Demo[1] with { Kind = "weather-balloon" }, Demo[2]);

        Assert.Equal([Delivery.Kept, Delivery.Refused, Delivery.Kept], answers.Select(a => a.Delivery));
    }

    [Fact]
    public async Task A_visit_at_an_unknown_station_stays_whole_on_the_device()
    {
        await using var test = await TestBook.OpenAsync();
        var visit = Guid.CreateVersion7();

        var answers = await test.DeliverAsync(
            TestBook.Entry(visit, SoundingKinds.Sounding, new SoundingBody(new WrittenLength("12", LengthUnit.Metre))),
            TestBook.Entry(visit, VisitKinds.VisitStarted, new VisitStartedBody("NOWHERE", "town-lakes", 1, ["Asa"]))
        );

        Assert.All(answers, a => Assert.Equal("station-unknown", a.Refusal!.Code));
    }

    [Fact]
    public async Task Entries_may_arrive_before_the_beginning_of_their_visit()
    {
        await using var test = await TestBook.OpenAsync();
        var visit = Demo.Where(e => e.Visit == Demo[0].Visit).ToList();
        await test.DeliverAsync([.. visit.Skip(1)]);
        Assert.Equal("[]\n[]\n[]\n[]", await test.ProjectionsAsync());
        await test.DeliverAsync(visit[0]);
        var late = await test.ProjectionsAsync();

        await using var other = await TestBook.OpenAsync();
        await other.DeliverAsync(visit);

        Assert.Equal(await other.ProjectionsAsync(), late);
    }

    [Fact]
    public async Task Projections_do_not_depend_on_the_order_of_delivery_and_rebuild_gives_the_same()
    {
        await using var test = await TestBook.OpenAsync();
        var seasons = Demo.Where(e => e.At.Year >= 2024).ToList();
        var random = new Random(4);
        foreach (var part in seasons.OrderBy(_ => random.Next()).Chunk(97))
        {
            await test.DeliverAsync(part);
        }

        var delivered = await test.ProjectionsAsync();
        await using var book = test.Book();
        var changes = await book.RebuildAsync(CancellationToken.None);

        Assert.Equal(delivered, await test.ProjectionsAsync());
        Assert.Empty(changes);
    }

    [Fact]
    public async Task The_last_profiles_and_the_months_temperatures_of_a_station_come_from_its_levels()
    {
        await using var test = await TestBook.OpenAsync();
        foreach (var (year, month, celsius) in new[] { (2024, 8, "19.5"), (2025, 7, "18.0"), (2025, 8, "21.5") })
        {
            var visit = Guid.CreateVersion7();
            var at = new DateTimeOffset(year, month, 12, 10, 30, 0, TimeSpan.FromHours(1));
            await test.DeliverAsync(
                TestBook.Entry(visit, VisitKinds.VisitStarted, new VisitStartedBody("HAR-2", "layered-lake", 1, ["Asa"]), at),
                TestBook.Entry(
                    visit,
                    ProfileKinds.Level,
                    new LevelBody(new WrittenLength("1", LengthUnit.Metre), new WrittenTemperature(celsius, TemperatureUnit.Celsius)),
                    at
                ),
                TestBook.Entry(
                    visit,
                    ProfileKinds.Level,
                    new LevelBody(new WrittenLength("9", LengthUnit.Metre), new WrittenTemperature("7.0", TemperatureUnit.Celsius)),
                    at
                )
            );
        }

        await using var book = test.Book();
        var profiles = await book.LastProfilesAsync("HAR-2", 2, CancellationToken.None);

        Assert.Equal([new DateOnly(2025, 8, 12), new DateOnly(2025, 7, 12)], profiles.Select(p => p.Day));
        Assert.Equal([new EarlierLevel(1, 21.5m), new EarlierLevel(9, 7)], profiles[0].Levels);
        Assert.Equal(
            [new MonthTemperatures(2024, 8, 7, 19.5m), new MonthTemperatures(2025, 7, 7, 18), new MonthTemperatures(2025, 8, 7, 21.5m)],
            (await book.ContextAsync("HAR-2", null, null, CancellationToken.None))!.Temperatures!
        );
        Assert.Empty(await book.LastProfilesAsync("HAR-1", 2, CancellationToken.None));
    }

    [Fact]
    public async Task A_visit_that_comes_late_is_counted_by_the_next_one_across_the_border_of_a_month()
    {
        await using var test = await TestBook.OpenAsync();
        var place = DemoScenario.Load().Stations.First(s => Rhythm(s.Programme) is not null);
        var (first, last) = (new DateOnly(2026, 5, 20), new DateOnly(2026, 5, 20).AddDays(3 * Rhythm(place.Programme)!.Value));
        var lastVisit = Visit(last);
        await test.DeliverAsync([.. Visit(first), .. lastVisit]);
        Assert.Equal(last, await OffAsync());

        // The one between comes from a device that was without a signal: now the last is a fortnight after it, and not six weeks.
        var between = Visit(first.AddDays(2 * Rhythm(place.Programme)!.Value));
        Assert.NotEqual(last.Month, between[0].At.Month);
        await test.DeliverAsync(between);
        Assert.NotEqual(last, await OffAsync());
        await test.DeliverAsync(
            TestBook.Entry(between[0].Visit, VisitKinds.Strike, new EmptyBody()) with
            {
                Strikes = between[0].Id,
                Why = "another lake",
            }
        );
        Assert.Equal(last, await OffAsync());

        // Also where both are written at once: one comes, and goes.
        var again = Visit(
            between[0].At.Day < 28
                ? DateOnly.FromDateTime(between[0].At.DateTime).AddDays(1)
                : DateOnly.FromDateTime(between[0].At.DateTime).AddDays(-1)
        );
        await test.DeliverAsync([TestBook.Entry(lastVisit[0].Visit, VisitKinds.Taken, new TakenBody(Protocol.Clarity)), .. again]);
        Assert.NotEqual(last, await OffAsync());
        await test.DeliverAsync(
            TestBook.Entry(lastVisit[0].Visit, VisitKinds.Taken, new TakenBody(Protocol.Clarity)),
            TestBook.Entry(again[0].Visit, VisitKinds.Strike, new EmptyBody()) with
            {
                Strikes = again[0].Id,
                Why = "another lake",
            }
        );
        Assert.Equal(last, await OffAsync());

        async Task<DateOnly?> OffAsync()
        {
            await using var book = test.Book();
            return await book
                .Findings.Where(f => f.Code == "interval-off")
                .Join(book.Visits, f => f.Visit, v => v.Visit, (_, v) => (DateOnly?)v.Day)
                .OrderByDescending(d => d)
                .FirstOrDefaultAsync();
        }

        Entry[] Visit(DateOnly day)
        {
            var (visit, at) = (Guid.CreateVersion7(), new DateTimeOffset(day.ToDateTime(new TimeOnly(11, 0)), TimeSpan.FromHours(1)));
            return
            [
                TestBook.Entry(
                    visit,
                    VisitKinds.VisitStarted,
                    new VisitStartedBody(place.Station.Code, place.Programme, 1, ["Asa"], place.Line, [Protocol.Clarity]),
                    at
                ),
                .. new[] { DiscEvent.Disappeared, DiscEvent.Reappeared }.SelectMany(e =>
                    Enumerable
                        .Range(1, 2)
                        .Select(i =>
                            TestBook.Entry(
                                visit,
                                SecchiKinds.DiscMark,
                                new DiscMarkBody(i, e, new WrittenLength("2.0", LengthUnit.Metre)),
                                at
                            )
                        )
                ),
            ];
        }

        static int? Rhythm(string programme) =>
            DemoScenario
                .Load()
                .Programmes.First(p => p.Code == programme)
                .Season?.FirstOrDefault(p => p.Protocol == Protocol.Clarity && p.Rhythm == UpperStill.Core.Setup.Programmes.Rhythm.Days)
                ?.GreatestGapDays;
    }

    [Fact]
    public async Task What_changes_nothing_that_others_are_judged_by_works_no_other_visit_out_again()
    {
        await using var test = await TestBook.OpenAsync();
        var visits = Demo.Where(e => e.At.Year >= 2020).GroupBy(e => e.Visit).ToList();
        await test.DeliverAsync([.. visits.SelectMany(v => v)]);
        var old = visits.OrderBy(v => v.Min(e => e.At)).First(v => v.Any(e => e.Kind == SecchiKinds.DiscMark.Name));
        await using (var book = test.Book())
        {
            // Whatever is worked out again loses this mark.
            await book.Visits.ExecuteUpdateAsync(v => v.SetProperty(r => r.Observers, "untouched"));
        }

        await test.DeliverAsync(TestBook.Entry(old.Key, VisitKinds.Taken, new TakenBody(Protocol.Clarity)));
        Assert.Equal(1, await AgainAsync());

        // Marks of the disc that are struck change what its month is compared with: that month at that station, and the next visit.
        await test.DeliverAsync([
            .. old.Where(e => e.Kind == SecchiKinds.DiscMark.Name)
                .Select(m => TestBook.Entry(old.Key, VisitKinds.Strike, new EmptyBody()) with { Strikes = m.Id, Why = "misread" }),
        ]);
        var again = await AgainAsync();
        Assert.InRange(again, 3, visits.Count / 8);

        async Task<int> AgainAsync()
        {
            await using var book = test.Book();
            return await book.Visits.CountAsync(v => v.Observers != "untouched");
        }
    }

    [Fact]
    public async Task Rebuild_says_which_published_value_changed()
    {
        await using var test = await TestBook.OpenAsync();
        var visit = Guid.CreateVersion7();
        await test.DeliverAsync(
            TestBook.Entry(visit, VisitKinds.VisitStarted, new VisitStartedBody("PEL-1", "town-lakes", 1, ["Asa"])),
            TestBook.Entry(
                visit,
                SecchiKinds.DiscMark,
                new DiscMarkBody(1, DiscEvent.Disappeared, new WrittenLength("2.0", LengthUnit.Metre))
            ),
            TestBook.Entry(
                visit,
                SecchiKinds.DiscMark,
                new DiscMarkBody(1, DiscEvent.Reappeared, new WrittenLength("1.8", LengthUnit.Metre))
            )
        );
        await using var book = test.Book();
        await book.Readings.Clarity().ExecuteUpdateAsync(c => c.SetProperty(r => r.Text, "1.7 m"));

        var change = Assert.Single(await book.RebuildAsync(CancellationToken.None));

        Assert.Equal("PEL-1 2026-08-12: clarity was 1.7 m, is 1.9 m by the rules of this version", change);
    }

    [Fact]
    public async Task A_commit_is_written_through_to_the_disk()
    {
        await using var test = await TestBook.OpenAsync();
        await using var book = test.Book();
        await book.Database.OpenConnectionAsync();
        await using var command = book.Database.GetDbConnection().CreateCommand();

        command.CommandText = "PRAGMA synchronous";
        Assert.Equal(2L, await command.ExecuteScalarAsync());
        command.CommandText = "PRAGMA journal_mode";
        Assert.Equal("wal", await command.ExecuteScalarAsync());
    }
}
