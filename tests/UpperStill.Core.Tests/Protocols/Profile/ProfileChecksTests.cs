using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Profile;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.History;
using UpperStill.Core.Science.Oxygen;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Waters;
using UpperStill.Core.Tests.Application.Visits;

namespace UpperStill.Core.Tests.Protocols.Profile;

public class ProfileChecksTests
{
    /// <summary>Each check with levels that raise it: depth, °C, oxygen in mg/L, and the code.</summary>
    public static TheoryData<string, string[]> Raised =>
        new()
        {
            { "temperature-as-fahrenheit", ["1 68"] },
            { "temperature-range", ["1 -0.9"] },
            { "oxygen-as-percent", ["1 20 8.9", "2 20 98"] },
            { "oxygen-as-percent", ["8 16.4 8.6", "9 14.9 74.2"] }, // 7.42 or 7.4 mg/L: the meter is likelier than the point
            { "oxygen-as-percent", ["1 20 98", "2 20 96", "3 20 21"] }, // below a column in per cent even a small number is
            { "oxygen-point-lost", ["1 20 8.9", "2 20 88"] },
            { "oxygen-impossible", ["1 20 19"] },
            { "oxygen-impossible", ["1 20 -0.2"] },
            { "oxygen-jump", ["1 20 8.9", "2 19.8 3.1"] },
            { "profile-add-level", ["1 20 8.9", "2 18.5 8.9"] },
            { "profile-add-level", ["1 20 8.9", "2 20 7.5"] },
            { "profile-level-missing", ["0.3 20 9", "1 20 9", "3 20 9"] },
            { "profile-level-repeated", ["1 20 9", "2 20 9", "2 20 9"] },
            { "profile-below-bottom", ["1 20 9", "12.2 8 4"] },
            { "probe-in-mud", ["11 8 4", "11.6 8 1.5"] },
            { "density-falls", ["1 18 9", "2 18.6 9"] },
            { "number-unreadable", ["1 20 8..9"] },
        };

    /// <summary>The same with a little less: nothing is said.</summary>
    public static TheoryData<string, string[]> Quiet =>
        new()
        {
            { "temperature-as-fahrenheit", ["1 29"] },
            { "temperature-range", ["1 0.2"] },
            { "oxygen-as-percent", ["1 20 8.9", "2 20 8.8"] },
            { "oxygen-point-lost", ["1 20 8.9", "2 20 8.8"] },
            { "oxygen-impossible", ["1 20 17.9"] }, // 198 %
            { "oxygen-jump", ["1 20 8.9", "2 18 3.1"] }, // the temperature breaks, too
            { "oxygen-jump", ["1 20 4.0", "2 20 2.1"] }, // not 2 mg/L
            { "profile-add-level", ["1 20 8.9", "2 19.1 8.0"] },
            { "profile-add-level", ["1 20 8.9", "1.5 18 8.9"] }, // too close for one more
            { "profile-add-level", ["1 20 8.9", "2 20 98"] }, // another unit is no break in the water
            { "profile-level-missing", ["0.3 20 9", "1 20 9", "2 20 9"] },
            { "profile-level-repeated", ["1 20 9", "2 18 9", "1.5 19 9"] }, // between two that were read
            { "profile-below-bottom", ["1 20 9", "12.1 8 4"] },
            { "probe-in-mud", ["11 8 4", "11.6 8 2.1"] },
            { "probe-in-mud", ["9 8 4", "10 8 1.5"] }, // far above the bottom oxygen may well end
            { "density-falls", ["1 18 9", "2 18.2 9"] },
            { "density-falls", ["1 0.5 9", "2 3.5 9"] }, // under ice warmer water is the heavier
        };

    [Theory]
    [MemberData(nameof(Raised))]
    public void A_level_that_is_odd_raises_its_finding(string code, string[] levels) => Assert.Contains(code, Codes(levels));

