using System.Globalization;
using UpperStill.Core.Visits;

namespace UpperStill.Core.Review;

/// <summary>What of a visit a reviewer vouches for, as marks: a mark changes when an entry of its part comes or is struck.</summary>
internal static class Standing
{
    // Where a sample stands changes no value, and an answer to a finding none either.
    private static readonly HashSet<string> Aside = new EntryKind[]
    {
        EntryKinds.Labelled, EntryKinds.Preserved, EntryKinds.Stored, EntryKinds.HandedOver, EntryKinds.Received, EntryKinds.Kept, EntryKinds.Strike, EntryKinds.Asked, EntryKinds.Answered, EntryKinds.SignedOff,
    }.Select(k => k.Name).ToHashSet(StringComparer.Ordinal);

    private static readonly HashSet<string> OfResults = new EntryKind[]
    {
        EntryKinds.SampleAdded, EntryKinds.Filter, EntryKinds.FilterFill, EntryKinds.Measured, EntryKinds.Result, EntryKinds.ValueStated, EntryKinds.Reported, EntryKinds.Flow, EntryKinds.SampleLost, EntryKinds.SampleRejected,
    }.Select(k => k.Name).ToHashSet(StringComparer.Ordinal);

    internal static string Field(EntryLog log) => Mark(log.Standing.Where(e => !Aside.Contains(e.Kind) && !OfResults.Contains(e.Kind)));

    internal static string Results(EntryLog log) => Mark(log.Standing.Where(e => OfResults.Contains(e.Kind)));

    // FNV-1a, 64 bit, over the ids in order: it tells one set of entries from another, it does not guard against forgery. The log does that.
    private static string Mark(IEnumerable<Entry> entries)
    {
        var hash = 14695981039346656037UL;
        Span<byte> bytes = stackalloc byte[16];
        foreach (var id in entries.Select(e => e.Id).Order())
        {
            id.TryWriteBytes(bytes, bigEndian: true, out _);
            foreach (var one in bytes)
            {
                hash = unchecked((hash ^ one) * 1099511628211UL);
            }
        }

        return hash.ToString("x16", CultureInfo.InvariantCulture);
    }
}
