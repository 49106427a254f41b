using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Hydraulics;

namespace UpperStill.Core.Record.Described;

/// <summary>A stream’s cross-section, as it was gauged.</summary>
/// <param name="FromM">Tape at one edge, m.</param>
/// <param name="ToM">Tape at the other, m.</param>
/// <param name="Panels">Its panels, in the order of the tape.</param>
public sealed record SheetSection(
    [property: Within(-1000, 1000, "m")] decimal FromM,
    [property: Within(-1000, 1000, "m")] decimal ToM,
    IReadOnlyList<SheetPanel> Panels
)
{
    /// <summary>The section of some panels, each with its share of the flow; the tape may run either way.</summary>
    internal static SheetSection Of(decimal oneEdgeM, decimal otherEdgeM, IReadOnlyList<Panel> panels)
    {
        var flow = panels.Sum(p => p.FlowM3S);
        return new(
            Math.Min(oneEdgeM, otherEdgeM),
            Math.Max(oneEdgeM, otherEdgeM),
            [.. panels.Select(p => SheetPanel.Of(p, flow > 0 ? 100 * p.FlowM3S / flow : null))]
        );
    }
}

/// <summary>A panel of a cross-section.</summary>
/// <param name="TapeM">Where its vertical stands, m.</param>
/// <param name="FromM">Where it begins, m.</param>
/// <param name="ToM">Where it ends, m.</param>
/// <param name="DepthM">Depth, m.</param>
/// <param name="VelocityMs">Mean speed, m/s.</param>
/// <param name="SharePercent">Its share of the flow, %; null where nothing flows.</param>
/// <param name="Text">The same in words.</param>
public sealed record SheetPanel(
    [property: Within(-1000, 1000, "m")] decimal TapeM,
    [property: Within(-1000, 1000, "m")] decimal FromM,
    [property: Within(-1000, 1000, "m")] decimal ToM,
    [property: Within(0, 100, "m")] decimal DepthM,
    [property: Within(-20, 20, "m/s")] decimal VelocityMs,
    [property: Within(-10000, 10000, "%")] decimal? SharePercent,
    string Text
)
{
    internal static SheetPanel Of(Panel panel, decimal? share) =>
        new(
            panel.TapeM,
            panel.FromM,
            panel.ToM,
            panel.DepthM,
            panel.VelocityMs,
            share is { } exact ? decimal.Round(exact, 1, MidpointRounding.AwayFromZero) : null,
            $"{Decimals.Text(panel.TapeM)} m: {Decimals.Text(panel.DepthM)} m deep, {Decimals.Text(panel.VelocityMs)} m/s"
                + (share is { } shown ? $", {Decimals.Fixed(shown, 0)} %" : string.Empty)
        );
}
