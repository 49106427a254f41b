using System.Globalization;
using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Record.Described;

/// <summary>One of what a step is repeated for.</summary>
/// <param name="Code">As it stands in an address, for ever.</param>
/// <param name="Words">For people.</param>
internal sealed record RepeatItem(string Code, string Words);

/// <summary>What some steps are repeated for: drops, sub-samples, depths.</summary>
/// <param name="code">Its name, for ever.</param>
/// <param name="label">One of them, for people.</param>
/// <param name="usual">How many are usual.</param>
/// <param name="most">How many there may be.</param>
internal sealed class Repeat(string code, string label, int usual, int most)
{
    /// <summary>Between the code of an outer item and that of an inner one.</summary>
    internal const char Inner = '+';

    private const int PaperRows = 10;

    internal string Code => code;

    internal string Label => label;

    /// <summary>Those that are asked for on a visit; null for the usual number, counted from 1.</summary>
    internal Func<SheetDraft, IReadOnlyList<RepeatItem>>? Asked { get; init; }

    /// <summary>Those for which the paper sheet has a row; null for the usual number.</summary>
    internal Func<PlannedStop, IReadOnlyList<RepeatItem>>? OnPaper { get; init; }

    /// <summary>What it stands within: kinds within a throw. Its items are then named after it.</summary>
    internal Repeat? In { get; init; }

    /// <summary>What an inner item may be, where it is one of a list.</summary>
    internal IReadOnlyList<FieldChoice> Kinds { get; init; } = [];

    internal IReadOnlyList<RepeatItem> Items(SheetDraft draft) => Asked?.Invoke(draft) ?? [.. Enumerable.Range(1, usual).Select(Numbered)];

    /// <summary>The rows of the paper sheet, each by its first words; what stands within something else is written in by hand.</summary>
    internal IReadOnlyList<string> Rows(PlannedStop stop) =>
        In is not null
            ? [.. Enumerable.Repeat(PaperBox.ToWrite, PaperRows)]
            : [.. (OnPaper?.Invoke(stop) ?? [.. Enumerable.Range(1, usual).Select(Numbered)]).Select(i => i.Words)];

    internal RepeatDescription Describe() =>
        new(code, label, usual, most)
        {
            Within = In?.Code,
            Kinds = Kinds,
            Named = Asked is not null,
        };

    /// <summary>An item in words.</summary>
    internal string Words(SheetDraft draft, string item) =>
        item.LastIndexOf(Inner) is >= 0 and var at
            ? Kinds.FirstOrDefault(k => k.Code == item[(at + 1)..])?.Words ?? item[(at + 1)..].Replace('-', ' ')
            : Items(draft).FirstOrDefault(i => i.Code == item)?.Words
                ?? (int.TryParse(item, NumberStyles.None, CultureInfo.InvariantCulture, out var n) ? Numbered(n).Words : item);

    private RepeatItem Numbered(int n) =>
        new(n.ToString(CultureInfo.InvariantCulture), $"{label} {n.ToString(CultureInfo.InvariantCulture)}");
}
