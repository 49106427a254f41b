using System.Diagnostics.Metrics;

namespace UpperStill.Store.Log;

/// <summary>What the log is doing, for whoever watches: counters and durations under the meter <c>UpperStill.Log</c>. They name nobody and no water.</summary>
public static class LogMeter
{
    /// <summary>The meter's name.</summary>
    public const string Name = "UpperStill.Log";

    private static readonly Meter Meter = new(Name);
    private static readonly Counter<long> Entries = Meter.CreateCounter<long>("entries", "{entry}", "Entries that were answered, by what became of them.");
    private static readonly Counter<long> Deliveries = Meter.CreateCounter<long>("deliveries", "{delivery}", "Deliveries that were written.");
    private static readonly Histogram<double> Writing = Meter.CreateHistogram<double>("write-seconds", "s", "How long one transaction of deliveries took, with its projections.");

    internal static void Wrote(IReadOnlyList<Delivered[]> answers, TimeSpan took)
    {
        Deliveries.Add(answers.Count);
        foreach (var became in answers.SelectMany(a => a).CountBy(d => d.Delivery))
        {
            Entries.Add(became.Value, new KeyValuePair<string, object?>("became", became.Key.ToString().ToLowerInvariant()));
        }

        Writing.Record(took.TotalSeconds);
    }
}
