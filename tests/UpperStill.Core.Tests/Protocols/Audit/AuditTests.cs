using UpperStill.Core.Record.Described;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Tests.Record.Described;

namespace UpperStill.Core.Tests.Protocols.Audit;

/// <summary>Case 67 of the handbook: an answer is held against the entries.</summary>
public class AuditTests
{
    private const string Rinses = "dip.rinse.1.rinses";

    [Fact]
    public void Yes_to_three_rinses_against_fewer_counted_is_said()
    {
        var visit = Dipped(1);
        Assert.Contains(visit.Protocol.Steps, s => s.Item == Rinses);
        visit.Choose("line", "answer", "yes", Rinses);
        var finding = Assert.Single(visit.Sheet.Findings, f => f.Code == "audit-contradicts");
        Assert.Contains("1 is recorded", finding.Seen, StringComparison.Ordinal);
        Assert.DoesNotContain("audit-contradicts", Dipped(2).Choose("line", "answer", "yes", Rinses).Codes);
        Assert.DoesNotContain("audit-contradicts", Dipped(1).Choose("line", "answer", "no", Rinses).Codes);
    }

    [Fact]
    public void A_no_asks_what_and_why()
    {
        var visit = Dipped(1).Choose("line", "answer", "no", Rinses);
        Assert.Contains("audit-no-remark", visit.Codes);
        Assert.DoesNotContain("audit-no-remark", visit.Put("line", "remark", new() { Words = "the bottle slipped" }, Rinses).Codes);
    }

    [Fact]
    public void Done_is_of_what_was_to_be_done_today()
    {
        var visit = Dipped(2);
        Assert.Equal("waits for a yes or no", visit.Derived("audit").Text);
        var lines = visit.Protocol.Steps.Where(s => s.Step == "line").Select(s => s.Item!).ToList();
        foreach (var (line, i) in lines.Take(5).Select((l, i) => (l, i)))
        {
            visit.Choose(
                "line",
                "answer",
                i < 3 ? "yes"
                    : i == 3 ? "no"
                    : "not-today",
                line
            );
        }

        Assert.Equal(("3 of 4", 75m), (visit.Derived("audit").Text, visit.Derived("audit").Value));
    }

    [Fact]
    public void Its_lines_are_the_steps_counters_and_containers_of_the_day()
    {
        var lines = Dipped(2).Protocol.Steps.Where(s => s.Step == "line").ToList();
        Assert.Contains(lines, l => l.Words == "Rinsed, poured away: 2, bottle 1");
        Assert.Contains(lines, l => l.Words!.EndsWith("is full", StringComparison.Ordinal));
        Assert.Contains(lines, l => l.Item == "sounding");
        Assert.Equal(lines.Count, lines.Select(l => l.Item).Distinct().Count());
    }

    [Fact]
    public void Fresh_eyes_are_asked()
    {
        Assert.Contains("audit-by-self", Dipped(2).Person("sign", "by", "Asa").Codes);
        Assert.DoesNotContain("audit-by-self", Dipped(2).Person("sign", "by", "Ben").Codes);
        Assert.DoesNotContain("audit-by-self", Dipped(2).With("audit.by", "anyone").Person("sign", "by", "Asa").Codes);
    }

    private static ObservedVisit Dipped(int rinses)
    {
        var visit = new ObservedVisit("audit", "dip");
        visit.Context = visit.Context with
        {
            Programme = visit.Context.Programme with
            {
                Season = [.. visit.Context.Programme.Season!, new ProtocolPlan(new("dip"), Rhythm.Monthly, new(5, 1), new(10, 15))],
            },
        };
        visit.Visit.Write(
            ObservationKinds.Observation,
            new ObservationBody(new("dip"), 1, "rinse", "rinses", new ObservedValue { Count = rinses }, "1")
        );
        return visit;
    }
}