    [Theory]
    [MemberData(nameof(Quiet))]
    public void A_level_that_is_not_raises_none(string code, string[] levels) => Assert.DoesNotContain(code, Codes(levels));

    [Fact]
    public void A_column_of_per_cent_is_reread_from_one_level_down_and_what_was_written_stays()
    {
        var visit = Begun();
        visit.Calibrate();
        visit.Level("1", "20", "8.9");
        var (second, third) = (visit.Level("2", "20", "98"), visit.Level("3", "20", "21"));
        Assert.Equal(2, visit.Fold(SampleVisit.Metric).Findings.Count(f => f.Code == "oxygen-as-percent"));

        visit.Write(ProfileKinds.Reread, new RereadBody([second.Id, third.Id], RereadAs.OxygenPercent));
        var sheet = visit.Fold(SampleVisit.Metric);

        Assert.DoesNotContain(sheet.Findings, f => f.Code == "oxygen-as-percent");
        var level = sheet.Profile!.Levels[1];
        Assert.Equal(("98", OxygenUnit.Percent, "98", true), (level.Oxygen, level.OxygenUnit!.Value, level.Percent, level.Reread));

        // 20 °C: 9.092 mg/L at one atmosphere; the standard atmosphere at 112 m is 1.3 % lower.
        Assert.Equal("8.8", level.MgLText);
    }

    [Fact]
    public void A_point_that_was_lost_is_read_as_a_tenth()
    {
        var visit = Begun();
        visit.Calibrate();
        visit.Level("1", "20", "8.9");
        var second = visit.Level("2", "20", "88");
        visit.Write(ProfileKinds.Reread, new RereadBody([second.Id], RereadAs.OxygenTenth));

        var levels = visit.Fold(SampleVisit.Metric).Profile!.Levels;
        Assert.Equal(("88", "8.8", "8.8"), (levels[1].Oxygen, levels[1].OxygenRead, levels[1].MgLText));
        Assert.Null(levels[0].OxygenRead);
    }

    [Fact]
    public void A_clock_set_back_during_the_visit_loses_no_level_and_leaves_the_column_in_order()
    {
        var visit = Begun();
        visit.Level("1", "20");
        visit.Level("2", "19");
        var back = visit.Level("3", "18");
        visit.Entries[visit.Entries.IndexOf(back)] = back with { At = back.At.AddHours(-1) };

        var profile = visit.Fold(SampleVisit.Metric).Profile!;

        Assert.Equal([1m, 2m, 3m], profile.Levels.Select(l => l.DepthM));
        Assert.Equal(["20", "19", "18"], profile.Levels.Select(l => l.Temperature));
    }

    [Fact]
    public void A_logged_cast_that_is_struck_takes_its_levels_with_it_and_no_others()
    {
        var visit = Begun();
        visit.Level("1", "20");
        var cast = visit.Write(
            ProfileKinds.LoggedCast,
            new LoggedCastBody(
                "arm.csv",
                new string('a', 64),
                900,
                120,
                60,
                false,
                new Dictionary<string, string> { ["depth"] = "Depth m" }
            )
        );
        visit.Write(
            ProfileKinds.Level,
            new LevelBody(
                new WrittenLength("2", LengthUnit.Metre),
                new WrittenTemperature("19", TemperatureUnit.Celsius),
                From: LevelSource.Logged,
                Cast: cast.Id,
                Rows: 4
            )
        );
        var with = visit.Fold(SampleVisit.Metric).Profile!;
        Assert.Equal(("arm.csv: 60 of 120 rows", 1), (Assert.Single(with.Casts).Text, with.Casts[0].Levels));
        Assert.Equal([1m, 2m], with.Levels.Select(l => l.DepthM));

        visit.Write(VisitKinds.Strike, new EmptyBody(), cast, "another station");

        var without = visit.Fold(SampleVisit.Metric).Profile!;
        Assert.Empty(without.Casts);
        Assert.Equal([1m], without.Levels.Select(l => l.DepthM));
    }

