using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Delivery;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Protocols.Results;
using UpperStill.Core.Protocols.Review;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Setup.People;
using UpperStill.Store.Log;

namespace UpperStill.Store.Tests;

/// <summary>Who may write what to which visit, and strike what: role by kind, on their own water, on another's, in another's
/// visit.</summary>
public class OwnersTests
{
    private const string Own = "harrowmere";
    private static readonly Dictionary<string, Permissions> Roles = new()
    {
        ["sampler"] = new([new Grant(Role.Sampler, [Own])]),
        ["laboratory"] = new([new Grant(Role.Laboratory, [Own])]),
        ["coordinator"] = new([new Grant(Role.Coordinator, [Own])]),
        ["both"] = new([new Grant(Role.Coordinator, [Own, "pell-tarn"])]),
        ["everywhere"] = new([new Grant(Role.Coordinator)]),
        ["reader"] = new([new Grant(Role.Reader)]),
        ["sampler elsewhere"] = new([new Grant(Role.Sampler, ["pell-tarn"])]),
        ["laboratory elsewhere"] = new([new Grant(Role.Laboratory, ["pell-tarn"])]),
        ["coordinator elsewhere"] = new([new Grant(Role.Coordinator, ["pell-tarn"])]),
    };

    // By the owner of a kind, the roles that may write it and strike it.
    private static readonly Dictionary<EntryOwner, string[]> May = new()
    {
        [EntryOwner.Sampler] = ["sampler", "coordinator", "both", "everywhere"],
        [EntryOwner.Laboratory] = ["laboratory", "coordinator", "both", "everywhere"],
        [EntryOwner.Reviewer] = ["coordinator", "both", "everywhere"],
        [EntryOwner.Mover] = ["coordinator", "both", "everywhere"],
    };

    public static TheoryData<string, EntryOwner> Kinds =>
        new()
        {
            { SoundingKinds.Sounding.Name, EntryOwner.Sampler },
            { ReviewKinds.Answered.Name, EntryOwner.Sampler },
            { CustodyKinds.HandedOver.Name, EntryOwner.Sampler },
            { VisitKinds.VisitClosed.Name, EntryOwner.Sampler },
            { CustodyKinds.Received.Name, EntryOwner.Laboratory },
            { CustodyKinds.SampleRejected.Name, EntryOwner.Laboratory },
            { ResultKinds.Measured.Name, EntryOwner.Laboratory },
            { ResultKinds.Result.Name, EntryOwner.Laboratory },
            { ResultKinds.Reported.Name, EntryOwner.Laboratory },
            { ReviewKinds.Asked.Name, EntryOwner.Reviewer },
            { ReviewKinds.SignedOff.Name, EntryOwner.Reviewer },
            { VisitKinds.VisitMoved.Name, EntryOwner.Mover },
        };

    [Fact]
    public void Every_kind_says_who_owns_it() =>
        Assert.Equal(
            ["received", "sample-rejected", "measured", "result", "reported", "asked", "signed-off", "visit-moved"],
            EntryKinds.All.Values.Where(k => k.Owner != EntryOwner.Sampler).OrderBy(k => k.Owner).Select(k => k.Name)
        );

    [Theory]
    [MemberData(nameof(Kinds))]
    public async Task Only_its_owners_write_and_strike_a_kind(string kind, EntryOwner owner)
    {
        await using var test = await TestBook.OpenAsync();
        var visit = Begin(out var start, "HAR-1");
        var standing = Any(visit, kind);
        Assert.All(await DeliverAsync(test, "coordinator", start, standing), d => Assert.Equal(Delivery.Kept, d.Delivery));

        foreach (var role in Roles.Keys)
        {
            var may = May[owner].Contains(role);
            Assert.Equal(
                (role, may ? Delivery.Kept : Delivery.Refused),
                (role, (await DeliverAsync(test, role, Any(visit, kind)))[0].Delivery)
            );
            Assert.Equal(
                (role, may ? Delivery.Kept : Delivery.Refused),
                (role, (await DeliverAsync(test, role, Strike(visit, standing)))[0].Delivery)
            );
            if (role == "sampler" && !may)
            {
                // Nor by a reading of one's own that strikes it on the way.
                Assert.Equal(
                    Delivery.Refused,
                    (await DeliverAsync(test, role, Any(visit, SoundingKinds.Sounding.Name) with { Strikes = standing.Id, Why = "mine" }))[
                        0
                    ].Delivery
                );
            }
        }
    }

