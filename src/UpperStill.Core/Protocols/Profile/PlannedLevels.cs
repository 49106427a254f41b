using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Profile;

/// <summary>The levels of a profile before anything is read: from just under the surface to just above the bottom.</summary>
public static class PlannedLevels
{
    private const decimal SurfaceM = 0.3m;
    private const decimal OffBottomM = 0.5m;
    private const decimal SurfaceFt = 1;
    private const decimal OffBottomFt = 1.5m;

    /// <summary>The levels, shallowest first, each as it is read on the line.</summary>
    /// <param name="method">An option of <c>profile.levels</c>.</param>
    /// <param name="depth">The depth of the water, as it was sounded; its unit is that of the levels.</param>
    /// <exception cref="ArgumentOutOfRangeException">No method of levels has that name.</exception>
    public static IReadOnlyList<Length> Of(string method, Length depth)
    {
        var feet = Length.IsFootBased(depth.Unit);
        var (every, inFeet) = method switch
        {
            "1-m" => feet ? (5m, true) : (1m, false),
            "0.5-m" => (0.5m, false),
            "1-ft" => (1m, true),
            "2-ft" => (2m, true),
            "5-ft" => (5m, true),
            _ => throw new ArgumentOutOfRangeException(nameof(method)),
        };
        var metresEach = inFeet ? Length.MetresPerFoot : 1;
        var surface = inFeet ? SurfaceFt : SurfaceM;

        // Down to the last tenth of a metre, or half foot, that keeps off the bottom.
        var last = inFeet
            ? decimal.Floor(((depth.Metres / metresEach) - OffBottomFt) * 2) / 2
            : decimal.Floor((depth.Metres - OffBottomM) * 10) / 10;
        List<decimal> levels = [];
        for (var level = surface; level < last; level = decimal.Floor(level / every) * every + every)
        {
            levels.Add(level);
        }

        if (last > 0)
        {
            levels.Add(last);
        }

        return
        [
            .. levels.Select(l =>
                inFeet
                    ? new Length(l, LengthUnit.Foot, l == decimal.Floor(l) ? 1 : 0.5m)
                    : new Length(l, LengthUnit.Metre, l == decimal.Floor(l) ? 1 : 0.1m)
            ),
        ];
    }

    /// <summary>The levels at a station before it is sounded, by its known depth; none where no profile is due.</summary>
    internal static IReadOnlyList<string> At(PlannedStop stop) =>
        stop.Takes(Protocol.Profile) && stop.Station.KnownDepth.Read().Length is { } depth
            ? [.. Of(stop.Programme.ChoiceOf(ProfileOptions.Levels), depth).Select(LengthText.Write)]
            : [];
}
