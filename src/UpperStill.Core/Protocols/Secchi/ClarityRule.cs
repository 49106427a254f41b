using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;

namespace UpperStill.Core.Protocols.Secchi;

/// <summary>Works out a clarity from marks on the line, by any of the methods.</summary>
/// <remarks>Mean of disappearance and reappearance: Wetzel &amp; Likens 2000, Limnological Analyses, 3rd ed., exercise 2.</remarks>
public static class ClarityRule
{
    /// <summary>Where the arithmetic of the disc is published.</summary>
    internal const string Source =
        "Wetzel & Likens 2000, Limnological Analyses, 3rd ed., exercise 2; 1 ft = 0.3048 m exactly (1959 agreement)";

    /// <summary>The reported clarity with its working and findings. A special outcome stands before any mark; one reading where two are
    /// asked is used and marked.</summary>
    public static ClarityResult Work(ClarityRequest request)
    {
        var marks = new ReadMarks(request);
        List<Finding> findings = [.. marks.Findings];
        var needed = request.Settings.Needed;
        if (request.Outcome is { } outcome)
        {
            return ClarityOutcome.Work(request, outcome, marks, needed);
        }

        var band = MonthComparison.Band(request, marks);
        var readings = marks.Lowerings.Where(l => l.DepthM is not null).ToList();
        ClarityReading[] shown =
        [
            .. readings.Select(r => new ClarityReading(
                r.Number,
                r.Observer,
                Decimals.Published(r.DepthM!.Value),
                marks.Show(r.DepthM.Value)
            )),
        ];
        if (readings.Count == 0)
        {
            return new ClarityResult(shown, needed, findings, Compared: band);
        }

        List<Lowering> counted = request.OneLowering ? [readings[^1]] : readings;
        var (mean, method) = Combine(counted, marks);
        var reported = Rounding.Round(mean, request.Settings.RoundTo);
        findings.AddRange(ClarityChecks.Whole(request, marks, readings, reported, band));
        var text = LengthText.Show(reported, request.Reader);
        var asRead = AsRead(marks, counted);
        return new ClarityResult(
            shown,
            needed,
            findings,
            Decimals.Published(mean),
            marks.Show(mean),
            Decimals.Published(reported.Metres),
            text,
            Working: Show(request, marks, counted, mean, method, reported),
            Compared: band
        )
        {
            AsReadText = asRead is { } plain ? LengthText.Show(Rounding.Round(plain, request.Settings.RoundTo), request.Reader) : null,
            AsReadM = asRead is { } unrounded ? Decimals.Published(unrounded) : null,
        };
    }

    // Beside a corrected clarity stands what the marks alone would have given: both numbers are kept.
    private static decimal? AsRead(ReadMarks marks, List<Lowering> readings) =>
        marks.Correction is null ? null : Combine([.. readings.Select(r => r with { DepthM = r.AsReadM })], marks).Mean;

    // Two midpoints further apart than a pair may be: a third is asked for, and then the median of them all stands.
    private static (decimal Mean, string Method) Combine(List<Lowering> readings, ReadMarks marks)
    {
        decimal[] depths = [.. readings.Select(r => r.DepthM!.Value)];
        if (depths.Length >= 3 && marks.Apart(depths[0], depths[1]))
        {
            return (Decimals.Median(depths), "median");
        }

        return (depths.Sum() / depths.Length, depths.Length == 1 ? "reading" : "mean");
    }

    // Marks in feet are also given in metres, where the arithmetic is done; marks in metres with every digit.
    private static string Worked(decimal metres, ReadMarks marks) =>
        Length.IsFootBased(marks.Native)
            ? LengthText.Working(metres, marks.Native) + InMetres(metres, marks)
            : $"{Decimals.Text(Decimals.Published(metres))} m";

    private static string InMetres(decimal metres, ReadMarks marks) =>
        Length.IsFootBased(marks.Native) ? $" = {Decimals.Text(Decimals.Published(metres))} m" : string.Empty;

    private static Working Show(
        ClarityRequest request,
        ReadMarks marks,
        List<Lowering> readings,
        decimal mean,
        string method,
        Length reported
    )
    {
        List<string> steps = [];
        if (marks.Correction is { } correction)
        {
            steps.Add(correction.Words);
            steps.AddRange(
                readings.SelectMany(r => r.Marks).Select(m => $"{LengthText.Write(m.Length)} by the marks is {Worked(m.Metres, marks)}")
            );
        }

        foreach (var reading in readings)
        {
            var parts = reading
                .Marks.Select(m => marks.Correction is null ? LengthText.Write(m.Length) : LengthText.Working(m.Metres, marks.Native))
                .ToList();
            steps.Add(
                parts.Count == 1
                    ? $"Reading {reading.Number}: {parts[0]}{InMetres(reading.DepthM!.Value, marks)}"
                    : $"Reading {reading.Number}: ({string.Join(" + ", parts)}) / {parts.Count} = {Worked(reading.DepthM!.Value, marks)}"
            );
        }

        if (readings.Count > 1)
        {
            var all = string.Join(method == "mean" ? " + " : ", ", readings.Select(r => LengthText.Working(r.DepthM!.Value, marks.Native)));
            steps.Add(
                method == "mean"
                    ? $"Mean: ({all}) / {readings.Count} = {Worked(mean, marks)}"
                    : $"Median of {all} = {LengthText.Working(mean, marks.Native)}, because the first two are too far apart"
            );
        }

        steps.Add($"Reported {Rounding.Words(request.Settings.RoundTo)}, half away from zero, once: {LengthText.Write(reported)}");
        var rule =
            readings.Count < request.Settings.Needed
                ? $"{request.Words}. {readings.Count} of {request.Settings.Needed} readings."
                : $"{request.Words}.";
        return new Working("Clarity", [.. ReadMarks.Inputs(readings)], steps, rule, Source);
    }
}
