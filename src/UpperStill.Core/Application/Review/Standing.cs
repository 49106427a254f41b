using System.Globalization;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Record.Entries;

namespace UpperStill.Core.Application.Review;

/// <summary>What of a visit a reviewer vouches for, as marks: a mark changes when an entry of its part comes or is struck.</summary>
internal static class Standing
{
    internal static string Field(EntryLog log) => Mark(log.Standing.Where(e => Of(e) == Vouched.Field));

    internal static string Results(EntryLog log) => Mark(log.Standing.Where(e => Of(e) == Vouched.Results));

    private static Vouched Of(Entry entry) => EntryKinds.All.TryGetValue(entry.Kind, out var kind) ? kind.Vouched : Vouched.Field;

    // FNV-1a, 64 bit, over the ids in order: it tells one set of entries from another, it does not guard against forgery. The log does
    // that.
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
