namespace UpperStill.Core.Setup.Laboratories;

/// <summary>A unit in which an analyte is reported.</summary>
/// <param name="Name">As it is shown.</param>
/// <param name="Factor">Times this gives the analyte's own unit.</param>
/// <param name="Spellings">Other ways of writing it, in small letters without blanks.</param>
public sealed record AnalyteUnit(string Name, decimal Factor, IReadOnlyList<string> Spellings);

/// <summary>Something that a laboratory measures.</summary>
/// <param name="Code">Identity.</param>
/// <param name="Name">Its name.</param>
/// <param name="Units">Units; the first is its own.</param>
/// <param name="Usual">Lowest and highest value that water usually has, in its own unit.</param>
/// <param name="Spellings">Names that laboratories give it, in small letters, letters and digits only.</param>
public sealed record Analyte(
    string Code,
    string Name,
    IReadOnlyList<AnalyteUnit> Units,
    (decimal Low, decimal High) Usual,
    IReadOnlyList<string> Spellings
)
{
    /// <summary>Its own unit.</summary>
    public string Unit => Units[0].Name;

    /// <summary>The unit that was written; null where it is none of its.</summary>
    public AnalyteUnit? UnitOf(string written)
    {
        ArgumentNullException.ThrowIfNull(written);
        var plain = Plain(written);
        return Units.FirstOrDefault(u => Plain(u.Name) == plain || u.Spellings.Contains(plain));
    }

    private static string Plain(string unit) =>
        new([
            .. unit.ToLowerInvariant()
                .Select(c =>
                    c is 'µ' or 'μ' ? 'u'
                    : c is '³' ? '3'
                    : c
                )
                .Where(c => !char.IsWhiteSpace(c) && c is not '(' and not ')' and not '.'),
        ]);
}
