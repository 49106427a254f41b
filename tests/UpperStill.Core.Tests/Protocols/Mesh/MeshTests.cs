using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Tests.Record.Described;

namespace UpperStill.Core.Tests.Protocols.Mesh;

/// <summary>Cases 54 to 57 of the handbook, and what a mesh does to its visit.</summary>
public class MeshTests
{
    [Theory]
    [InlineData("3.7", "4.6", "3.0")]
    [InlineData("4.3", "9.0", "4.0")]
    public void The_bottle_goes_to_the_clarity_and_never_into_the_clearance(string clarity, string water, string metres)
    {
        var visit = Read(clarity, water);
        Assert.Equal(metres, Assert.Single(visit.Protocol.Proposals, p => p.Field == "line-out").Value.Written);
        visit.Number("lower", "line-out", $"{metres} m", "1");
        Assert.Empty(visit.Codes);
    }

    [Fact]
    public void Seen_on_the_bottom_the_clearance_sets_the_depth()
    {
        var visit = MetreMarks();
        visit.Visit.SoundMetres("2.4");
        visit.Visit.Outcome(DiscOutcome.OnBottom);
        visit.Number("lower", "line-out", "1 m", "1");
        Assert.Equal(1m, visit.Protocol.Derived.Single(d => d.Parameter == "mesh-depth").Value);
        Assert.Contains("composite-from-bottom", visit.Codes);
    }

    [Fact]
    public void A_line_that_is_too_short_is_said()
    {
        var visit = MetreMarks("6");
        visit.Visit.SoundMetres("12.0");
        visit.Visit.LostMetres("7.2");
        visit.Number("lower", "line-out", "6 m", "1");
        Assert.Contains("line-too-short", visit.Codes);
    }

    [Fact]
    public void Without_clarity_there_is_no_depth()
    {
        var visit = MetreMarks();
        visit.Visit.SoundMetres("9.0");
        visit.Number("lower", "line-out", "4 m", "1");
        Assert.Contains("composite-no-clarity", visit.Codes);
    }

    [Fact]
    public void A_jar_is_filled_as_often_as_its_tubes_need()
    {
        var fills = new ObservedVisit("mesh").Of("jar", "jar-lot", "J-1").Derived("jar-fills");
        Assert.Equal(("144 mL, 2 fills", 2m), (fills.Text, fills.Value));
    }

    [Theory]
    [InlineData("torn")]
    [InlineData("overflowed")]
    public void Only_a_whole_mesh_keeps_grazers_out(string mesh)
    {
        var visit = new ObservedVisit("mesh").Choose("pour", "mesh", mesh, "1");
        Assert.Contains("mesh-failed", visit.Codes);
        Assert.DoesNotContain("mesh-failed", new ObservedVisit("mesh").Choose("pour", "mesh", "whole", "1").Codes);
    }

    [Fact]
    public void Raw_water_brings_grazers_back_and_another_date_is_another_label()
    {
        var visit = new ObservedVisit("mesh")
            .Choose("jar", "through", "raw")
            .Choose("tube", "tube-water", "raw", "2")
            .Count("tube", "tube-rinses", 1, "2")
            .Day("date", "dated", 8, 11);
        Assert.Equal(["label-differs", "rinse-unfiltered", "rinse-unfiltered", "rinses-short"], visit.Codes.Order());
        Assert.Empty(
            new ObservedVisit("mesh")
                .Choose("jar", "through", "filtered")
                .Choose("tube", "tube-water", "filtered", "2")
                .Day("date", "dated", 8, 12)
                .Codes
        );
    }

    [Fact]
    public void Touched_or_too_little_it_is_lowered_again()
    {
        var visit = Read("3.7", "9.0").Yes("lower", "touched", true, "1").Yes("lower", "enough", false, "1");
        Assert.Equal(["bottle-too-little", "sampler-touched"], visit.Codes.Order());
    }

    [Fact]
    public void A_depth_that_differs_from_the_asked_one_is_said() =>
        Assert.Contains("composite-depth-differs", Read("4.3", "9.0").Number("lower", "line-out", "3 m", "1").Codes);

    private static ObservedVisit Read(string clarity, string water)
    {
        var visit = MetreMarks();
        visit.Visit.SoundMetres(water);
        visit.Visit.LostMetres(clarity);
        return visit;
    }

    private static ObservedVisit MetreMarks(string usable = "40")
    {
        var visit = new ObservedVisit("mesh");
        visit.Context = visit.Context with
        {
            Lines =
            [
                visit.Context.Lines[0] with
                {
                    MarkEvery = new WrittenLength("1", LengthUnit.Metre),
                    Usable = new WrittenLength(usable, LengthUnit.Metre),
                },
            ],
        };
        return visit;
    }
}
