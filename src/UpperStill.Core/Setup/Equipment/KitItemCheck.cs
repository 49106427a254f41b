using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Setup.Equipment;

/// <summary>What is wrong with an item as it is set up.</summary>
public static class KitItemCheck
{
    /// <summary>Stops keep it from being saved.</summary>
    /// <param name="item">The item.</param>
    /// <param name="others">Codes that other items have.</param>
    public static IReadOnlyList<FieldFinding> Findings(KitItem item, IReadOnlyCollection<string> others)
    {
        ArgumentNullException.ThrowIfNull(item);
        ArgumentNullException.ThrowIfNull(others);
        return [.. Identity(item, others), .. Marks(item), .. Numbers(item)];
    }

    private static IEnumerable<FieldFinding> Identity(KitItem item, IReadOnlyCollection<string> others)
    {
        if (!Codes.IsCode(item.Code))
        {
            yield return Finding
                .Stop(
                    "code-format",
                    $"“{item.Code}” cannot be a code.",
                    "It stands on the item’s tag.",
                    $"Use letters, digits and -, at most {Codes.Longest}."
                )
                .At("code");
        }
        else if (others.Contains(item.Code, StringComparer.OrdinalIgnoreCase))
        {
            yield return Finding
                .Stop("code-used", $"{item.Code} is another item.", "Two histories would become one.", "Give it a code of its own.")
                .At("code");
        }

        if (string.IsNullOrWhiteSpace(item.Name))
        {
            yield return Finding
                .Stop("name-missing", "The item has no name.", "People look for it by its name.", "Write what it is.")
                .At("name");
        }
    }

    private static IEnumerable<FieldFinding> Marks(KitItem item)
    {
        if (item.Kind != KitKind.Line)
        {
            yield break;
        }

        if (item.Marks is not { } marks)
        {
            yield return Finding
                .Stop(
                    "marks-missing",
                    "The line has no marks.",
                    "Depths are read on them.",
                    "Write their unit, how far apart they are, and how much line can be let out."
                )
                .At("every");
            yield break;
        }

        foreach (var (field, written) in new[] { ("every", marks.Every), ("usable", marks.Usable) })
        {
            var (length, wrong) = written.Read();
            if (length is not { Metres: > 0 })
            {
                yield return (
                    wrong
                    ?? Finding.Stop(
                        "length-zero",
                        $"“{written.Written}” is no length.",
                        "Depths are read on it.",
                        "Write it as on the tag."
                    )
                ).At(field);
            }
        }
    }

    private static IEnumerable<FieldFinding> Numbers(KitItem item)
    {
        if (item.Parts is < 1 or > 99)
        {
            yield return Finding
                .Stop("parts-range", $"{item.Parts} parts cannot be.", "They are counted out and home.", "Write 1 to 99, or nothing.")
                .At("parts");
        }

        foreach (var figure in (item.Figures ?? []).Where(f => f.Value <= 0))
        {
            yield return Finding
                .Stop(
                    "figure-range",
                    $"{figure.Name} is {Decimals.Text(figure.Value)}.",
                    "Results are worked out with it.",
                    "Write a number above 0, or nothing."
                )
                .At(figure.Name);
        }
    }
}
