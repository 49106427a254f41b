using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Tests.Record.Described;

namespace UpperStill.Core.Tests.Protocols.Surf;

/// <summary>Cases 39 and 40 of the handbook, and what a catch does to its visit.</summary>
public class SurfTests
{
    [Fact]
    public void Fahrenheit_is_turned_into_Celsius_and_the_first_thermometer_is_the_reading()
    {
        var visit = new ObservedVisit("surf").Number("catch", "water", "48 °F", "1").Number("catch", "water2", "50 °F", "1");
        Assert.Equal("8.9 °C", visit.Derived("surf-temperature").Text);
        Assert.Equal(["(48 − 32) × 5 / 9 = 8.9 °C"], visit.Derived("surf-temperature").Working!.Steps);
        Assert.Equal(
            "Two thermometers: 8.9 °C and 10.0 °C.",
            Assert.Single(visit.Sheet.Findings, f => f.Code == "thermometers-disagree").Seen
        );
        var alike = new ObservedVisit("surf").Number("catch", "water", "48 °F", "1").Number("catch", "water2", "49 °F", "1");
        Assert.Empty(alike.Codes);
    }

    [Fact]
    public void Held_too_short_and_watched_too_short_are_two_things()
    {
        Assert.Equal(["not-settled"], new ObservedVisit("surf").Waited("catch", "held", 40, "1").Codes);
        Assert.Equal(["timer-short"], new ObservedVisit("surf").Waited("watch", "watch", 120).Codes);
        Assert.Empty(new ObservedVisit("surf").Waited("catch", "held", 60, "1").Waited("watch", "watch", 300).Codes);
    }

    [Theory]
    [InlineData("none", false)]
    [InlineData("little", false)]
    [InlineData("much", true)]
    public void A_little_sand_passes(string sand, bool again)
    {
        var visit = new ObservedVisit("surf").Choose("ashore", "sand", sand, "1");
        Assert.Equal(again, visit.Codes.Contains("sample-has-sediment"));
        Assert.Equal(again, visit.Protocol.Steps.Single(s => s.Step == "ashore").Failed);
    }

    [Fact]
    public void The_air_is_read_first_and_a_deep_stream_turns_back()
    {
        var late = new ObservedVisit("surf").Number("catch", "water", "9 °C", "1").Number("air", "air", "8 °C");
        Assert.Contains("air-after-water", late.Codes);
        Assert.DoesNotContain(
            "air-after-water",
            new ObservedVisit("surf").Number("air", "air", "8 °C").Number("catch", "water", "9 °C", "1").Codes
        );
        var deep = new ObservedVisit("surf").Choose("crossing", "crossing", "above");
        Assert.Equal(FindingLevel.Stop, Assert.Single(deep.Sheet.Findings, f => f.Code == "wading-fast").Level);
        Assert.Empty(new ObservedVisit("surf").Choose("crossing", "crossing", "knee").Codes);
    }

    [Fact]
    public void Water_warmer_than_any_here_may_have_been_Fahrenheit()
    {
        Assert.Contains("temperature-as-fahrenheit", new ObservedVisit("surf").Number("catch", "water", "48 °C", "1").Codes);
        Assert.DoesNotContain("temperature-as-fahrenheit", new ObservedVisit("surf").Number("catch", "water", "48 °F", "1").Codes);
    }

    [Fact]
    public void Another_holder_than_the_programmes_is_noted_and_the_beach_asks_no_sounding()
    {
        Assert.Contains("surf-holder", new ObservedVisit("surf").Choose("fit", "holds", "bag", "1").Codes);
        Assert.Empty(new ObservedVisit("surf").With("surf.holder", "bag").Choose("fit", "holds", "bag", "1").Codes);
        var beach = new ObservedVisit("surf");
        beach.Context = beach.Context with { Station = beach.Context.Station with { Kind = Core.Setup.Waters.StationKind.Beach } };
        Assert.DoesNotContain(beach.Sheet.Steps, s => s.Name is "sounding" or "clarity");
        Assert.Equal(StepState.ToDo, beach.Sheet.Steps.Single(s => s.Name == "leave").State);
    }
}
