using System.Globalization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;

namespace UpperStill.Core.Science.Sky;

/// <summary>A tide that is asked for.</summary>
/// <param name="MeanLevelM">Mean level above the datum, m.</param>
/// <param name="Harmonics">The constituents.</param>
/// <param name="From">The first instant, from 1900 to 2100.</param>
/// <param name="Hours">How many hours, 1–72.</param>
public sealed record TideRequest(
    [property: Within(-1000, 1000, "m")] double MeanLevelM,
    IReadOnlyList<TideHarmonic> Harmonics,
    DateTimeOffset From,
    [property: Within(1, 72, "h")] int Hours = 25
);

/// <summary>The tide over some hours.</summary>
/// <param name="Findings">What stands in the way.</param>
/// <param name="HeightM">Above the datum at the first instant, m.</param>
/// <param name="Turns">High and low waters, in order.</param>
/// <param name="Text">For the reader.</param>
/// <param name="Working">How it came about.</param>
public sealed record TideResult(
    IReadOnlyList<Finding> Findings,
    double? HeightM = null,
    IReadOnlyList<TideTurn>? Turns = null,
    string? Text = null,
    Working? Working = null
);

/// <summary>High and low waters with their working; see <see cref="Tide"/>.</summary>
public static class TideRule
{
    private const int MostHours = 72;
    private const int Figures = 8;
    private const int FirstYear = 1900;
    private const int LastYear = 2100;

    /// <summary>Works it out.</summary>
    public static TideResult Work(TideRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        if (request.Harmonics.Count == 0 || request.Harmonics.Any(h => h.AmplitudeM < 0))
        {
            return new TideResult([
                Finding.Stop(
                    "tide-constants",
                    "A constituent needs an amplitude of 0 m or more.",
                    "Without constants there is no tide to work out.",
                    "Copy them from the tables of the place."
                ),
            ]);
        }

        if (request.Hours is < 1 or > MostHours)
        {
            return new TideResult([
                Finding.Stop(
                    "tide-hours",
                    $"{request.Hours} h are asked for.",
                    "One answer holds at most three days.",
                    $"Ask for 1 to {MostHours} h."
                ),
            ]);
        }

        if (request.From.Year is < FirstYear or > LastYear)
        {
            return new TideResult([
                Finding.Stop(
                    "tide-year",
                    $"{request.From.Year} is outside {FirstYear}–{LastYear}.",
                    "The moon’s node and the mean longitudes are known well enough for these years only.",
                    "Choose another day."
                ),
            ]);
        }

        var constants = new TideConstants(string.Empty, request.MeanLevelM, request.Harmonics);
        var turns = Tide.Turns(constants, request.From, request.From.AddHours(request.Hours))
            .Select(t => t with { At = t.At.ToOffset(request.From.Offset), HeightM = Math.Round(t.HeightM, 3) })
            .ToList();

        // The height at the first instant is summed from the figures as they are printed.
        var parts = request.Harmonics.Select(h => Part(h, request.From)).ToList();
        var mean = Decimals.ToSignificant((decimal)request.MeanLevelM, Figures);
        var height = mean + parts.Sum(p => p.M);
        return new TideResult(
            [
                Finding.Note(
                    "tide-predicted",
                    "Wind and air pressure move the water, too.",
                    "By five constituents a tide is right to some decimetres.",
                    "For safety use the local tables."
                ),
            ],
            (double)decimal.Round(height, 3, MidpointRounding.AwayFromZero),
            turns,
            string.Join(
                "; ",
                turns.Select(t =>
                    $"{(t.High ? "high" : "low")} {t.At.ToString("d MMM HH:mm", CultureInfo.InvariantCulture)}, {Two(t.HeightM)} m"
                )
            ),
            new Working(
                "Tide",
                [
                    new WorkingInput("mean level", $"{Two(request.MeanLevelM)} m"),
                    .. request.Harmonics.Select(h => new WorkingInput(
                        h.Constituent.ToString(),
                        $"{Two(h.AmplitudeM)} m, {h.PhaseLagDeg.ToString("0", CultureInfo.InvariantCulture)}°"
                    )),
                ],
                [
                    .. parts.Select(p => p.Step),
                    $"Together with the mean level at the first instant: {Decimals.Text(mean)} "
                        + $"m{string.Concat(parts.Select(p => $" {(p.M < 0 ? "−" : "+")} {Decimals.Text(Math.Abs(p.M))} m"))} = "
                        + $"{Decimals.Fixed(height, 2)} m",
                ],
                "h(t) = Z0 + Σ f A cos(V(t) + u − g); high and low water where the curve turns.",
                "Pugh 1987, Tides, Surges and Mean Sea-Level, tables 4.1–4.3"
            )
        );
    }

    private static (string Step, decimal M) Part(TideHarmonic harmonic, DateTimeOffset at)
    {
        var (argument, factor) = Tide.Argument(harmonic.Constituent, at);
        var (f, v, a, g) = (
            Math.Round(factor, 5),
            Math.Round(argument, 3),
            Math.Round(harmonic.AmplitudeM, 6),
            Math.Round(harmonic.PhaseLagDeg, 3)
        );
        var part = decimal.Round((decimal)(f * a * Math.Cos((v - g) * Math.PI / 180)), 5, MidpointRounding.AwayFromZero);
        return ($"{harmonic.Constituent}: {Plain(f)} × {Plain(a)} m × cos({Plain(v)}° − {Plain(g)}°) = {Decimals.Text(part)} m", part);
    }

    private static string Plain(double value) => Decimals.Text((decimal)value);

    private static string Two(double value) => Decimals.Fixed(value, 2);
}
