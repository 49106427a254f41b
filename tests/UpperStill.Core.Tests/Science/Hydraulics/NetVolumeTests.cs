using UpperStill.Core.Science.Hydraulics;

namespace UpperStill.Core.Tests.Science.Hydraulics;

public sealed class NetVolumeTests
{
    [Fact]
    public void A_mouth_of_fifty_centimetres_over_ten_metres_takes_two_cubic_metres()
    {
        // π × 0.25² × 10 = 1.9635 m³.
        var result = NetVolume.Work(new NetVolumeRequest(50, 10));
        Assert.Equal(1.9635m, decimal.Round(result.VolumeM3!.Value, 4));
        Assert.Equal("1.963 m³", result.Text);
        Assert.Equal(1.5708m, decimal.Round(NetVolume.Work(new NetVolumeRequest(50, 10, 80)).VolumeM3!.Value, 4));
    }

    [Fact]
    public void A_leaning_line_reaches_less_deep_and_a_steep_lean_is_said()
    {
        // cos 60° = 1/2.
        var result = NetVolume.Work(new NetVolumeRequest(50, 10, 100, 60));
        Assert.Equal(0.98175m, decimal.Round(result.VolumeM3!.Value, 5));
        Assert.Equal("line-angle", result.Findings.Single().Code);
        Assert.Empty(NetVolume.Work(new NetVolumeRequest(50, 10, 100, 30)).Findings);
    }

    [Fact]
    public void A_small_net_is_told_in_litres() => Assert.Equal("4.9 L", NetVolume.Work(new NetVolumeRequest(2.5m, 10)).Text);

    [Theory]
    [InlineData(0, 10, 100, 0)]
    [InlineData(50, -1, 100, 0)]
    [InlineData(50, 10, 0, 0)]
    [InlineData(50, 10, 101, 0)]
    [InlineData(50, 10, 100, 90)]
    public void What_is_no_tow_gives_no_volume(int mouth, int tow, int efficiency, int angle)
    {
        var result = NetVolume.Work(new NetVolumeRequest(mouth, tow, efficiency, angle));
        Assert.Null(result.VolumeM3);
        Assert.Equal("tow-figures", result.Findings.Single().Code);
    }
}
