namespace UpperStill.Core.Basis.Quantities;

/// <summary>One mark of a depth scale.</summary>
/// <param name="DepthM">Metres below the surface.</param>
/// <param name="Label">The number in the scale's unit.</param>
public sealed record DepthTick(decimal DepthM, string Label);

/// <summary>A depth scale from the surface downward, in round numbers of the reader's unit.</summary>
/// <param name="Unit">The unit of the labels, <c>m</c> or <c>ft</c>.</param>
/// <param name="Ticks">Round depths, closer together near the surface.</param>
public sealed record DepthScale(string Unit, IReadOnlyList<DepthTick> Ticks)
{
    private static readonly decimal[] Round = [0, 0.5m, 1, 2, 3, 4, 5, 6, 8, 10, 12, 15, 20, 25, 30, 40, 50, 60, 80, 100];

    /// <summary>The scale down to a depth in metres; half units only where the water is shallow.</summary>
    public static DepthScale To(decimal bottomM, LengthUnit native, ReaderUnit reader)
    {
        var feet = reader == ReaderUnit.Feet || (reader == ReaderUnit.AsRead && Length.IsFootBased(native));
        var perUnit = feet ? Length.MetresPerFoot : 1m;
        var bottom = bottomM / perUnit;
        List<DepthTick> ticks = [];
        for (var decade = 1m; decade <= 10_000m; decade *= 100)
        {
            ticks.AddRange(
                Round
                    .Where(d => (decade == 1 || d > 1) && d * decade <= bottom && (d != 0.5m || bottom < 6))
                    .Select(d => new DepthTick(Decimals.Published(d * decade * perUnit), Decimals.Text(d * decade)))
            );
        }

        return new DepthScale(feet ? "ft" : "m", ticks);
    }
}
