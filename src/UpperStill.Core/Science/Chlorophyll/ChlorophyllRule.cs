using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;

namespace UpperStill.Core.Science.Chlorophyll;

/// <summary>An extract to be worked out.</summary>
/// <param name="Readings">What the instrument showed.</param>
/// <param name="FilteredMl">What went through the filter, mL.</param>
public sealed record ChlorophyllRequest(ExtractReadings Readings, [property: Within(0, 100000, "mL")] decimal FilteredMl);

/// <summary>What an extract holds, for the water it came from.</summary>
/// <param name="Findings">What to look at.</param>
/// <param name="ChlorophyllUgL">Chlorophyll a, µg/L; null where it cannot be worked out.</param>
/// <param name="PheophytinUgL">Pheophytin a, µg/L; null where the method does not give it.</param>
/// <param name="ChlorophyllBUgL">Chlorophyll b, µg/L, of the three wavelengths.</param>
/// <param name="ChlorophyllCUgL">Chlorophyll c, µg/L, of the three wavelengths.</param>
/// <param name="Ratio">Before over after acid.</param>
/// <param name="Text">Chlorophyll a for the reader.</param>
/// <param name="Working">How it came about.</param>
public sealed record ChlorophyllResult(
    IReadOnlyList<Finding> Findings,
    decimal? ChlorophyllUgL = null,
    decimal? PheophytinUgL = null,
    decimal? ChlorophyllBUgL = null,
    decimal? ChlorophyllCUgL = null,
    decimal? Ratio = null,
    string? Text = null,
    Working? Working = null
);

/// <summary>
/// Chlorophyll a in the water from what an instrument showed of a filter's extract.
/// Lorenzen 1967, Limnol. Oceanogr. 12, 343–346; in ethanol, Nusch 1980, Arch. Hydrobiol. Beih. 14, 14–36 (ISO 10260:1992); Jeffrey &amp;
/// Humphrey 1975, Biochem. Physiol. Pflanzen 167, 191–194; Holm-Hansen et al. 1965, J. Cons. 30, 3–15.
/// </summary>
public static class ChlorophyllRule
{
    private const decimal LeastRatio = 0.95m;
    private const decimal GreatestRatio = 1.75m;
    private const decimal MostAbsorbance = 4;
    private const decimal MostDilution = 1000;

    // Of a figure that the next step goes on with.
    private const int Figures = 8;

    // What a clear extract shows at most at 750 nm, for each cm of light path.
    private const decimal ClearPerCm = 0.01m;

    /// <summary>Works an extract out. Whatever is missing or cannot be is a finding, and then there is no number.</summary>
    public static ChlorophyllResult Work(ChlorophyllRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var readings = new Readings(request.Readings);
        var litres = request.FilteredMl / 1000;
        if (litres <= 0)
        {
            readings.Findings.Add(
                Finding.Stop(
                    "volume-missing",
                    "No volume was filtered.",
                    "Chlorophyll in the water is what is on the filter, over that volume.",
                    "Look at the label; write the fills down."
                )
            );
        }

        if (readings.ExtractMl is <= 0 or > 1000)
        {
            readings.Findings.Add(
                Finding.Stop(
                    "extract-volume",
                    $"{Readings.Shown(request.Readings.ExtractMl)} mL is not the volume of an extract.",
                    "The result is in proportion to it.",
                    "Usually it is 5 to 15 mL. Type it again."
                )
            );
        }

        readings.CheckDilution();
        return request.Readings.Method switch
        {
            ChlorophyllMethod.Monochromatic => Monochromatic(
                request,
                readings,
                litres,
                "664",
                request.Readings.At664Before,
                26.7m,
                "acetone",
                "Lorenzen 1967, Limnol. Oceanogr. 12, 343–346"
            ),
            ChlorophyllMethod.HotEthanol => Monochromatic(
                request,
                readings,
                litres,
                "665",
                request.Readings.At665Before,
                29.6m,
                "hot ethanol",
                "Nusch 1980, Arch. Hydrobiol. Beih. 14, 14–36; ISO 10260:1992"
            ),
            ChlorophyllMethod.Trichromatic => Trichromatic(request, readings, litres),
            _ => Fluorometric(request, readings, litres),
        };
    }

