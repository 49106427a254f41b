using CsCheck;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.History;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Tests.Application.Visits;

public class FieldSheetTests
{
    [Fact]
    public void A_whole_visit_gives_clarity_layer_and_the_depth_to_mark()
    {
        var visit = SampleVisit.Begun();
        visit.Sound("102");
        visit.Lost("12 9");
        visit.Seen("11 3");

        var sheet = visit.Fold();

        Assert.Equal("12 ft 0 in", sheet.Clarity.Result.Text);
        Assert.Equal("24 ft 0 in", sheet.Composite.LayerText);
        Assert.Equal("24 ft 0 in", sheet.Composite.Text);
        Assert.Equal([StepState.Done, StepState.Done, StepState.Done, StepState.Next], sheet.Steps.Select(s => s.State));
        Assert.True(sheet.Usable);
        Assert.Equal(VisitState.Open, sheet.State);
    }

    [Fact]
    public void What_is_next_follows_the_order_of_the_work()
    {
        var visit = SampleVisit.Begun();
        Assert.Equal("sounding", Next(visit));
        visit.Sound("102");
        Assert.Equal("clarity", Next(visit));
        visit.Lost("12 9");
        Assert.Equal("clarity", Next(visit));
        visit.Seen("11 3");
        Assert.Equal("leave", Next(visit));
        visit.Close();
        Assert.DoesNotContain(visit.Fold().Steps, s => s.State == StepState.Next);

        static string Next(SampleVisit visit) => visit.Fold().Steps.Single(s => s.State == StepState.Next).Name;
    }

    [Fact]
    public void From_a_step_one_goes_on_to_the_next_that_is_not_done()
    {
        var visit = SampleVisit.MetricBegun(SampleVisit.Protocols);
        Assert.Equal("sounding", Then("arrive"));
        Assert.Equal("seawater", Then("sounding"));
        visit.Write(VisitKinds.StepSkipped, new StepSkippedBody("seawater"), null, "no bottle");
        visit.SoundMetres("12.0");
        Assert.Equal("clarity", Then("arrive"));
        visit.Write(VisitKinds.StepSkipped, new StepSkippedBody("clarity"), null, "fog");
        Assert.Equal("profile", Then("arrive"));
        Assert.Equal("profile", Then("clarity"));
        visit.Write(VisitKinds.StepSkipped, new StepSkippedBody("profile"), null, "the meter is ashore");
        Assert.Equal("leave", Then("clarity"));
        Assert.Equal("leave", Then("leave"));

        string Then(string step) => visit.Fold().Steps.Single(s => s.Name == step).Then;
    }

    [Fact]
    public void In_visits_of_before_bottles_were_asked_the_depth_of_the_composite_still_stands_to_be_read()
    {
        var visit = SampleVisit.Begun();
        visit.Sound("102");
        visit.Lost("12 9");
        visit.Seen("11 3");
        Assert.Equal("composite", visit.Fold().Steps.Single(s => s.Name == "clarity").Then);
    }

    [Fact]
    public void A_struck_mark_stays_on_the_page_with_its_reason_and_out_of_the_sum()
    {
        var visit = SampleVisit.Begun();
        visit.Sound("102");
        var misread = visit.Lost("21 9");
        visit.Seen("11 3");
        visit.Lost("12 9", strikes: misread, why: "misheard");

        var sheet = visit.Fold();

        Assert.Equal("12 ft 0 in", sheet.Clarity.Result.Text);
        var struck = sheet.Entries.Single(e => e.Id == misread.Id);
        Assert.True(struck.Struck);
        Assert.Equal("misheard", struck.Reason);
        Assert.Equal("Disc lost at 21 ft 9 in (reading 1, Asa)", struck.Text);
    }

    [Fact]
    public void Striking_a_strike_undoes_it_but_striking_a_correction_does_not_bring_the_misread_mark_back()
    {
        var undone = SampleVisit.Begun();
        undone.Sound("102");
        undone.Strike(undone.Strike(undone.Entries[1]), "it was right");
        Assert.NotNull(undone.Fold().Sounding);

        var twice = SampleVisit.Begun();
        var first = twice.Sound("201");
        var second = twice.Sound("120", strikes: first, why: "misread");
        twice.Strike(second, "misread again");
        Assert.Null(twice.Fold().Sounding);
    }

