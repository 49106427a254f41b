namespace UpperStill.Core.Setup.Programmes;

/// <summary>The bottles of a protocol where its plan names none.</summary>
public static class UsualBottles
{
    /// <summary>The bottles that a protocol usually fills: frozen for a turn-in, or fresh for the lab.</summary>
    public static IReadOnlyList<BottlePlan> Of(ProtocolPlan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return plan.Bottles ?? (plan.Protocol.Code, Fresh: plan.HoldHours is not null) switch
        {
            ("chlorophyll", true) => [new("chlorophyll-lab", SampleFrom.Composite)],
            ("chlorophyll", false) => [new("chlorophyll-water", SampleFrom.Composite, 1), new("chlorophyll-filter", SampleFrom.Composite, 1)],
            ("phosphorus", true) => [new("layer-plain", SampleFrom.Layers), new("acid-preserved", SampleFrom.Layers)],
            ("phosphorus", false) => [new(plan.TurnIn ? "phosphorus-dip" : "phosphorus-mesh", SampleFrom.Surface, 1)],
            ("seawater", _) => [new("seawater", SampleFrom.Surface)],
            _ => [],
        };
    }
}
