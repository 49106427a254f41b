using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;

namespace UpperStill.Core.Science.Chlorophyll;

/// <summary>What a laboratory needs to see chlorophyll.</summary>
/// <param name="DetectionUgMl">Least chlorophyll a that it tells from nothing, µg per mL of extract.</param>
/// <param name="ExtractMl">Volume of its extracts, mL.</param>
/// <param name="PathCm">Light path of its cells, cm.</param>
/// <param name="Method">How it measures.</param>
/// <param name="Calibrations">Its fluorometers' calibrations, oldest first; none is ever changed.</param>
public sealed record ChlorophyllLab(
    [property: Within(0, 100, "µg/mL")] decimal DetectionUgMl,
    [property: Within(0.1, 1000, "mL")] decimal ExtractMl = 10,
    [property: Within(0.1, 20, "cm")] decimal PathCm = 1,
    ChlorophyllMethod Method = ChlorophyllMethod.Monochromatic,
    IReadOnlyList<FluorometerCalibration>? Calibrations = null
);

/// <summary>What the advice on the volume rests on.</summary>
/// <param name="ClarityM">Clarity of the visit, m; null where none was read.</param>
/// <param name="Day">The day.</param>
/// <param name="Before">The station's chlorophyll a so far.</param>
/// <param name="Lab">What the laboratory needs; null where it has not said.</param>
/// <param name="ThroughMl">What went through so far, mL.</param>
/// <param name="Clogged">True where the filter takes no more.</param>
public sealed record FilterVolumeRequest(
    [property: Within(0, 100, "m")] decimal? ClarityM,
    DateOnly Day,
    IReadOnlyList<ChlorophyllBefore> Before,
    ChlorophyllLab? Lab = null,
    [property: Within(0, 100000, "mL")] decimal ThroughMl = 0,
    bool Clogged = false
);

/// <summary>A chlorophyll a of the station's record.</summary>
/// <param name="Day">The day.</param>
/// <param name="UgL">µg/L.</param>
/// <param name="Below">True where it lies under that.</param>
public sealed record ChlorophyllBefore(DateOnly Day, [property: Within(0, 5000, "µg/L")] decimal UgL, bool Below = false);

/// <summary>The advice.</summary>
/// <param name="Text">In words.</param>
/// <param name="VolumeMl">Least volume worth filtering, mL; null where it cannot be said.</param>
/// <param name="Working">How it came about.</param>
/// <param name="Enough">True where what went through is enough, or no more will go.</param>
/// <param name="Finding">Why it is a habit and not worked out; null where it is worked out.</param>
public sealed record FilterVolumeResult(
    string Text,
    decimal? VolumeMl = null,
    Working? Working = null,
    bool Enough = false,
    Finding? Finding = null
);

/// <summary>
/// How much water is worth filtering: so much that the extract reads at least three times the laboratory's detection limit. Expected
/// chlorophyll is the station's median of the month,
/// or follows from the clarity where both indices of Carlson 1977, Limnol. Oceanogr. 22, 361–369, agree.
/// </summary>
public static class FilterVolume
{
    private const decimal TimesTheLimit = 3;
    private const decimal Step = 50;
    private const decimal Usual = 50;
    private const decimal Most = 2000;
    private const int LeastYears = 3;
    private const int Figures = 3;

    /// <summary>Works it out.</summary>
    public static FilterVolumeResult Work(FilterVolumeRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var advice = Advise(request);
        return advice with { Enough = request.ThroughMl > 0 && (request.Clogged || request.ThroughMl >= (advice.VolumeMl ?? Usual)) };
    }

    private static FilterVolumeResult Advise(FilterVolumeRequest request)
    {
        if (request.Lab is not { DetectionUgMl: > 0, ExtractMl: > 0 } lab)
        {
            return Habit("The laboratory’s detection limit is not set up.", "Ask the laboratory, and set it up.");
        }

        var month = request
            .Before.Where(b => b.Day.Month == request.Day.Month && b.Day < request.Day && !b.Below && b.UgL > 0)
            .Select(b => b.UgL)
            .ToList();
        decimal? usual = month.Count >= LeastYears ? Decimals.Median(month) : null;
        if (usual is null && request.ClarityM is not > 0)
        {
            return Habit(
                "No clarity was read, and no chlorophyll of this month is known.",
                "Read the disc, or filter until the filter is tinted."
            );
        }

        static FilterVolumeResult Habit(string seen, string act) =>
            new(
                "Filter 50 mL, more where the filter stays white.",
                Finding: Finding.Check(
                    "volume-by-habit",
                    $"{seen} 50 mL is a habit, not worked out.",
                    "In very clear water the laboratory sees nothing in it.",
                    act
                )
            );

        var expected = usual
            ?? Decimals.ToSignificant((decimal)Math.Exp((29.4 - (14.41 * Math.Log((double)request.ClarityM!.Value))) / 9.81), Figures);
        var needed = TimesTheLimit * lab.DetectionUgMl * lab.ExtractMl / expected * 1000;
        var advised = Math.Clamp(Math.Ceiling(needed / Step) * Step, Usual, Most);
        var text =
            needed > Most ? $"Filter as much as goes through: even {Decimals.Text(Most)} mL may be too little here."
            : advised == Usual ? "50 mL is enough here."
            : $"Filter {Decimals.Text(advised)} mL here: with 50 mL the lab would hardly see it.";
        return new FilterVolumeResult(
            text,
            advised,
            new Working(
                "Volume worth filtering",
                [
                    usual is not null
                        ? new WorkingInput($"median here in this month, {month.Count} years", $"{Decimals.Fixed(expected, 1)} µg/L")
                        : new WorkingInput("clarity today", $"{Decimals.Text(request.ClarityM!.Value)} m"),
                    new WorkingInput("detection limit of the lab", $"{Decimals.Text(lab.DetectionUgMl)} µg/mL of extract"),
                    new WorkingInput("extract", $"{Decimals.Text(lab.ExtractMl)} mL"),
                ],
                [
                    .. usual is not null
                        ? Array.Empty<string>()
                        :
                        [
                            $"Expected: exp((29.4 − 14.41 × ln {Decimals.Text(request.ClarityM!.Value)}) / 9.81) = "
                                + $"{Decimals.Text(expected)} µg/L",
                        ],
                    $"3 × {Decimals.Text(lab.DetectionUgMl)} µg/mL × {Decimals.Text(lab.ExtractMl)} mL / {Decimals.Text(expected)} "
                        + $"µg/L × 1000 = {Decimals.Fixed(needed, 0)} mL",
                    $"In fills of 50 mL: {Decimals.Text(advised)} mL",
                ],
                "So much that the extract reads three times the detection limit. The colour on the filter is the practical check: "
                    + "it should be visibly tinted.",
                "Carlson 1977, Limnol. Oceanogr. 22, 361–369"
            )
        );
    }
}