    [Fact]
    public void An_open_stop_keeps_the_reading_out_until_it_is_answered_for_the_same_marks()
    {
        var visit = SampleVisit.Begun();
        visit.Sound("102");
        var lost = visit.Lost("11 3");
        var seen = visit.Seen("12 9");
        Assert.False(visit.Fold().Usable);

        visit.Keep("clarity-reappear-deeper", "swell, read twice", seen, lost);
        var kept = visit.Fold();
        Assert.True(kept.Usable);
        Assert.Equal("swell, read twice", kept.Findings.Single(f => f.Code == "clarity-reappear-deeper").Kept);

        visit.Seen("13 3", strikes: seen, why: "misread");
        Assert.False(visit.Fold().Usable);
    }

    [Fact]
    public void Two_phones_that_disagree_lose_nothing_and_a_person_decides()
    {
        var visit = SampleVisit.Begun();
        visit.Sound("102", device: "phone");
        visit.Sound("101", device: "tablet");

        var finding = visit.Fold().Findings.Single(f => f.Code == "devices-disagree");

        Assert.Equal("102 ft on phone, 101 ft on tablet.", finding.Seen);
        Assert.Equal(2, finding.About.Count);
    }

    [Fact]
    public void A_number_called_twice_on_one_phone_is_asked_back()
    {
        var visit = SampleVisit.Begun();
        visit.Lost("12 9");
        visit.Lost("12 6");

        Assert.Contains(visit.Fold().Findings, f => f is { Code: "number-called-twice", Beside: Beside.Clarity });
    }

    [Fact]
    public void A_sounding_off_the_known_depth_by_over_a_tenth_is_a_check()
    {
        Assert.Contains("sounding-differs", Codes("91 9"));
        Assert.DoesNotContain("sounding-differs", Codes("92"));

        static IEnumerable<string> Codes(string written)
        {
            var visit = SampleVisit.Begun();
            visit.Sound(written);
            return visit.Fold().Findings.Select(f => f.Code);
        }
    }

    [Fact]
    public void A_pair_apart_opens_the_boxes_of_another_pair()
    {
        var visit = SampleVisit.Begun();
        visit.Sound("102");
        visit.Lost("12 9");
        visit.Seen("10 3");

        var boxes = visit.Fold().Clarity.Boxes;

        Assert.Equal([(1, false), (1, false), (2, true), (2, true)], boxes.Select(b => (b.Lowering, b.Extra)));
    }

    [Fact]
    public void A_device_clock_years_off_is_a_finding_and_never_a_refusal()
    {
        var visit = SampleVisit.Begun();
        var entry = visit.Sound("102");
        visit.Entries[1] = entry with { Receipt = new EntryReceipt(entry.At, -7L * 365 * 86_400) };

        var finding = visit.Fold().Findings.Single(f => f.Code == "clock-off");

        Assert.Equal("The clock of phone was 2555 days behind.", finding.Seen);
        Assert.NotNull(visit.Fold().Sounding);
    }

    [Theory]
    [InlineData("39", LengthUnit.Metre, "39", LengthUnit.Foot, "39.0 ft")]
    [InlineData("12 6", LengthUnit.FootInch, "12.5", LengthUnit.Metre, "12.5 m")]
    public void A_sounding_that_would_be_usual_in_the_other_unit_is_offered_so(
        string written,
        LengthUnit unit,
        string likelier,
        LengthUnit other,
        string text
    )
    {
        var visit = SampleVisit.MetricBegun();
        visit.Write(SoundingKinds.Sounding, new SoundingBody(new WrittenLength(written, unit)));
        var sounding = visit.Fold(SampleVisit.Metric).Sounding!;

        Assert.Equal((new WrittenLength(likelier, other), text), (sounding.Likelier!, sounding.LikelierText));
    }

    [Fact]
    public void A_sounding_that_is_usual_as_it_stands_is_offered_in_no_other_unit()
    {
        var visit = SampleVisit.MetricBegun();
        visit.SoundMetres("12.1");

        Assert.Null(visit.Fold(SampleVisit.Metric).Sounding!.Likelier);
    }