    [Fact]
    public async Task A_strike_is_undone_only_by_whom_its_target_belongs_to()
    {
        await using var test = await TestBook.OpenAsync();
        var visit = Begin(out var start, "HAR-1");
        var received = Any(visit, CustodyKinds.Received.Name);
        var strike = Strike(visit, received);
        await DeliverAsync(test, "coordinator", start, received, strike);

        Assert.Equal(Delivery.Refused, (await DeliverAsync(test, "sampler", Strike(visit, strike)))[0].Delivery);
        Assert.Equal(Delivery.Kept, (await DeliverAsync(test, "laboratory", Strike(visit, strike)))[0].Delivery);
    }

    [Fact]
    public async Task A_laboratory_answers_findings_about_its_own_entries_alone()
    {
        await using var test = await TestBook.OpenAsync();
        var visit = Begin(out var start, "HAR-1");
        var (result, sounding) = (Any(visit, ResultKinds.Result.Name), Any(visit, SoundingKinds.Sounding.Name));
        await DeliverAsync(test, "coordinator", start, result, sounding);

        Assert.Equal(Delivery.Refused, (await DeliverAsync(test, "laboratory", Kept(visit, sounding.Id)))[0].Delivery);
        Assert.Equal(Delivery.Refused, (await DeliverAsync(test, "laboratory", Kept(visit, sounding.Id, result.Id)))[0].Delivery);
        Assert.Equal(Delivery.Refused, (await DeliverAsync(test, "laboratory", Kept(visit)))[0].Delivery);
        Assert.Equal(Delivery.Kept, (await DeliverAsync(test, "laboratory", Kept(visit, result.Id)))[0].Delivery);
        Assert.Equal(Delivery.Kept, (await DeliverAsync(test, "sampler", Kept(visit, sounding.Id)))[0].Delivery);
    }

    [Fact]
    public async Task A_later_beginning_neither_moves_a_visit_nor_takes_it_over()
    {
        await using var test = await TestBook.OpenAsync();
        var visit = Begin(out var start, "PEL-1");
        await DeliverAsync(test, "sampler elsewhere", start, Any(visit, SoundingKinds.Sounding.Name));

        // Earlier by its own clock, at the intruder's own water, plain or striking what stands, alone or with readings.
        Begin(out var intruder, "HAR-1", visit);
        intruder = intruder with { At = start.At.AddHours(-3) };
        var striking = intruder with { Id = Guid.CreateVersion7(), Strikes = start.Id, Why = "mine" };
        foreach (var role in new[] { "sampler", "coordinator" })
        {
            var answers = await DeliverAsync(test, role, intruder, Any(visit, SoundingKinds.Sounding.Name), striking);
            Assert.All(answers, d => Assert.Equal(Delivery.Refused, d.Delivery));

            // They do not see the other water, and are not told where the visit lies.
            Assert.All(answers, d => Assert.DoesNotContain("PEL-1", d.Refusal!.Seen, StringComparison.Ordinal));
        }

        // Nor by whoever reaches both waters.
        await using (var book = test.Book())
        {
            var both = await test.Log.DeliverAsync(
                book,
                [striking],
                TestBook.Receipt,
                new Deliverer(new Permissions([new Grant(Role.Sampler)])),
                CancellationToken.None
            );
            Assert.Equal("visit-elsewhere", both[0].Refusal!.Code);
        }

        // A beginning that was struck still says where the visit lies.
        Assert.Equal(Delivery.Kept, (await DeliverAsync(test, "sampler elsewhere", Strike(visit, start)))[0].Delivery);
        Assert.Equal(Delivery.Refused, (await DeliverAsync(test, "sampler", intruder))[0].Delivery);
        Begin(out var again, "PEL-1", visit);
        Assert.Equal(Delivery.Kept, (await DeliverAsync(test, "sampler elsewhere", again))[0].Delivery);
        await using var after = test.Book();
        Assert.Equal("PEL-1", (await after.Visits.SingleAsync()).Station);
    }

