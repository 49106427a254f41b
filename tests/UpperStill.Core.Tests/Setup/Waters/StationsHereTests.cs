using CsCheck;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Tests.Setup.Waters;

public class StationsHereTests
{
    // One minute of latitude is a sea mile; a ten-thousandth of a degree about 11 m.
    private static readonly StationAt North = new("N-1", new Position(54.0100, -3));
    private static readonly StationAt South = new("S-1", new Position(54.0000, -3));

    [Fact]
    public void The_nearest_comes_first_and_is_here_within_its_radius()
    {
        var here = StationsHere.Work(new StationsHereRequest(new Position(54.0002, -3), [North, South]));

        Assert.Equal(["S-1", "N-1"], here.Stations.Select(s => s.Code));
        Assert.Equal([true, false], here.Stations.Select(s => s.Here));
        Assert.InRange(here.Stations[0].DistanceM, 22, 23);
        Assert.Equal("1.1 km N", here.Stations[1].Text);
        Assert.Null(here.Finding);
    }

    [Fact]
    public void Where_no_station_is_known_the_nearest_is_named()
    {
        var here = StationsHere.Work(new StationsHereRequest(new Position(54.0010, -3), [North, South]));

        Assert.Equal("station-unknown", here.Finding?.Code);
        Assert.Equal("No station is known here; S-1 is the nearest, 111 m S.", here.Finding?.Seen);
        Assert.Equal("No station is known here.", StationsHere.Work(new StationsHereRequest(new Position(54, -3), [])).Finding?.Seen);
    }

    [Fact]
    public void A_poor_fix_counts_by_its_accuracy() =>
        Assert.Null(StationsHere.Work(new StationsHereRequest(new Position(54.0010, -3), [North, South], 90)).Finding);

    [Fact]
    public void What_is_no_position_is_said() =>
        Assert.Equal("position-format", StationsHere.Work(new StationsHereRequest(new Position(-3, 254), [North])).Finding?.Code);

    [Fact]
    public void The_order_is_that_of_the_distances() =>
        Gen.Select(Gen.Double[53, 55], Gen.Double[-4, -2])
            .Array[1, 20]
            .Sample(places =>
            {
                var stations = places.Select((p, i) => new StationAt($"X-{i}", new Position(p.Item1, p.Item2))).ToList();
                var near = StationsHere.Work(new StationsHereRequest(new Position(54, -3), stations)).Stations;
                Assert.Equal(near.Select(s => s.DistanceM).Order(), near.Select(s => s.DistanceM));
                Assert.Equal(stations.Count, near.Count);
            });
}
