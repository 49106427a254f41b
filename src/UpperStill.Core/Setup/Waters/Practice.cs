using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Setup.Waters;

/// <summary>Waters on which people practise: their codes are reserved, and nothing of them reaches the record, the season or the
/// ledger.</summary>
public static class Practice
{
    /// <summary>How the code of a water or station of practice begins.</summary>
    public const string Prefix = "practice-";

    /// <summary>True for a code of practice.</summary>
    public static bool Is(string? code) => code?.StartsWith(Prefix, StringComparison.OrdinalIgnoreCase) == true;

    /// <summary>Why a water or station cannot have such a code; null where it has none.</summary>
    internal static FieldFinding? Reserved(string code) =>
        Is(code)
            ? Finding
                .Stop(
                    "code-reserved",
                    $"“{code}” is kept for practice.",
                    "What is done there never counts.",
                    $"Choose a code that does not begin with {Prefix}"
                )
                .At("code")
            : null;

    /// <summary>Why a visit of practice is not taken into the log.</summary>
    internal static Finding Refusal(string station) =>
        Finding.Stop(
            "practice-refused",
            $"{station} is a place of practice.",
            "What is tried there must never be taken for the water.",
            "It stays on the device where it was made."
        );
}
