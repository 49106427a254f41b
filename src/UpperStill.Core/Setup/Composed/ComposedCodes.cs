using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Setup.Composed;

/// <summary>Names that last: what was composed without codes gets them from its words, once; what has one keeps it, and what has no
/// words yet waits for them.</summary>
public static class ComposedCodes
{
    /// <summary>How the code of a group’s own protocol begins.</summary>
    public const string Prefix = "own-";

    /// <summary>The step in which it is written who has which part.</summary>
    internal const string Parts = "parts";

    /// <summary>The box in which gloves are ticked.</summary>
    internal const string Gloves = "gloves";

    // A series is named by the protocol and what it works out: both together are a code.
    private const int Longest = 24;
    private const int LongestOfTwo = 16;

    /// <summary>The protocol with a code for everything that has words.</summary>
    public static ComposedProtocol Filled(ComposedProtocol protocol)
    {
        ArgumentNullException.ThrowIfNull(protocol);
        var roles = Named(protocol.Roles.Select(r => (r.Code, r.Label)), "part", Longest);
        var steps = Named(protocol.Steps.Select(s => (s.Code, s.Do)), "step", Longest, Parts);
        var fields = Named(protocol.Fields.Select(f => (f.Code, f.Label)), "field", Longest, [Gloves, .. roles]);
        var sums = Named(protocol.Sums.Select(s => (s.Code, s.Name)), "sum", LongestOfTwo);
        var next = 0;
        return protocol with
        {
            Code =
                protocol.Code.Length > 0 || string.IsNullOrWhiteSpace(protocol.Title)
                    ? protocol.Code
                    : $"{Prefix}{Of(protocol.Title, "protocol", LongestOfTwo)}",
            Roles = [.. protocol.Roles.Select((r, i) => r with { Code = roles[i] })],
            Steps =
            [
                .. protocol.Steps.Select(
                    (s, i) => s with { Code = steps[i], Fields = [.. s.Fields.Select(f => f with { Code = fields[next++] })] }
                ),
            ],
            Sums = [.. protocol.Sums.Select((s, i) => s with { Code = sums[i] })],
        };
    }

    /// <summary>The code of one of those with names that steps are repeated for: it stands in addresses.</summary>
    internal static string OfName(string name) => Of(name, "name", Longest);

    private static List<string> Named(
        IEnumerable<(string Code, string Words)> given,
        string otherwise,
        int longest,
        params IEnumerable<string> used
    )
    {
        List<(string Code, string Words)> all = [.. given];
        var taken = all.Select(g => g.Code).Where(c => c.Length > 0).Concat(used).ToHashSet(StringComparer.Ordinal);
        List<string> codes = [];
        foreach (var (code, words) in all)
        {
            var made = code;
            if (made.Length == 0 && !string.IsNullOrWhiteSpace(words))
            {
                var stem = Of(words, otherwise, longest);
                for (var n = 1; made.Length == 0; n++)
                {
                    var tried = n == 1 ? stem : $"{stem}-{Decimals.Text(n)}";
                    made = taken.Add(tried) ? tried : string.Empty;
                }
            }

            codes.Add(made);
        }

        return codes;
    }

    private static string Of(string words, string otherwise, int longest)
    {
        var code = Codes.From(words);
        code = code.Length <= longest ? code : code[..longest].TrimEnd('-');
        return code.Length == 0 ? otherwise
            : char.IsAsciiLetterLower(code[0]) ? code
            : $"{otherwise}-{code}";
    }
}
