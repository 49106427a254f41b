using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Record.Described;

/// <summary>A box of a described protocol: what it asks, and what of an answer cannot be.</summary>
/// <param name="code">Its name, for ever.</param>
/// <param name="label">For people.</param>
internal abstract class Field(string code, string label)
{
    internal string Code => code;

    internal string Label => label;

    /// <summary>False where its step is done without it.</summary>
    internal bool Required { get; init; } = true;

    /// <summary>True where what is written later stands beside what stood before: a next photograph, a hand-over.</summary>
    internal virtual bool Gathers => false;

    /// <summary>As it is published.</summary>
    internal abstract FieldDescription Describe();

    /// <summary>True where the value is one of this field, whatever is wrong with it.</summary>
    internal abstract bool Filled(ObservedValue value);

    /// <summary>What is wrong with a value that is there, by itself.</summary>
    internal abstract IEnumerable<Finding> Judge(ObservedValue value);

    /// <summary>The value for the reader.</summary>
    internal abstract string Text(ObservedValue value);

    /// <summary>The findings of a number against what it may be and what is usual, in the field's first unit.</summary>
    private protected static IEnumerable<Finding> InRange(
        decimal value,
        string text,
        (decimal Low, decimal High) allowed,
        (decimal Low, decimal High)? usual,
        string unit
    )
    {
        string Bound(decimal bound) => $"{Decimals.Text(bound)}{(unit.Length == 0 ? string.Empty : " " + unit)}";
        if (value < allowed.Low || value > allowed.High)
        {
            yield return CommonFindings.ValueImpossible.With(
                ("value", text),
                ("low", Decimals.Text(allowed.Low)),
                ("high", Bound(allowed.High))
            );
        }
        else if (usual is var (low, high) && (value < low || value > high))
        {
            yield return CommonFindings.ValueUnusual.With(("value", text), ("low", Decimals.Text(low)), ("high", Bound(high)));
        }
    }
}
