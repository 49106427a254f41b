using UpperStill.Core.Application.Visits;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Tests.Application.Visits;

namespace UpperStill.Core.Tests.Record.Described;

/// <summary>A visit on which a described protocol is written down, value by value.</summary>
internal sealed class ObservedVisit(string protocol)
{
    internal SampleVisit Visit { get; } = SampleVisit.MetricBegun(new Protocol(protocol));

    internal FieldSheet Sheet => Visit.Fold(SampleVisit.Metric);

    internal SheetProtocol Protocol => Sheet.Protocols!.Single(p => p.Protocol == protocol);

    internal IReadOnlyList<string> Codes => [.. Sheet.Findings.Where(f => f.Beside == Core.Basis.Findings.Beside.Observation).Select(f => f.Code)];

    /// <summary>A number with its unit, such as <c>21 ppt</c>.</summary>
    internal ObservedVisit Number(string step, string field, string written, string? item = null, int number = 1) =>
        Put(step, field, written.Split(' ', 2) is [var digits, var unit] ? new ObservedValue { Written = digits, Unit = unit } : new ObservedValue { Written = written }, item, number);

    internal ObservedVisit Yes(string step, string field, bool yes, string? item = null, int number = 1) => Put(step, field, new ObservedValue { Yes = yes }, item, number);

    internal ObservedVisit Choose(string step, string field, string choice, string? item = null, int number = 1) => Put(step, field, new ObservedValue { Choice = choice }, item, number);

    internal ObservedVisit Count(string step, string field, int count, string? item = null, int number = 1) => Put(step, field, new ObservedValue { Count = count }, item, number);

    internal ObservedVisit Waited(string step, string field, double seconds, string? item = null, int number = 1)
    {
        var from = new DateTimeOffset(2026, 8, 12, 11, 0, 0, TimeSpan.FromHours(1));
        return Put(step, field, new ObservedValue { At = from, Until = from.AddSeconds(seconds) }, item, number);
    }

    internal ObservedVisit Put(string step, string field, ObservedValue value, string? item = null, int number = 1, int version = 1)
    {
        Last = Visit.Write(ObservationKinds.Observation, new ObservationBody(new Protocol(protocol), version, step, field, value, item, number));
        return this;
    }

    /// <summary>The entry that was written last.</summary>
    internal Entry? Last { get; private set; }
}
