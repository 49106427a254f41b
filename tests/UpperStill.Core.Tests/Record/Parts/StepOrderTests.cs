using CsCheck;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Tests.Application.Visits;

namespace UpperStill.Core.Tests.Record.Parts;

public class StepOrderTests
{
    private static readonly string[] Planned = ["sounding", "surface", "clarity", "profile", "bottles", "composite"];

    private static readonly VisitContext Full = SampleVisit.Metric with
    {
        Programme = SampleVisit.Metric.Programme with
        {
            Season =
            [
                .. (SampleVisit.Metric.Programme.Season ?? []).Where(p =>
                    p.Protocol != Protocol.Phosphorus && p.Protocol != Protocol.Chlorophyll
                ),
                new(Protocol.Phosphorus, Rhythm.Monthly, new(5, 1), new(10, 31))
                {
                    Bottles = [new("phosphorus-dip", SampleFrom.Surface), new("layer-plain", SampleFrom.Layers)],
                },
                new(Protocol.Chlorophyll, Rhythm.Monthly, new(5, 1), new(10, 31)),
            ],
        },
    };

    [Theory]
    [InlineData("clarity surface sounding profile bottles composite", "What stirs the water ends up in the bottle.")]
    [InlineData("sounding surface composite clarity profile bottles", "The depth of the composite comes from today’s clarity.")]
    [InlineData("sounding surface clarity bottles profile composite", "The depths of the bottles come from today’s profile.")]
    [InlineData("clarity sounding surface profile bottles composite", "Touching bottom unawares spoils the sample.")]
    public void An_order_that_costs_something_says_what(string taken, string lost) =>
        Assert.Contains(InOrder(taken.Split(' ')).Findings, f =>
            f.Code == "order-changed" && f.Why == lost && f.Level == FindingLevel.Check
        );

    [Theory]
    [InlineData("sounding surface clarity profile bottles composite")]
    [InlineData("sounding surface profile clarity bottles composite")]
    [InlineData("sounding surface clarity profile composite bottles")]
    public void An_order_that_keeps_clean_water_clean_is_silent(string taken) =>
        Assert.DoesNotContain(InOrder(taken.Split(' ')).Findings, f => f.Code == "order-changed");

    [Fact]
    public void Whatever_the_order_no_step_is_lost_and_arriving_stays_first() =>
        Gen.Shuffle(Planned)
            .Sample(
                order =>
                {
                    var sorted = InOrder([.. order.Skip(2)]).Steps.Select(s => s.Name).ToList();
                    Assert.Equal(("arrive", "leave"), (sorted[0], sorted[^1]));
                    Assert.Equal(Planned.Order(), sorted.Skip(1).SkipLast(1).Order());
                    Assert.Equal(order.Skip(2), sorted.Where(s => order.Skip(2).Contains(s)));
                },
                iter: 60
            );

    [Fact]
    public void The_sheet_follows_the_chosen_order_warns_and_goes_back_when_it_is_struck()
    {
        var visit = SampleVisit.MetricBegun(Protocol.Clarity, Protocol.Profile, Protocol.Chlorophyll);
        var before = Names(visit);
        var moved = visit.Write(VisitKinds.StepOrder, new StepOrderBody(["composite", "sounding", "clarity", "profile"]));

        var sheet = visit.Fold(SampleVisit.Metric);
        Assert.Equal(["arrive", "composite", "sounding", "clarity", "profile", "leave"], sheet.Steps.Select(s => s.Name));
        Assert.Equal(moved.Id, sheet.Order);
        var costs = sheet.Findings.Where(f => f.Code == "order-changed").ToList();
        Assert.Equal(3, costs.Count);
        Assert.All(costs, f => Assert.Equal([moved.Id], f.About));

        visit.Strike(moved, "back to the programme’s order");
        Assert.Equal(before, Names(visit));
        Assert.DoesNotContain(visit.Fold(SampleVisit.Metric).Findings, f => f.Code == "order-changed");

        static IEnumerable<string> Names(SampleVisit visit) => visit.Fold(SampleVisit.Metric).Steps.Select(s => s.Name);
    }

    private static FieldSheet InOrder(string[] steps)
    {
        var visit = SampleVisit.MetricBegun(Protocol.Clarity, Protocol.Profile, Protocol.Chlorophyll, Protocol.Phosphorus);
        Assert.Equal(Planned, visit.Fold(Full).Steps.Select(s => s.Name).Skip(1).SkipLast(1));
        visit.Write(VisitKinds.StepOrder, new StepOrderBody(steps));
        return visit.Fold(Full);
    }
}
