using CsCheck;
using UpperStill.Core.Application.Samples;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Protocols.Filtering;
using UpperStill.Core.Protocols.Results;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Chlorophyll;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Laboratories;
using UpperStill.Core.Setup.Samples;
using UpperStill.Core.Tests.Application.Visits;
using UpperStill.Core.Tests.Protocols.Custody;

namespace UpperStill.Core.Tests.Application.Samples;

public class SampleFoldTests
{
    private static readonly string C1 = BenchVisit.C1;
    private static readonly string F1 = BenchVisit.F1;
    private static readonly string F1R = BenchVisit.F1R;

    [Fact]
    public void What_is_due_stands_as_planned_until_it_is_filled()
    {
        var planned = new BenchVisit().Fold().Samples;

        Assert.Equal([C1, BenchVisit.C1R, F1, F1R], planned.Select(s => s.Number));
        Assert.All(planned, s => Assert.Equal(SampleState.Planned, s.State));
        Assert.Equal((SampleKin.Replicate, F1), (planned[3].Kin, planned[3].Of));
    }

    [Fact]
    public void A_life_from_the_lake_to_the_report()
    {
        var bench = BenchVisit.Frozen("60", "60").AtTheLab();
        bench.Visit.Write(ResultKinds.Result, new ResultBody(F1, "chlorophyll-a", "4.0", "µg/L"));

        var filter = bench.Sample(F1);
        Assert.Equal(
            [SampleStep.Take, SampleStep.Label, SampleStep.Store, SampleStep.HandOver, SampleStep.Receive, SampleStep.Report],
            filter.Life.Select(l => l.Step)
        );
        Assert.Equal((SampleState.Reported, 60m, null, BenchVisit.Manifest), (filter.State, filter.VolumeMl, filter.Spot, filter.Manifest));
        Assert.Equal(SampleState.Filtered, bench.Sample(C1).State);
        Assert.Equal(bench.Sample(C1).CollectedAt, filter.CollectedAt);
        Assert.Empty(filter.Findings);
    }

    [Fact]
    public void Fills_add_up_and_what_was_left_is_taken_off()
    {
        var bench = BenchVisit.Filled();
        bench.Visit.Write(FilterKinds.Filter, new FilterBody(F1, C1, FilterBy.Syringe, WhiteDisc: true, Rinsed: true));
        bench.Visit.Write(FilterKinds.FilterFill, new FilterFillBody(F1, "50", "0"));
        var misread = bench.Visit.Write(FilterKinds.FilterFill, new FilterFillBody(F1, "50", "21"));
        bench.Visit.Write(FilterKinds.FilterFill, new FilterFillBody(F1, "50", "12,5", Clogged: true), misread, "misread");

        var run = bench.Sample(F1).Filter!;
        Assert.Equal((87.5m, "50 + 37.5 = 87.5 mL", true, FilterStep.Fills), (run.TotalMl, run.TotalText, run.Clogged, run.Next));
    }

    [Theory]
    [InlineData("0", null, null)]
    [InlineData(null, "50", "51")]
    [InlineData("-3", null, null)]
    [InlineData("5000", null, null)]
    public void An_amount_that_cannot_be_is_a_stop_and_what_was_written_stays(string? through, string? start, string? left)
    {
        var bench = BenchVisit.Filled();
        bench.Visit.Write(FilterKinds.Filter, new FilterBody(F1, C1, FilterBy.Syringe, WhiteDisc: true, Rinsed: true));
        var fill = bench.Visit.Write(FilterKinds.FilterFill, new FilterFillBody(F1, start, left, through));

        Assert.Equal([fill.Id], Assert.Single(bench.Sample(F1).Findings, f => f.Code == "volume-over").About);
        Assert.Equal(fill.Id, Assert.Single(bench.Sample(F1).Filter!.Fills).Entry);
    }

    [Fact]
    public void An_amount_that_cannot_be_read_is_no_amount() =>
        Assert.Contains(After(new FilterFillBody(F1, ThroughMl: "fifty")).Findings, f => f.Code == "number-unreadable");

