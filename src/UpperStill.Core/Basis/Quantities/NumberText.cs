using System.Globalization;
using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Basis.Quantities;

/// <summary>Reads a plain number as people and meters write it: <c>8.6</c>, <c>8,6</c>, <c>-0.4</c>. Nothing is guessed.</summary>
public static class NumberText
{
    private const int Longest = 20;

    /// <summary>The number, or the finding that stands in its way.</summary>
    /// <param name="written">The text as typed.</param>
    public static (decimal? Value, Finding? Finding) Read(string? written)
    {
        var text = (written ?? string.Empty).Trim().Replace('−', '-');
        if (text.Length == 0)
        {
            return (
                null,
                Stop("number-missing", "Nothing is written here.", "An empty box is not a reading.", "Type it as the display shows it.")
            );
        }

        // 1,234 may be a thousand or a fraction; 8,6 and 0,015 cannot.
        var comma = text.IndexOf(',', StringComparison.Ordinal);
        if (
            comma >= 0
            && text.Length - comma - 1 == 3
            && !text.Contains('.', StringComparison.Ordinal)
            && text[..comma].TrimStart('-', '+') is not "0"
        )
        {
            return (
                null,
                Stop(
                    "number-comma",
                    $"{text} can be read two ways.",
                    "A comma before three digits may mark thousands or a fraction.",
                    "Type it again with a point for the fraction."
                )
            );
        }

        return
            text.Length <= Longest
            && decimal.TryParse(
                text.Replace(',', '.'),
                NumberStyles.AllowLeadingSign | NumberStyles.AllowDecimalPoint,
                CultureInfo.InvariantCulture,
                out var value
            )
            ? (Decimals.Plain(value), null)
            : (
                null,
                Stop(
                    "number-unreadable",
                    $"“{(text.Length > Longest ? text[..Longest] + "…" : text)}” is not a number.",
                    "It could not be worked with later.",
                    "Type digits, with a point for the fraction."
                )
            );
    }

    /// <summary>How many decimals were written: 8.60 has two.</summary>
    internal static int Places(string written)
    {
        var point = written.IndexOfAny(['.', ',']);
        return point < 0 ? 0 : written.Trim().Length - point - 1;
    }

    private static Finding Stop(string code, string seen, string why, string act) =>
        Finding.Stop(code, seen, why, act) with
        {
            NoWayRound = true,
        };
}
