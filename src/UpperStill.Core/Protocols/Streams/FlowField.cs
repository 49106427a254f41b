using UpperStill.Core.Record.Described;
using UpperStill.Core.Science.Hydraulics;

namespace UpperStill.Core.Protocols.Streams;

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
            new FieldUnit("L/s", FlowUnits.Litre),
            new FieldUnit("ft³/s", FlowUnits.CubicFoot)
        )
        {
            Required = required,
        };
}