    [Fact]
    public async Task A_visit_is_moved_by_whoever_coordinates_both_waters()
    {
        await using var test = await TestBook.OpenAsync();
        var visit = Begin(out var start, "HAR-1");
        var sign = TestBook.Entry(visit, ReviewKinds.SignedOff, new SignedOffBody("0", "0"));
        await DeliverAsync(test, "coordinator", start, Any(visit, SoundingKinds.Sounding.Name), sign);
        var move = Move(visit, "PEL-1");

        foreach (var role in Roles.Keys.Except(["both", "everywhere"]))
        {
            Assert.Equal((role, Delivery.Refused), (role, (await DeliverAsync(test, role, move))[0].Delivery));
        }

        Assert.Equal("role-missing", (await DeliverAsync(test, "both", Move(visit, "NOWHERE")))[0].Refusal!.Code);
        Assert.Equal("station-unknown", (await DeliverAsync(test, "everywhere", Move(visit, "NOWHERE")))[0].Refusal!.Code);
        Assert.Equal("reason-missing", (await DeliverAsync(test, "both", move with { Why = null }))[0].Refusal!.Code);
        Assert.Equal(Delivery.Kept, (await DeliverAsync(test, "both", move))[0].Delivery);
        Assert.Equal("PEL-1", await StationAsync(test));

        // From then on it is the other water's: its people write to it, the first one's no more.
        Assert.Equal(Delivery.Refused, (await DeliverAsync(test, "sampler", Any(visit, SoundingKinds.Sounding.Name)))[0].Delivery);
        Assert.Equal(Delivery.Kept, (await DeliverAsync(test, "sampler elsewhere", Any(visit, SoundingKinds.Sounding.Name)))[0].Delivery);

        // Its head may still be put right under the name on its labels; that moves it neither back nor elsewhere.
        Begin(out var again, "HAR-1", visit);
        Assert.Equal(
            Delivery.Kept,
            (await DeliverAsync(test, "sampler elsewhere", again with { Strikes = start.Id, Why = "two read" }))[0].Delivery
        );
        Begin(out var third, "HAR-2", visit);
        Assert.Equal("visit-elsewhere", (await DeliverAsync(test, "both", third))[0].Refusal!.Code);
        Assert.Equal("PEL-1", await StationAsync(test));

        // It goes back the same way: neither water's coordinator alone.
        Assert.Equal(Delivery.Refused, (await DeliverAsync(test, "coordinator elsewhere", Strike(visit, move)))[0].Delivery);
        Assert.Equal(
            Delivery.Refused,
            (await DeliverAsync(test, "coordinator elsewhere", Move(visit, "PEL-1") with { Strikes = move.Id }))[0].Delivery
        );
        Assert.Equal(Delivery.Kept, (await DeliverAsync(test, "both", Strike(visit, move)))[0].Delivery);
        Assert.Equal("HAR-1", await StationAsync(test));

        static async Task<string> StationAsync(TestBook test)
        {
            await using var book = test.Book();
            return (await book.Visits.SingleAsync()).Station;
        }
    }

