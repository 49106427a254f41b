using UpperStill.Core.Science.Stratification;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Profile;

/// <summary>What a programme may choose here: methods and thresholds, each with the reason of the usual one.</summary>
public static class ProfileOptions
{
    /// <summary>Units.</summary>
    public static readonly Method Units = Method.Of(
        MethodGroup.Visit,
        "programme.units",
        "Units",
        "Read, do not convert.",
        ["as-marked: as the line or meter is marked", "feet: feet and inches", "metres: metres"]
    );

    /// <summary>Levels.</summary>
    public static readonly Method Levels = Method.Of(
        MethodGroup.Profile,
        "profile.levels",
        "Levels",
        "Enough for the thermocline, finer where it breaks.",
        [
            "1-m: 1 m (5 ft on a line in feet), finer where it breaks",
            "0.5-m: 0.5 m",
            "1-ft: each foot",
            "2-ft: 1 or 2 ft by how fast it changes",
            "5-ft: 1 ft, then each 5 ft",
        ]
    );

    /// <summary>Depth from.</summary>
    public static readonly Method DepthFrom = Method.Of(
        MethodGroup.Profile,
        "profile.depth-from",
        "Depth from",
        "Zero drifts, counts slip.",
        ["sensor: the meter’s sensor, marks as check", "marks: cable marks counted"],
        guideOnly: true
    );

    /// <summary>Calibration.</summary>
    public static readonly Method Calibrate = Method.Of(
        MethodGroup.Profile,
        "profile.calibrate",
        "Calibration",
        "Pressure and warmth shift it.",
        [
            "day: on the day, near the station’s altitude",
            "morning: that morning, all probes",
            "boat: 10–20 min in the chamber on the boat",
            "unasked: not asked",
        ]
    );

    /// <summary>Unit of oxygen.</summary>
    public static readonly Method OxygenUnitShown = Method.Of(
        MethodGroup.Profile,
        "profile.oxygen-unit",
        "Unit of oxygen",
        "Neither is lost.",
        ["both: mg/L with % beside it, the one read marked", "percent: % with mg/L beside it", "as-shown: whatever shows, by itself"]
    );

    /// <summary>Thermocline.</summary>
    public static readonly Method Thermocline = Method.Of(
        MethodGroup.Profile,
        "profile.thermocline",
        "Thermocline",
        "Density is defined in cool and salt water.",
        ["both: both shown, density leads", "density: steepest density gradient", "degree: 1 °C per metre", "eye: by eye"],
        breaks: true
    );

    /// <summary>What shows the layers of the water in a programme. Where people see them by eye, density still places its bottles.
    /// </summary>
    internal static LayersBy Layers(Programme programme) =>
        programme.ChoiceOf(Thermocline) switch
        {
            "density" => LayersBy.Density,
            "degree" => LayersBy.Degree,
            _ => LayersBy.Both,
        };

    /// <summary>True where the layers are left to the eye: no figure of them is shown or kept.</summary>
    internal static bool ByEye(Programme programme) => programme.Chooses(Thermocline, "eye");

    /// <summary>Settled: oxygen moves less in 15 s than, mg/L.</summary>
    public static readonly Threshold SettledOxygen = new(
        "checks.settled-oxygen",
        MethodGroup.Profile,
        "Settled: oxygen moves less in 15 s than",
        "mg/L",
        0.1m,
        0.01m,
        1
    );

    /// <summary>Settled: temperature moves less in 15 s than, °C.</summary>
    public static readonly Threshold SettledTemperature = new(
        "checks.settled-temperature",
        MethodGroup.Profile,
        "Settled: temperature moves less in 15 s than",
        "°C",
        0.1m,
        0.01m,
        1
    );

    /// <summary>Calibration is off by more than, %.</summary>
    public static readonly Threshold CalibrationOff = new(
        "checks.calibration-off",
        MethodGroup.Profile,
        "Calibration is off by more than",
        "%",
        3,
        0.5m,
        20
    );

    /// <summary>Drift at the end, more than, mg/L.</summary>
    public static readonly Threshold CalibrationDrift = new(
        "checks.calibration-drift",
        MethodGroup.Profile,
        "Drift at the end, more than",
        "mg/L",
        0.3m,
        0.05m,
        2
    );

    /// <summary>Barometer above the altitude’s standard by more than, kPa.</summary>
    public static readonly Threshold Barometer = new(
        "checks.barometer",
        MethodGroup.Profile,
        "Barometer above the altitude’s standard by more than",
        "kPa",
        3,
        0.5m,
        10
    );

    /// <summary>Oxygen in mg/L looks like per cent above, mg/L.</summary>
    public static readonly Threshold OxygenMgl = new(
        "checks.oxygen-mgl",
        MethodGroup.Profile,
        "Oxygen in mg/L looks like per cent above",
        "mg/L",
        20,
        12,
        30
    );

    /// <summary>Oxygen saturation hardly possible above, %.</summary>
    public static readonly Threshold OxygenPercent = new(
        "checks.oxygen-percent",
        MethodGroup.Profile,
        "Oxygen saturation hardly possible above",
        "%",
        200,
        120,
        400
    );

    /// <summary>Neighbouring levels differ in oxygen by more than, %.</summary>
    public static readonly Threshold OxygenJump = new(
        "checks.oxygen-jump",
        MethodGroup.Profile,
        "Neighbouring levels differ in oxygen by more than",
        "%",
        40,
        10,
        100
    );

    /// <summary>A level between where temperature differs by more than, °C.</summary>
    public static readonly Threshold AddLevelTemperature = new(
        "checks.add-level-temperature",
        MethodGroup.Profile,
        "A level between where temperature differs by more than",
        "°C",
        1,
        0.2m,
        5
    );

    /// <summary>A level between where oxygen differs by more than, mg/L.</summary>
    public static readonly Threshold AddLevelOxygen = new(
        "checks.add-level-oxygen",
        MethodGroup.Profile,
        "A level between where oxygen differs by more than",
        "mg/L",
        1,
        0.2m,
        5
    );

    /// <summary>Density falls with depth by more than, kg/m³.</summary>
    public static readonly Threshold DensityFalls = new(
        "checks.density-falls",
        MethodGroup.Profile,
        "Density falls with depth by more than",
        "kg/m³",
        0.05m,
        0.01m,
        1
    );

    /// <summary>The methods, in the order of the work.</summary>
    public static IReadOnlyList<Method> Methods { get; } = [Units, Levels, DepthFrom, Calibrate, OxygenUnitShown, Thermocline];

    /// <summary>The thresholds.</summary>
    public static IReadOnlyList<Threshold> Thresholds { get; } =
    [
        SettledOxygen,
        SettledTemperature,
        CalibrationOff,
        CalibrationDrift,
        Barometer,
        OxygenMgl,
        OxygenPercent,
        OxygenJump,
        AddLevelTemperature,
        AddLevelOxygen,
        DensityFalls,
    ];
}
