using UpperStill.Core.Basis.Boxes;

namespace UpperStill.Core.Record.Parts;

/// <summary>A box of the paper sheet, to write in.</summary>
/// <param name="Label">What is written there.</param>
/// <param name="Unit">In which unit; null where it has none, or whoever writes says it.</param>
/// <param name="Ticks">Answers to tick instead, where they are few and short.</param>
public sealed record PaperBox(string Label, string? Unit = null, IReadOnlyList<string>? Ticks = null)
{
    // More letters than that are not read in a box of this size.
    private const int MostLetters = 32;

    /// <summary>The same as on the page, with its answers where there is room for them.</summary>
    internal static PaperBox Of(Box box) => Of(box.Label, box.Unit, [.. box.Choices.Select(c => c.Words)]);

    internal static PaperBox Of(string label, string? unit, IReadOnlyList<string> answers) =>
        new(label, unit, answers.Count > 0 && answers.Sum(a => a.Length + 2) <= MostLetters ? answers : null);
}

/// <summary>A table of the paper sheet. A cell without words is to be filled.</summary>
/// <param name="Heads">Above its columns, with their units.</param>
/// <param name="Rows">Its rows.</param>
public sealed record PaperTable(IReadOnlyList<string> Heads, IReadOnlyList<IReadOnlyList<string>> Rows)
{
    /// <summary>Rows that begin with some words, the rest to be filled.</summary>
    internal static PaperTable ToFill(IReadOnlyList<string> heads, IEnumerable<string> firsts) =>
        new(heads, [.. firsts.Select(first => (string[])[first, .. Enumerable.Repeat(string.Empty, heads.Count - 1)])]);
}

/// <summary>A piece of the paper sheet, for those who stay on paper.</summary>
/// <param name="Title">What it is.</param>
/// <param name="Rank">Where it stands; see <see cref="StepRank"/>.</param>
public sealed record PaperPiece(string Title, int Rank)
{
    /// <summary>Boxes to write in.</summary>
    public IReadOnlyList<PaperBox> Boxes { get; init; } = [];

    /// <summary>Lines to tick.</summary>
    public IReadOnlyList<string> Ticks { get; init; } = [];

    /// <summary>A table to fill.</summary>
    public PaperTable? Table { get; init; }
}
