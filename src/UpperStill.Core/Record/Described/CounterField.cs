using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Record.Described;

/// <summary>A count, one touch each.</summary>
internal sealed class CounterField(string code, string label, int wanted, FindingWords? shorter = null) : Field(code, label)
{
    /// <summary>False where fewer are no finding by themselves.</summary>
    internal bool Asked { get; init; } = true;

    internal int Wanted => wanted;

    internal override FieldDescription Describe() => new(Code, Label, FieldKind.Counter, Required) { Wanted = wanted };

    internal override bool Filled(ObservedValue value) => value.Count is not null;

    internal override IEnumerable<Finding> Judge(ObservedValue value) =>
        Asked && value.Count < wanted
            ?
            [
                (shorter ?? CommonFindings.CountShort).With(
                    ("count", Decimals.Text(value.Count!.Value)),
                    ("wanted", Decimals.Text(wanted)),
                    ("field", Label)
                ),
            ]
            : [];

    internal override string Text(ObservedValue value) => Decimals.Text(value.Count ?? 0);
}