    // Ethanol takes up other light than acetone does: another wavelength, another factor, the same equation.
    private static ChlorophyllResult Monochromatic(
        ChlorophyllRequest request,
        Readings of,
        decimal litres,
        string nm,
        string? atBefore,
        decimal factor,
        string solvent,
        string source
    )
    {
        var given = request.Readings;
        var (path, before, blank, after, acidBlank) = (
            of.Path(),
            of.Absorbance(nm + " before acid", atBefore),
            of.Absorbance("750 before acid", given.At750Before),
            of.Absorbance("665 after acid", given.At665After),
            of.Absorbance("750 after acid", given.At750After)
        );
        if (of.Stopped)
        {
            return new ChlorophyllResult(of.Findings);
        }

        of.Clear(path, blank, acidBlank);
        var (b, a) = (before - blank, after - acidBlank);
        var scale = Decimals.ToSignificant(of.ExtractMl * of.Dilution / (litres * path), Figures);
        var (chlorophyll, pheophytin) = (factor * (b - a) * scale, factor * ((1.7m * a) - b) * scale);
        decimal? ratio = a == 0 ? null : b / a;
        of.RatioIn(ratio, LeastRatio, GreatestRatio, "1.0 to 1.7 is possible");
        return Give(
            of,
            chlorophyll,
            pheophytin,
            null,
            null,
            ratio,
            [
                .. of.Volumes(request.FilteredMl),
                new WorkingInput("light path", $"{Decimals.Text(path)} cm"),
                new WorkingInput($"{nm} and 750 nm before acid", $"{Decimals.Text(before)}, {Decimals.Text(blank)}"),
                new WorkingInput("665 and 750 nm after acid", $"{Decimals.Text(after)}, {Decimals.Text(acidBlank)}"),
            ],
            [
                $"{nm}b = {Decimals.Text(before)} − {Decimals.Text(blank)} = {Decimals.Text(b)}",
                $"665a = {Decimals.Text(after)} − {Decimals.Text(acidBlank)} = {Decimals.Text(a)}",
                $"V1 / (V2 L) = {Decimals.Text(of.ExtractMl)}{of.Diluted} / ({Decimals.Text(litres)} × {Decimals.Text(path)}) = "
                    + $"{Decimals.Text(scale)}",
                $"Chlorophyll a = {Decimals.Text(factor)} × ({Decimals.Text(b)} − {Decimals.Text(a)}) × {Decimals.Text(scale)} = "
                    + $"{Decimals.Fixed(chlorophyll, 2)} µg/L",
                $"Pheophytin a = {Decimals.Text(factor)} × (1.7 × {Decimals.Text(a)} − {Decimals.Text(b)}) × {Decimals.Text(scale)} "
                    + $"= {Decimals.Fixed(pheophytin, 2)} µg/L",
                ratio is { } r
                    ? $"{nm}b / 665a = {Decimals.Text(b)} / {Decimals.Text(a)} = {Decimals.Fixed(r, 2)}"
                    : $"{nm}b / 665a: nothing after acid",
            ],
            $"Monochromatic, in {solvent}, with acid: what acid takes away is chlorophyll, what stays is pheophytin.",
            source
        );
    }

    private static ChlorophyllResult Trichromatic(ChlorophyllRequest request, Readings of, decimal litres)
    {
        var given = request.Readings;
        var (path, blank, at664, at647, at630) = (
            of.Path(),
            of.Absorbance("750", given.At750Before),
            of.Absorbance("664", given.At664Before),
            of.Absorbance("647", given.At647),
            of.Absorbance("630", given.At630)
        );
        if (of.Stopped)
        {
            return new ChlorophyllResult(of.Findings);
        }

        of.Clear(path, blank);
        var (r, g, o) = (at664 - blank, at647 - blank, at630 - blank);
        var scale = Decimals.ToSignificant(of.ExtractMl * of.Dilution / (litres * path), Figures);
        var (ca, cb, cc) = (
            (11.85m * r) - (1.54m * g) - (0.08m * o),
            (21.03m * g) - (5.43m * r) - (2.66m * o),
            (24.52m * o) - (7.60m * g) - (1.67m * r)
        );
        return Give(
            of,
            ca * scale,
            null,
            cb * scale,
            cc * scale,
            null,
            [
                .. of.Volumes(request.FilteredMl),
                new WorkingInput("light path", $"{Decimals.Text(path)} cm"),
                new WorkingInput(
                    "664, 647, 630 and 750 nm",
                    $"{Decimals.Text(at664)}, {Decimals.Text(at647)}, {Decimals.Text(at630)}, {Decimals.Text(blank)}"
                ),
            ],
            [
                $"Less the 750 nm: {Decimals.Text(r)}, {Decimals.Text(g)}, {Decimals.Text(o)}",
                $"Ca = 11.85 × {Decimals.Text(r)} − 1.54 × {Decimals.Text(g)} − 0.08 × {Decimals.Text(o)} = {Decimals.Text(ca)} µg/mL",
                $"V1 / (V2 L) = {Decimals.Text(of.ExtractMl)}{of.Diluted} / ({Decimals.Text(litres)} × {Decimals.Text(path)}) = "
                    + $"{Decimals.Text(scale)}",
                $"Chlorophyll a = {Decimals.Text(ca)} × {Decimals.Text(scale)} = {Decimals.Fixed(ca * scale, 2)} µg/L",
                $"Cb = 21.03 × {Decimals.Text(g)} − 5.43 × {Decimals.Text(r)} − 2.66 × {Decimals.Text(o)} = {Decimals.Text(cb)} µg/mL",
                $"Chlorophyll b = {Decimals.Text(cb)} × {Decimals.Text(scale)} = {Decimals.Fixed(cb * scale, 2)} µg/L",
                $"Cc = 24.52 × {Decimals.Text(o)} − 7.6 × {Decimals.Text(g)} − 1.67 × {Decimals.Text(r)} = {Decimals.Text(cc)} µg/mL",
                $"Chlorophyll c = {Decimals.Text(cc)} × {Decimals.Text(scale)} = {Decimals.Fixed(cc * scale, 2)} µg/L",
            ],
            "Trichromatic, in 90 % acetone. Pheophytin is not told apart: it counts as chlorophyll.",
            "Jeffrey & Humphrey 1975, Biochem. Physiol. Pflanzen 167, 191–194"
        );
    }

