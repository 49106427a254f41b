using System.Text.Json;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Application.Outings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Arrival;
using UpperStill.Core.Protocols.Bottles;
using UpperStill.Core.Protocols.Composite;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Protocols.Filtering;
using UpperStill.Core.Protocols.NetTow;
using UpperStill.Core.Protocols.Paper;
using UpperStill.Core.Protocols.Profile;
using UpperStill.Core.Protocols.Results;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Science.Oxygen;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Samples;
using UpperStill.Core.Tests.Application.Visits;
using UpperStill.Core.Tests.Protocols.Custody;

namespace UpperStill.Core.Tests.Application.Options;

/// <summary>Visits on which much is out of the ordinary: there the numbers that a programme may change show.</summary>
internal static class ThresholdExamples
{
    private static readonly ProtocolPlan Clarity = new(Protocol.Clarity, Rhythm.Days, new(5, 1), new(10, 15));
    private static readonly ProtocolPlan Profile = new(Protocol.Profile, Rhythm.Monthly, new(5, 1), new(10, 15));
    private static readonly ProtocolPlan Chlorophyll = new(Protocol.Chlorophyll, Rhythm.Monthly, new(5, 1), new(10, 15));

    /// <summary>By name.</summary>
    internal static IReadOnlyDictionary<string, Func<Programme, Seen>> All { get; } =
        new Dictionary<string, Func<Programme, Seen>>
        {
            ["odd arrival"] = OddArrival(),
            ["odd profile"] = OddProfile(),
            ["odd composite"] = OddComposite(),
            ["odd bench"] = OddBench(),
            ["sonde"] = Sonde,
            ["forecast"] = Forecast,
            ["fixed depth"] = By(OptionExamples.All["bottles"], BottlesOptions.DeepRule, "fixed"),
            ["mark of a tow"] = By(OptionExamples.All["tow"], NetTowOptions.From, "mark"),
            ["count"] = OptionExamples.Counted(),
        };

    /// <summary>A sample of a type, filled from the surface.</summary>
    internal static Func<Programme, Seen> Held(string type)
    {
        var letter = SampleTypes.Find(type)!.Letter;
        var visit = SampleVisit.MetricBegun(Protocol.Phosphorus);
        visit.SoundMetres("12.0");
        visit.Write(FillKinds.Fill, new FillBody(SampleNumber.Checked($"HAR-2-260812-{letter}1"), type, FilledFrom.Lake, FilledTo.AsAsked));
        return OptionExamples.Show(
            visit,
            SampleVisit.Metric,
            new ProtocolPlan(Protocol.Phosphorus, Rhythm.Monthly, new(5, 1), new(10, 15))
            {
                Bottles = [new BottlePlan(type, SampleFrom.Surface)],
            }
        );
    }

    private static Func<Programme, Seen> By(Func<Programme, Seen> show, Method method, string choice) =>
        programme => show(programme with { Methods = new Dictionary<string, string> { [method.Setting] = choice } });

    private static Func<Programme, Seen> OddArrival()
    {
        var visit = SampleVisit.MetricBegun(Protocol.Clarity);
        visit.Conditions(new ConditionsBody(2, Rain24Mm: 30) { Water = Celsius("41"), WaterSecond = Celsius("43") });
        visit.SoundMetres("12.0");
        visit.LostMetres("4.5");
        visit.Write(SecchiKinds.DiscConditions, new DiscConditionsBody(LineAngleDeg: 25));
        visit.Write(PaperKinds.WorkedByHand, new WorkedByHandBody(HandSum.Clarity, new WrittenLength("5.0", LengthUnit.Metre)));

        // Written down two hours after it was read: the id tells.
        var late = visit.Entries[^1];
        visit.Entries[^1] = late with { Id = Guid.CreateVersion7(late.At.AddHours(2)) };
        return OptionExamples.Show(visit, SampleVisit.Metric, Clarity);
    }

