using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Protocols.Filtering;
using UpperStill.Core.Protocols.Results;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Science.Chlorophyll;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Laboratories;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Samples;
using UpperStill.StandIns.Lakes;

namespace UpperStill.StandIns.Demo;

/// <summary>Writes the lives of the samples of one visit of the demo: bottles, filters, freezer, turn-in, results; a torn filter and a
/// rejected vial among them.</summary>
/// <param name="Scenario">The scenario.</param>
/// <param name="Station">The station.</param>
/// <param name="Visit">The visit.</param>
/// <param name="At">When the water was collected.</param>
/// <param name="ClarityM">The water's clarity, m.</param>
internal sealed record DemoSamples(DemoScenario Scenario, DemoStation Station, Guid Visit, DateTimeOffset At, double ClarityM)
{
    private const string Vials = "Box 1";
    private readonly Chance chance = new(Scenario.Seed ^ ((ulong)At.Ticks * 31));
    private readonly List<Entry> entries = [];

    private DateOnly Day => DateOnly.FromDateTime(At.DateTime);

    // Where both indices of Carlson 1977 agree, with some scatter.
    private double Chlorophyll => Math.Exp((29.4 - (14.41 * Math.Log(ClarityM))) / 9.81);

    /// <summary>The entries; those that lie after the demo's day are not written yet.</summary>
    internal IEnumerable<Entry> Write(Programme programme)
    {
        var planned = PlannedSamples.Of(Station.Station, programme, [Protocol.Chlorophyll], Day, VisitParts.Bottles);
        var water = planned.Where(p => p.Type.FilledAt == FilledAt.Water).ToList();
        foreach (var (bottle, i) in water.Select((b, i) => (b, i)))
        {
            Make(
                FillKinds.Fill,
                new FillBody(
                    bottle.Number,
                    bottle.Type.Code,
                    FilledFrom.Composite,
                    FilledTo.AsAsked,
                    Rinses: bottle.Type.Rinse.Times,
                    Drops: bottle.Type.Added?.Drops
                ),
                At.AddMinutes(2 * i)
            );
        }

        var filters = planned.Where(p => p.Type.FilledAt == FilledAt.Bench).ToList();
        if (filters.Count > 0)
        {
            Frozen(water, filters);
        }
        else
        {
            Fresh(water);
        }

        return entries.Where(e => e.At < Scenario.Now);
    }

    private void Frozen(List<PlannedSample> water, List<PlannedSample> filters)
    {
        var bench = At.AddHours(2.5);
        string[] numbers = [.. filters.Select(f => f.Number)];
        List<decimal> volumes = [];
        foreach (var (filter, bottle) in filters.Zip(water))
        {
            bench = bench.AddMinutes(3);
            Make(
                FilterKinds.Filter,
                new FilterBody(filter.Number, bottle.Number, FilterBy.Syringe, WhiteDisc: true, Rinsed: true, Lot: "F-26"),
                bench
            );
            var whole = ClarityM > 3.5 ? 2 : 1;
            for (var fill = 0; fill < whole; fill++)
            {
                Make(
                    FilterKinds.FilterFill,
                    new FilterFillBody(filter.Number, "50", "0", Seconds: chance.Whole(37, 46)),
                    bench = bench.AddMinutes(1)
                );
            }

            var left = chance.Whole(6, 20);
            var clogged = whole == 1 && chance.Even() < 0.3;
            if (clogged)
            {
                Make(
                    FilterKinds.FilterFill,
                    new FilterFillBody(filter.Number, "50", Decimals.Text(left), Seconds: 70, Clogged: true),
                    bench = bench.AddMinutes(2)
                );
            }

            volumes.Add((50 * whole) + (clogged ? 50 - left : 0));
            Make(
                FilterKinds.Filter,
                new FilterBody(filter.Number, Torn: chance.Even() < 0.02 ? true : null) { Folded = true, Tinted = true },
                bench = bench.AddMinutes(1)
            );
        }

        Make(CustodyKinds.Labelled, new LabelledBody(numbers), bench.AddMinutes(2));
        Make(
            CustodyKinds.Stored,
            new StoredBody(
                numbers,
                StorePlace.Freezer,
                $"{Vials}, {Day.ToString("MMM", System.Globalization.CultureInfo.InvariantCulture)}",
                "-19",
                Foil: true
            ),
            bench.AddMinutes(5)
        );

        // This July's vials missed the turn-in: they wait for the next.
        if (TurnIn() is { } date && !(Day.Year == Scenario.Now.Year && Day.Month == 7))
        {
            ToTheLab(
                numbers,
                new DateTimeOffset(date.ToDateTime(new TimeOnly(10, 20)), At.Offset),
                TravelOn.FrozenPacks,
                volumes,
                Day.Year == Scenario.Now.Year && Day.Month == 6
            );
        }
    }