    [Theory]
    [InlineData("39", LengthUnit.Metre, "unit-unlikely")] // 39 ft are 11.9 m
    [InlineData("12", LengthUnit.Foot, "unit-unlikely")]
    [InlineData("39", LengthUnit.Foot, null)]
    [InlineData("20", LengthUnit.Metre, "sounding-differs")]
    public void A_sounding_that_fits_in_another_unit_is_asked_for_its_unit(string written, LengthUnit unit, string? code)
    {
        var visit = SampleVisit.MetricBegun(Protocol.Clarity);
        visit.Write(SoundingKinds.Sounding, new SoundingBody(new WrittenLength(written, unit)));

        Assert.Equal(
            code,
            visit.Fold(SampleVisit.Metric).Findings.SingleOrDefault(f => f.Code is "unit-unlikely" or "sounding-differs")?.Code
        );
    }

    [Fact]
    public void Outside_the_hours_is_a_check_by_the_local_clock()
    {
        var visit = SampleVisit.Begun();
        visit.Entries[0] = visit.Entries[0] with { At = new DateTimeOffset(2026, 8, 12, 16, 30, 0, TimeSpan.FromHours(1)) };

        Assert.Contains(visit.Fold().Findings, f => f is { Code: "hours-outside", Seen: "16:30 is outside 10:00–16:00." });
    }

    [Theory]
    [InlineData("visit.hours-rule", "none", "hours-outside", false)]
    [InlineData("visit.hours-rule", "same-time", "hours-outside", true)]
    [InlineData("station.depth-tolerance", "none", "sounding-differs", false)]
    [InlineData("station.depth-tolerance", "percent", "sounding-differs", true)]
    public void A_programme_that_does_not_ask_is_not_told(string setting, string option, string code, bool told)
    {
        var visit = SampleVisit.Begun();
        visit.Entries[0] = visit.Entries[0] with { At = new DateTimeOffset(2026, 8, 12, 16, 30, 0, TimeSpan.FromHours(1)) };
        visit.Sound("60");
        var programme = SampleVisit.Context.Programme with { Methods = new Dictionary<string, string> { [setting] = option } };

        Assert.Equal(told, visit.Fold(SampleVisit.Context with { Programme = programme }).Findings.Any(f => f.Code == code));
    }

    [Fact]
    public void Leaving_with_an_empty_box_says_which()
    {
        var visit = SampleVisit.Begun();
        visit.Lost("12 9");

        var leaving = visit.Fold().Findings.Where(f => f.Beside == Beside.Leaving).Select(f => f.Seen);

        Assert.Equal(["Still empty: sounding.", "0 of 1 clarity readings."], leaving);
    }

    [Fact]
    public void The_reader_sees_metres_where_he_asks_for_them_and_the_entry_keeps_its_feet()
    {
        var visit = SampleVisit.Begun();
        visit.Sound("102");
        visit.Lost("12 9");
        visit.Seen("11 3");

        var sheet = visit.Fold(reader: ReaderUnit.Metres);

        Assert.Equal("3.66 m", sheet.Clarity.Result.Text);
        Assert.Equal("m", sheet.Scale.Unit);
        Assert.Equal("12 ft 9 in", sheet.Clarity.Result.Working!.Inputs[0].Text);
    }

    [Fact]
    public void The_mark_of_the_composite_is_handed_over_in_the_unit_of_the_line()
    {
        var visit = SampleVisit.Begun();
        visit.Sound("102");
        visit.Lost("12 9");
        visit.Seen("11 3");
        var composite = visit.Fold(reader: ReaderUnit.Metres).Composite;

        Assert.Equal(("7.32 m", new WrittenLength("24 0", LengthUnit.FootInch)), (composite.Text, composite.Mark));
    }

