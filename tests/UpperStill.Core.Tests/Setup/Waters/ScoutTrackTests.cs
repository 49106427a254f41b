using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Tests.Setup.Waters;

public class ScoutTrackTests
{
    [Fact]
    public void The_deepest_place_seen_is_proposed()
    {
        var result = ScoutTrack.Read("51.9100 -21.4400 28.1\n51.9101, -21.4401, 30.8\n51.9102;-21.4402;30.2\n");

        Assert.Equal(new ScoutPoint(51.9101, -21.4401, 30.8m), result.Deepest);
        Assert.Equal(3, result.Soundings);
        Assert.Equal("track-short", Assert.Single(result.Findings).Finding.Code);
    }

    [Fact]
    public void A_double_echo_is_passed_over()
    {
        var result = ScoutTrack.Read("51.91 -21.44 12\n51.91 -21.441 25\n51.91 -21.442 13\n51.91 -21.443 14");

        Assert.Equal(14, result.Deepest!.DepthM);
        Assert.Contains(result.Findings, f => f.Finding.Code == "track-spikes");
    }

    [Theory]
    [InlineData("", "track-empty")]
    [InlineData("51.91 -21.44", "track-line")]
    [InlineData("51.91 -21.44 12\nhere it was deep", "track-line")]
    [InlineData("51.91 -21.44 -12", "track-empty")]
    [InlineData("151.91 -21.44 12", "track-empty")]
    public void What_is_not_a_track_is_refused_with_the_line(string text, string code)
    {
        var finding = Assert.Single(ScoutTrack.Read(text).Findings).Finding;

        Assert.Equal(code, finding.Code);
        Assert.True(code != "track-line" || finding.Seen.StartsWith("Line ", StringComparison.Ordinal));
    }
}
