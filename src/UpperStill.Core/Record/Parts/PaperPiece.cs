using UpperStill.Core.Basis.Boxes;

namespace UpperStill.Core.Record.Parts;

/// <summary>A box of the paper sheet, to write in.</summary>
/// <param name="Label">What is written there.</param>
/// <param name="Unit">In which unit; null where it has none, or whoever writes says it.</param>
/// <param name="Answers">What may be answered, where that is given.</param>
public sealed record PaperBox(string Label, string? Unit = null, IReadOnlyList<string>? Answers = null)
{
    /// <summary>Room to write what is not known before.</summary>
    internal const string ToWrite = "____";

    // More than that is not read in a box of this size.
    private const int MostTicks = 5;
    private const int MostLetters = 32;

    /// <summary>True where the answers are few and short: they are ticked in the box; else they stand under it, to be copied.</summary>
    public bool Ticked => Answers is { Count: <= MostTicks } answers && answers.Sum(a => a.Length + 2) <= MostLetters;

    /// <summary>The same as on the page.</summary>
    internal static PaperBox Of(Box box) => Of(box.Label, box.Unit, [.. box.Choices.Select(c => c.Words)]);

    internal static PaperBox Of(string label, string? unit, IReadOnlyList<string> answers) =>
        new(label, unit, answers.Count > 0 ? answers : null);
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
