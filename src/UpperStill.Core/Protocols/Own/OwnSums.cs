using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Science.Counting;
using UpperStill.Core.Science.Hydraulics;
using UpperStill.Core.Setup.Composed;
using UpperStill.Core.Setup.Equipment;

namespace UpperStill.Core.Protocols.Own;

/// <summary>What a composed protocol works out of its boxes: a summary of the tries that count, or an equation of Core.</summary>
internal static class OwnSums
{
    private const int Figures = 3;
    private const string Arithmetic = "Arithmetic";

    internal static SheetDerived Of(ProtocolRun run, ComposedProtocol composed, OwnScript own, ComposedSum sum)
    {
        var unit = ComposedUnits.Of(composed, sum);
        var first = Read(run, own, sum.Field);
        var second = sum.Second is { } other ? Read(run, own, other) : [];
        if (first.Count == 0 || (sum.IsEquation && second.Count == 0))
        {
            var waits = own.Fields[first.Count == 0 ? sum.Field : sum.Second!].Label;
            return new SheetDerived(composed.SeriesCode(sum), Named(sum), $"waits for {waits}", null, unit);
        }

        List<decimal> values = [.. first.Select(f => f.Value)];
        var (value, step, rule, source) = sum.Rule switch
        {
            ComposedRule.Count => (values.Count, Text(values), "How many there are.", Arithmetic),
            ComposedRule.Sum => (values.Sum(), string.Join(" + ", values.Select(Decimals.Text)), "Their sum.", Arithmetic),
            ComposedRule.Mean => (
                Rounded(values.Average(), first),
                $"({string.Join(" + ", values.Select(Decimals.Text))}) / {values.Count}",
                "Their mean, rounded once to the step of the readings.",
                Arithmetic
            ),
            ComposedRule.Median => (
                Rounded(Decimals.Median(values), first),
                $"the middle of {Text(values.Order())}",
                "Their median, rounded once to the step of the readings.",
                Arithmetic
            ),
            ComposedRule.Least => (values.Min(), $"the least of {Text(values)}", "The least.", Arithmetic),
            ComposedRule.Greatest => (values.Max(), $"the greatest of {Text(values)}", "The greatest.", Arithmetic),
            _ => Equation(sum.Rule, first, second),
        };
        if (value is not { } worked)
        {
            return new SheetDerived(composed.SeriesCode(sum), Named(sum), step, null, unit);
        }

        var text = unit.Length == 0 ? Decimals.Text(worked) : $"{Decimals.Text(worked)} {unit}";
        return new SheetDerived(
            composed.SeriesCode(sum),
            Named(sum),
            text,
            Decimals.Published(worked),
            unit,
            Working: new Working(
                Named(sum),
                [.. first.Concat(sum.IsEquation ? second : []).Select(f => f.Attempt.Input(f.Field))],
                [$"{step} = {text}"],
                rule,
                source
            )
        );
    }

    /// <summary>What a box holds as a number: lengths in m, temperatures in °C, times in s; null where it is not there.</summary>
    internal static decimal? Number(Attempt attempt, Field field) =>
        field switch
        {
            NumberField number => attempt[number],
            LengthField length => attempt[length]?.Metres,
            TemperatureField temperature => attempt[temperature],
            CounterField counter => attempt[counter],
            TimerField timer => attempt[timer],
            _ => null,
        };

    private static (decimal? Value, string Step, string Rule, string Source) Equation(
        ComposedRule rule,
        List<Reading> first,
        List<Reading> second
    )
    {
        var (a, b) = (first[0].Value, second.ConvertAll(s => s.Value));
        return rule switch
        {
            ComposedRule.LineDepth when LineAngle.TrueM(a, b[0]) is { } depth => (
                decimal.Round(depth, 2, MidpointRounding.AwayFromZero),
                $"{Decimals.Text(a)} m × cos {Decimals.Text(b[0])}°",
                "The line times the cosine of its lean: a straight line is assumed.",
                "Geometry"
            ),
            ComposedRule.BucketFlow when b.TrueForAll(s => s > 0) => (
                Decimals.ToSignificant(StreamFlow.ByPail(a, b), Figures),
                $"{Decimals.Text(a)} L / mean of {Text(b)} s",
                "What a bucket caught, over the mean of the times.",
                "Volumetric gauging"
            ),
            ComposedRule.PerArea when b[0] > 0 => (
                Decimals.ToSignificant(AnimalsPerArea.Of([.. first.Select(f => new PickedJar((int)f.Value, 1))], b[0]), Figures),
                $"{Text(first.Select(f => f.Value))} on {first.Count} × {Decimals.Text(b[0])} cm²",
                "What was counted, over the area looked at.",
                Arithmetic
            ),
            _ => (
                null,
                rule == ComposedRule.LineDepth ? "waits for a lean under 90°" : "waits for a number above 0",
                string.Empty,
                string.Empty
            ),
        };
    }

    private static List<Reading> Read(ProtocolRun run, OwnScript own, string code)
    {
        var field = own.Fields[code];
        return
        [
            .. (own.RepeatOf(code) is { } repeat ? run.All(repeat) : [run.Once])
                .Where(a => !a.Failed)
                .Select(a => (Attempt: a, Value: Number(a, field)))
                .Where(r => r.Value is not null)
                .Select(r => new Reading(r.Attempt, field, r.Value!.Value)),
        ];
    }

    // The step of the readings is that of the finest.
    private static decimal Rounded(decimal value, List<Reading> readings) =>
        decimal.Round(
            value,
            Math.Min(6, readings.Max(r => Places(r.Field is NumberField ? r.Attempt.Written(r.Field) : Decimals.Text(r.Value)))),
            MidpointRounding.AwayFromZero
        );

    private static int Places(string? written) =>
        written?.Trim().LastIndexOfAny(['.', ',']) is >= 0 and var at ? written.Trim().Length - at - 1 : 0;

    private static string Text(IEnumerable<decimal> values) => string.Join(", ", values.Select(Decimals.Text));

    private static string Named(ComposedSum sum) => Sentence.Begun(sum.Name);

    private sealed record Reading(Attempt Attempt, Field Field, decimal Value);
}
