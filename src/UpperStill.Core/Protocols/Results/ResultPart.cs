using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Protocols.Streams;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Chlorophyll;
using UpperStill.Core.Science.Hydraulics;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Laboratories;

namespace UpperStill.Core.Protocols.Results;

/// <summary>The results of a visit's samples, and what the visit says of each analyte.</summary>
internal static class ResultPart
{
    internal static void Fold(SheetDraft draft, IEnumerable<SampleDraft> samples)
    {
        foreach (var sample in samples)
        {
            var released = draft
                .Standing(ResultKinds.Reported)
                .Where(r => r.Body.Samples.Any(n => SampleNumber.Same(n, sample.Number)))
                .Select(r => r.Entry.At.UtcTicks)
                .DefaultIfEmpty(0)
                .Max();
            List<SampleResult> results = [];
            foreach (var measured in draft.Standing(ResultKinds.Measured).Where(m => SampleNumber.Same(m.Body.Sample, sample.Number)))
            {
                results.AddRange(Measured(sample, measured, measured.Entry.At.UtcTicks <= released));
            }

            foreach (var result in draft.Standing(ResultKinds.Result).Where(r => SampleNumber.Same(r.Body.Sample, sample.Number)))
            {
                results.Add(Reported(draft, sample, result));
            }

            // Lost and rejected samples keep what was said of them; it does not count.
            var counts = sample.State is not (SampleState.Lost or SampleState.Rejected);
            foreach (var analyte in results.GroupBy(r => r.Analyte).OrderBy(g => g.Key, StringComparer.Ordinal))
            {
                var last = analyte.LastOrDefault(r => r.Value is not null && r.Qualifier != Qualifier.Rejected);
                sample.Results.AddRange(analyte.Select(r => r with { Stands = counts && r == last }));
                var differing = analyte
                    .Where(r => r.Value is not null && r.Qualifier != Qualifier.Rejected)
                    .DistinctBy(r => (r.Value, r.Below))
                    .ToList();
                if (differing.Count > 1)
                {
                    sample.Findings.Add(
                        Finding
                            .Check(
                                "result-twice",
                                $"{sample.Number} has two results of {last!.Name}: {differing[^2].Text} and {last.Text}.",
                                "One of them is wrong, or belongs to another bottle; the later stands for now.",
                                "Ask the laboratory and strike one."
                            )
                            .On(Beside.Result, differing.Select(r => r.Entry))
                    );
                }
            }
        }
    }

    private static IEnumerable<SampleResult> Measured(SampleDraft sample, Read<MeasuredBody> measured, bool released)
    {
        var result = ChlorophyllRule.Work(new ChlorophyllRequest(measured.Body.Readings, sample.Filter?.TotalMl ?? 0));
        sample.Findings.AddRange(result.Findings.Select(f => f.On(Beside.Result, measured.Entry.Id)));
        foreach (var (code, value) in new[] { ("chlorophyll-a", result.ChlorophyllUgL), ("pheophytin-a", result.PheophytinUgL) })
        {
            if (value is { } number)
            {
                var analyte = Analytes.Find(code)!;
                yield return new SampleResult(
                    measured.Entry.Id,
                    code,
                    analyte.Name,
                    $"{Decimals.Fixed(number, 2)} {analyte.Unit}",
                    analyte.Unit,
                    false,
                    false,
                    number,
                    Final: released
                )
                {
                    Method = measured.Body.Readings.Method.ToString().ToLowerInvariant(),
                    On = measured.Body.On,
                    Working = result.Working,
                };
            }
        }
    }

    private static SampleResult Reported(SheetDraft draft, SampleDraft sample, Read<ResultBody> result)
    {
        var value = ReportedValue.Read(result.Body);
        sample.Findings.AddRange(value.Findings.Select(f => f.On(Beside.Result, result.Entry.Id)));
        return new SampleResult(
            result.Entry.Id,
            result.Body.Analyte,
            value.Analyte?.Name ?? result.Body.Analyte,
            value.Text,
            value.Analyte?.Unit ?? result.Body.Unit ?? string.Empty,
            value.Below,
            false,
            value.Value,
            result.Body.Qualifier
        )
        {
            Method = result.Body.Method,
            On = result.Body.On,
            Conversion = value.Conversion,
            Load = LoadOf(draft, sample, value),
        };
    }

    private static LoadResult? LoadOf(SheetDraft draft, SampleDraft sample, ReportedValue value)
    {
        // What was written with the sample first; else what flowed when the same protocol filled it.
        var (flow, unit) =
            draft.Standing(ResultKinds.Flow).LastOrDefault(f => SampleNumber.Same(f.Body.Sample, sample.Number)) is { } written
                ? (written.Body.Value, written.Body.Unit)
            : StreamReadings.Today(draft, sample.Place.Code) is { } today ? (Decimals.Text(today), "m³/s")
            : (null, string.Empty);
        if (value is not { Value: { } number, Analyte: { } analyte, Below: false } || flow is null)
        {
            return null;
        }

        decimal? perMgL =
            analyte.Unit.StartsWith("µg/L", StringComparison.Ordinal) ? 0.001m
            : analyte.Unit.StartsWith("mg/L", StringComparison.Ordinal) ? 1
            : null;
        return perMgL is { } factor ? Load.Work(new LoadRequest(number * factor, flow, unit)) : null;
    }