    [Fact]
    public void The_steps_of_a_filter_are_asked_in_their_order()
    {
        var bench = BenchVisit.Filled();
        List<FilterStep> asked = [bench.Sample(F1).Filter!.Next];
        Then(new FilterBody(F1, C1, FilterBy.Pump));
        Then(new FilterBody(F1, WhiteDisc: true));
        Then(new FilterBody(F1, Rinsed: false));
        bench.Visit.Write(FilterKinds.FilterFill, new FilterFillBody(F1, ThroughMl: "250"));
        Then(new FilterBody(F1) { Folded = true });
        bench.Visit.Write(CustodyKinds.Labelled, new LabelledBody([F1]));
        asked.Add(bench.Sample(F1).Filter!.Next);
        bench.Visit.Write(CustodyKinds.Stored, new StoredBody([F1], StorePlace.Freezer, Foil: true));
        asked.Add(bench.Sample(F1).Filter!.Next);

        Assert.Equal(
            [FilterStep.Begin, FilterStep.Disc, FilterStep.Rinse, FilterStep.Fills, FilterStep.Label, FilterStep.Store, FilterStep.Done],
            asked
        );

        void Then(FilterBody body)
        {
            bench.Visit.Write(FilterKinds.Filter, body);
            asked.Add(bench.Sample(F1).Filter!.Next);
        }
    }

    [Fact]
    public void A_struck_step_never_was()
    {
        var bench = BenchVisit.Frozen();
        var lost = bench.Visit.Write(CustodyKinds.SampleLost, new SamplesBody([F1]), why: "not to be found");
        Assert.Equal(SampleState.Lost, bench.Sample(F1).State);

        bench.Visit.Strike(lost, "found again");
        Assert.Equal(SampleState.Stored, bench.Sample(F1).State);
    }

    [Fact]
    public void A_label_of_another_water_moves_nothing()
    {
        var bench = BenchVisit.Frozen();
        bench.Visit.Write(CustodyKinds.Stored, new StoredBody([SampleNumber.Checked("PEL-1-260812-F1")], StorePlace.Freezer, Foil: true));

        Assert.Equal("label-differs", Assert.Single(bench.Fold().Findings).Code);
        Assert.Equal(4, bench.Fold().Samples.Count);
    }

    [Fact]
    public void A_replicate_without_its_sample_says_so()
    {
        var bench = BenchVisit.Filled();
        bench.Visit.Write(
            CustodyKinds.SampleAdded,
            new SampleAddedBody(
                SampleNumber.Checked("HAR-2-260812-F9R"),
                "chlorophyll-filter",
                SampleKin.Replicate,
                SampleNumber.Checked("HAR-2-260812-F9")
            )
        );

        Assert.Equal("sample-kin", Assert.Single(bench.Fold().Findings).Code);
    }

    [Fact]
    public void A_number_twice_makes_no_second_sample()
    {
        var bench = BenchVisit.Filled();
        bench.Visit.Write(CustodyKinds.SampleAdded, new SampleAddedBody(F1, "chlorophyll-filter", SampleKin.Replicate, C1));

        Assert.True(Assert.Single(bench.Sample(F1).Findings, f => f.Code == "sample-number-used").NoWayRound);
        Assert.Equal(4, bench.Fold().Samples.Count);
    }

    [Fact]
    public void Labels_of_before_the_check_character_are_the_same_sample()
    {
        var bench = new BenchVisit();
        bench.Fill("HAR-2-260812-C1");

        Assert.Equal(SampleState.Preserved, bench.Sample(C1).State);
        Assert.DoesNotContain(bench.Visit.Fold(SampleVisit.Metric).Findings, f => f.Code == "label-differs");
    }

    [Fact]
    public void Results_of_a_rejected_vial_are_kept_and_do_not_count()
    {
        var bench = BenchVisit.Frozen().AtTheLab();
        bench.Visit.Write(CustodyKinds.SampleRejected, new SamplesBody([F1]), why: "thawed");
        bench.Visit.Write(ResultKinds.Result, new ResultBody(F1, "chlorophyll-a", "4.0", "µg/L"));

        Assert.False(Assert.Single(bench.Sample(F1).Results).Stands);
        Assert.Contains(bench.Sample(F1).Findings, f => f.Code == "step-refused");
        Assert.Empty(bench.Fold().Values);
    }

