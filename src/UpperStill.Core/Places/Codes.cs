namespace UpperStill.Core.Places;

/// <summary>Codes: short identities that stand in addresses and on labels.</summary>
public static class Codes
{
    /// <summary>Most letters of a code.</summary>
    public const int Longest = 40;

    /// <summary>Letters, digits and hyphens, not a hyphen first or last.</summary>
    public static bool IsCode(string code) =>
        code is { Length: > 0 and <= Longest } && code.All(c => char.IsAsciiLetterOrDigit(c) || c == '-') && code[0] != '-' && code[^1] != '-';
}
