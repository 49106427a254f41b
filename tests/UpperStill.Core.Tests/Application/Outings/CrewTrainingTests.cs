using UpperStill.Core.Application.Outings;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Setup.People;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Tests.Application.Outings;

public class CrewTrainingTests
{
    private static readonly DateOnly Today = new(2026, 8, 12);
    private static readonly Programme Pier = Presets.All[0].Programme with { Trained = [Protocol.Seawater] };

    [Fact]
    public void Who_was_not_trained_this_year_goes_with_somebody_who_was()
    {
        var alone = Assert.Single(Of(["Asa Lindqvist"], Protocol.Seawater));

        Assert.Equal(("training-due", FindingLevel.Check), (alone.Code, alone.Level));
        Assert.Equal("Asa Lindqvist has not had the seawater bottle this year.", alone.Seen);
        Assert.Empty(Of(["Asa Lindqvist", "rhona  vell"], Protocol.Seawater));
    }

    [Theory]
    [InlineData("2026-08-12", true)]
    [InlineData("2026-01-01", true)]
    [InlineData("2025-12-31", false)]
    [InlineData("2026-08-13", false)] // Not yet.
    public void A_training_counts_within_its_year(string on, bool counts) =>
        Assert.Equal(
            counts,
            CrewTraining
                .Work(new(Pier, Today, [Protocol.Seawater], ["Rhona Vell"], [Rhona(Protocol.Seawater, DateOnly.Parse(on, null))]))
                .Findings.Count == 0
        );

    [Fact]
    public void It_is_asked_only_of_what_the_programme_names_and_the_day_takes()
    {
        Assert.Empty(Of(["Asa Lindqvist"], Protocol.Clarity));
        Assert.Empty(CrewTraining.Work(new(Pier with { Trained = null }, Today, [Protocol.Seawater], ["Asa Lindqvist"], [])).Findings);
        Assert.Empty(Of(["", " "], Protocol.Seawater));
        Assert.Single(CrewTraining.Work(new(Pier, Today, [Protocol.Seawater], ["Rhona Vell"], [Rhona(Protocol.Clarity, Today)])).Findings);
    }

    private static IReadOnlyList<Finding> Of(IReadOnlyList<string> crew, Protocol due) =>
        CrewTraining.Work(new(Pier, Today, [due], crew, [Rhona(Protocol.Seawater, new DateOnly(2026, 4, 2))])).Findings;

    private static PersonNames Rhona(Protocol what, DateOnly on) =>
        new(Guid.Empty, ["Rhona Vell"]) { Trained = [new Trained(what.Code, on, "Ada Fenn")] };
}
