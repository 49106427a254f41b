using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Science.Oxygen;

/// <summary>The oxygen of one visit, as its profile leaves it in the record.</summary>
/// <param name="Day">Local day.</param>
/// <param name="AnoxicM">Depth below which the water is anoxic, m; null where it is not.</param>
/// <param name="AnoxicArea">Share of the lake's area below it, 0–1; null without a table of areas.</param>
/// <param name="DeepMgL">Oxygen of the water below the metalimnion, by volume, mg/L; null in a mixed column.</param>
/// <param name="DeepThicknessM">Mean thickness of that water, m.</param>
/// <param name="BottomMgL">Oxygen at the deepest level, mg/L.</param>
/// <param name="HypoxicM">Depth below which it is hypoxic, m.</param>
public sealed record OxygenVisit(
    DateOnly Day,
    [property: Within(0, 11000, "m")] double? AnoxicM = null,
    [property: Within(0, 1, "of the area")] double? AnoxicArea = null,
    [property: Within(0, 100, "mg/L")] double? DeepMgL = null,
    [property: Within(0, 11000, "m")] double? DeepThicknessM = null,
    [property: Within(0, 100, "mg/L")] double? BottomMgL = null,
    [property: Within(0, 11000, "m")] double? HypoxicM = null
);

/// <summary>Visits to be summed up by season.</summary>
/// <param name="Visits">In any order.</param>
/// <param name="Window">The programme’s window: where it runs over the New Year, so do the seasons; null takes calendar years.</param>
public sealed record OxygenSeasonsRequest(IReadOnlyList<OxygenVisit> Visits, SummarySettings? Window = null);

/// <summary>The oxygen of one season.</summary>
/// <param name="Year">The year; of a season over the New Year that in which it ends.</param>
/// <param name="Name">Its name, such as 2025 or 2025/26.</param>
/// <param name="Visits">Profiles with oxygen.</param>
/// <param name="AnoxicFactorDays">Anoxic factor, days per season; null where visits are too few or too far apart.</param>
/// <param name="DeficitMgM2Day">Areal hypolimnetic oxygen deficit, mg/m²/day; null where the layers stood for fewer than three
/// visits.</param>
/// <param name="LeastBottomMgL">Least oxygen at the bottom, mg/L.</param>
/// <param name="ShallowestAnoxicM">Where the airless water stood highest, m; null where it never was.</param>
/// <param name="ShallowestHypoxicM">Where the hypoxic water stood highest, m.</param>
/// <param name="Text">In words.</param>
/// <param name="Working">How it came about.</param>
public sealed record OxygenSeason(
    int Year,
    string Name,
    int Visits,
    double? AnoxicFactorDays,
    double? DeficitMgM2Day,
    double? LeastBottomMgL,
    double? ShallowestAnoxicM,
    double? ShallowestHypoxicM,
    string Text,
    Working? Working = null
);

/// <summary>Oxygen by season.</summary>
/// <param name="Seasons">Oldest first.</param>
public sealed record OxygenSeasonsResult(IReadOnlyList<OxygenSeason> Seasons);

/// <summary>How long and over how much of the bottom a lake is without oxygen, and how fast its deep water loses it.</summary>
/// <remarks>
/// Anoxic factor: Nürnberg 1995, Limnol. Oceanogr. 40, 1100–1111. Areal hypolimnetic oxygen deficit: Hutchinson 1957, A Treatise on
/// Limnology, vol. 1; the slope by least squares
/// while the layers stand. Nothing is laid over a gap of more than 45 days.
/// </remarks>
public static class OxygenSeasons
{
    private const int GreatestGapDays = 45;
    private const int LeastVisits = 3;

    /// <summary>Sums them up.</summary>
    public static OxygenSeasonsResult Work(OxygenSeasonsRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var window = request.Window ?? new SummarySettings(1, 12, 1);
        return new OxygenSeasonsResult([
            .. request
                .Visits.Where(v => v.BottomMgL is not null)
                .GroupBy(v => window.SeasonOf(v.Day))
                .OrderBy(g => g.Key)
                .Select(g => Season(g.Key, window.NameOf(g.Key), [.. g.OrderBy(v => v.Day)])),
        ]);
    }

