using UpperStill.Core.Record.Entries;
using UpperStill.Core.Tests.Record.Described;

namespace UpperStill.Core.Tests.Protocols.Survey;

/// <summary>Case 66 of the handbook: opinions are counted and ordered, never averaged.</summary>
public class SurveyTests
{
    [Fact]
    public void The_disc_hangs_at_half_the_clarity()
    {
        var visit = new ObservedVisit("survey", "clarity");
        visit.Visit.SoundMetres("12.0");
        visit.Visit.LostMetres("4.5");
        Assert.Equal(2.25m, visit.Derived("half-depth").Value);
    }

    [Theory]
    [InlineData(new[] { 2, 3, 3, 5 }, 3)]
    [InlineData(new[] { 2, 3 }, 2.5)]
    public void A_season_and_a_day_have_a_median(int[] answers, double median)
    {
        var visit = People([.. answers.Select((_, i) => $"P{i}")]);
        foreach (var (answer, i) in answers.Select((a, i) => (a, i)))
        {
            visit.Choose("recreation", "recreation", $"{answer}", $"{i + 1}");
        }

        Assert.Equal(median, (double)visit.Derived("opinion-recreation").Value!.Value);
    }

    [Theory]
    [InlineData("2", "4", true)]
    [InlineData("2", "3", false)]
    public void Two_opinions_apart_both_stand(string a, string b, bool apart)
    {
        var visit = People("Asa", "Ben").Choose("algae", "algae", a, "1").Choose("algae", "algae", b, "2");
        Assert.Equal(apart, visit.Codes.Contains("opinions-apart"));
    }

    [Fact]
    public void Scum_is_a_bloom()
    {
        Assert.Contains("bloom-seen", People("Asa").Choose("algae", "algae", "5", "1").Codes);
        Assert.DoesNotContain("bloom-seen", People("Asa").Choose("algae", "algae", "4", "1").Codes);
    }

    [Theory]
    [InlineData(new[] { "4", "5" }, "colour-between", 4.5)]
    [InlineData(new[] { "4" }, null, 4.0)]
    [InlineData(new[] { "4", "7" }, "colour-apart", null)]
    public void A_colour_is_one_step_or_two_neighbours(string[] steps, string? code, double? step)
    {
        var visit = People("Asa").Put("colour", "colour", new() { Choices = steps }, "1");
        Assert.Equal(code is null ? [] : [code], visit.Codes);
        Assert.Equal(step, (double?)visit.Protocol.Derived.SingleOrDefault(d => d is { Parameter: "colour-step", Item: null })?.Value);
    }

    [Fact]
    public void The_first_is_asked_or_each_by_name_and_the_disc_asks_it_no_more()
    {
        Assert.Equal(["Asa"], Persons(People(each: false, "Asa", "Ben")));
        Assert.Equal(["Asa", "Ben"], Persons(People("Asa", "Ben")));
        var both = new ObservedVisit("survey", "clarity");
        both.Visit.LostMetres("4.5");
        Assert.Subset(new HashSet<string> { "side", "sunglasses", "tube" }, both.Sheet.Remarks.Asks.ToHashSet());

        static IEnumerable<string?> Persons(ObservedVisit visit) => visit.Protocol.Steps.Where(s => s.Step == "algae").Select(s => s.Words);
    }

    private static ObservedVisit People(params string[] names) => People(true, names);

    private static ObservedVisit People(bool each, params string[] names)
    {
        var visit = new ObservedVisit("survey");
        visit.Visit.Entries.Clear();
        visit.Visit.Write(VisitKinds.VisitStarted, new VisitStartedBody("HAR-2", "layered", 1, names, "R-5", [new("survey")]));
        return each ? visit.With("opinion.each", "both") : visit;
    }
}