    [Fact]
    public void Replicates_are_averaged_and_one_below_the_limit_leaves_the_first_alone()
    {
        var bench = BenchVisit.Frozen().AtTheLab();
        bench.Visit.Write(ResultKinds.Result, new ResultBody(F1, "chlorophyll-a", "4.0", "µg/L"));
        var second = bench.Visit.Write(ResultKinds.Result, new ResultBody(F1R, "chlorophyll-a", "0.0036", "mg/L"));

        var value = Assert.Single(bench.Fold().Values);
        Assert.Equal((3.8m, false, "3.8 µg/L"), (value.Value, value.Below, value.Text));

        // 4.0 and 3.6: √((0.2² + 0.2²) / 1) = 0.2828.
        Assert.Contains("Standard deviation (n − 1) = 0.283 µg/L, 7 % of the mean", value.Working!.Steps);
        Assert.Contains("0.0036 mg/L × 1000 = 3.6 µg/L", bench.Sample(F1R).Results[0].Conversion, StringComparison.Ordinal);

        bench.Visit.Strike(second, "a slip");
        bench.Visit.Write(ResultKinds.Result, new ResultBody(F1R, "chlorophyll-a", "0.5", "µg/L", Qualifier.Below));
        var alone = Assert.Single(bench.Fold().Values);
        Assert.Equal((4.0m, false, F1), (alone.Value, alone.Below, Assert.Single(alone.Samples)));
    }

    [Fact]
    public void A_value_below_the_limit_stays_below_it()
    {
        var bench = BenchVisit.Frozen().AtTheLab();
        bench.Visit.Write(ResultKinds.Result, new ResultBody(F1, "chlorophyll-a", "<0,5", "ug/l"));

        var value = Assert.Single(bench.Fold().Values);
        Assert.Equal((true, "< 0.5 µg/L"), (value.Below, value.Text));
    }

    [Fact]
    public void What_an_instrument_showed_joins_the_record_when_it_is_released()
    {
        var bench = BenchVisit.Frozen("100", "100").AtTheLab();
        bench.Visit.Write(
            ResultKinds.Measured,
            new MeasuredBody(F1, new ExtractReadings(ChlorophyllMethod.Monochromatic, "10", "1", "0.0250", "0.0010", "0.0160", "0.0010"))
        );
        Assert.Equal(SampleState.Analysed, bench.Sample(F1).State);
        Assert.Empty(bench.Fold().Values);

        bench.Visit.Write(ResultKinds.Reported, new SamplesBody([F1]));
        Assert.Equal(SampleState.Reported, bench.Sample(F1).State);

        // 26.7 × (0.0240 − 0.0150) × 10 / (0.1 × 1) = 24.03 µg/L; pheophytin 26.7 × (1.7 × 0.0150 − 0.0240) × 100 = 4.005.
        Assert.Equal([("chlorophyll-a", 24.03m), ("pheophytin-a", 4.005m)], bench.Fold().Values.Select(v => (v.Analyte, v.Value)));
    }

    [Fact]
    public void A_river_sample_with_its_flow_has_a_load()
    {
        var bench = new BenchVisit { Context = SampleVisit.Metric };
        var number = SampleNumber.Checked("HAR-2-260812-R1");
        bench.Visit.Write(FillKinds.Fill, new FillBody(number, "bridge", FilledFrom.Sampler, FilledTo.AsAsked));
        bench.Visit.Write(ResultKinds.Flow, new FlowBody(number, "250", "L/s"));
        bench.Visit.Write(ResultKinds.Result, new ResultBody(number, "total-phosphorus", "40", "µg/L as P"));

        // 86.4 × 0.25 m³/s × 0.040 mg/L
        Assert.Equal(0.864m, bench.Sample(number).Results[0].Load!.KgPerDay);
    }

    [Fact]
    public void The_fold_does_not_depend_on_the_order_or_repetition_of_entries()
    {
        var bench = BenchVisit.Frozen("50", "38").AtTheLab();
        bench.Visit.Write(ResultKinds.Result, new ResultBody(F1, "chlorophyll-a", "4.0", "µg/L"));
        bench.Visit.Write(ResultKinds.Result, new ResultBody(F1, "chlorophyll-a", "4.4", "µg/L"));
        var expected = Json(bench.Visit.Entries);

        Gen.Shuffle(new List<Entry>([.. bench.Visit.Entries, .. bench.Visit.Entries.Take(5)]))
            .Sample(entries => Assert.Equal(expected, Json(entries)), iter: 40);
    }

    private static string Json(IReadOnlyList<Entry> entries) =>
        System.Text.Json.JsonSerializer.Serialize(
            VisitSamples.Fold(new FoldRequest(entries, SampleVisit.Metric)),
            Core.Application.Operations.CoreJson.Default.VisitSamples
        );

    private static LedgerSample After(FilterFillBody fill)
    {
        var bench = BenchVisit.Filled();
        bench.Visit.Write(FilterKinds.Filter, new FilterBody(F1, C1, FilterBy.Syringe, WhiteDisc: true, Rinsed: true));
        bench.Visit.Write(FilterKinds.FilterFill, fill);
        return bench.Sample(F1);
    }
}
