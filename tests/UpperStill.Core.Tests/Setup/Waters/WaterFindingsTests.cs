using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Science.Stratification;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Tests.Setup.Waters;

/// <summary>Each thing that is wrong with a water or with the ways to a station, by the one that is wrong.</summary>
public class WaterFindingsTests
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
        ],
        Contours: [new DepthContour(5, [new(51.91, -21.44), new(51.911, -21.44)])],
        Hypsography: [new AreaAtDepth(0, 1000), new AreaAtDepth(5, 400)]
    );

    private static readonly Dictionary<string, (FindingLevel Level, Water Wrong)> Faults = new()
    {
        ["code-format"] = (FindingLevel.Stop, Mere with { Code = "the mere" }),
        ["name-missing"] = (FindingLevel.Stop, Mere with { Name = "" }),
        ["district-missing"] = (FindingLevel.Stop, Mere with { District = " " }),
        ["outline-open"] = (
            FindingLevel.Stop,
            Mere with
            {
                Outline =
                [
                    [.. Mere.Outline![0].SkipLast(1)],
                ],
            }
        ),
        ["outline-large"] = (
            FindingLevel.Check,
            Mere with
            {
                Outline =
                [
                    [new(51, -21), new(57, -21), new(57, -20), new(51, -21)],
                ],
            }
        ),
        ["position-format"] = (
            FindingLevel.Stop,
            Mere with
            {
                Outline =
                [
                    [new(95, -21), new(51, -21), new(51, -20), new(95, -21)],
                ],
            }
        ),
        ["hypsography-order"] = (FindingLevel.Stop, Mere with { Hypsography = [new AreaAtDepth(0, 400), new AreaAtDepth(5, 1000)] }),
        ["hypsography-negative"] = (FindingLevel.Stop, Mere with { Hypsography = [new AreaAtDepth(0, 400), new AreaAtDepth(5, -1)] }),
        ["contour-depth"] = (FindingLevel.Stop, Mere with { Contours = [Mere.Contours![0] with { DepthM = 0 }] }),
    };

    public static TheoryData<string> Codes => [.. Faults.Keys];

    [Fact]
    public void A_sound_water_has_nothing_against_it() => Assert.Empty(WaterCheck.Findings(Mere, [], zoneKnown: true));

    [Theory]
    [MemberData(nameof(Codes))]
    public void One_wrong_thing_is_named(string code)
    {
        var fault = Assert.Single(WaterCheck.Findings(Faults[code].Wrong, [], zoneKnown: true)).Finding;

        Assert.Equal((code, Faults[code].Level), (fault.Code, fault.Level));
    }

    [Fact]
    public void A_zone_that_nobody_knows_stops() =>
        Assert.Equal("time-zone-unknown", Assert.Single(WaterCheck.Findings(Mere, [], zoneKnown: false)).Finding.Code);

    [Fact]
    public void A_name_twice_in_one_district_stops_and_in_another_does_not()
    {
        Assert.Equal(
            "water-twice",
            Assert.Single(WaterCheck.Findings(Mere with { Code = "mere-2", Name = " the mere " }, [Mere], zoneKnown: true)).Finding.Code
        );
        Assert.Empty(WaterCheck.Findings(Mere with { Code = "mere-2", District = "Brandreth" }, [Mere], zoneKnown: true));
    }

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

    // Two lines that cross in the station: one along the meridian, one along the parallel.
    private static Transit Along(double latitude) => new(new Landmark("post", latitude, -21.445), new Landmark("mast", latitude, -21.45));

    private static Transit Up(double longitude) => new(new Landmark("barn", 51.915, longitude), new Landmark("spire", 51.92, longitude));

    [Theory]
    [InlineData(51.91, null)]
    [InlineData(51.911, "transits-elsewhere")] // 111 m off, the radius is 30
    public void Lines_of_landmarks_that_cross_elsewhere_are_questioned(double latitude, string? code) =>
        Assert.Equal(
            code,
            StationCheck.Findings(Deep with { Transits = [Along(latitude), Up(-21.44)] }, Mere, []).SingleOrDefault()?.Finding.Code
        );

    [Fact]
    public void One_line_of_landmarks_is_too_few() =>
        Assert.Equal("transits-few", Assert.Single(TransitCrossing.Work(new TransitRequest([Up(-21.44)])).Findings).Finding.Code);

    [Fact]
    public void A_landmark_without_a_position_serves_by_eye_only()
    {
        var uncharted = new Transit(new Landmark("oak"), new Landmark("gate", 51.92, -21.44));

        Assert.Equal(
            ("mark-uncharted", FindingLevel.Note),
            Worst(TransitCrossing.Work(new TransitRequest([uncharted, Up(-21.44)])).Findings)
        );
        Assert.Equal(
            ("mark-uncharted", FindingLevel.Stop),
            Worst(
                Resection
                    .Work(
                        new ResectionRequest([
                            To("barn", 51.92, -21.44, 0),
                            To("post", 51.91, -21.45, 270),
                            new Bearing(new Landmark("oak"), 90),
                        ])
                    )
                    .Findings
            )
        );
    }

    [Theory]
    [InlineData(0, 90, null)]
    [InlineData(45, 90, "bearings-elsewhere")]
    public void Bearings_that_meet_elsewhere_are_questioned(double first, double second, string? code)
    {
        // North and east of the station, and a third on the line between the two.
        var station = Deep with
        {
            Bearings = [To("spire", 51.92, -21.44, first), To("mast", 51.91, -21.43, second), To("gate", 51.905, -21.44, 180)],
        };

        Assert.Equal(
            code,
            StationCheck.Findings(station, Mere, []).Select(f => f.Finding.Code).FirstOrDefault(c => c == "bearings-elsewhere")
        );
    }

    [Fact]
    public void A_triangle_wider_than_the_radius_twice_is_questioned()
    {
        ResectionRequest off = new([To("spire", 51.92, -21.44, 0), To("mast", 51.91, -21.43, 90), To("gate", 51.905, -21.447, 230)], 0, 30);

        Assert.Contains(Resection.Work(off).Findings, f => f.Finding.Code == "triangle-large");
        Assert.DoesNotContain(Resection.Work(off with { RadiusM = 500 }).Findings, f => f.Finding.Code == "triangle-large");
    }

    [Theory]
    [InlineData(0, true)]
    [InlineData(1001, true)]
    [InlineData(1000, false)]
    public void A_radius_tells_a_place(int metres, bool wrong) =>
        Assert.Equal(wrong, StationCheck.Findings(Deep with { RadiusM = metres }, Mere, []).Any(f => f.Finding.Code == "radius-range"));

    private static Bearing To(string name, double latitude, double longitude, double degrees) =>
        new(new Landmark(name, latitude, longitude), degrees);

    private static (string, FindingLevel) Worst(IEnumerable<FieldFinding> findings) =>
        findings.Select(f => (f.Finding.Code, f.Finding.Level)).Single();
}
