using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Record.Parts;

/// <summary>An outing as its parts pack for it: where it goes, what it fills, what the group has.</summary>
internal sealed class Packing(IReadOnlyList<PlannedStop> stops, IReadOnlyList<KitItem> kit, DateOnly day)
{
    internal IReadOnlyList<PlannedStop> Stops => stops;

    internal DateOnly Day => day;

    /// <summary>Every sample of the outing.</summary>
    internal IReadOnlyList<PlannedSample> Samples { get; } = [.. stops.SelectMany(s => s.Samples)];

    internal bool Afloat => stops.Any(s => !s.Station.OnLand);

    /// <summary>True where a protocol is due anywhere.</summary>
    internal bool Takes(Protocol protocol) => stops.Any(s => s.Takes(protocol));

    /// <summary>A line that is no item of the kit.</summary>
    internal static PackNeed Plain(string key, Crate crate, string words, int count, string stops, string? counted = null) =>
        new(key, crate, words, count, stops, counted, null, [], []);

    /// <summary>An item of the group by its code; null where there is none.</summary>
    internal KitItem? Item(string? code, KitKind kind) => kit.FirstOrDefault(i => i.Code == code && i.Kind == kind);

    /// <summary>The containers of one type, and a spare one.</summary>
    internal static PackNeed Counted(IGrouping<SampleType, PlannedSample> bottles, Crate crate)
    {
        var (type, count) = (bottles.Key, bottles.Count());
        return new PackNeed(
            $"type-{type.Code}",
            crate,
            $"{type.Container}, {type.Measures}",
            count + 1,
            type.Measures,
            $"{count} and one spare",
            null,
            [$"fill: {type.Fill.Words}", $"rinse: {type.Rinse.Words}"],
            type.Caution is null
                ? []
                :
                [
                    Finding.Note(
                        "caution",
                        type.Caution,
                        "It hurts whoever opens it unprotected.",
                        "Follow the lab’s instructions and local rules."
                    ),
                ]
        );
    }

    /// <summary>An item of a kind. One that is not overdue comes first; what no item of the kit is stands as a plain line.</summary>
    internal PackNeed Of(KitKind kind, string key, string plain, string stops)
    {
        var rule = KitRules.Of(kind);
        var item = kit.Where(i => i.Kind == kind && i.Condition == Condition.InUse)
            .OrderBy(i => KitDue.Of(i, day)?.Overdue == true)
            .ThenBy(i => i.Code, StringComparer.Ordinal)
            .FirstOrDefault();
        return item is null
            ? new PackNeed(key, rule.Crate, plain, 1, stops, null, null, rule.LookAt, [])
            : new PackNeed(
                key,
                rule.Crate,
                item.Name,
                1,
                stops,
                item.Parts is { } parts ? $"{parts} parts" : null,
                item.Code,
                rule.LookAt,
                Due(item)
            );
    }

    /// <summary>What is due or wrong with an item.</summary>
    internal List<Finding> Due(KitItem item)
    {
        List<Finding> findings = KitDue.Of(item, day)?.Finding is { } due ? [due] : [];
        if (
            findings.All(f => f.Code != "line-stretched")
            && item.Standing.Where(c => c.Kind == KitCheckKind.Taped).OrderBy(c => c.Day).LastOrDefault() is { } last
            && KitCheckRule.Judge(item, last, day).Findings.FirstOrDefault(f => f.Finding.Code == "line-stretched") is { } stretched
        )
        {
            findings.Add(stretched.Finding);
        }

        return findings;
    }
}
