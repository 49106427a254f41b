using UpperStill.Core.Application.Trends;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Protocols.Bottles;
using UpperStill.Core.Protocols.Composite;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Chlorophyll;
using UpperStill.Core.Science.Density;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Science.Hydraulics;
using UpperStill.Core.Science.Oxygen;
using UpperStill.Core.Science.Sky;
using UpperStill.Core.Science.Statistics;
using UpperStill.Core.Science.Stratification;
using UpperStill.Core.Science.Trophic;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Tests.Basis.Workings;

/// <summary>Whoever works a printed step out again, from the figures that stand there, comes to what stands behind it.</summary>
public class PrintedStepsTests
{
    private const int Times = 400;

    private static readonly Dictionary<string, (Func<Random, IEnumerable<Working?>> Work, int LeastEach)> Rules = new()
    {
        ["load"] = (r => [Load.Work(new LoadRequest(Some(r, 5, 5), Text(r, 40, 3), Pick(r, "m³/s", "L/s", "ft³/s"))).Working], 1),
        ["chlorophyll"] = (r => [ChlorophyllRule.Work(new ChlorophyllRequest(Extract(r), r.Next(1, 40) * 50)).Working], 5),
        ["volume"] = (
            r =>
                [
                    FilterVolume
                        .Work(
                            new FilterVolumeRequest(
                                1 + Some(r, 14, 2),
                                new DateOnly(2026, 8, 1),
                                [],
                                new ChlorophyllLab(0.01m + Some(r, 1, 3), r.Next(5, 15))
                            )
                        )
                        .Working,
                ],
            2
        ),
        ["net"] = (
            r => [NetVolume.Work(new NetVolumeRequest(10 + Some(r, 60, 1), 1 + Some(r, 40, 1), r.Next(20, 101), r.Next(0, 60))).Working],
            2
        ),
        ["oxygen"] = (
            r =>
                [
                    OxygenRule
                        .Work(
                            new OxygenRequest(
                                1 + Some(r, 15, 2),
                                Pick(r, Enum.GetValues<OxygenUnit>()),
                                Some(r, 30, 1),
                                AltitudeM: r.Next(0, 2000),
                                PressureKpa: r.Next(2) == 0 ? null : 95 + Some(r, 10, 1),
                                FromWeatherReport: r.Next(2) == 0,
                                ConductanceUsCm: r.Next(2) == 0 ? null : r.Next(10, 50_000)
                            )
                        )
                        .Working,
                ],
            3
        ),
        ["salinity"] = (
            r =>
                [
                    SalinityRule
                        .Work(new SalinityRequest(1 + Some(r, 60, 3), Pick(r, Enum.GetValues<ConductivityAs>()), Some(r, 30, 1)))
                        .Working,
                ],
            1
        ),
        ["trophic"] = (
            r =>
                [
                    .. TrophicState
                        .Work(new TrophicRequest(0.1m + Some(r, 15, 2), 0.1m + Some(r, 80, 2), 1 + Some(r, 200, 1)))
                        .Indices.Select(i => i.Working),
                ],
            3
        ),
        ["clarity"] = (r => [ClarityRule.Work(Marks(r)).Working], 1),
        ["composite"] = (r => [CompositeRule.Work(Composite(r)).Working], 1),
        ["bottle"] = (
            r =>
                [
                    BottleDepthRule
                        .Work(
                            new BottleDepthRequest(
                                new("deep"),
                                Sounding: new WrittenLength(Text(r, 30, 1, 12), LengthUnit.Metre),
                                ClearanceM: r.Next(1, 4),
                                DeepSchool: Pick(r, "marks", "whole-metre", "fixed")
                            )
                        )
                        .Working,
                ],
            1
        ),
        ["resection"] = (r => [Resection.Work(Bearings(r)).Working], 3),
        ["profile"] = (r => [.. ProfileRule.Work(Column(r)).Figures.Select(f => f.Working)], 1),
        ["oxygen-seasons"] = (
            r =>
                [
                    .. OxygenSeasons
                        .Work(
                            new OxygenSeasonsRequest([
                                .. Enumerable
                                    .Range(0, 5)
                                    .Select(i => new OxygenVisit(
                                        new DateOnly(2026, 5, 1).AddDays((i * 20) + r.Next(9)),
                                        r.NextDouble() * 12,
                                        r.NextDouble(),
                                        2 + (r.NextDouble() * 8),
                                        1 + (r.NextDouble() * 9),
                                        r.NextDouble() * 5
                                    )),
                            ])
                        )
                        .Seasons.Select(s => s.Working),
                ],
            2
        ),
        ["tide"] = (
            r =>
                [
                    TideRule
                        .Work(
                            new TideRequest(
                                2.9,
                                [
                                    .. Enum.GetValues<TidalConstituent>()
                                        .Select(c => new TideHarmonic(c, Math.Round(r.NextDouble() * 2, 2), r.Next(360))),
                                ],
                                new DateTimeOffset(2026, 5, 1, 0, 0, 0, TimeSpan.Zero).AddHours(r.Next(9000)),
                                13
                            )
                        )
                        .Working,
                ],
            6
        ),
        ["trend"] = (r => [TrendRule.Work(Series(r)).Working], 4),
        ["line"] = (
            r =>
                [
                    KitCheckRule
                        .Judge(
                            new KitItem(
                                "R-1",
                                "rope",
                                KitKind.Line,
                                Marks: new LineMarks(
                                    LengthUnit.Metre,
                                    new WrittenLength("1", LengthUnit.Metre),
                                    new WrittenLength("40", LengthUnit.Metre)
                                )
                            ),
                            Taped(r),
                            new DateOnly(2026, 6, 1)
                        )
                        .Working,
                ],
            2
        ),
    };

