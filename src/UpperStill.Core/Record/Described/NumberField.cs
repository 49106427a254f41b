using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Record.Described;

/// <summary>A number with its units; what it may be stands in the first of them.</summary>
internal sealed class NumberField(string code, string label, decimal least, decimal most, params FieldUnit[] units) : Field(code, label)
{
    /// <summary>What is usual, in the first unit.</summary>
    internal (decimal Low, decimal High)? Usual { get; init; }

    /// <summary>True where only whole numbers can be.</summary>
    internal bool Whole { get; init; }

    internal IReadOnlyList<FieldUnit> Units => units;

    internal override FieldDescription Describe() =>
        new(
            Code,
            Label,
            Whole ? FieldKind.Whole : FieldKind.Number,
            Required,
            units.Length == 0 ? null : units,
            least,
            most,
            Usual?.Low,
            Usual?.High
        );

    internal override bool Filled(ObservedValue value) => value.Written is not null;

    /// <summary>The number in the first unit; null where it cannot be used.</summary>
    internal decimal? Read(ObservedValue value) =>
        NumberText.Read(value.Written).Value is { } number
        && Factor(value.Unit) is { } factor
        && number * factor is var read
        && read >= least
        && read <= most
        && (!Whole || decimal.IsInteger(number))
            ? read
            : null;

    internal override IEnumerable<Finding> Judge(ObservedValue value)
    {
        var (number, finding) = NumberText.Read(value.Written);
        if (number is not { } read)
        {
            return [finding!];
        }

        if (Whole && !decimal.IsInteger(read))
        {
            return
            [
                Finding.Stop("number-not-whole", $"{value.Written} is no whole number.", "It is counted, not measured.", "Write it anew."),
            ];
        }

        return Factor(value.Unit) is { } factor
                ? InRange(read * factor, Text(value), (least, most), Usual, units.Length == 0 ? string.Empty : units[0].Code)
            : value.Unit is null ? [CommonFindings.UnitMissing.With(("value", value.Written!))]
            :
            [
                CommonFindings.UnitUnknown.With(
                    ("value", value.Written!),
                    ("unit", value.Unit),
                    ("field", Label),
                    ("units", string.Join(" or ", units.Select(u => u.Code)))
                ),
            ];
    }

    internal override string Text(ObservedValue value) =>
        value.Unit is { } unit ? $"{value.Written} {unit}" : value.Written ?? string.Empty;

    private decimal? Factor(string? unit) => units.Length == 0 && unit is null ? 1 : units.FirstOrDefault(u => u.Code == unit)?.Factor;
}
