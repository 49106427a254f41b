using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Basis.Quantities;

/// <summary>A length exactly as it was written down, and the unit of the line or box it was written for.</summary>
/// <param name="Written">The text as typed, for example <c>12 9</c> or <c>3.85</c>.</param>
/// <param name="Unit">The unit; null where it is not known, and then the value is kept but not used.</param>
public sealed record WrittenLength(string Written, LengthUnit? Unit = null)
{
    /// <summary>Reads the text; see <see cref="LengthParser.Parse"/>.</summary>
    public (Length? Length, Finding? Finding) Read() => LengthParser.Parse(Written, Unit);
}
