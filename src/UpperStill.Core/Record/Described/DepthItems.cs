using System.Globalization;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Record.Described;

/// <summary>What is repeated at the depths of a list, once or several times at each: grabs, throws.</summary>
internal static class DepthItems
{
    private const string Shore = "shore";
    private const char Number = '-';

    /// <summary>The items, shallowest first; depths that the water does not reach are left out.</summary>
    /// <param name="depthsM">Depths, m; 0 for the shore.</param>
    /// <param name="each">How many at each.</param>
    /// <param name="one">One of them, for people.</param>
    /// <param name="waterM">Depth of the water, m; null where it is not known.</param>
    internal static IReadOnlyList<RepeatItem> Of(IEnumerable<decimal> depthsM, int each, string one, decimal? waterM) =>
        [
            .. depthsM
                .Where(d => waterM is null || d <= waterM)
                .SelectMany(d => Enumerable.Range(1, each).Select(n => each == 1 ? new RepeatItem(Code(d), Words(d)) : Several(d, n, one))),
        ];

    /// <summary>The depth that an item is taken at, m; null where its code is none of ours.</summary>
    internal static decimal? TargetM(string item) => DepthOf(item) is Shore ? 0 : NumberText.Read(DepthOf(item)).Value;

    /// <summary>The depth in an item’s code, without which of several it is.</summary>
    internal static string DepthOf(string item) => item.Split(Number)[0];

    /// <summary>A depth in words, by its code.</summary>
    internal static string Words(string depth) => depth == Shore ? "at the shore" : $"{depth} m";

    private static RepeatItem Several(decimal depthM, int n, string one)
    {
        var number = n.ToString(CultureInfo.InvariantCulture);
        return new($"{Code(depthM)}{Number}{number}", $"{Words(depthM)}, {one} {number}");
    }

    private static string Code(decimal depthM) => depthM == 0 ? Shore : Decimals.Text(depthM);

    private static string Words(decimal depthM) => Words(Code(depthM));
}