    private static ChlorophyllResult Fluorometric(ChlorophyllRequest request, Readings of, decimal litres)
    {
        var given = request.Readings;
        var (before, after) = (
            of.Number("fluorescence before acid", given.FluorescenceBefore),
            of.Number("fluorescence after acid", given.FluorescenceAfter)
        );
        if (given.Calibration is not { AcidRatio: > 1, Factor: > 0 } calibration)
        {
            of.Findings.Add(
                Finding.Stop(
                    "calibration-missing",
                    "No calibration of the fluorometer.",
                    "Its reading has no unit without one.",
                    "Choose the calibration that held on that day; its acid ratio is above 1."
                )
            );
            return new ChlorophyllResult(of.Findings);
        }

        if (of.Stopped)
        {
            return new ChlorophyllResult(of.Findings);
        }

        var (k, r) = (calibration.Factor, calibration.AcidRatio);
        var (slope, volumes) = (
            Decimals.ToSignificant(k * r / (r - 1), Figures),
            Decimals.ToSignificant(of.ExtractMl * of.Dilution / request.FilteredMl, Figures)
        );
        var scale = slope * volumes;
        var (chlorophyll, pheophytin) = (scale * (before - after), scale * ((r * after) - before));
        decimal? ratio = after == 0 ? null : before / after;
        of.RatioIn(ratio, LeastRatio, r * 1.03m, $"1.0 to {Decimals.Text(r)} is possible");
        return Give(
            of,
            chlorophyll,
            pheophytin,
            null,
            null,
            ratio,
            [
                .. of.Volumes(request.FilteredMl),
                new WorkingInput("before and after acid", $"{Decimals.Text(before)}, {Decimals.Text(after)}"),
                new WorkingInput(
                    $"calibration {calibration.Version} of {calibration.Instrument}",
                    $"K {Decimals.Text(k)}, r {Decimals.Text(r)}"
                ),
            ],
            [
                $"K r / (r − 1) = {Decimals.Text(k)} × {Decimals.Text(r)} / {Decimals.Text(r - 1)} = {Decimals.Text(slope)}",
                $"V1 / V2 = {Decimals.Text(of.ExtractMl)}{of.Diluted} mL / {Decimals.Text(request.FilteredMl)} mL = "
                    + $"{Decimals.Text(volumes)}",
                $"Chlorophyll a = {Decimals.Text(slope)} × {Decimals.Text(volumes)} × ({Decimals.Text(before)} − "
                    + $"{Decimals.Text(after)}) = {Decimals.Fixed(chlorophyll, 2)} µg/L",
                $"Pheophytin a = {Decimals.Text(slope)} × {Decimals.Text(volumes)} × ({Decimals.Text(r)} × {Decimals.Text(after)} − "
                    + $"{Decimals.Text(before)}) = {Decimals.Fixed(pheophytin, 2)} µg/L",
            ],
            "Fluorescence before and after acid, with the calibration that held on that day.",
            "Holm-Hansen et al. 1965, J. Cons. 30, 3–15"
        );
    }