    private static OxygenSeason Season(int year, string name, OxygenVisit[] visits)
    {
        var (factor, spans) = Factor(visits);
        var (deficit, slope) = Deficit(visits);
        var least = visits.Min(v => v.BottomMgL);
        List<string> said = [$"at the bottom at least {Fixed(least!.Value, 1)} mg/L"];
        if (visits.Min(v => v.AnoxicM) is { } airless)
        {
            said.Add($"without oxygen from {Fixed(airless, 1)} m down at worst");
        }

        if (factor is { } days)
        {
            said.Add($"anoxic factor {Fixed(days, 1)} days");
        }

        if (deficit is { } rate)
        {
            said.Add($"the deep water loses {Fixed(rate, 0)} mg/m² a day");
        }
        else
        {
            said.AddRange(slope);
        }

        return new OxygenSeason(
            year,
            name,
            visits.Length,
            Round(factor, 2),
            Round(deficit, 1),
            Round(least, 3),
            Round(visits.Min(v => v.AnoxicM), 3),
            Round(visits.Min(v => v.HypoxicM), 3),
            string.Join("; ", said),
            factor is null && deficit is null
                ? null
                : new Working(
                    $"Oxygen of {name}",
                    [.. visits.Select(v => new WorkingInput($"{v.Day:d MMM}", Words(v)))],
                    [.. spans, .. slope],
                    "Each span between two visits counts the mean of the airless shares at its ends; the deficit is the fall of the "
                        + "deep water’s oxygen times its mean thickness.",
                    "Nürnberg 1995, Limnol. Oceanogr. 40, 1100–1111; Hutchinson 1957, A Treatise on Limnology, vol. 1"
                )
        );
    }

    private static (double? Days, IReadOnlyList<string> Steps) Factor(OxygenVisit[] visits)
    {
        if (
            visits.Length < 2
            || visits.Any(v => v.AnoxicArea is null)
            || visits.Zip(visits.Skip(1)).Any(p => p.Second.Day.DayNumber - p.First.Day.DayNumber > GreatestGapDays)
        )
        {
            return (null, []);
        }

        var spans = visits
            .Zip(visits.Skip(1), (a, b) =>
                (Days: b.Day.DayNumber - a.Day.DayNumber, Share: Math.Round((a.AnoxicArea!.Value + b.AnoxicArea!.Value) / 2, 6))
            )
            .ToList();
        var sum = spans.Sum(s => s.Days * s.Share);
        return (
            sum,
            [
                "Σ days × airless share of the area: "
                    + $"{string.Join(" + ", spans.Where(s => s.Share > 0).Select(s => $"{s.Days} × {Fixed(s.Share, 6)}").DefaultIfEmpty("0"))} = {Fixed(sum, 1)} days",
            ]
        );
    }

    private static (double? MgM2Day, IReadOnlyList<string> Steps) Deficit(OxygenVisit[] visits)
    {
        // Where nothing is left nothing more can be lost: the fall is read while there is oxygen.
        var layered = visits.Where(v => v is { DeepMgL: > 1, DeepThicknessM: > 0 }).ToList();
        var days = layered.Select(v => v.Day).Distinct().Count();
        if (days < LeastVisits)
        {
            // A slope over visits of one day would be a quotient by nothing.
            return (
                null,
                layered.Count < LeastVisits
                    ? []
                    :
                    [
                        $"no deficit: {layered.Count} visits, but on {days} {(days == 1 ? "day" : "days")} only; a fall is read "
                            + $"over {LeastVisits}",
                    ]
            );
        }

        var (t, o) = (layered.Average(v => v.Day.DayNumber), layered.Average(v => v.DeepMgL!.Value));
        var slope = (double)
            Decimals.ToSignificant(
                (decimal)(
                    layered.Sum(v => (v.Day.DayNumber - t) * (v.DeepMgL!.Value - o)) / layered.Sum(v => Math.Pow(v.Day.DayNumber - t, 2))
                ),
                8
            );
        var thick = Math.Round(layered.Average(v => v.DeepThicknessM!.Value), 4);

        // mg/L is g/m³: a thousand mg for each m³.
        var deficit = -slope * thick * 1000;
        return (
            deficit,
            [
                $"Fall of the deep water’s oxygen, least squares over {layered.Count} visits = {Decimals.Text(-(decimal)slope)} mg/L a day",
                $"Fall × mean thickness × 1000 = {Decimals.Text(-(decimal)slope)} × {Fixed(thick, 4)} m × 1000 = "
                    + $"{Fixed(deficit, 0)} mg/m² a day",
            ]
        );
    }

    private static string Words(OxygenVisit visit) =>
        string.Join(
            ", ",
            new[]
            {
                $"bottom {Fixed(visit.BottomMgL!.Value, 1)} mg/L",
                visit.AnoxicArea is > 0 and var share ? $"airless {Fixed(share, 3)} of the area" : null,
                visit.DeepMgL is { } deep ? $"deep water {Fixed(deep, 2)} mg/L, {Fixed(visit.DeepThicknessM ?? 0, 1)} m thick" : null,
            }.OfType<string>()
        );

    private static string Fixed(double value, int decimals) => Decimals.Fixed((decimal)value, decimals);

    private static double? Round(double? value, int decimals) => value is { } v ? Math.Round(v, decimals) : null;
}
