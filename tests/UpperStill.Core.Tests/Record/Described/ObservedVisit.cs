using UpperStill.Core.Application.Visits;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Tests.Application.Visits;

namespace UpperStill.Core.Tests.Record.Described;

/// <summary>A visit on which a described protocol is written down, value by value.</summary>
internal sealed class ObservedVisit(string protocol)
{
    internal SampleVisit Visit { get; } = SampleVisit.MetricBegun(new Protocol(protocol));

    /// <summary>A visit on which more than it is due.</summary>
    internal ObservedVisit(string protocol, params string[] others)
        : this(protocol) => Visit = SampleVisit.MetricBegun([new Protocol(protocol), .. others.Select(o => new Protocol(o))]);

    /// <summary>A lake of 12 m; the protocol is planned each month, a net and alcohol are in the kit.</summary>
    internal VisitContext Context { get; set; } =
        SampleVisit.Metric with
        {
            Programme = SampleVisit.Metric.Programme with
            {
                Season =
                [
                    .. SampleVisit.Metric.Programme.Season!,
                    new ProtocolPlan(new Protocol(protocol), Rhythm.Monthly, new(5, 1), new(10, 15)),
                ],
            },
            Gear =
            [
                .. SampleVisit.Metric.Gear!,
                new Gear("N-1", "net", KitKind.Net) { Figures = [new("mouth-radius-cm", 12.5m)] },
                new Gear("E-1", "alcohol", KitKind.Reagent) { Figures = [new("strength-percent", 95)] },
                new Gear("G-1", "grab", KitKind.Grab) { Figures = [new("area-cm2", 225)] },
                new Gear("Q-1", "quadrat", KitKind.Quadrat) { Figures = [new("side-cm", 25)] },
                new Gear("J-15", "jars", KitKind.Bottles) { Figures = [new("volume-ml", 1500)] },
                new Gear("J-10", "small jars", KitKind.Bottles) { Figures = [new("volume-ml", 1000)] },
                new Gear("J-1", "mesh jar", KitKind.Bottles) { Figures = [new("volume-ml", 100)] },
                new Gear("V-2", "bridge sampler", KitKind.BottleSampler, 2.2m, 3.1m) { Figures = [new("length-cm", 50)] },
                new Gear("C-1", "current meter", KitKind.CurrentMeter) { Figures = [new("speed-min-ms", 0.05m), new("speed-max-ms", 3)] },
            ],
        };

    internal FieldSheet Sheet => Visit.Fold(Context);

    /// <summary>A programme that does a matter in another way, or has another number.</summary>
    internal ObservedVisit With(string setting, string choice)
    {
        Context = Context with
        {
            Programme = Context.Programme with
            {
                Methods = new Dictionary<string, string>(Context.Programme.Methods ?? new Dictionary<string, string>())
                {
                    [setting] = choice,
                },
            },
        };
        return this;
    }

    internal SheetProtocol Protocol => Sheet.Protocols!.Single(p => p.Protocol == protocol);

    internal IReadOnlyList<string> Codes =>
        [.. Sheet.Findings.Where(f => f.Beside == Core.Basis.Findings.Beside.Observation).Select(f => f.Code)];

    /// <summary>A number with its unit, such as <c>21 ppt</c>.</summary>
    internal ObservedVisit Number(string step, string field, string written, string? item = null, int number = 1) =>
        Put(
            step,
            field,
            written.Split(' ', 2) is [var digits, var unit]
                ? new ObservedValue { Written = digits, Unit = unit }
                : new ObservedValue { Written = written },
            item,
            number
        );

    internal ObservedVisit Yes(string step, string field, bool yes, string? item = null, int number = 1) =>
        Put(step, field, new ObservedValue { Yes = yes }, item, number);

    internal ObservedVisit Choose(string step, string field, string choice, string? item = null, int number = 1) =>
        Put(step, field, new ObservedValue { Choice = choice }, item, number);

    internal ObservedVisit Count(string step, string field, int count, string? item = null, int number = 1) =>
        Put(step, field, new ObservedValue { Count = count }, item, number);

    internal ObservedVisit Tally(string step, string field, string? item, params (string Kind, int Count)[] counts) =>
        Put(step, field, new ObservedValue { Counts = counts.ToDictionary(c => c.Kind, c => c.Count) }, item);

    internal ObservedVisit Tick(string step, string field, params string[] lines) => Put(step, field, new ObservedValue { Ticked = lines });

    internal ObservedVisit Gloves(string step, string? item = null) =>
        Put(step, "gloves", new ObservedValue { Ticked = ["on", "whole"] }, item);

    internal ObservedVisit Of(string step, string field, string equipment, string? item = null) =>
        Put(step, field, new ObservedValue { Choice = equipment }, item);

    internal ObservedVisit Person(string step, string field, string name) => Put(step, field, new ObservedValue { Name = name });

    internal ObservedVisit Day(string step, string field, int month, int day) =>
        Put(step, field, new ObservedValue { Day = new DateOnly(2026, month, day) });

    internal ObservedVisit Clock(string step, string field, int hour, int minute) =>
        Put(step, field, new ObservedValue { At = new DateTimeOffset(2026, 8, 12, hour, minute, 0, TimeSpan.FromHours(1)) });

    internal ObservedVisit Place(string step, string field, double latitude, double longitude, decimal? accuracyM = null) =>
        Put(step, field, new ObservedValue { Position = new Position(latitude, longitude), AccuracyM = accuracyM });

    internal ObservedVisit List(string step, string field, string item, string unit, params string[] numbers) =>
        Put(step, field, new ObservedValue { Listed = numbers, Unit = unit }, item);

    /// <summary>Fills the next of its containers that is empty.</summary>
    internal Entry Fill(FilledFrom from = FilledFrom.Lake, int? rinses = null, FilledTo to = FilledTo.AsAsked)
    {
        var bottle = Protocol.Containers.First(c => c.Entry is null);
        return Visit.Write(FillKinds.Fill, new FillBody(bottle.Number, bottle.Type.Code, from, to, Rinses: rinses));
    }

    internal SheetDerived Derived(string parameter, string? item = null) =>
        Protocol.Derived.Single(d => d.Parameter == parameter && d.Item == item);

    internal ObservedVisit Later(int minutes)
    {
        Visit.Later(TimeSpan.FromMinutes(minutes));
        return this;
    }

    internal ObservedVisit Waited(string step, string field, double seconds, string? item = null, int number = 1)
    {
        var from = new DateTimeOffset(2026, 8, 12, 11, 0, 0, TimeSpan.FromHours(1));
        return Put(step, field, new ObservedValue { At = from, Until = from.AddSeconds(seconds) }, item, number);
    }

    internal ObservedVisit Put(string step, string field, ObservedValue value, string? item = null, int number = 1, int version = 1)
    {
        Last = Visit.Write(
            ObservationKinds.Observation,
            new ObservationBody(new Protocol(protocol), version, step, field, value, item, number)
        );
        return this;
    }

    /// <summary>The entry that was written last.</summary>
    internal Entry? Last { get; private set; }
}
