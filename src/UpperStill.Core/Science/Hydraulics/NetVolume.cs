using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;

namespace UpperStill.Core.Science.Hydraulics;

/// <summary>A tow whose volume is asked for.</summary>
/// <param name="MouthDiameterCm">Inner diameter of the net's mouth, cm.</param>
/// <param name="TowM">Length of the tow: line out for a vertical one, m.</param>
/// <param name="EfficiencyPercent">How much of the water in its way goes through the net, %: 100 where nobody measured it.</param>
/// <param name="LineAngleDeg">Lean of the line from vertical, degrees; a vertical tow reaches less deep by it.</param>
public sealed record NetVolumeRequest(
    [property: Within(0, 1000, "cm")] decimal MouthDiameterCm,
    [property: Within(0, 100000, "m")] decimal TowM,
    [property: Within(0, 200, "%")] decimal EfficiencyPercent = 100,
    [property: Within(0, 180, "°")] decimal LineAngleDeg = 0
);

/// <summary>Water that went through a net.</summary>
/// <param name="Findings">What stands in the way, or weakens it.</param>
/// <param name="VolumeM3">m³; null where it cannot be worked out.</param>
/// <param name="Text">For the reader.</param>
/// <param name="Working">How it came about.</param>
public sealed record NetVolumeResult(
    IReadOnlyList<Finding> Findings,
    decimal? VolumeM3 = null,
    string? Text = null,
    Working? Working = null
);

/// <summary>Volume filtered by a net: π r² L × efficiency.</summary>
/// <remarks>UNESCO 1968, Zooplankton sampling, Monographs on oceanographic methodology 2. Net and line are taken to be straight.</remarks>
public static class NetVolume
{
    // Of a figure that the next step goes on with.
    private const int Figures = 8;
    private const decimal MostAngleDeg = 30;

    /// <summary>Works it out.</summary>
    public static NetVolumeResult Work(NetVolumeRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        if (request is not { MouthDiameterCm: > 0, TowM: > 0, EfficiencyPercent: > 0 and <= 100, LineAngleDeg: >= 0 and < 90 })
        {
            return new NetVolumeResult([
                Finding.Stop(
                    "tow-figures",
                    "Mouth, tow or efficiency is no length or share.",
                    "Animals per litre rest on the water that went through.",
                    "Mouth and tow are above 0, efficiency is above 0 and at most 100 %, the line leans less than 90°."
                ),
            ]);
        }

        var radius = request.MouthDiameterCm / 200;
        var length =
            request.LineAngleDeg == 0
                ? request.TowM
                : Decimals.ToSignificant((decimal)((double)request.TowM * Math.Cos((double)request.LineAngleDeg * Math.PI / 180)), Figures);
        var volume = Math.PI * (double)(radius * radius * length * request.EfficiencyPercent) / 100;
        var text = volume >= 1 ? $"{Three(volume)} m³" : $"{Decimals.Text(decimal.Round((decimal)(volume * 1000), 1))} L";
        return new NetVolumeResult(
            request.LineAngleDeg > MostAngleDeg
                ?
                [
                    Finding.Check(
                        "line-angle",
                        $"The line leans {Decimals.Text(request.LineAngleDeg)}°.",
                        "A line that leans is not straight: the depth is a guess.",
                        "More weight, or wait for less drift."
                    ),
                ]
                : [],
            decimal.Round((decimal)volume, 6),
            text,
            new Working(
                "Water through the net",
                [
                    new WorkingInput("mouth", $"{Decimals.Text(request.MouthDiameterCm)} cm across"),
                    new WorkingInput("tow", $"{Decimals.Text(request.TowM)} m"),
                    new WorkingInput("efficiency", $"{Decimals.Text(request.EfficiencyPercent)} %"),
                    new WorkingInput("lean of the line", $"{Decimals.Text(request.LineAngleDeg)}°"),
                ],
                [
                    $"Radius = {Decimals.Text(request.MouthDiameterCm)} cm / 2 / 100 = {Decimals.Text(radius)} m",
                    .. request.LineAngleDeg > 0
                        ?
                        [
                            $"Length = {Decimals.Text(request.TowM)} m × cos {Decimals.Text(request.LineAngleDeg)}° = "
                                + $"{Decimals.Text(length)} m",
                        ]
                        : Array.Empty<string>(),
                    $"π × {Decimals.Text(radius)}² × {Decimals.Text(length)} m × {Decimals.Text(request.EfficiencyPercent)} / 100 = "
                        + $"{Three(volume)} m³",
                ],
                "A clogging net filters less; an efficiency that nobody measured is 100 %.",
                "UNESCO 1968, Zooplankton sampling, Monographs on oceanographic methodology 2"
            )
        );
    }

    private static string Three(double value) => Decimals.Text(decimal.Round((decimal)value, 3));
}
