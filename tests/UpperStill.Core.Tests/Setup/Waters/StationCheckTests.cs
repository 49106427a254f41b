using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Tests.Setup.Waters;

public class StationCheckTests
{
    private static readonly Water Mere = new(
        "mere",
        "The Mere",
        "Aldwick",
        WaterKind.Lake,
        "Europe/London",
        Outline:
        [
            [new(51.90, -21.45), new(51.92, -21.45), new(51.92, -21.43), new(51.90, -21.43), new(51.90, -21.45)],
        ]
    );

    private static readonly Station Deep = new(
        "MER-1",
        "mere",
        "The Mere",
        "Aldwick",
        "Deep Hole",
        new WrittenLength("31", LengthUnit.Metre),
        51.91,
        -21.44
    );

    [Fact]
    public void A_sound_station_has_nothing_against_it() => Assert.Empty(StationCheck.Findings(Deep, Mere, []));

    [Theory]
    [InlineData(-21.44, 51.91)]
    [InlineData(51.91, 21.44)]
    [InlineData(-51.91, -21.44)]
    [InlineData(21.44, 51.91)]
    public void Swapped_or_sign_lost_is_offered_back(double latitude, double longitude)
    {
        var finding = Assert
            .Single(StationCheck.Findings(Deep with { LatitudeDeg = latitude, LongitudeDeg = longitude }, Mere, []))
            .Finding;

        Assert.Equal(("position-format", FindingLevel.Stop), (finding.Code, finding.Level));
        Assert.Contains("51.91, -21.44 lies inside", finding.Seen, StringComparison.Ordinal);
        Assert.Equal(new Position(51.91, -21.44), StationCheck.Meant(new Position(latitude, longitude), Mere.Outline));
    }

    [Theory]
    [InlineData(51.9201, -21.44, "position-outside", FindingLevel.Check)]
    [InlineData(52.10, -21.44, "position-outside", FindingLevel.Stop)]
    [InlineData(95, -21.44, "position-format", FindingLevel.Stop)]
    public void Outside_the_outline_is_a_check_by_the_shore_and_a_stop_beyond(
        double latitude,
        double longitude,
        string code,
        FindingLevel level
    )
    {
        var finding = Assert
            .Single(StationCheck.Findings(Deep with { LatitudeDeg = latitude, LongitudeDeg = longitude }, Mere, []))
            .Finding;

        Assert.Equal((code, level), (finding.Code, finding.Level));
    }

    [Fact]
    public void An_island_is_not_water()
    {
        var island = new Position[]
        {
            new(51.909, -21.441),
            new(51.911, -21.441),
            new(51.911, -21.439),
            new(51.909, -21.439),
            new(51.909, -21.441),
        };

        Assert.Contains(StationCheck.Findings(Deep, Mere with { Outline = [Mere.Outline![0], island] }, []), f =>
            f.Finding.Code == "position-outside"
        );
    }

    [Theory]
    [InlineData("", "Deep Hole", "31", "code-format")]
    [InlineData("MER 1", "Deep Hole", "31", "code-format")]
    [InlineData("MER-1", " ", "31", "name-missing")]
    [InlineData("MER-1", "Deep Hole", "deep", "number-unreadable")]
    [InlineData("MER-1", "Deep Hole", "0", "depth-none")]
    public void What_is_missing_stands_beside_its_field(string code, string name, string depth, string finding) =>
        Assert.Contains(
            StationCheck.Findings(
                Deep with
                {
                    Code = code,
                    Name = name,
                    KnownDepth = new WrittenLength(depth, LengthUnit.Metre),
                },
                Mere,
                []
            ),
            f => f.Finding.Code == finding && f.Finding.Level == FindingLevel.Stop
        );

    [Fact]
    public void A_code_that_another_station_has_is_refused_with_whose_it_is()
    {
        var other = Deep with { WaterCode = "tarn", Water = "The Tarn", Name = "Middle", Code = "mer-1" };

        Assert.Equal("mer-1 is Middle on The Tarn.", Assert.Single(StationCheck.Findings(Deep, Mere, [other])).Finding.Seen);
    }

    [Fact]
    public void A_station_within_another_ones_radius_is_questioned() =>
        Assert.Contains(StationCheck.Findings(Deep with { Code = "MER-2", LatitudeDeg = 51.91001 }, Mere, [Deep]), f =>
            f.Finding.Code == "station-near"
        );

    [Fact]
    public void A_water_is_told_from_its_namesake_by_the_district()
    {
        Assert.Contains(WaterCheck.Findings(Mere with { Code = "mere-2" }, [Mere], true), f => f.Finding.Code == "water-twice");
        Assert.Empty(WaterCheck.Findings(Mere with { Code = "mere-2", District = "Borrow" }, [Mere], true));
    }

    [Fact]
    public void An_outline_that_does_not_close_is_refused() =>
        Assert.Contains(
            WaterCheck.Findings(
                Mere with
                {
                    Outline =
                    [
                        [new(51.90, -21.45), new(51.92, -21.45), new(51.92, -21.43), new(51.90, -21.43)],
                    ],
                },
                [],
                true
            ),
            f => f.Finding.Code == "outline-open"
        );

    [Fact]
    public void A_table_of_areas_that_widens_downward_is_refused() =>
        Assert.Contains(WaterCheck.Findings(Mere with { Hypsography = [new(0, 1000), new(5, 1200)] }, [], true), f =>
            f.Finding.Code == "hypsography-order"
        );
}
