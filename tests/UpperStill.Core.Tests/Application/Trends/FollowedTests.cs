using UpperStill.Core.Application.Trends;
using UpperStill.Core.Science.Stratification;

namespace UpperStill.Core.Tests.Application.Trends;

/// <summary>Which value of a visit a series follows.</summary>
public sealed class FollowedTests
{
    [Theory]
    [InlineData("deep surface composite", "composite")]
    [InlineData("deep surface", "surface")]
    [InlineData("layer-2 deep", "deep")]
    public void The_composite_stands_before_the_surface_and_that_before_the_rest(string places, string followed) => Assert.Equal(followed, SubjectWords.Followed(places.Split(' '), p => p));

    [Fact]
    public void Each_subject_of_a_profile_follows_its_own_number()
    {
        var profile = new ProfileNumbers(21, 6, ThermoclineM: 7, BottomOxygenMgL: 0.4, StabilityJM2: 180);
        Assert.Equal(
            [0.4, 21, 7, 180], new[] { TrendSubject.BottomOxygen, TrendSubject.SurfaceTemperature, TrendSubject.Thermocline, TrendSubject.Stability }.Select(s => SubjectWords.Of(s).Number(profile)!.Value));
        Assert.Null(SubjectWords.Of(TrendSubject.Clarity).Number(profile));
    }
}
