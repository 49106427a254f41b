using System.Text;
using System.Text.Json;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Tests.Application.Visits;

namespace UpperStill.Core.Tests.Application.Operations;

public class FoldMemoryTests
{
    private static readonly byte[] Context = JsonSerializer.SerializeToUtf8Bytes(SampleVisit.Metric, CoreJson.Default.VisitContext);

    [Fact]
    public void Entry_by_entry_it_gives_what_a_fold_of_all_gives_to_the_letter()
    {
        var visit = Whole();
        var memory = new FoldMemory();
        for (var i = 0; i < visit.Entries.Count; i++)
        {
            var sheet = memory.Fold(i == 0 ? Context : [], Array(visit.Entries[i]), i == 0, ReaderUnit.Feet);

            Assert.Equal(All(visit.Entries.Take(i + 1), ReaderUnit.Feet), Encoding.UTF8.GetString(sheet));
        }
    }

    [Fact]
    public void A_receipt_that_comes_later_takes_the_place_of_the_entry_without_it()
    {
        var visit = Whole();
        var memory = new FoldMemory();
        memory.Fold(Context, Array([.. visit.Entries]), true, ReaderUnit.AsRead);
        var received = visit.Entries[0] with { Receipt = new EntryReceipt(visit.Entries[0].At, 900) };
        var sheet = memory.Fold([], Array(received), false, ReaderUnit.AsRead);

        Assert.Equal(All([received, .. visit.Entries.Skip(1)], ReaderUnit.AsRead), Encoding.UTF8.GetString(sheet));
    }

    [Fact]
    public void Another_visit_begins_afresh()
    {
        var memory = new FoldMemory();
        memory.Fold(Context, Array([.. Whole().Entries]), true, ReaderUnit.AsRead);
        var other = SampleVisit.MetricBegun(Protocol.Clarity);

        Assert.Equal(
            All(other.Entries, ReaderUnit.AsRead),
            Encoding.UTF8.GetString(memory.Fold([], Array([.. other.Entries]), true, ReaderUnit.AsRead))
        );
    }

    [Fact]
    public void Without_a_context_it_says_so() =>
        Assert.Throws<JsonException>(() => new FoldMemory().Fold([], "[]"u8, true, ReaderUnit.AsRead));

    private static SampleVisit Whole()
    {
        var visit = SampleVisit.MetricBegun(Protocol.Clarity, Protocol.Profile, Protocol.Phosphorus, Protocol.Chlorophyll);
        visit.SoundMetres("12.0");
        var misread = visit.LostMetres("9.5");
        visit.Strike(misread);
        visit.LostMetres("4.5");
        visit.Calibrate();
        foreach (var depth in new[] { "1", "4", "6", "8", "11" })
        {
            visit.Level(depth, "15", "8.6");
        }

        return visit;
    }

    private static byte[] Array(params Entry[] entries) =>
        JsonSerializer.SerializeToUtf8Bytes(entries, CoreJson.Default.IReadOnlyListEntry);

    // As the server folds them: through the table, everything read anew.
    private static string All(IEnumerable<Entry> entries, ReaderUnit reader) =>
        Encoding.UTF8.GetString(
            OperationTable
                .All["fold-visit"]
                .Invoke(
                    JsonSerializer.SerializeToUtf8Bytes(
                        new FoldRequest([.. entries], SampleVisit.Metric, reader),
                        CoreJson.Default.FoldRequest
                    )
                )
        );
}
