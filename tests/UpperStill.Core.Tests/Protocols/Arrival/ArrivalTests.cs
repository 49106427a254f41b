using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Arrival;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Tests.Application.Visits;

namespace UpperStill.Core.Tests.Protocols.Arrival;

public class ArrivalTests
{
    [Fact]
    public void Boxes_written_one_by_one_make_one_head()
    {
        var visit = Begun();
        visit.Conditions(new ConditionsBody(People: 2, Anchored: true));
        visit.Conditions(new ConditionsBody(Air: new WrittenTemperature("64", TemperatureUnit.Fahrenheit), Waves: 2));
        var arrival = visit.Fold(SampleVisit.Metric).Arrival;

        Assert.Equal(["2 aboard", "anchored", "air 17.8 °C", "ripples"], arrival.Boxes.Select(b => b.Text));
        Assert.Equal((2, true, WaveState.Ripples), (arrival.Now.People, arrival.Now.Anchored, arrival.Now.WaveState!.Value));
    }

    [Fact]
    public void Two_devices_that_disagree_on_a_box_are_shown_and_nothing_is_dropped()
    {
        var visit = Begun();
        visit.Conditions(new ConditionsBody(WindMs: 3, Waves: 2));
        visit.Conditions(new ConditionsBody(WindMs: 5), device: "tablet");
        var sheet = visit.Fold(SampleVisit.Metric);

        var disagree = Assert.Single(sheet.Findings, f => f.Code == "devices-disagree");
        Assert.Equal(("wind 3 m/s on phone, wind 5 m/s on tablet.", Beside.Header), (disagree.Seen, disagree.Beside));
        Assert.Equal((5m, WaveState.Ripples), (sheet.Arrival.Now.WindMs!.Value, sheet.Arrival.Now.WaveState!.Value));
    }

    [Fact]
    public void What_was_touched_is_shown_as_its_class_and_never_as_a_number()
    {
        var visit = Begun();
        visit.Conditions(
            new ConditionsBody()
            {
                Wind = WindForce.FeltOnTheFace,
                Rain24 = RainFallen.Over25,
                Rain72 = RainFallen.From5To25,
                WaveState = WaveState.Choppy,
            }
        );

        Assert.Equal(
            ["wind felt on the face, 1.6 to 3.3 m/s", "choppy", "rain over 25 mm in 24 h", "rain 5 to 25 mm in 72 h"],
            visit.Fold(SampleVisit.Metric).Arrival.Boxes.Select(b => b.Text)
        );
    }

    [Fact]
    public void A_touch_that_an_earlier_build_kept_as_a_number_is_the_class_that_it_was_and_other_numbers_are_numbers()
    {
        var visit = Begun();
        visit.Conditions(new ConditionsBody(WindMs: 2.5m, Rain24Mm: 40, Rain72Mm: 15, Waves: 3), version: 1);
        Assert.Equal(
            ["wind felt on the face, 1.6 to 3.3 m/s", "choppy", "rain over 25 mm in 24 h", "rain 5 to 25 mm in 72 h"],
            visit.Fold(SampleVisit.Metric).Arrival.Boxes.Select(b => b.Text)
        );

        var written = Begun();
        written.Conditions(new ConditionsBody(WindMs: 2.6m, Rain24Mm: 41), version: 1);
        written.Conditions(new ConditionsBody(Rain72Mm: 40));
        Assert.Equal(
            ["wind 2.6 m/s", "rain 41 mm in 24 h", "rain 40 mm in 72 h"],
            written.Fold(SampleVisit.Metric).Arrival.Boxes.Select(b => b.Text)
        );
    }

    [Fact]
    public void The_later_of_gauge_and_memory_stands_alone()
    {
        var visit = Begun();
        visit.Conditions(new ConditionsBody(Rain24Mm: 31));
        visit.Conditions(new ConditionsBody() { Rain24 = RainFallen.From5To25 });
        var now = visit.Fold(SampleVisit.Metric).Arrival.Now;

        Assert.Equal((null, RainFallen.From5To25), (now.Rain24Mm, now.Rain24!.Value));
    }