    private static ChlorophyllResult Give(
        Readings of,
        decimal a,
        decimal? pheophytin,
        decimal? b,
        decimal? c,
        decimal? ratio,
        IReadOnlyList<WorkingInput> inputs,
        IReadOnlyList<string> steps,
        string rule,
        string source
    )
    {
        if (a < 0)
        {
            of.Findings.Add(
                Finding.Check(
                    "chlorophyll-negative",
                    $"Chlorophyll a comes out at {Decimals.Fixed(a, 2)} µg/L.",
                    "Less than nothing means a blank, a cell or two readings changed about.",
                    "Measure again."
                )
            );
        }

        return new ChlorophyllResult(
            of.Findings,
            Round(a),
            pheophytin is { } p ? Round(p) : null,
            b is { } bb ? Round(bb) : null,
            c is { } cc ? Round(cc) : null,
            ratio is { } r ? decimal.Round(r, 3, MidpointRounding.AwayFromZero) : null,
            $"{Decimals.Fixed(a, 2)} µg/L",
            new Working("Chlorophyll a", inputs, steps, rule, source)
        );
    }

    private static decimal Round(decimal value) => Decimals.Plain(decimal.Round(value, 4, MidpointRounding.AwayFromZero));

    /// <summary>Readings as numbers; what cannot be read is a finding.</summary>
    private sealed class Readings(ExtractReadings given)
    {
        internal List<Finding> Findings { get; } = [];

        internal bool Stopped => Findings.Any(f => f.Level == FindingLevel.Stop);

        internal decimal ExtractMl => NumberText.Read(given.ExtractMl).Value ?? 0;

        internal decimal Dilution => string.IsNullOrWhiteSpace(given.Dilution) ? 1 : NumberText.Read(given.Dilution).Value ?? 1;

        internal string Diluted => Dilution == 1 ? string.Empty : $" × {Decimals.Text(Dilution)}";

        internal static string Shown(string text) => text.Length > 12 ? text[..12] + "…" : text;

        internal IEnumerable<WorkingInput> Volumes(decimal filteredMl) =>
            [
                new("filtered, V2", $"{Decimals.Text(filteredMl)} mL"),
                new(
                    "extract, V1",
                    $"{Decimals.Text(ExtractMl)} mL{(Dilution == 1 ? string.Empty : $", diluted {Decimals.Text(Dilution)} times")}"
                ),
            ];

        internal decimal Path()
        {
            var path = given.PathCm is null ? 1 : Number("light path", given.PathCm);
            if (path is <= 0 or > 20)
            {
                Findings.Add(
                    Finding.Stop(
                        "light-path",
                        $"{Decimals.Text(path)} cm is not a light path.",
                        "The result is in proportion to it.",
                        "Usually 1, 4, 5 or 10 cm."
                    )
                );
            }

            return path;
        }

        internal decimal Absorbance(string at, string? written)
        {
            var value = Number(at + " nm", written);
            if (Math.Abs(value) > MostAbsorbance)
            {
                Findings.Add(
                    Finding.Stop(
                        "absorbance-range",
                        $"{Decimals.Text(value)} at {at} nm is not an absorbance.",
                        "Nothing gets through above 3; perhaps a point is lost.",
                        "Type it again as the display shows it."
                    )
                );
            }

            return value;
        }

        internal decimal Number(string what, string? written)
        {
            var (value, finding) = NumberText.Read(written);
            if (finding is not null)
            {
                Findings.Add(finding with { Seen = $"{what}: {finding.Seen}" });
            }

            return value ?? 0;
        }

        internal void CheckDilution()
        {
            if (!string.IsNullOrWhiteSpace(given.Dilution) && NumberText.Read(given.Dilution).Value is not (>= 1 and <= MostDilution))
            {
                Findings.Add(
                    Finding.Stop(
                        "dilution",
                        $"“{Shown(given.Dilution)}” is no dilution.",
                        "The result is in proportion to it.",
                        "Type how many times: 5 for one part extract to four parts solvent; leave it empty for none."
                    )
                );
            }
        }

        internal void Clear(decimal path, params decimal[] at750)
        {
            if (at750.Max() is var most && most > ClearPerCm * path)
            {
                Findings.Add(
                    Finding.Check(
                        "extract-turbid",
                        $"{Decimals.Text(most)} at 750 nm over {Decimals.Text(path)} cm: a clear extract shows "
                            + $"{Decimals.Text(ClearPerCm * path)} at most.",
                        "What scatters light there scatters more at 664 nm, and counts as chlorophyll.",
                        "Spin or filter the extract, wipe the cell, read again."
                    )
                );
            }
        }

        internal void RatioIn(decimal? ratio, decimal least, decimal greatest, string possible)
        {
            if (ratio is not { } r || r < least || r > greatest)
            {
                Findings.Add(
                    Finding.Check(
                        "acid-ratio-off",
                        $"Ratio {(ratio is { } value ? Decimals.Fixed(value, 2) : "without end")}; {possible}.",
                        "Acid, wavelength or blank is in doubt.",
                        "Measure again."
                    )
                );
            }
        }
    }
}