    [Fact]
    public void The_months_range_tells_fahrenheit_even_below_forty()
    {
        var visit = Begun();
        visit.Level("1", "39");
        Assert.DoesNotContain(visit.Fold(SampleVisit.Metric).Findings, f => f.Code == "temperature-as-fahrenheit");
        var known = SampleVisit.Metric with
        {
            Temperatures = [new MonthTemperatures(2024, 8, 3.5m, 5), new MonthTemperatures(2025, 8, 4, 6)],
        };

        var finding = Assert.Single(visit.Fold(known).Findings, f => f.Code == "temperature-as-fahrenheit");
        Assert.Equal((FindingLevel.Stop, "As °F it would be 3.9 °C."), (finding.Level, finding.Why));
    }

    [Fact]
    public void Oxygen_without_a_calibration_of_the_day_is_a_stop_until_there_is_one()
    {
        var visit = Begun();
        visit.Level("1", "20", "8.9");
        Assert.Contains("meter-uncalibrated", Codes(visit));
        Assert.DoesNotContain(
            visit
                .Fold(
                    SampleVisit.Metric with
                    {
                        Programme = SampleVisit.Metric.Programme with
                        {
                            Methods = new Dictionary<string, string> { ["profile.calibrate"] = "unasked" },
                        },
                    }
                )
                .Findings,
            f => f.Code == "meter-uncalibrated"
        );
        Assert.DoesNotContain(
            visit
                .Fold(SampleVisit.Metric with { Gear = [new("M-1", "meter", KitKind.Meter, CalibratedOn: new DateOnly(2026, 8, 12))] })
                .Findings,
            f => f.Code == "meter-uncalibrated"
        );

        visit.Calibrate();
        Assert.DoesNotContain("meter-uncalibrated", Codes(visit));
    }

    [Theory]
    [InlineData("96.9", "calibration-off", true)]
    [InlineData("97.1", "calibration-off", false)]
    public void A_calibration_that_was_far_off_says_so(string read, string code, bool raised)
    {
        var visit = Begun();
        visit.Calibrate(read);

        Assert.Equal(raised, Codes(visit).Contains(code));
    }

    [Theory]
    [InlineData("103.2", OxygenUnit.Percent, "100", true)]
    [InlineData("102.8", OxygenUnit.Percent, "100", false)]
    [InlineData("9.5", OxygenUnit.MgPerL, "9.1", true)]
    [InlineData("9.3", OxygenUnit.MgPerL, "9.1", false)]
    public void Drift_at_the_end_marks_the_profile(string read, OxygenUnit unit, string expected, bool raised)
    {
        var visit = Begun();
        visit.Calibrate();
        visit.Calibrate(read, expected, unit, atEnd: true);

        Assert.Equal(raised, Codes(visit).Contains("calibration-drift"));
    }

    [Fact]
    public void After_a_calibration_in_per_cent_the_display_is_confirmed_back()
    {
        var visit = Begun();
        visit.Calibrate(display: null);
        visit.Level("1", "20", "8.9");
        Assert.Contains("meter-unit-unconfirmed", Codes(visit));

        visit.Write(ProfileKinds.MeterCheck, new MeterCheckBody("M-1", Display: OxygenUnit.MgPerL));
        Assert.DoesNotContain("meter-unit-unconfirmed", Codes(visit));
    }

    [Fact]
    public void A_depth_sensor_that_was_not_zeroed_and_a_pressure_of_the_weather_report_are_asked()
    {
        var visit = Begun();
        visit.Write(
            ProfileKinds.MeterCheck,
            new MeterCheckBody("M-1", PressureKpa: 103.5m, AtSurface: new WrittenLength("0.2", LengthUnit.Metre))
        );
        Assert.Contains("depth-not-zeroed", Codes(visit));
        Assert.Contains("barometer-at-sea-level", Codes(visit));

        var calm = Begun();
        calm.Write(
            ProfileKinds.MeterCheck,
            new MeterCheckBody("M-1", PressureKpa: 100.1m, AtSurface: new WrittenLength("0.1", LengthUnit.Metre))
        );
        Assert.Empty(Codes(calm).Intersect(["depth-not-zeroed", "barometer-at-sea-level"]));
    }

