using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Tests.Record.Described;

namespace UpperStill.Core.Tests.Protocols.UltraClean;

/// <summary>Cases 47 to 50 of the handbook, and two pairs of hands.</summary>
public class UltraCleanTests
{
    [Theory]
    [InlineData(7, 31, "12 days", true)]
    [InlineData(7, 29, "14 days", false)]
    public void The_laboratory_is_told_two_weeks_before(int month, int day, string notice, bool late)
    {
        var visit = new ObservedVisit("ultra-clean").Day("notice", "told", month, day);
        Assert.Equal(notice, visit.Derived("notice").Text);
        Assert.Equal(late, visit.Codes.Contains("notice-short"));
    }

    [Theory]
    [InlineData(0, false)]
    [InlineData(1, true)]
    public void It_is_taken_from_Monday_to_Wednesday(int later, bool closed)
    {
        var visit = new ObservedVisit("ultra-clean");
        visit.Visit.Entries.Clear();
        visit
            .Visit.Later(TimeSpan.FromDays(later))
            .Write(
                Core.Record.Entries.VisitKinds.VisitStarted,
                new Core.Record.Entries.VisitStartedBody("HAR-2", "layered", 1, ["Asa"], "R-5", [new("ultra-clean")])
            );
        visit.Tick("notice", "notice", "expects", "weather", "carrier");
        Assert.Equal(closed, visit.Codes.Contains("cannot-reach-lab"));
    }

    [Theory]
    [InlineData(28, true)]
    [InlineData(29, false)]
    public void Water_and_companion_describe_one_time(int day, bool apart) =>
        Assert.Equal(apart, new ObservedVisit("ultra-clean").Day("notice", "companion", 7, day).Codes.Contains("companion-window"));

    [Fact]
    public void One_person_cannot_have_clean_and_dirty_hands()
    {
        var one = new ObservedVisit("ultra-clean").Person("gloves", "clean", "Asa").Person("gloves", "dirty", "asa");
        Assert.Equal(FindingLevel.Stop, Assert.Single(one.Sheet.Findings, f => f.Code == "role-same-person").Level);
        Assert.DoesNotContain(
            "role-same-person",
            new ObservedVisit("ultra-clean").Person("gloves", "clean", "Asa").Person("gloves", "dirty", "Ben").Codes
        );

        // A hand-over stands beside what stood before, and mends it.
        var over = one.Person("gloves", "clean", "Cleo");
        Assert.DoesNotContain("role-same-person", over.Codes);
        Assert.DoesNotContain("number-called-twice", over.Codes);
        Assert.Equal(["Asa", "Cleo"], over.Protocol.Values.Where(v => v.Field == "clean").Select(v => v.Text));
    }

    [Fact]
    public void Clean_hands_that_were_broken_ask_for_another_bottle_where_it_was_open()
    {
        var visit = new ObservedVisit("ultra-clean")
            .Put("bags", "bags", new() { Ticked = ["outer", "inner"] }, "1")
            .Choose("broken", "broken", "glove-torn", "1");
        var broken = Assert.Single(visit.Sheet.Findings, f => f.Code == "clean-hands-broken");
        Assert.Equal(("Clean hands: a glove tore.", "New gloves; a new bottle: it was open."), (broken.Seen, broken.Act));
        Assert.Contains(visit.Protocol.Steps, s => s.Failed);
        visit.Count("rinse", "rinses", 3, "1", 2);
        Assert.NotNull(Assert.Single(visit.Sheet.Findings, f => f.Code == "clean-hands-broken").Kept);
        var shut = new ObservedVisit("ultra-clean").Choose("broken", "broken", "phone", "1");
        Assert.Equal("New gloves.", Assert.Single(shut.Sheet.Findings, f => f.Code == "clean-hands-broken").Act);
    }

    [Fact]
    public void It_is_never_waited_for_that_hands_were_broken()
    {
        var step = new ObservedVisit("ultra-clean").Protocol.Steps.Single(s => s.Step == "broken");
        Assert.Empty(step.Open);
        Assert.False(step.Failed);
    }

    [Fact]
    public void Wading_before_it_sediment_in_it_and_air_are_said()
    {
        var visit = new ObservedVisit("ultra-clean")
            .Choose("waded", "waded", "yes")
            .Clock("waded", "waded-at", 8, 5)
            .Choose("fill", "capped", "in-air", "1")
            .Yes("fill", "sediment", true, "1");
        Assert.Equal(["cap-in-air", "order-broken", "sample-has-sediment"], visit.Codes.Order());
        Assert.Equal("waded at 08:05", Assert.Single(visit.Protocol.Clocks).Words);
        Assert.Empty(
            new ObservedVisit("ultra-clean")
                .Choose("waded", "waded", "no")
                .Choose("fill", "capped", "under-water", "1")
                .Yes("fill", "sediment", false, "1")
                .Codes
        );
        Assert.Empty(new ObservedVisit("ultra-clean").With("mercury.cap", "in-air").Choose("fill", "capped", "in-air", "1").Codes);
    }

    [Fact]
    public void It_is_shipped_within_a_day()
    {
        var visit = new ObservedVisit("ultra-clean");
        var fill = visit.Fill();
        Assert.Equal(fill.At.AddHours(24), Assert.Single(visit.Protocol.Clocks).Until);
    }

    [Fact]
    public void Gloves_stand_before_the_two_go_on() =>
        Assert.Contains("gloves-missing", new ObservedVisit("ultra-clean").Person("gloves", "clean", "Asa").Codes);
}