    private static Func<Programme, Seen> OddProfile()
    {
        var visit = SampleVisit.MetricBegun(Protocol.Profile);
        visit.SoundMetres("12.0");
        visit.Write(
            ProfileKinds.MeterCheck,
            new MeterCheckBody(
                "M-1",
                false,
                new WrittenOxygen("100", OxygenUnit.Percent),
                new WrittenOxygen("94", OxygenUnit.Percent),
                PressureKpa: 106,
                Display: OxygenUnit.MgPerL
            )
        );
        foreach (
            var (depth, celsius, oxygen) in new[]
            {
                ("0.5", "19.0", "15"),
                ("1", "20", "9.0"),
                ("2", "20.6", "4.0"),
                ("4", "19.8", "8.0"),
                ("6", "16", "16"),
                ("8", "10", "7.0"),
                ("10", "9", "21"),
            }
        )
        {
            visit.Level(depth, celsius, oxygen);
        }

        visit.Write(
            ProfileKinds.MeterCheck,
            new MeterCheckBody(
                "M-1",
                true,
                new WrittenOxygen("9.0", OxygenUnit.MgPerL),
                new WrittenOxygen("8.0", OxygenUnit.MgPerL),
                Display: OxygenUnit.MgPerL
            )
        );
        return OptionExamples.Show(visit, SampleVisit.Metric, Profile);
    }

    private static Func<Programme, Seen> OddComposite()
    {
        var visit = SampleVisit.MetricBegun(Protocol.Chlorophyll);
        visit.SoundMetres("12.0");
        visit.LostMetres("4.5");
        visit.Write(CompositeKinds.CompositeTry, new CompositeTryBody(new WrittenLength("8.5", LengthUnit.Metre), 75, 40));
        return OptionExamples.Show(visit, SampleVisit.Metric, Chlorophyll);
    }

    private static Func<Programme, Seen> OddBench()
    {
        var bench = BenchVisit.Filled();
        bench.Visit.Later(TimeSpan.FromHours(20));
        bench.Visit.Write(FilterKinds.Filter, new FilterBody(BenchVisit.F1) { LightMin = "5" });
        bench.Filtered(BenchVisit.F1, BenchVisit.C1, "50");
        bench.Filtered(BenchVisit.F1R, BenchVisit.C1R, "75");
        bench.Visit.Write(CustodyKinds.Stored, new StoredBody([BenchVisit.C1], StorePlace.Cooler, "Box 1", TemperatureC: "8"));
        foreach (var (number, value) in new[] { (BenchVisit.F1, "4.0"), (BenchVisit.F1R, "6.0") })
        {
            bench.Visit.Write(ResultKinds.Result, new ResultBody(number, "chlorophyll-a", value, "µg/L"));
        }

        return OptionExamples.Show(bench.Visit, SampleVisit.Metric, Chlorophyll);
    }

    // One sonde whose temperature still moves, one whose oxygen does.
    private static Seen Sonde(Programme programme) =>
        new(
            string.Empty,
            string.Join(
                '\n',
                new[] { (0.15m, 0m), (0m, 0.15m) }.Select(moves =>
                {
                    SettlingReading[] readings =
                    [
                        .. Enumerable
                            .Range(0, 20)
                            .Select(s => new SettlingReading(
                                s,
                                3.0m,
                                Celsius(Text(18 + (s % 2 * moves.Item1))),
                                new WrittenOxygen(Text(8.6m + (s % 2 * moves.Item2)), OxygenUnit.MgPerL)
                            )),
                    ];
                    return JsonSerializer.Serialize(
                        Settling.Work(new SettlingRequest(readings, Limits: programme.Thresholds)),
                        CoreJson.Default.SettlingResult
                    );
                })
            )
        );

    private static Seen Forecast(Programme programme)
    {
        Forecast odd = new(
            [
                .. Enumerable
                    .Range(0, 24)
                    .Select(h => new ForecastHour(
                        new DateTimeOffset(2026, 8, 12, h, 0, 0, TimeSpan.FromHours(1)),
                        3,
                        5,
                        240,
                        0,
                        30,
                        18,
                        0.5,
                        2
                    )),
            ],
            30,
            0,
            12
        );
        var go = GoNoGo.Judge(odd, programme.Hours, programme, false, null);
        return new(string.Empty, $"{go.Advice} {string.Join('\n', go.Findings.Select(f => f.Seen))}");
    }

    private static string Text(decimal number) => number.ToString(System.Globalization.CultureInfo.InvariantCulture);

    private static WrittenTemperature Celsius(string written) => new(written, TemperatureUnit.Celsius);
}
