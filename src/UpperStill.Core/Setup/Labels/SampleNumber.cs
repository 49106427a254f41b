using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Setup.Labels;

/// <summary>
/// Sample numbers: station, day (with the letter of a later visit of that day), letter and count, R for a replicate, and a check
/// character, as in <c>HAR-1-260812-F1R-K</c>.
/// The check character is that of ISO 7064, MOD 37,36, over the letters and digits: one wrong character is always seen,
/// and two neighbours changed about nearly always.
/// </summary>
public static class SampleNumber
{
    private const string Characters = "0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ";
    private const int Modulus = 36;
    private const int Longest = 60;

    /// <summary>The number with its check character behind.</summary>
    /// <param name="body">The number without it.</param>
    public static string Checked(string body)
    {
        ArgumentNullException.ThrowIfNull(body);
        return $"{body}-{Check(body)}";
    }

    /// <summary>The number without its check character: numbers of old labels have none.</summary>
    public static string Body(string number)
    {
        ArgumentNullException.ThrowIfNull(number);
        return HasCheck(number) ? number[..^2] : number;
    }

    /// <summary>True where two numbers name the same sample.</summary>
    public static bool Same(string one, string other) => string.Equals(Body(one), Body(other), StringComparison.OrdinalIgnoreCase);

    /// <summary>The station's code in a number; null where it is not of that shape.</summary>
    public static string? StationOf(string number)
    {
        ArgumentNullException.ThrowIfNull(number);
        var parts = Body(number).Split('-');

        // Behind the day a later visit of it has its letter.
        return
            parts.Length >= 3
            && parts[^2] is { Length: 6 or 7 } day
            && day.AsSpan(0, 6).IndexOfAnyExceptInRange('0', '9') < 0
            && (day.Length == 6 || char.IsAsciiLetterUpper(day[6]))
            ? string.Join('-', parts[..^2])
            : null;
    }

    /// <summary>Reads a number as it was typed or scanned: small letters and blanks do no harm, a wrong character is seen.</summary>
    /// <param name="typed">As typed.</param>
    /// <returns>The number as it stands on labels, or the finding that stands in its way.</returns>
    public static (string? Number, Finding? Finding) Read(string? typed)
    {
        var text = new string([
            .. (typed ?? string.Empty).Trim().ToUpperInvariant().Where(c => !char.IsWhiteSpace(c)).Select(c => c is '–' or '—' ? '-' : c),
        ]);
        if (text.Length == 0)
        {
            return (null, Stop("sample-number-missing", "No number.", "This bottle cannot be told from another.", "Scan or type it."));
        }

        if (
            text.Length > Longest
            || StationOf(text) is null
            || !text.All(c => c == '-' || Characters.Contains(c, StringComparison.Ordinal))
        )
        {
            return (
                null,
                Stop(
                    "sample-number-shape",
                    $"“{(text.Length > Longest ? text[..Longest] + "…" : text)}” is not a sample’s number.",
                    "It could be another code on the same bottle.",
                    "Type what stands under the QR code, such as HAR-1-260812-C1-7."
                )
            );
        }

        if (!HasCheck(text))
        {
            return (Checked(text), null);
        }

        return Check(text[..^2]) == text[^1]
            ? (text, null)
            : (
                null,
                Stop(
                    "sample-number-check",
                    $"{text} cannot be right: its last character does not fit the others.",
                    "One character is misread, and the result would go to another sample.",
                    "Read it again, or scan the label."
                )
            );
    }

    private static bool HasCheck(string number)
    {
        // Letter and count are at least two characters; a check is one.
        var parts = number.Split('-');
        return parts.Length >= 4 && parts[^1].Length == 1;
    }

    private static char Check(string body)
    {
        var sum = Modulus;
        foreach (var c in body.ToUpperInvariant())
        {
            if (Characters.IndexOf(c, StringComparison.Ordinal) is >= 0 and var value)
            {
                sum += value;
                sum = sum % Modulus == 0 ? Modulus : sum % Modulus;
                sum = sum * 2 % (Modulus + 1);
            }
        }

        return Characters[(Modulus + 1 - sum) % Modulus];
    }

    private static Finding Stop(string code, string seen, string why, string act) =>
        Finding.Stop(code, seen, why, act) with
        {
            NoWayRound = true,
        };
}

/// <summary>A number to be read.</summary>
/// <param name="Typed">As typed or scanned.</param>
public sealed record SampleNumberRequest(string Typed);

/// <summary>A number that was read.</summary>
/// <param name="Number">As it stands on labels; null where a finding stands in its way.</param>
/// <param name="Station">Its station's code.</param>
/// <param name="Finding">What is wrong.</param>
public sealed record SampleNumberResult(string? Number = null, string? Station = null, Finding? Finding = null)
{
    /// <summary>Reads a number.</summary>
    public static SampleNumberResult Work(SampleNumberRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var (number, finding) = SampleNumber.Read(request.Typed);
        return new SampleNumberResult(number, number is null ? null : SampleNumber.StationOf(number), finding);
    }
}