    [Theory]
    [InlineData(RainFallen.From5To25, 15, "Rain 5 to 25 mm in 24 h: perhaps over the 15 mm that are heavy here.")]
    [InlineData(RainFallen.Over25, 15, "Rain over 25 mm in 24 h.")]
    [InlineData(RainFallen.Over25, 50, "Rain over 25 mm in 24 h: perhaps over the 50 mm that are heavy here.")]
    [InlineData(RainFallen.From5To25, 30, null)]
    public void A_limit_inside_a_class_is_said_as_perhaps(RainFallen rain, int heavyMm, string? said)
    {
        var visit = Begun();
        visit.Conditions(new ConditionsBody() { Rain24 = rain });
        var context = SampleVisit.Metric with
        {
            Programme = SampleVisit.Metric.Programme with
            {
                Thresholds = new Dictionary<string, decimal> { ["checks.rain-heavy"] = heavyMm },
            },
        };

        Assert.Equal(said, visit.Fold(context).Findings.SingleOrDefault(f => f.Code == "rain-heavy")?.Seen);
    }

    [Theory]
    [InlineData("celsius", TemperatureUnit.Celsius)]
    [InlineData("fahrenheit", TemperatureUnit.Fahrenheit)]
    public void A_box_opens_in_the_scale_of_the_programmes_thermometers(string method, TemperatureUnit scale)
    {
        var context = SampleVisit.Metric with
        {
            Programme = SampleVisit.Metric.Programme with { Methods = new Dictionary<string, string> { ["temperature.unit"] = method } },
        };

        Assert.Equal(scale, Begun().Fold(context).Arrival.Thermometers);
    }

    [Fact]
    public void A_fix_tells_how_far_and_whither_the_station_lies()
    {
        // One thousandth of a degree of latitude is 111.2 m; the station lies north of it.
        var visit = Begun();
        visit.Write(ArrivalKinds.Fix, new FixBody(51.9231, -11.4376, FixSource.Device, 5));
        var sheet = visit.Fold(SampleVisit.Metric);

        Assert.Equal("111 m from the mark, it lies N", sheet.Arrival.Anchored!.Text);
        Assert.Equal("You are 111 m from North Arm.", Assert.Single(sheet.Findings, f => f.Code == "position-far").Seen);
    }

    [Theory]
    [InlineData(51.92383, -11.4376, 5, null)] // 30 m off, in the radius
    [InlineData(51.92370, -11.4376, 20, null)] // 44 m off, but good to 20 m only
    [InlineData(51.92365, -11.4376, 12, "position-far")]
    [InlineData(51.9241, -11.4376, 45, "position-poor")]
    [InlineData(-11.4376, 51.9241, 5, "position-format")] // swapped
    [InlineData(51.9241, 11.4376, 5, "position-format")] // the sign lost
    [InlineData(151.9, -11.4376, 5, "position-format")]
    public void A_fix_is_judged_by_radius_accuracy_and_sign(double latitude, double longitude, int accuracy, string? code)
    {
        var visit = Begun();
        visit.Write(ArrivalKinds.Fix, new FixBody(latitude, longitude, FixSource.Typed, accuracy));

        Assert.Equal(
            code,
            visit.Fold(SampleVisit.Metric).Findings.SingleOrDefault(f => f.Code.StartsWith("position", StringComparison.Ordinal))?.Code
        );
    }

    [Theory]
    [InlineData(51.92440, true)] // 33 m from where it anchored
    [InlineData(51.92430, false)]
    public void Drift_is_measured_from_where_it_anchored(double latitude, bool drifted)
    {
        var visit = Begun();
        visit.Write(ArrivalKinds.Fix, new FixBody(51.9241, -11.4376, FixSource.Device, 5));
        visit.Write(ArrivalKinds.Fix, new FixBody(latitude, -11.4376, FixSource.Device, 5));

        Assert.Equal(drifted, Codes(visit).Contains("drifted"));
    }

