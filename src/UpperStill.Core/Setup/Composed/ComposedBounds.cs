using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Setup.Composed;

/// <summary>How large a composed protocol may be.</summary>
internal static class ComposedBounds
{
    private const int MostSteps = 30;
    private const int MostFields = 60;
    private const int MostChoices = 12;
    private const int MostRoles = 3;
    private const int MostRepeated = 12;
    private const int MostWords = 300;
    private const int MostOthers = 12;
    private const int LeastRank = 10;
    private const int MostRank = 99;

    /// <summary>What is too much of.</summary>
    internal static IEnumerable<FieldFinding> Findings(ComposedProtocol protocol)
    {
        var repeated = protocol.Repeat is { } r ? Math.Max(r.Count, r.Names.Count) : 0;
        (string What, int Count, int Most)[] counted =
        [
            ("steps", protocol.Steps.Count, MostSteps),
            ("boxes", protocol.Fields.Count(), MostFields),
            ("parts", protocol.Roles.Count, MostRoles),
            ($"times “{protocol.Repeat?.Label}”", repeated, MostRepeated),
            ("choices of one box", protocol.Fields.Select(f => f.Choices.Count).DefaultIfEmpty().Max(), MostChoices),
            ("containers", protocol.Containers.Count, MostOthers),
            ("numbers worked out", protocol.Sums.Count, MostOthers),
            ("lines to pack", protocol.Pack.Count, MostOthers),
            ("letters in one text", ComposedTexts.Of(protocol).Select(t => t.Words.Length).DefaultIfEmpty().Max(), MostWords),
        ];
        foreach (var (what, count, most) in counted.Where(c => c.Count > c.Most))
        {
            yield return Finding
                .Stop(
                    "protocol-large",
                    $"{Decimals.Text(count)} {what}; at most {Decimals.Text(most)}.",
                    "On the water nobody would come to its end.",
                    "Shorten it, or make two protocols of it."
                )
                .At("protocol");
        }

        if (protocol.Rank is < LeastRank or > MostRank)
        {
            yield return Finding
                .Stop(
                    "rank-range",
                    $"{Decimals.Text(protocol.Rank)} is no place in the order of a visit.",
                    "What is clean comes before what stirs.",
                    $"Choose from {Decimals.Text(LeastRank)} to {Decimals.Text(MostRank)}."
                )
                .At("protocol");
        }
    }
}
