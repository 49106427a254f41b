using UpperStill.Core.Science.Sky;

namespace UpperStill.Core.Tests.Science.Sky;

/// <summary>Sun and tide as anyone can ask for them; the astronomy itself is held by <see cref="SunTests"/> and
/// <see cref="TideTests"/>.</summary>
public sealed class SkyRulesTests
{
    private static readonly DateTimeOffset Start = new(2026, 6, 21, 0, 0, 0, TimeSpan.FromHours(1));

    [Fact]
    public void At_the_solstice_the_sun_over_the_tropic_stands_overhead_and_in_the_night_below_the_horizon()
    {
        var noon = SunRule.Work(new SunRequest(23.43, 0, new DateTimeOffset(2026, 6, 21, 12, 2, 0, TimeSpan.Zero)));
        Assert.InRange(noon.AltitudeDeg, 89.4, 90);
        Assert.StartsWith(
            "below the horizon",
            SunRule.Work(new SunRequest(23.43, 0, new DateTimeOffset(2026, 6, 21, 0, 0, 0, TimeSpan.Zero))).Text,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void A_low_sun_is_called_low_for_a_disc()
    {
        Assert.Contains(
            "low for a disc",
            SunRule.Work(new SunRequest(54, -2, new DateTimeOffset(2026, 12, 21, 12, 0, 0, TimeSpan.Zero))).Text,
            StringComparison.Ordinal
        );
        Assert.DoesNotContain(
            "low for a disc",
            SunRule.Work(new SunRequest(54, -2, new DateTimeOffset(2026, 6, 21, 12, 0, 0, TimeSpan.Zero))).Text,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void The_moon_alone_gives_two_high_and_two_low_waters_a_lunar_day_of_its_amplitude()
    {
        var result = TideRule.Work(new TideRequest(3, [new TideHarmonic(TidalConstituent.M2, 2, 40)], Start, 25));
        Assert.Equal(4, result.Turns!.Count);
        Assert.Equal([true, false], result.Turns.Select(t => t.High).Distinct().OrderDescending());
        Assert.All(result.Turns, t => Assert.InRange(Math.Abs(t.HeightM - 3), 2 * 0.96, 2 * 1.04));
        Assert.All(result.Turns.Zip(result.Turns.Skip(1)), p => Assert.InRange((p.Second.At - p.First.At).TotalHours, 6.15, 6.27));
        Assert.All(result.Turns, t => Assert.Equal(Start.Offset, t.At.Offset));
    }

    [Theory]
    [InlineData(2026, 0, "tide-hours")]
    [InlineData(2026, 73, "tide-hours")]
    [InlineData(1899, 25, "tide-year")]
    [InlineData(2101, 25, "tide-year")]
    public void What_it_does_not_hold_for_is_refused_and_never_cut_short(int year, int hours, string code) =>
        Assert.Equal(
            code,
            Assert
                .Single(
                    TideRule
                        .Work(
                            new TideRequest(
                                3,
                                [new TideHarmonic(TidalConstituent.M2, 2, 40)],
                                new DateTimeOffset(year, 6, 21, 0, 0, 0, TimeSpan.Zero),
                                hours
                            )
                        )
                        .Findings
                )
                .Code
        );

    [Fact]
    public void Without_constants_there_is_no_tide() =>
        Assert.Equal("tide-constants", TideRule.Work(new TideRequest(3, [], Start)).Findings.Single().Code);
}
