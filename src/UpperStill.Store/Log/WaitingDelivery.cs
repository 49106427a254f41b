using UpperStill.Core.Application.Delivery;
using UpperStill.Core.Record.Entries;

namespace UpperStill.Store.Log;

/// <summary>A delivery that waits for the one writer.</summary>
/// <param name="entries">Its entries, in any order.</param>
/// <param name="receipt">The server's note on it.</param>
/// <param name="who">Who delivers.</param>
/// <param name="cancel">Cancelled where they have gone before its turn.</param>
internal sealed class WaitingDelivery(IReadOnlyList<Entry> entries, EntryReceipt receipt, Deliverer who, CancellationToken cancel)
{
    internal IReadOnlyList<Entry> Entries { get; } = entries;

    internal EntryReceipt Receipt { get; } = receipt;

    internal Deliverer Who { get; } = who;

    internal bool Gone => cancel.IsCancellationRequested;

    internal HashSet<Guid> Visits { get; } = [.. entries.Select(e => e.Visit)];

    /// <summary>The visits and entries that it speaks of.</summary>
    internal HashSet<Guid> Touches { get; } = [.. entries.SelectMany(e => new[] { e.Visit, e.Id, e.Strikes ?? e.Id })];

    /// <summary>What became of its entries; null while it waits.</summary>
    internal IReadOnlyList<Delivered>? Answers { get; set; }
}
