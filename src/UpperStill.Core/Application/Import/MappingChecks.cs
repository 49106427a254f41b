using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Application.Import;

/// <summary>Whether enough is said of the columns to read the table.</summary>
internal static class MappingChecks
{
    private static readonly HashSet<HistoricRole> Once =
    [
        HistoricRole.Station,
        HistoricRole.Date,
        HistoricRole.Time,
        HistoricRole.Observers,
        HistoricRole.Depth,
        HistoricRole.Clarity,
        HistoricRole.ClarityMethod,
    ];

    internal static IEnumerable<HistoricFinding> Of(HistoricMapping mapping)
    {
        var roles = mapping.Columns.Select(c => c.Role).ToHashSet();
        if (!roles.Contains(HistoricRole.Date))
        {
            yield return Stop(
                "date-missing",
                "No column is the date.",
                "A reading without a day joins no series.",
                "Say which column it is."
            );
        }

        if (!roles.Contains(HistoricRole.Station) && string.IsNullOrWhiteSpace(mapping.Station))
        {
            yield return Stop(
                "station-missing",
                "No column is the station, and none was chosen for the whole table.",
                "A reading without a place joins no record.",
                "Choose one of the two."
            );
        }

        if (!mapping.Columns.Any(c => Measures(c.Role)))
        {
            yield return Stop(
                "nothing-measured",
                "No column holds a measurement.",
                "There is nothing to bring in.",
                "Say which column is clarity, temperature, oxygen or a result."
            );
        }

        if (
            !roles.Contains(HistoricRole.Depth)
            && mapping.Columns.FirstOrDefault(c => c.Role is HistoricRole.Temperature or HistoricRole.Oxygen or HistoricRole.Salinity)
                is { } level
        )
        {
            yield return Stop(
                "depth-missing",
                $"“{level.Head}” was read at a depth, and no column is the depth.",
                "A level without a depth is no profile.",
                "Say which column it is, or leave this one out.",
                level.Head
            );
        }

        foreach (var twice in mapping.Columns.Where(c => Once.Contains(c.Role)).GroupBy(c => c.Role).Where(g => g.Count() > 1))
        {
            yield return Stop(
                "column-twice",
                $"{string.Join(" and ", twice.Select(c => $"“{c.Head}”"))} are said to be the same.",
                "Only one of them can be.",
                "Leave the other out.",
                twice.Last().Head
            );
        }

        foreach (
            var column in mapping.Columns.Where(c =>
                HistoricHeads.Choices.First(o => o.Role == c.Role && o.Analyte == c.Analyte) is { Units.Count: > 0 } choice
                && !choice.Units.Contains(c.Unit)
            )
        )
        {
            yield return Stop(
                "unit-missing",
                $"“{column.Head}” has no unit.",
                "Its numbers could be read two ways and are lost if we guess.",
                "Choose the unit in which they were written.",
                column.Head
            );
        }
    }

    internal static bool Measures(HistoricRole role) =>
        role is HistoricRole.Clarity or HistoricRole.Temperature or HistoricRole.Oxygen or HistoricRole.Salinity or HistoricRole.Analyte;

    private static HistoricFinding Stop(string code, string seen, string why, string act, string? head = null) =>
        new(Finding.Stop(code, seen, why, act) with { NoWayRound = true }, Head: head);
}