    [Fact]
    public void The_picked_history_gives_the_same_sheet_as_the_whole_record()
    {
        var visit = SampleVisit.Begun();
        visit.Sound("102");
        visit.Lost("12 9");
        visit.Seen("11 3");
        ClarityPoint[] record =
        [
            .. Enumerable
                .Range(0, 120)
                .Select(i => new ClarityPoint(
                    Guid.Empty,
                    new DateOnly(2015, 1, 5).AddDays(i * 35),
                    3 + (i % 7 * 0.1m),
                    i % 5 == 0,
                    i % 11 != 0
                )),
        ];
        var picked = MonthHistory.Work(new MonthHistoryRequest(record, new DateOnly(2026, 8, 12))).Points;

        Assert.InRange(picked.Count, 5, record.Length / 8);
        Assert.Equal(
            SampleVisit.Json(visit.Fold(SampleVisit.Context with { History = record })),
            SampleVisit.Json(visit.Fold(SampleVisit.Context with { History = picked }))
        );
    }

    [Fact]
    public void The_gap_since_the_last_visit_is_the_same_from_the_picked_history()
    {
        var visit = SampleVisit.MetricBegun(Protocol.Clarity);
        ClarityPoint[] record =
        [
            new(Guid.Empty, new DateOnly(2026, 7, 1), 3, false, true),
            new(Guid.Empty, new DateOnly(2026, 8, 20), 3, false, true),
            new(Guid.Empty, new DateOnly(2025, 8, 3), 3, false, true),
        ];
        var picked = MonthHistory.Work(new MonthHistoryRequest(record, new DateOnly(2026, 8, 12)));
        var sheet = visit.Fold(SampleVisit.Metric with { History = picked.Points, LastDay = picked.LastDay });

        Assert.Equal(
            "42 days since the last; the programme asks for 10–18.",
            Assert.Single(sheet.Findings, f => f.Code == "interval-off").Seen
        );
        Assert.Equal(SampleVisit.Json(visit.Fold(SampleVisit.Metric with { History = record })), SampleVisit.Json(sheet));
    }

    [Fact]
    public void Entries_whose_beginning_has_not_arrived_are_kept_and_folded()
    {
        var visit = SampleVisit.Begun();
        visit.Sound("102");
        visit.Entries.RemoveAt(0);

        Assert.Equal(VisitState.NotStarted, visit.Fold().State);
        Assert.Equal("102 ft", visit.Fold().Sounding!.Text);
    }

    [Fact]
    public void No_entries_at_all_is_a_visit_not_started() =>
        Assert.Equal(VisitState.NotStarted, FieldSheet.Fold(new FoldRequest([], SampleVisit.Context)).State);

    [Fact]
    public void The_fold_is_the_same_for_any_order_and_any_repetition_of_the_entries() =>
        Gen.Select(Gen.Int[0, 5].Array[0, 12], Gen.Int.Array[30])
            .Sample(
                (acts, shuffle) =>
                {
                    var visit = Played(acts);
                    var expected = SampleVisit.Json(visit.Entries);
                    var copies = visit.Entries.Concat(visit.Entries.Where((_, i) => shuffle[i % shuffle.Length] % 2 == 0)).ToList();
                    var shuffled = copies
                        .Select((e, i) => (e, key: shuffle[i % shuffle.Length] ^ (i * 7919)))
                        .OrderBy(p => p.key)
                        .Select(p => p.e);

                    Assert.Equal(expected, SampleVisit.Json(shuffled));
                }
            );

    private static SampleVisit Played(int[] acts)
    {
        var visit = SampleVisit.Begun("Asa", "Bea");
        for (var i = 0; i < acts.Length; i++)
        {
            var earlier = visit.Entries[(i * 31) % visit.Entries.Count];
            var device = i % 3 == 0 ? "tablet" : "phone";
            _ = acts[i] switch
            {
                0 => visit.Sound($"{90 + i}", device: device),
                1 => visit.Lost($"{12 + (i % 3)} {i % 12}", 1 + (i % 2), device: device),
                2 => visit.Seen($"{11 + (i % 3)} {i % 12}", 1 + (i % 2), device: device),
                3 => visit.Strike(earlier),
                4 => visit.Lost("10 6", 1, earlier, "again"),
                _ => visit.Outcome((DiscOutcome)(i % 4), "reason"),
            };
        }

        return visit;
    }
}
