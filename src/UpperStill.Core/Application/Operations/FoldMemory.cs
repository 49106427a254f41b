using System.Text.Json;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Application.Operations;

/// <summary>
/// The operation <c>fold-visit</c> for a device that folds one visit again after every entry: what has not changed since the last
/// fold is not read again. The answer is the same to the letter.
/// </summary>
public sealed class FoldMemory
{
    private readonly Dictionary<Guid, Entry> entries = [];
    private VisitContext? context;

    /// <summary>Folds what is remembered and what is new.</summary>
    /// <param name="context">The visit's context as JSON; empty where it is that of the last fold.</param>
    /// <param name="changed">New and changed entries as a JSON array.</param>
    /// <param name="afresh">True to forget all entries first: another visit, or some have gone.</param>
    /// <param name="reader">Unit for the words.</param>
    /// <returns>The field sheet as JSON.</returns>
    /// <exception cref="JsonException">Something is not of its shape.</exception>
    public byte[] Fold(ReadOnlySpan<byte> context, ReadOnlySpan<byte> changed, bool afresh, ReaderUnit reader)
    {
        if (afresh)
        {
            entries.Clear();
        }

        if (!context.IsEmpty)
        {
            this.context = JsonSerializer.Deserialize(context, CoreJson.Default.VisitContext);
        }

        foreach (var entry in JsonSerializer.Deserialize(changed, CoreJson.Default.IReadOnlyListEntry) ?? [])
        {
            entries[entry.Id] = entry;
        }

        var sheet = FieldSheet.Fold(
            new FoldRequest([.. entries.Values], this.context ?? throw new JsonException("There is no context yet."), reader)
        );
        return JsonSerializer.SerializeToUtf8Bytes(sheet, CoreJson.Default.FieldSheet);
    }
}