    public static TheoryData<string> Names => [.. Rules.Keys];

    [Theory]
    [MemberData(nameof(Names))]
    public void A_printed_step_comes_to_what_stands_behind_it(string name)
    {
        var (work, least) = Rules[name];
        List<string> wrong = [];
        var counted = 0;
        for (var i = 0; i < Times; i++)
        {
            foreach (var working in work(new Random(i)).OfType<Working>())
            {
                foreach (var (step, workedOut, said, half) in PrintedSteps.Of(working.Steps))
                {
                    counted++;

                    // A hair for what double arithmetic does to a five at the end.
                    if (Math.Abs(workedOut - said) > (half * 1.000001) + 1e-9)
                    {
                        wrong.Add($"{step}: {workedOut}");
                    }

                    Assert.DoesNotMatch(@"(^|[ (])[-−]0(\.0+)?($|[ ,;)])", step);
                }
            }
        }

        Assert.True(wrong.Count == 0, $"{wrong.Count} of {counted}\n{string.Join("\n", wrong.Take(12))}");
        Assert.True(counted >= least * Times / 2, $"only {counted} equations were found");
    }

    [Theory]
    [InlineData("Reading 1: (12 ft 9 in + 12 ft 3 in) / 2 = 12 ft 6 in = 3.81 m", 3.81, 3.81, true)]
    [InlineData("60 − 14.41 × ln 4.7 = 37.7", 37.699, 37.7, true)]
    [InlineData("2.5 × 3.4 m = 8.6 m", 8.5, 8.6, false)]
    public void The_calculator_itself(string step, double workedOut, double said, bool right)
    {
        var (_, worked, written, half) = PrintedSteps.Of([step]).First();

        Assert.Equal(workedOut, worked, 0.01);
        Assert.Equal(said, written, 0.0001);
        Assert.Equal(right, Math.Abs(worked - written) <= half * 1.000001);
    }

    private static decimal Some(Random r, int most, int decimals) => decimal.Round((decimal)r.NextDouble() * most, decimals);

    private static string Text(Random r, int most, int decimals, int least = 0) => Decimals.Text(least + Some(r, most, decimals));

    private static T Pick<T>(Random r, params T[] of) => of[r.Next(of.Length)];

    private static ExtractReadings Extract(Random r)
    {
        string Absorbance(double least, double most) =>
            Decimals.Text(decimal.Round((decimal)(least + (r.NextDouble() * (most - least))), 3));
        return new ExtractReadings(
            Pick(r, Enum.GetValues<ChlorophyllMethod>()),
            Text(r, 10, 1, 5),
            Pick(r, "1", "4", "5"),
            Absorbance(0.2, 0.9),
            Absorbance(0, 0.01),
            Absorbance(0.1, 0.3),
            Absorbance(0, 0.01),
            Absorbance(0.05, 0.2),
            Absorbance(0.02, 0.1),
            Text(r, 90, 1, 20)
        )
        {
            FluorescenceAfter = Text(r, 30, 1, 5),
            Calibration = new FluorometerCalibration("A", 1, new DateOnly(2026, 1, 1), 0.1m + Some(r, 3, 3), 1.5m + Some(r, 1, 2)),
            Dilution = r.Next(3) == 0 ? "3" : null,
            At665Before = Absorbance(0.2, 0.9),
        };
    }

