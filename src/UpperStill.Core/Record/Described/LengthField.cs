using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Record.Described;

/// <summary>A length as it is read; what it may be stands in metres.</summary>
internal sealed class LengthField(string code, string label, decimal leastM, decimal mostM) : Field(code, label)
{
    private static readonly FieldUnit[] All =
    [
        new("m"),
        new("ft", Length.MetresPerFoot),
        new("ft-in", Length.MetresPerFoot),
        new("cm", 0.01m),
        new("in", Length.MetresPerInch),
    ];

    /// <summary>What is usual, m.</summary>
    internal (decimal Low, decimal High)? UsualM { get; init; }

    /// <summary>The units that are offered, the usual first; all of them where none are named.</summary>
    internal IReadOnlyList<string> Offered { get; init; } = [.. All.Select(u => u.Code)];

    internal override FieldDescription Describe()
    {
        var first = Factor(Offered[0]);
        return new(
            Code,
            Label,
            FieldKind.Length,
            Required,
            [.. Offered.Select(u => new FieldUnit(u, Factor(u) / first))],
            leastM / first,
            mostM / first,
            UsualM?.Low / first,
            UsualM?.High / first
        );
    }

    private static decimal Factor(string unit) => All.First(u => u.Code == unit).Factor;

    internal override bool Filled(ObservedValue value) => value.Written is not null;

    /// <summary>The length; null where it cannot be used.</summary>
    internal Length? Read(ObservedValue value) =>
        Unit(value.Unit) is { } unit
        && LengthParser.Parse(value.Written ?? string.Empty, unit).Length is { } length
        && length.Metres >= leastM
        && length.Metres <= mostM
            ? length
            : null;

    internal override IEnumerable<Finding> Judge(ObservedValue value)
    {
        if (value.Unit is not null && Unit(value.Unit) is null)
        {
            return
            [
                CommonFindings.UnitUnknown.With(("value", value.Written!), ("unit", value.Unit), ("field", Label), ("units", "m or ft")),
            ];
        }

        var (length, finding) = LengthParser.Parse(value.Written ?? string.Empty, Unit(value.Unit));
        return length is not { } read
            ? finding is null
                ? []
                : [finding]
            : InRange(read.Metres, LengthText.Write(read), (leastM, mostM), UsualM, "m");
    }

    internal override string Text(ObservedValue value) =>
        LengthParser.Parse(value.Written ?? string.Empty, Unit(value.Unit)).Length is { } length
            ? LengthText.Write(length)
            : $"“{value.Written}”";

    private static LengthUnit? Unit(string? code) =>
        code switch
        {
            "m" => LengthUnit.Metre,
            "cm" => LengthUnit.Centimetre,
            "ft" => LengthUnit.Foot,
            "in" => LengthUnit.Inch,
            "ft-in" => LengthUnit.FootInch,
            _ => null,
        };
}
