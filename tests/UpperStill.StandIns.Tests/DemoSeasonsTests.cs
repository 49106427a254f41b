using System.Text.Json;
using UpperStill.Core.Application.Delivery;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Equipment;
using UpperStill.StandIns.Demo;

namespace UpperStill.StandIns.Tests;

public class DemoSeasonsTests
{
    private static readonly DemoScenario Scenario = DemoScenario.Load();
    private static readonly IReadOnlyList<Entry> Entries = DemoSeasons.Write(Scenario);

    [Fact]
    public void The_same_seed_gives_the_same_entries_ids_included()
    {
        Assert.Equal(
            Entries.Select(e => JsonSerializer.Serialize(e, CoreJson.Default.Entry)),
            DemoSeasons.Write(Scenario).Select(e => JsonSerializer.Serialize(e, CoreJson.Default.Entry))
        );
        Assert.Equal(Entries.Count, Entries.Select(e => e.Id).Distinct().Count());
    }

    [Fact]
    public void Every_entry_could_have_been_delivered() => Assert.All(Entries, e => Assert.Null(EntryCheck.Refusal(e)));

    [Fact]
    public void There_are_fourteen_seasons_before_the_demos_wednesday()
    {
        Assert.Equal(DayOfWeek.Wednesday, Scenario.Now.DayOfWeek);
        Assert.Equal(Enumerable.Range(2013, 14), Entries.Select(e => e.At.Year).Distinct().Order());
        Assert.All(Entries, e => Assert.True(e.At < Scenario.Now));
    }

    [Fact]
    public void The_tarn_often_shows_its_bottom_and_the_deep_lake_never()
    {
        var sheets = Sheets().ToLookup(s => s.Station);

        Assert.True(sheets["PEL-1"].Count(s => s.Sheet.Clarity.Result.Censored) > sheets["PEL-1"].Count() / 5);
        Assert.DoesNotContain(sheets["HAR-1"], s => s.Sheet.Clarity.Result.Censored);
    }

    [Fact]
    public void The_clarity_of_harrowmere_falls_as_its_model_says()
    {
        var deep = Sheets()
            .Where(s => s.Station == "HAR-1" && s.Sheet.Clarity.Result.ClarityM is not null)
            .ToLookup(s => s.Sheet.StartedAt!.Value.Year);
        decimal Mean(int from) => Enumerable.Range(from, 4).SelectMany(y => deep[y]).Average(s => s.Sheet.Clarity.Result.ClarityM!.Value);

        Assert.InRange(Mean(2013) - Mean(2022), 0.3m, 1.2m);
    }

    [Fact]
    public void Blemishes_are_there_and_no_stop_is_open_but_on_a_column_of_per_cent_and_a_tow_at_low_water()
    {
        var sheets = Sheets().ToList();

        Assert.Contains(sheets, s => s.Sheet.Entries.Any(e => e.Struck));
        Assert.Contains(sheets, s => s.Sheet.Clarity.Result.Text == "lost in plants");
        Assert.Equal(
            [("2019-08-28", "oxygen-as-percent"), ("2026-07-01", "tow-too-long")],
            from s in sheets
            from code in s.Sheet.Findings.Where(f => f is { Level: FindingLevel.Stop, Kept: null }).Select(f => f.Code).Distinct()
            let day = s.Sheet.StartedAt!.Value.ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture)
            orderby day
            select (day, code)
        );
    }

    private static IEnumerable<(string Station, FieldSheet Sheet)> Sheets() =>
        from visit in Entries.GroupBy(e => e.Visit)
        let start = VisitKinds.VisitStarted.Read(visit.First(e => e.Kind == VisitKinds.VisitStarted.Name).Body)!
        let place = Scenario.Stations.First(s => s.Station.Code == start.Station)
        let context = new VisitContext(
            place.Station,
            Scenario.ProgrammeOf(place),
            [.. Scenario.Kit.Select(i => i.AsLine()).OfType<Line>()],
            []
        )
        select (start.Station, FieldSheet.Fold(new FoldRequest([.. visit], context)));
}