    [Fact]
    public async Task A_move_before_its_beginning_is_refused()
    {
        await using var test = await TestBook.OpenAsync();
        var visit = Begin(out var start, "HAR-1");

        Assert.Equal([Delivery.Refused], (await DeliverAsync(test, "everywhere", Move(visit, "PEL-1"))).Select(d => d.Delivery));
        Assert.Equal(
            [Delivery.Kept, Delivery.Kept],
            (await DeliverAsync(test, "everywhere", Move(visit, "PEL-1"), start)).Select(d => d.Delivery)
        );
    }

    [Fact]
    public async Task Readings_that_came_before_their_beginning_are_not_taken_by_another()
    {
        await using var test = await TestBook.OpenAsync();
        var visit = Begin(out var start, "PEL-1");
        Assert.Equal(Delivery.Kept, (await DeliverAsync(test, "sampler elsewhere", Any(visit, SoundingKinds.Sounding.Name)))[0].Delivery);
        Begin(out var intruder, "HAR-1", visit);

        var refused = (await DeliverAsync(test, "sampler", intruder))[0];

        Assert.Equal("visit-of-another", refused.Refusal!.Code);
        Assert.Equal(Delivery.Kept, (await DeliverAsync(test, "sampler elsewhere", start))[0].Delivery);
    }

    [Fact]
    public async Task A_strike_that_comes_before_its_target_waits_and_is_judged_then()
    {
        await using var test = await TestBook.OpenAsync();
        var visit = Begin(out var start, "HAR-1");
        var (asked, sounding) = (Any(visit, ReviewKinds.Asked.Name), Any(visit, SoundingKinds.Sounding.Name));
        var (ofAsked, ofSounding) = (Strike(visit, asked), Strike(visit, sounding));
        await DeliverAsync(test, "sampler", start);

        Assert.All(await DeliverAsync(test, "sampler", ofAsked, ofSounding), d => Assert.Equal(Delivery.Waits, d.Delivery));
        await using (var book = test.Book())
        {
            Assert.Equal(1, await book.Entries.CountAsync());
        }

        // In one delivery with its target the order does not matter.
        await DeliverAsync(test, "coordinator", asked);
        Assert.Equal(
            [Delivery.Refused, Delivery.Kept, Delivery.Kept],
            (await DeliverAsync(test, "sampler", ofAsked, ofSounding, sounding)).Select(d => d.Delivery)
        );
    }

    [Fact]
    public async Task Nothing_in_another_visit_is_struck()
    {
        await using var test = await TestBook.OpenAsync();
        var one = Begin(out var first, "HAR-1");
        var other = Begin(out var second, "HAR-1");
        var sounding = Any(one, SoundingKinds.Sounding.Name);
        await DeliverAsync(test, "sampler", first, second, sounding);

        Assert.Equal("strike-elsewhere", (await DeliverAsync(test, "sampler", Strike(other, sounding)))[0].Refusal!.Code);
    }

    [Fact]
    public async Task An_entry_with_which_a_visit_cannot_be_worked_out_is_refused_by_itself()
    {
        await using var test = await TestBook.OpenAsync();
        await using (var book = test.Book())
        {
            await book.Database.ExecuteSqlRawAsync(
                "CREATE TRIGGER fault BEFORE INSERT ON Readings WHEN NEW.Parameter = 'clarity' AND CAST(NEW.Value AS REAL) > 5 "
                    + "BEGIN SELECT RAISE(ABORT, 'a fault of ours'); END"
            );
        }

        var (bad, good) = (Begin(out var start, "HAR-2"), Begin(out var other, "HAR-2"));
        var mark = TestBook.Entry(
            bad,
            SecchiKinds.ClarityStated,
            new Core.Protocols.Secchi.ClarityStatedBody(new WrittenLength("6", LengthUnit.Metre))
        );
        var results = await DeliverAsync(
            test,
            "coordinator",
            start,
            Any(bad, SoundingKinds.Sounding.Name),
            mark,
            other,
            Any(good, SoundingKinds.Sounding.Name)
        );

        Assert.Equal([Delivery.Kept, Delivery.Kept, Delivery.Refused, Delivery.Kept, Delivery.Kept], results.Select(r => r.Delivery));
        Assert.Contains("a fault of ours", results[2].Refusal!.Seen, StringComparison.Ordinal);
        await using var after = test.Book();
        Assert.Equal((4, 2), (await after.Entries.CountAsync(), await after.Visits.CountAsync()));
    }