    /// <summary>Replicates averaged where they agree, judged where they do not; blanks held against what they are blanks of.</summary>
    internal static (List<VisitValue> Values, List<(SampleDraft, Finding)> About) Values(
        SheetDraft draft,
        IReadOnlyCollection<SampleDraft> samples
    )
    {
        List<VisitValue> values = [];
        List<(SampleDraft, Finding)> about = [];
        var standing = samples
            .Where(s => !s.Blank)
            .SelectMany(s => s.Results.Where(r => r is { Stands: true, Final: true, Value: not null }).Select(r => (Sample: s, Result: r)));
        foreach (var group in standing.GroupBy(s => (s.Result.Analyte, s.Sample.Place.Code)))
        {
            var all = group.OrderBy(s => s.Sample.Replicate).ThenBy(s => s.Sample.Number, StringComparer.Ordinal).ToList();
            values.Add(One(draft, all, about));
        }

        foreach (
            var (blank, result) in samples
                .Where(s => s.Blank)
                .SelectMany(s => s.Results.Where(r => r is { Stands: true, Below: false, Value: > 0 }).Select(r => (s, r)))
        )
        {
            var least = values.Where(v => v.Analyte == result.Analyte && !v.Below).Select(v => (decimal?)v.Value).Min();
            if (least is null || result.Value > least / 10)
            {
                about.Add(
                    (
                        blank,
                        Finding
                            .Check(
                                "blank-high",
                                $"The blank reads {result.Text} of {result.Name}.",
                                "What is in the blank is in the samples, too.",
                                "Look at bottles, lab water and filters; ask the laboratory."
                            )
                            .On(Beside.Result, result.Entry)
                    )
                );
            }
        }

        values.Sort((a, b) => string.CompareOrdinal(a.Analyte + a.Place, b.Analyte + b.Place));
        return (values, about);
    }

    private static VisitValue One(SheetDraft draft, List<(SampleDraft Sample, SampleResult Result)> all, List<(SampleDraft, Finding)> about)
    {
        var first = all[0];
        var inputs = all.Select(s => new WorkingInput(
                s.Sample.Number,
                $"{Sign(s.Result)}{Decimals.Text(s.Result.Value!.Value)} {s.Result.Unit}",
                s.Result.Entry
            ))
            .ToList();
        if (all.Count == 1 || all.Any(s => s.Result.Below || s.Result.Qualifier == Qualifier.Above))
        {
            return Make(
                first.Result.Value!.Value,
                first.Result.Below,
                [first.Sample.Number],
                [],
                all.Count == 1 ? "One sample."
                    : all.Any(s => s.Result.Below) ? "One of the replicates lies below the limit: the first stands alone."
                    : "One of the replicates lies above what could be counted: the first stands alone."
            );
        }

        var (low, high) = (all.Min(s => s.Result.Value!.Value), all.Max(s => s.Result.Value!.Value));
        var difference = low + high == 0 ? 0 : 200 * (high - low) / (low + high);
        var mean = all.Average(s => s.Result.Value!.Value);
        var spread = (decimal)Math.Sqrt(all.Sum(s => Math.Pow((double)(s.Result.Value!.Value - mean), 2)) / (all.Count - 1));
        var steps = new[]
        {
            $"Relative difference = 200 × ({Decimals.Text(high)} − {Decimals.Text(low)}) / ({Decimals.Text(high)} + "
                + $"{Decimals.Text(low)}) = {Decimals.Fixed(difference, 0)} %",
            $"Standard deviation (n − 1) = {Decimals.Significant(spread, 3)} "
                + $"{first.Result.Unit}{(mean == 0 ? string.Empty : $", {Decimals.Fixed(100 * spread / mean, 0)} % of the mean")}",
            $"Mean of {all.Count} = {Decimals.Text(decimal.Round(mean, 4, MidpointRounding.AwayFromZero))} {first.Result.Unit}",
        };
        if (difference > draft.Context.Programme.Of(ResultsOptions.ReplicatesApart))
        {
            about.Add(
                (
                    all[1].Sample,
                    Finding
                        .Check(
                            "replicates-apart",
                            $"{first.Result.Text} and {all[1].Result.Text} differ by {Decimals.Fixed(difference, 0)} %.",
                            "Two bottles of one water should agree.",
                            "Look at volumes, tears, labels."
                        )
                        .On(Beside.Result, all.Select(s => s.Result.Entry))
                )
            );
        }

        return Make(
            mean,
            false,
            [.. all.Select(s => s.Sample.Number)],
            steps,
            "Replicates are averaged; where they lie apart the mean is kept with a finding."
        );

        VisitValue Make(decimal value, bool below, IReadOnlyList<string> numbers, IReadOnlyList<string> steps, string rule)
        {
            var above = numbers.Count == 1 && first.Result.Qualifier == Qualifier.Above;
            var shown = Decimals.Text(decimal.Round(value, value < 10 ? 2 : 1, MidpointRounding.AwayFromZero));
            return new VisitValue(
                first.Result.Analyte,
                first.Result.Name,
                first.Sample.Place.Code,
                first.Sample.Depth,
                Decimals.Published(value),
                below,
                first.Result.Unit,
                $"{(above ? "> " : below ? "< " : string.Empty)}{shown} {first.Result.Unit}",
                numbers,
                new Working(
                    $"{first.Result.Name}, {first.Sample.Depth}",
                    inputs,
                    steps,
                    rule,
                    "Helsel 2012, Statistics for Censored Environmental Data, 2nd ed., for values below the limit"
                )
            )
            {
                Method = first.Result.Method,
                Above = above,
            };
        }
    }

    private static string Sign(SampleResult result) =>
        result.Below ? "< "
        : result.Qualifier == Qualifier.Above ? "> "
        : string.Empty;
}
