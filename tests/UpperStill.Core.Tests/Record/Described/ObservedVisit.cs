using UpperStill.Core.Application.Visits;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Tests.Application.Visits;

namespace UpperStill.Core.Tests.Record.Described;

/// <summary>A visit on which a described protocol is written down, value by value.</summary>
internal sealed class ObservedVisit(string protocol)
{
    internal SampleVisit Visit { get; } = SampleVisit.MetricBegun(new Protocol(protocol));

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
