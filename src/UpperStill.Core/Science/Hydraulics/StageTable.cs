using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Science.Hydraulics;

/// <summary>A row of a stream’s table: how much flows when the staff shows so much.</summary>
/// <param name="StageM">Stage, m.</param>
/// <param name="FlowM3S">Flow, m³/s.</param>
public sealed record StageRow([property: Within(-100, 100, "m")] decimal StageM, [property: Within(0, 100000, "m³/s")] decimal FlowM3S);

/// <summary>Flow by the staff, straight between the rows of the group’s table.</summary>
public static class StageTable
{
    /// <summary>True where stage and flow both rise from row to row, and there are at least two rows.</summary>
    public static bool Rises(IReadOnlyList<StageRow> rows)
    {
        ArgumentNullException.ThrowIfNull(rows);
        return rows.Count > 1 && rows.Zip(rows.Skip(1)).All(p => p.Second.StageM > p.First.StageM && p.Second.FlowM3S > p.First.FlowM3S);
    }

    /// <summary>m³/s at a stage; null beyond the table.</summary>
    /// <param name="rows">Rising.</param>
    /// <param name="stageM">Stage, m.</param>
    public static decimal? Flow(IReadOnlyList<StageRow> rows, decimal stageM)
    {
        ArgumentNullException.ThrowIfNull(rows);
        foreach (var (below, above) in rows.Zip(rows.Skip(1)))
        {
            if (stageM >= below.StageM && stageM <= above.StageM)
            {
                return below.FlowM3S + ((above.FlowM3S - below.FlowM3S) * (stageM - below.StageM) / (above.StageM - below.StageM));
            }
        }

        return null;
    }
}