    [Fact]
    public async Task What_is_in_the_log_already_is_so_for_whoever_sends_it_again()
    {
        await using var test = await TestBook.OpenAsync();
        Begin(out var start, "HAR-1");
        await DeliverAsync(test, "sampler", start);

        Assert.Equal(Delivery.Already, (await DeliverAsync(test, "laboratory", start))[0].Delivery);
    }

    private static async Task<IReadOnlyList<Delivered>> DeliverAsync(TestBook test, string role, params Entry[] entries)
    {
        await using var book = test.Book();
        return await test.Log.DeliverAsync(
            book,
            entries,
            TestBook.Receipt with
            {
                DeliveredBy = role,
            },
            new Deliverer(Roles[role]),
            CancellationToken.None
        );
    }

    private static Guid Begin(out Entry start, string station, Guid? visit = null)
    {
        var id = visit ?? Guid.CreateVersion7();
        start = TestBook.Entry(
            id,
            VisitKinds.VisitStarted,
            new VisitStartedBody(station, station == "PEL-1" ? "town-lakes" : "layered-lake", 1, ["Asa"])
        );
        return id;
    }

    private static Entry Strike(Guid visit, Entry target) =>
        TestBook.Entry(visit, VisitKinds.Strike, new EmptyBody()) with
        {
            Strikes = target.Id,
            Why = "misread",
        };

    private static Entry Move(Guid visit, string station) =>
        TestBook.Entry(visit, VisitKinds.VisitMoved, new VisitMovedBody(station)) with
        {
            Why = "the wrong name was touched",
        };

    private static Entry Kept(Guid visit, params Guid[] about) =>
        TestBook.Entry(visit, VisitKinds.Kept, new KeptBody("code", about)) with
        {
            Why = "it is so",
        };

    private static Entry Any(Guid visit, string kind) =>
        kind switch
        {
            "answered" => TestBook.Entry(visit, ReviewKinds.Answered, new AnsweredBody(Guid.CreateVersion7(), "yes")),
            "visit-moved" => Move(visit, "HAR-2"),
            "asked" => TestBook.Entry(visit, ReviewKinds.Asked, new AskedBody("Was it taped?")),
            "signed-off" => TestBook.Entry(visit, ReviewKinds.SignedOff, new SignedOffBody("0", "0")),
            _ => TestBook.Entry(visit, SoundingKinds.Sounding, new SoundingBody(new WrittenLength("9", LengthUnit.Metre))) with
            {
                Kind = kind,
                Why = kind == "sample-rejected" ? "warm" : null,
                Body = JsonDocument.Parse(Bodies.GetValueOrDefault(kind, """{"depth":{"written":"9","unit":"m"}}""")).RootElement,
            },
        };

    private static readonly Dictionary<string, string> Bodies = new()
    {
        ["handed-over"] =
            """{"manifest":"019ff54e-a5c0-73c3-91f3-76d716332433","samples":["x"],"to":"lab","by":"hand","on":"ice","signature":"A"}""",
        ["visit-closed"] = "{}",
        ["received"] = """{"samples":["x"],"as":"good","signature":"L"}""",
        ["sample-rejected"] = """{"samples":["x"]}""",
        ["measured"] = """{"sample":"x","readings":{"method":"monochromatic","extractMl":"10"}}""",
        ["result"] = """{"sample":"x","analyte":"tp","value":"3"}""",
        ["reported"] = """{"samples":["x"]}""",
    };
}