    [Fact]
    public void A_number_taken_while_it_moved_is_marked()
    {
        var visit = Begun();
        visit.Level("1", "20", settled: false);
        visit.Level("2", "20", settled: true);

        Assert.Single(visit.Fold(SampleVisit.Metric).Findings, f => f.Code == "not-settled");
    }

    [Theory]
    [InlineData(WaterKind.Lake, "0.8", "salinity-unusual")]
    [InlineData(WaterKind.Lake, "0.2", null)]
    [InlineData(WaterKind.Sea, "0.2", "salinity-unusual")]
    [InlineData(WaterKind.Sea, "8", "salinity-in-gap")]
    [InlineData(WaterKind.Sea, "28", "salinity-in-gap")]
    [InlineData(WaterKind.Sea, "20", null)]
    [InlineData(WaterKind.Sea, "33", null)]
    public void Salinity_is_judged_by_the_water(WaterKind kind, string salinity, string? code)
    {
        var visit = Begun();
        visit.Level("1", "15", salinity: salinity);
        var found = visit
            .Fold(SampleVisit.Metric with { Water = new WaterFacts(kind, 0, "Europe/London") })
            .Findings.Where(f => f.Code.StartsWith("salinity", StringComparison.Ordinal));

        Assert.Equal(code, found.SingleOrDefault()?.Code);
    }

    [Fact]
    public void Conductivity_that_leaps_near_the_bottom_is_mud()
    {
        var visit = Begun();
        visit.Level("11", "8", "4", conductivity: "200");
        visit.Level("11.6", "8", "4", conductivity: "260");
        var sheet = visit.Fold(SampleVisit.Metric);

        Assert.Contains(sheet.Findings, f => f.Code == "probe-in-mud");
        Assert.True(sheet.Profile!.Levels[1].Marked);
        Assert.Single(sheet.Profile.Asked.Levels); // marked, and out of what is worked out
    }

    [Fact]
    public void A_level_keeps_its_depth_as_written_whatever_unit_the_reader_sees()
    {
        var visit = Begun();
        visit.Level("3", "20");
        var level = Assert.Single(visit.Fold(SampleVisit.Metric, ReaderUnit.Feet).Profile!.Levels);

        Assert.Equal(("9 ft 10 in", new WrittenLength("3", LengthUnit.Metre)), (level.DepthText, level.Depth));
    }

    [Fact]
    public void A_line_in_feet_asks_for_each_five_feet()
    {
        var visit = SampleVisit.MetricBegun(Protocol.Profile);
        visit.Write(SoundingKinds.Sounding, new SoundingBody(new WrittenLength("39", LengthUnit.Foot)));

        Assert.Equal(
            ["1", "5", "10", "15", "20", "25", "30", "35", "37.5"],
            visit.Fold(SampleVisit.Metric).Profile!.ToRead.Select(t => t.Depth.Written)
        );
    }

    private static SampleVisit Begun()
    {
        var visit = SampleVisit.MetricBegun(Protocol.Profile);
        visit.SoundMetres("12.0");
        return visit;
    }

    private static IEnumerable<string> Codes(string[] levels)
    {
        var visit = Begun();
        visit.Calibrate();
        foreach (var level in levels.Select(l => l.Split(' ')))
        {
            visit.Level(level[0], level[1], level.ElementAtOrDefault(2));
        }

        return Codes(visit);
    }

    private static IEnumerable<string> Codes(SampleVisit visit) => visit.Fold(SampleVisit.Metric).Findings.Select(f => f.Code);
}
