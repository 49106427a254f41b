using System.Diagnostics.Metrics;

namespace UpperStill.Store.Log;

/// <summary>What the log is doing, for whoever watches: counters and durations under the meter <c>UpperStill.Log</c>. They name nobody and
/// no water.</summary>
public sealed class LogMeter : IDisposable
{
    /// <summary>The meter's name.</summary>
    public const string Name = "UpperStill.Log";

    private readonly Meter meter;
    private readonly Counter<long> entries;
    private readonly Counter<long> deliveries;
    private readonly Histogram<double> writing;

    /// <param name="meters">Makes the meter as its host's own: where several hosts share a process, each counts for itself. Null where
    /// nobody watches.</param>
    public LogMeter(IMeterFactory? meters)
    {
        meter = meters?.Create(Name) ?? new Meter(Name);
        entries = meter.CreateCounter<long>("entries", "{entry}", "Entries that were answered, by what became of them.");
        deliveries = meter.CreateCounter<long>("deliveries", "{delivery}", "Deliveries that were written.");
        writing = meter.CreateHistogram<double>("write-seconds", "s", "How long one transaction of deliveries took, with its projections.");
    }

    /// <inheritdoc/>
    public void Dispose() => meter.Dispose();

    internal void Wrote(IReadOnlyList<Delivered[]> answers, TimeSpan took)
    {
        deliveries.Add(answers.Count);
        foreach (var became in answers.SelectMany(a => a).CountBy(d => d.Delivery))
        {
            entries.Add(became.Value, new KeyValuePair<string, object?>("became", became.Key.ToString().ToLowerInvariant()));
        }

        writing.Record(took.TotalSeconds);
    }
}
