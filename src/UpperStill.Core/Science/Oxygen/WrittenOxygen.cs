using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Science.Oxygen;

/// <summary>An oxygen reading exactly as it was written down.</summary>
/// <param name="Written">The text as typed.</param>
/// <param name="Unit">The unit on the display; null where it is not known, and then it is kept but not used.</param>
public sealed record WrittenOxygen(string Written, OxygenUnit? Unit = null)
{
    /// <summary>The number, or the finding that stands in its way.</summary>
    internal (decimal? Value, Finding? Finding) Read()
    {
        var (value, finding) = NumberText.Read(Written);
        return value is not null && Unit is null ? (null, Temperature.UnitMissing(Written)) : (value, finding);
    }
}