    [Fact]
    public void Landmarks_out_of_line_are_named_and_the_later_answer_stands()
    {
        var visit = Begun();
        visit.Write(ArrivalKinds.Landmarks, new LandmarksBody(0, false));
        Assert.Equal(
            "gable and tower are not in line.",
            Assert.Single(visit.Fold(SampleVisit.Metric).Findings, f => f.Code == "landmarks-off").Seen
        );

        visit.Write(ArrivalKinds.Landmarks, new LandmarksBody(0, true));
        Assert.DoesNotContain("landmarks-off", Codes(visit));
    }

    public static TheoryData<ConditionsBody, string, FindingLevel?> Weather =>
        new()
        {
            { new ConditionsBody(People: 1), "people-too-few", FindingLevel.Stop },
            { new ConditionsBody(People: 2), "people-too-few", null },
            {
                new ConditionsBody() { Thunder = true },
                "weather-over-limit",
                FindingLevel.Stop
            },
            { new ConditionsBody(WindMs: 8.5m), "weather-over-limit", FindingLevel.Stop },
            { new ConditionsBody(WindMs: 8), "weather-over-limit", null },
            {
                new ConditionsBody() { Wind = WindForce.SmallTreesSway },
                "weather-over-limit",
                FindingLevel.Stop
            }, // 8 to 10.7 m/s, 8 allowed
            {
                new ConditionsBody() { Wind = WindForce.BranchesMove },
                "weather-over-limit",
                null
            }, // at most 7.9
            {
                new ConditionsBody() { WaveState = WaveState.WhiteCaps },
                "weather-over-limit",
                FindingLevel.Stop
            },
            { new ConditionsBody(Waves: 4), "weather-over-limit", FindingLevel.Stop },
            { new ConditionsBody(Waves: 3), "weather-over-limit", null },
            {
                new ConditionsBody() { Fog = true },
                "weather-over-limit",
                FindingLevel.Stop
            },
            {
                new ConditionsBody() { Fog = false, Thunder = false },
                "weather-over-limit",
                null
            },
            { new ConditionsBody(Rain24Mm: 26), "rain-heavy", FindingLevel.Note },
            { new ConditionsBody(Rain24Mm: 25), "rain-heavy", null },
            {
                new ConditionsBody() { Rain24 = RainFallen.Over25 },
                "rain-heavy",
                FindingLevel.Note
            },
            {
                new ConditionsBody() { Rain24 = RainFallen.From5To25 },
                "rain-heavy",
                null
            },
            {
                new ConditionsBody() { Rain24 = RainFallen.None, Rain72 = RainFallen.Under5 },
                "rain-unknown",
                null
            },
            { new ConditionsBody(), "rain-unknown", FindingLevel.Check },
            { new ConditionsBody(Rain24Mm: 0, Rain72Mm: 4), "rain-unknown", null },
            { new ConditionsBody(Air: new WrittenTemperature("64", TemperatureUnit.Celsius)), "temperature-range", FindingLevel.Check },
            { new ConditionsBody(Air: new WrittenTemperature("64", TemperatureUnit.Fahrenheit)), "temperature-range", null },
            { new ConditionsBody(Air: new WrittenTemperature("18")), "unit-missing", FindingLevel.Stop },
            { new ConditionsBody(Anchored: false), "anchor-missing", FindingLevel.Check },
            { new ConditionsBody(Anchored: true), "anchor-missing", null },
            { new ConditionsBody(Surface: WaterSurface.Scum), "bloom-seen", FindingLevel.Check },
            { new ConditionsBody(Surface: WaterSurface.Pollen), "bloom-seen", null },
        };

    [Theory]
    [MemberData(nameof(Weather))]
    public void People_weather_and_rain_are_judged(ConditionsBody body, string code, FindingLevel? level)
    {
        var visit = Begun();
        visit.Conditions(body);
        visit.SoundMetres("12.0");

        Assert.Equal(level, visit.Fold(SampleVisit.Metric).Findings.SingleOrDefault(f => f.Code == code)?.Level);
    }

    private static WrittenTemperature C(string written) => new(written, TemperatureUnit.Celsius);

