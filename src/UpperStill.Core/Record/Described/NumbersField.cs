using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Record.Described;

/// <summary>Several numbers of one unit, such as five depths of a hole.</summary>
internal sealed class NumbersField(string code, string label, int wanted, decimal least, decimal most, string unit) : Field(code, label)
{
    /// <summary>What is usual of each.</summary>
    internal (decimal Low, decimal High)? Usual { get; init; }

    internal int Wanted => wanted;

    internal override FieldDescription Describe() =>
        new(Code, Label, FieldKind.Numbers, Required, [new(unit)], least, most, Usual?.Low, Usual?.High) { Wanted = wanted };

    internal override bool Filled(ObservedValue value) => value.Listed is { Count: > 0 };

    /// <summary>The numbers that can be used; null where one cannot.</summary>
    internal IReadOnlyList<decimal>? Read(ObservedValue value)
    {
        List<decimal> read = [];
        foreach (var written in value.Listed ?? [])
        {
            if (value.Unit != unit || NumberText.Read(written).Value is not { } number || number < least || number > most)
            {
                return null;
            }

            read.Add(number);
        }

        return read;
    }

    internal override IEnumerable<Finding> Judge(ObservedValue value)
    {
        if (value.Unit != unit)
        {
            yield return value.Unit is null
                ? CommonFindings.UnitMissing.With(("value", string.Join(", ", value.Listed!)))
                : CommonFindings.UnitUnknown.With(
                    ("value", string.Join(", ", value.Listed!)),
                    ("unit", value.Unit),
                    ("field", Label),
                    ("units", unit)
                );
            yield break;
        }

        foreach (var written in value.Listed!)
        {
            var (number, finding) = NumberText.Read(written);
            if (number is not { } read)
            {
                yield return finding!;
            }
            else
            {
                foreach (var found in InRange(read, $"{written} {unit}", (least, most), Usual, unit))
                {
                    yield return found;
                }
            }
        }
    }

    internal override string Text(ObservedValue value) => $"{string.Join(", ", value.Listed ?? [])} {value.Unit}".Trim();
}