    private void Fresh(List<PlannedSample> water)
    {
        string[] numbers = [.. water.Select(w => w.Number)];
        Make(CustodyKinds.Stored, new StoredBody(numbers, StorePlace.Cooler, TemperatureC: "3"), At.AddMinutes(20));
        ToTheLab(numbers, At.AddHours(2), TravelOn.Ice, [], Day > DateOnly.FromDateTime(Scenario.Now.DateTime).AddDays(-20));
    }

    // The last day of July, or early October.
    private DateOnly? TurnIn() =>
        Scenario.Laboratory.TurnIns?.Select(t => (DateOnly?)new DateOnly(Day.Year, t.Month, t.Day)).FirstOrDefault(t => t > Day);

    private void ToTheLab(string[] numbers, DateTimeOffset at, TravelOn on, List<decimal> volumes, bool stillThere)
    {
        var lab = Scenario.Laboratory.Name;
        var analyst = Scenario.People.First(p => p.SignInName == "laboratory").Name;
        var manifest = new Chance(Scenario.Seed ^ (ulong)at.Date.Ticks).Uuid(at);
        Make(CustodyKinds.HandedOver, new HandedOverBody(manifest, numbers, lab, TravelBy.Hand, on, Station.Observers[0]), at);
        Make(
            CustodyKinds.Received,
            new ReceivedBody(numbers, ArrivedAs.Good, analyst, manifest, on == TravelOn.Ice ? "4" : null),
            at.AddHours(1),
            analyst
        );
        if (stillThere)
        {
            return;
        }

        var reported = at.AddDays(9);
        var rejected = numbers.Length > 1 && Day is { Year: 2024, Month: 7 } ? numbers[^1] : null;
        if (rejected is not null)
        {
            Make(CustodyKinds.SampleRejected, new SamplesBody([rejected]), at.AddHours(1.2), analyst, "not wholly in foil");
        }

        foreach (var (number, i) in numbers.Select((n, i) => (n, i)).Where(n => n.n != rejected))
        {
            var value = Chlorophyll * (1 + (0.07 * chance.Bell()));
            if (volumes.Count > 0 && Day.Year == Scenario.Now.Year)
            {
                Make(
                    ResultKinds.Measured,
                    new MeasuredBody(number, Readings(value, (double)volumes[i]), DateOnly.FromDateTime(reported.DateTime)),
                    reported.AddMinutes(i),
                    analyst
                );
            }
            else
            {
                var below = value < 0.5;
                Make(
                    ResultKinds.Result,
                    new ResultBody(
                        number,
                        "chlorophyll-a",
                        Two(below ? 0.5 : value),
                        "µg/L",
                        below ? Qualifier.Below : null,
                        "0.5",
                        "monochromatic",
                        DateOnly.FromDateTime(reported.DateTime)
                    ),
                    reported.AddMinutes(i),
                    analyst
                );
            }
        }

        if (volumes.Count > 0 && Day.Year == Scenario.Now.Year)
        {
            Make(ResultKinds.Reported, new SamplesBody([.. numbers.Where(n => n != rejected)]), reported.AddHours(1), analyst);
        }
    }

    // Absorbances that the equations of Lorenzen 1967 turn back into the value, with 15 per cent pheophytin beside it.
    private static ExtractReadings Readings(double chlorophyll, double volumeMl)
    {
        var x = chlorophyll * volumeMl / 1000 / (26.7 * 10) * 5;
        var y = 0.15 * x;
        var after = (x + y) / 0.7;
        return new ExtractReadings(
            ChlorophyllMethod.Monochromatic,
            "10",
            "5",
            Four(after + x + 0.004),
            "0.0040",
            Four(after + 0.003),
            "0.0030"
        );
    }

    private static string Two(double value) => value.ToString("0.00", System.Globalization.CultureInfo.InvariantCulture);

    private static string Four(double value) => value.ToString("0.0000", System.Globalization.CultureInfo.InvariantCulture);

    private void Make<T>(EntryKind<T> kind, T body, DateTimeOffset at, string? by = null, string? why = null)
        where T : class =>
        entries.Add(
            (by is null ? new DemoEntry(Station.Observers[0]) : new DemoEntry(by, "laboratory")).Of(chance, Visit, kind, body, at, why: why)
        );
}
