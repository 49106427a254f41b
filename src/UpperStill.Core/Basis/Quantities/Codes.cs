namespace UpperStill.Core.Basis.Quantities;

/// <summary>Codes: short identities that stand in addresses and on labels.</summary>
public static class Codes
{
    /// <summary>Most letters of a code.</summary>
    public const int Longest = 40;

    /// <summary>Letters, digits and hyphens, not a hyphen first or last.</summary>
    public static bool IsCode(string code) =>
        code is { Length: > 0 and <= Longest }
        && code.All(c => char.IsAsciiLetterOrDigit(c) || c == '-')
        && code[0] != '-'
        && code[^1] != '-';

    /// <summary>Small letters, digits and hyphens, a letter first: a name that software gives and keeps for ever.</summary>
    public static bool IsName(string? code) =>
        code is { Length: > 0 and <= Longest }
        && char.IsAsciiLetterLower(code[0])
        && code.All(c => char.IsAsciiLetterLower(c) || char.IsAsciiDigit(c) || c == '-');

    /// <summary>A code for a name: its letters and digits of the Latin alphabet without marks, a hyphen for what lies between. Empty where
    /// the name has none.</summary>
    public static string From(string name)
    {
        ArgumentNullException.ThrowIfNull(name);
        var code = string.Join(
            '-',
            new string([
                .. name.ToLowerInvariant()
                    .Where(c => char.IsAscii(c) || !char.IsLetter(c))
                    .Select(c => char.IsAsciiLetterOrDigit(c) ? c : ' '),
            ]).Split(' ', StringSplitOptions.RemoveEmptyEntries)
        );
        return code.Length <= Longest ? code : code[..Longest].TrimEnd('-');
    }

    /// <summary>The code for a new station of a water: three letters of its name and the first number that nothing in the group
    /// has.</summary>
    public static string Next(string water, IReadOnlyCollection<string> used)
    {
        ArgumentNullException.ThrowIfNull(water);
        var letters = new string([.. water.Where(char.IsAsciiLetter).Take(3)]).ToUpperInvariant();
        return Enumerable
            .Range(1, int.MaxValue)
            .Select(n => $"{(letters.Length > 0 ? letters : "ST")}-{n}")
            .First(code => !used.Contains(code));
    }
}
