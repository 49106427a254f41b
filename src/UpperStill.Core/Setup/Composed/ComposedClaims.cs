using System.Text.RegularExpressions;
using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Setup.Composed;

/// <summary>Nobody can know from a visit that water is safe, or fit for a use: nothing composed says so.</summary>
internal static partial class ComposedClaims
{
    /// <summary>The texts that do.</summary>
    internal static IEnumerable<FieldFinding> Findings(ComposedProtocol protocol) =>
        ComposedTexts
            .Of(protocol)
            .Where(t => Claim().IsMatch(t.Words))
            .Select(t =>
                Finding
                    .Stop(
                        "protocol-claims",
                        $"“{t.Words}” says that something is safe, or fit.",
                        "No visit can know that, and somebody will rely on it.",
                        "Say what is seen or measured; whoever is responsible decides."
                    )
                    .At(t.At)
            );

    [GeneratedRegex(@"\b(un)?(safe|safely|fit)\b", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant)]
    private static partial Regex Claim();
}
