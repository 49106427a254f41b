using UpperStill.Core.Findings;
using UpperStill.Core.Kit;
using UpperStill.Core.Quantities;

namespace UpperStill.Core.Visits;

/// <summary>An entry with its body read.</summary>
internal sealed record Read<T>(Entry Entry, T Body);

/// <summary>A visit being folded: what the parts of the sheet share.</summary>
internal sealed class SheetDraft(FoldRequest request)
{
    internal EntryLog Log { get; } = EntryLog.Settle(request.Entries);

    internal VisitContext Context => request.Context;

    internal ReaderUnit Reader => request.Reader;

    internal List<Finding> Findings { get; } = [];

    internal Read<VisitStartedBody>? Start { get; set; }

    internal Line? Line { get; set; }

    internal Read<SoundingBody>? SoundingRead { get; set; }

    internal SheetSounding? Sounding { get; set; }

    /// <summary>The unit of the line; before one is chosen, that of the station's known depth.</summary>
    internal LengthUnit Native => Line?.Unit ?? Context.Station.KnownDepth.Unit ?? LengthUnit.Metre;

    internal IReadOnlyList<Read<T>> Standing<T>(EntryKind<T> kind)
        where T : class =>
        [.. Log.Standing.Where(e => e.Kind == kind.Name).Select(e => (Entry: e, Body: kind.Read(e.Body))).Where(p => p.Body is not null).Select(p => new Read<T>(p.Entry, p.Body!))];

    internal string Show(decimal metres) => LengthText.Show(metres, Native, Reader);

    internal string Show(Length length) => LengthText.Show(length, Reader);

    /// <summary>Two standing values for one box: from two devices, or called twice on one.</summary>
    internal void Disagreement(string what, IReadOnlyList<Entry> entries, Func<Entry, string> words)
    {
        if (entries.Count < 2)
        {
            return;
        }

        var (first, last) = (entries[0], entries[^1]);
        var (a, b) = (words(first), words(last));
        if (a == b)
        {
            return;
        }

        Findings.Add((first.Device == last.Device
            ? Finding.Check(
                "number-called-twice", $"Two numbers for {what}: {a} and {b}.", "One was misheard or corrected; the later stands for now.",
                "Read back digit by digit and strike the wrong one.")
            : Finding.Check(
                "devices-disagree", $"{a} on {first.Device}, {b} on {last.Device}.", "Nothing was dropped; the later stands for now.",
                "Choose one and strike the other.")) with
        { About = [.. entries.Select(e => e.Id)] });
    }
}
