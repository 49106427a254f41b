namespace UpperStill.Core.Basis.Quantities;

/// <summary>
/// A length as it was read: the number in its own unit, never converted when kept.
/// Conversions are exact: 1 ft = 0.3048 m, 1 in = 25.4 mm (international yard and pound agreement, 1959).
/// </summary>
/// <param name="Value">The number in <paramref name="Unit"/>; total inches where the unit is feet and inches.</param>
/// <param name="Unit">The unit on the line or finder.</param>
/// <param name="Resolution">The smallest step that the written number shows, in the same measure as the value.</param>
public readonly record struct Length(decimal Value, LengthUnit Unit, decimal Resolution)
{
    /// <summary>Metres in one foot, exactly.</summary>
    public const decimal MetresPerFoot = 0.3048m;

    /// <summary>Metres in one inch, exactly.</summary>
    public const decimal MetresPerInch = 0.0254m;

    /// <summary>The length in metres, exact.</summary>
    public decimal Metres => Value * MetresPer(Unit);

    /// <summary>The written resolution in metres, exact.</summary>
    public decimal ResolutionMetres => Resolution * MetresPer(Unit);

    /// <summary>Metres in one step of the measure in which a unit's value is held.</summary>
    public static decimal MetresPer(LengthUnit unit) =>
        unit switch
        {
            LengthUnit.Metre => 1m,
            LengthUnit.Centimetre => 0.01m,
            LengthUnit.Foot => MetresPerFoot,
            LengthUnit.FootInch or LengthUnit.Inch => MetresPerInch,
            _ => throw new ArgumentOutOfRangeException(nameof(unit)),
        };

    /// <summary>A unit as it is written beside a box.</summary>
    public static string Symbol(LengthUnit unit) =>
        unit switch
        {
            LengthUnit.Metre => "m",
            LengthUnit.Centimetre => "cm",
            LengthUnit.Foot => "ft",
            LengthUnit.FootInch => "ft in",
            LengthUnit.Inch => "in",
            _ => throw new ArgumentOutOfRangeException(nameof(unit)),
        };

    /// <summary>True for the units of a line marked in feet or inches.</summary>
    public static bool IsFootBased(LengthUnit unit) => unit is LengthUnit.Foot or LengthUnit.FootInch or LengthUnit.Inch;
}
