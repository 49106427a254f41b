using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Science.Counting;
using UpperStill.Core.Science.Statistics;
using static UpperStill.Core.Protocols.Rake.RakeFields;

namespace UpperStill.Core.Protocols.Rake;

/// <summary>How deep plants grow, how many kinds there are, how often each is met. Only good throws count; dying is live, dead is
/// not.</summary>
internal static class RakeResults
{
    internal static void Of(ProtocolRun run)
    {
        List<Attempt> good = [.. run.All(RakeProtocol.Throw).Where(t => t is { Failed: false } && t[Outcome] == "good")];
        var live = run.All(RakeProtocol.Kind)
            .Where(k => k[State] is "live" or "dying")
            .Select(k => (Kind: k, At: k.ItemCode!.LastIndexOf(Repeat.Inner)))
            .Select(k => (k.Kind, Throw: k.Kind.ItemCode![..k.At], Code: k.Kind.ItemCode[(k.At + 1)..]))
            .Where(k => good.Exists(t => t.ItemCode == k.Throw))
            .ToList();
        if (good.Count == 0)
        {
            run.Derive(new SheetDerived("deepest-plants", "Deepest plants", "waits for a good throw", null, "m"));
            return;
        }

        Deepest(run, good, [.. live.Select(l => l.Throw)]);
        var kinds = live.Select(l => l.Code).Distinct().Order(StringComparer.Ordinal).ToList();
        run.Derive(
            new SheetDerived(
                "plant-kinds",
                "Kinds of plants",
                kinds.Count == 1 ? "1 kind" : $"{kinds.Count} kinds",
                kinds.Count,
                string.Empty,
                Working: new Working(
                    "Kinds of plants",
                    [.. live.Select(l => l.Kind.Input(State))],
                    [string.Join(", ", kinds.Select(k => Words(k)))],
                    "Kinds that came up live or dying in a good throw.",
                    "Counted"
                )
            )
        );
        foreach (var code in kinds)
        {
            var with = live.Where(l => l.Code == code).Select(l => l.Throw).Distinct().Count();
            var percent = PlantFrequency.Percent(with, good.Count)!.Value;
            run.Derive(
                new SheetDerived(
                    "plant-frequency",
                    Sentence.Begun(Words(code)),
                    $"{Decimals.Text(decimal.Round(percent, 1, MidpointRounding.AwayFromZero))} % of {good.Count} throws",
                    Decimals.Published(percent),
                    "%",
                    code,
                    Working: new Working(
                        $"Frequency of {Words(code)}",
                        [.. live.Where(l => l.Code == code).Select(l => l.Kind.Input(State))],
                        [$"100 × {with} / {good.Count} good throws = {Decimals.Fixed(percent, 1)} %"],
                        "Good throws with the kind live, of all good throws.",
                        "Counted"
                    )
                )
            );
        }
    }

    private static void Deepest(ProtocolRun run, List<Attempt> good, HashSet<string> withPlants)
    {
        List<Attempt> read = [.. good.Where(t => t[Depth] is not null)];
        if (read.Count == 0)
        {
            run.Derive(new SheetDerived("deepest-plants", "Deepest plants", "waits for the depth of a good throw", null, "m"));
            return;
        }

        if (
            PlantFrequency.Deepest([.. read.Select(t => (t[Depth]!.Value.Metres, withPlants.Contains(t.ItemCode!)))])
            is not var (depth, deeper)
        )
        {
            run.Derive(new SheetDerived("deepest-plants", "Deepest plants", "no live plants came up", null, "m"));
            return;
        }

        var shown = run.Draft.Show(depth);
        if (deeper)
        {
            read.MaxBy(t => t[Depth]!.Value.Metres)!.Find(RakeFindings.PlantsDeeper, Depth, ("depth", shown));
        }

        run.Derive(
            new SheetDerived(
                "deepest-plants",
                "Deepest plants",
                deeper ? $"> {shown}" : shown,
                Decimals.Published(depth),
                "m",
                Censored: deeper ? Censoring.Above : Censoring.None,
                Working: new Working(
                    "Deepest plants",
                    [.. read.Select(t => t.Input(Depth))],
                    [deeper ? $"The deepest throw, {shown}, had live plants: > {shown}" : $"Deepest throw with live plants: {shown}"],
                    "Where no good throw lies below them, plants may reach deeper.",
                    "Helsel 2012, Statistics for Censored Environmental Data, 2nd ed., for “>”"
                )
            )
        );
    }

    private static string Words(string code) => Plants.FirstOrDefault(p => p.Code == code)?.Words ?? code.Replace('-', ' ');
}
