namespace UpperStill.Core.Record.Described;

/// <summary>Flow as it is posted.</summary>
internal static class FlowField
{
    private const decimal MostM3S = 10000;

    /// <summary>A box for it, read in m³/s.</summary>
    internal static NumberField Of(string code, string label, bool required) =>
        new(
            code,
            label,
            0,
            MostM3S,
            new FieldUnit("m³/s"),
            new FieldUnit("L/s", Science.Hydraulics.FlowUnits.Litre),
            new FieldUnit("ft³/s", Science.Hydraulics.FlowUnits.CubicFoot)
        )
        {
            Required = required,
        };
}

/// <summary>Flow of a stream on a visit, for the loads of its samples.</summary>
/// <param name="Protocol">The protocol that found it.</param>
/// <param name="M3S">m³/s.</param>
/// <param name="About">True where it is an estimate.</param>
internal sealed record StreamFlowToday(string Protocol, decimal M3S, bool About);