    private static ClarityRequest Marks(Random r)
    {
        var unit = Pick(r, LengthUnit.Metre, LengthUnit.FootInch, LengthUnit.Foot);
        WrittenLength Mark() => new(unit == LengthUnit.FootInch ? $"{r.Next(5, 20)} {r.Next(12)}" : Text(r, 9, 1, 3), unit);
        return new ClarityRequest(
            new ClaritySettings(EndPoint.Mean, r.Next(1, 4), ObserverMethod.Same, Pick(r, Enum.GetValues<RoundingMethod>())),
            [
                .. Enumerable
                    .Range(1, 3)
                    .SelectMany(l =>
                        new[] { new DiscMark(l, DiscEvent.Disappeared, Mark()), new DiscMark(l, DiscEvent.Reappeared, Mark()) }
                    ),
            ]
        );
    }

    private static CompositeRequest Composite(Random r)
    {
        var feet = r.Next(2) == 0;
        var unit = feet ? LengthUnit.FootInch : LengthUnit.Metre;
        return new CompositeRequest(
            new CompositeSettings(
                CompositeDepthRule.Factor,
                Pick(r, 2m, 2.5m, 2.7m, 3m),
                new WrittenLength(feet ? "3" : "1", unit),
                CompositeMethod.WeightedBottle
            ),
            0.5m + Some(r, 6, 2),
            Sounding: new WrittenLength(feet ? $"{r.Next(10, 60)} {r.Next(12)}" : Text(r, 30, 1, 4), unit),
            Line: new Line(
                "R-1",
                "rope",
                unit,
                new WrittenLength(feet ? "3" : "0.1", feet ? LengthUnit.Inch : unit),
                new WrittenLength(feet ? "110" : "40", unit),
                []
            )
        );
    }

    private static ResectionRequest Bearings(Random r)
    {
        // Three marks around the middle of a lake, and the bearings that a compass with so much declination shows of them.
        var declination = (r.NextDouble() * 50) - 25;
        Bearing At(double north, double east) =>
            new(
                new Landmark("mark", 54.5 + north, -3 + east),
                Math.Round((((Math.Atan2(east * 0.58, north) * 180 / Math.PI) - declination + 720) % 360) + (r.NextDouble() - 0.5), 1) % 360
            );
        return new ResectionRequest([At(0.01, 0.0005), At(-0.004, 0.012), At(-0.004, -0.013)], Math.Round(declination, 1));
    }

    private static ProfileRequest Column(Random r)
    {
        var levels = Enumerable
            .Range(0, 14)
            .Select(z => new ProfileLevel(
                z,
                decimal.Round((decimal)(6 + (14 / (1 + Math.Exp((z - 5 - (r.NextDouble() * 2)) * 1.4)))), 1),
                decimal.Round((decimal)(z > 9 ? 0.1 + (r.NextDouble() * 0.7) : 8 + r.NextDouble()), 1)
            ))
            .ToList();
        return new ProfileRequest(levels, [new AreaAtDepth(0, 4_000_000), new AreaAtDepth(7, 1_700_000), new AreaAtDepth(14, 0)]);
    }

    private static TrendRequest Series(Random r) =>
        new(
            Parameter.Value,
            [
                .. Enumerable
                    .Range(0, 14 * 5)
                    .Select(i => new SeriesPoint(
                        Guid.CreateVersion7(),
                        new DateOnly(2010 + (i / 5), 5 + (i % 5), 10),
                        decimal.Round((decimal)(4 + (r.NextDouble() * 2) + (i / 60.0)), 1)
                    )),
            ],
            new SummarySettings(5, 9, 3),
            Test: Pick(r, TrendTest.Annual, TrendTest.Seasonal)
        );

    private static KitCheck Taped(Random r) =>
        new(
            Guid.CreateVersion7(),
            KitCheckKind.Taped,
            new DateOnly(2026, 4, 1),
            "Asa",
            Marks:
            [
                .. Enumerable
                    .Range(1, 3)
                    .Select(i => new TapedMark(
                        new WrittenLength($"{i * 5}", LengthUnit.Metre),
                        new WrittenLength(Decimals.Text((i * 5) + decimal.Round((decimal)r.NextDouble() / 4, 2)), LengthUnit.Metre)
                    )),
            ]
        );
}