    public static TheoryData<ConditionsBody, string, FindingLevel?> Thermometers =>
        new()
        {
            {
                new ConditionsBody(Air: C("18")) { Water = C("18") },
                "air-equals-water",
                FindingLevel.Note
            },
            {
                new ConditionsBody(Air: C("18")) { Water = C("18.5") },
                "air-equals-water",
                null
            },
            {
                new ConditionsBody() { Water = C("18"), WaterSecond = C("19.1") },
                "thermometers-disagree",
                FindingLevel.Note
            },
            {
                new ConditionsBody() { Water = C("18"), WaterSecond = C("19") },
                "thermometers-disagree",
                null
            },
            {
                new ConditionsBody() { Water = C("18"), WaterSteady = false },
                "not-settled",
                FindingLevel.Check
            },
            {
                new ConditionsBody() { Water = C("18"), WaterSteady = true },
                "not-settled",
                null
            },
            {
                new ConditionsBody() { Water = C("64") },
                "temperature-as-fahrenheit",
                FindingLevel.Stop
            },
            {
                new ConditionsBody() { Water = new WrittenTemperature("64", TemperatureUnit.Fahrenheit) },
                "temperature-as-fahrenheit",
                null
            },
            {
                new ConditionsBody() { Water = C("-1") },
                "temperature-range",
                FindingLevel.Check
            },
            {
                new ConditionsBody() { Water = C("0") },
                "temperature-range",
                null
            },
            {
                new ConditionsBody() { Water = new WrittenTemperature("18") },
                "unit-missing",
                FindingLevel.Stop
            },
        };

    [Theory]
    [MemberData(nameof(Thermometers))]
    public void The_water_by_thermometer_is_judged(ConditionsBody body, string code, FindingLevel? level)
    {
        var visit = Begun();
        visit.Conditions(body);

        Assert.Equal(level, visit.Fold(SampleVisit.Metric).Findings.SingleOrDefault(f => f.Code == code)?.Level);
    }

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void Air_comes_before_the_bulb_is_wet(bool airFirst)
    {
        var visit = Begun();
        visit.Conditions(airFirst ? new ConditionsBody(Air: C("17")) : new ConditionsBody() { Water = C("20") });
        visit.Conditions(airFirst ? new ConditionsBody() { Water = C("20") } : new ConditionsBody(Air: C("17")));

        Assert.Equal(!airFirst, Codes(visit).Contains("air-after-water"));
    }

    [Fact]
    public void Ashore_one_may_go_with_someone_told()
    {
        var visit = Begun();
        visit.Conditions(new ConditionsBody(People: 1));

        Assert.DoesNotContain(
            visit.Fold(SampleVisit.Metric with { Station = SampleVisit.Metric.Station with { Shore = true } }).Findings,
            f => f.Code == "people-too-few"
        );
    }

    [Theory]
    [InlineData(8, true)]
    [InlineData(10, false)]
    [InlineData(18, false)]
    [InlineData(19, true)]
    public void The_gap_since_the_last_visit_is_noted_when_it_is_off(int days, bool noted)
    {
        var context = SampleVisit.Metric with { LastDay = new DateOnly(2026, 8, 12).AddDays(-days) };

        Assert.Equal(noted, Begun().Fold(context).Findings.Any(f => f.Code == "interval-off"));
    }

    [Fact]
    public void The_sun_stands_where_the_almanac_says()
    {
        // 12 August 2026 about 10:22 summer time at 51.9° N 11.4° W: hour angle -52.2°, declination 14.8°; sin h = sin φ sin δ + cos φ cos
        // δ cos H.
        var sun = Begun().Fold(SampleVisit.Metric).Arrival.Sun!;
        var (phi, delta, hour) = (51.9241 * Math.PI / 180, 14.8 * Math.PI / 180, -52.2 * Math.PI / 180);
        var altitude = Math.Asin((Math.Sin(phi) * Math.Sin(delta)) + (Math.Cos(phi) * Math.Cos(delta) * Math.Cos(hour))) * 180 / Math.PI;

        Assert.InRange((double)sun.AltitudeDeg, altitude - 0.7, altitude + 0.7);
        Assert.InRange((double)sun.AzimuthDeg, 100, 125);
    }

    private static SampleVisit Begun() => SampleVisit.MetricBegun(Protocol.Clarity);

    private static IEnumerable<string> Codes(SampleVisit visit) => visit.Fold(SampleVisit.Metric).Findings.Select(f => f.Code);
}
