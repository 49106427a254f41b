using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Basis.Boxes;

/// <summary>One of the answers that a box takes. One of code, number and yes-or-no is what is kept.</summary>
/// <param name="Words">For people.</param>
/// <param name="Code">The name that is kept.</param>
/// <param name="Number">The number that is kept.</param>
/// <param name="Yes">What is kept where it is yes or no.</param>
/// <param name="Note">What is to be heeded where it is chosen.</param>
public sealed record BoxChoice(
    string Words,
    string? Code = null,
    [property: Within(-1e6, 1e6)] decimal? Number = null,
    bool? Yes = null,
    string? Note = null
);

/// <summary>
/// A box of a page: what it asks, and every answer that it takes by one touch, or the unit of the number that is typed. The page that
/// shows it knows none of these; they stand here alone.
/// </summary>
/// <param name="Code">The kind of entry and the member of its body in which the answer is kept, such as <c>conditions.wind</c>.</param>
/// <param name="Label">What is asked.</param>
/// <param name="Choices">What may be answered, in the order in which it is shown.</param>
public sealed record Box(string Code, string Label, IReadOnlyList<BoxChoice> Choices)
{
    /// <summary>What helps to answer it.</summary>
    public string? Hint { get; init; }

    /// <summary>The unit of a number that is typed into it; null where it has none.</summary>
    public string? Unit { get; init; }

    /// <summary>The number that is usual, where one is.</summary>
    [Within(-1e6, 1e6)]
    public decimal? Usual { get; init; }

    /// <summary>A box into which a number is typed.</summary>
    internal static Box Typed(string code, string label, string? unit, string? hint = null, decimal? usual = null) =>
        new(code, label, [])
        {
            Unit = unit,
            Hint = hint,
            Usual = usual,
        };

    internal static Box Names(string code, string label, params (string Code, string Words)[] choices) =>
        new(code, label, [.. choices.Select(c => new BoxChoice(c.Words, c.Code))]);

    /// <summary>A box whose names are the words that people read.</summary>
    internal static Box Plain(string code, string label, params string[] names) =>
        new(code, label, [.. names.Select(n => new BoxChoice(n, n))]);

    internal static Box Numbers(string code, string label, params (int Number, string Words)[] choices) =>
        new(code, label, [.. choices.Select(c => new BoxChoice(c.Words, Number: c.Number))]);

    /// <summary>A box of whole numbers from one to another.</summary>
    internal static Box Count(string code, string label, int from, int to) =>
        Numbers(code, label, [.. Enumerable.Range(from, to - from + 1).Select(n => (n, Decimals.Text(n)))]);

    internal static Box YesNo(string code, string label, string yes = "yes", string no = "no") =>
        new(code, label, [new BoxChoice(yes, Yes: true), new BoxChoice(no, Yes: false)]);
}
