using System.Text.Json.Serialization;

namespace UpperStill.Core.Basis.Quantities;

/// <summary>The rounding methods for a reported clarity: applied once, at the end, half away from zero.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<RoundingMethod>))]
public enum RoundingMethod
{
    /// <summary>0.1 m.</summary>
    [JsonStringEnumMemberName("0.1-m")]
    TenthMetre,

    /// <summary>0.05 m.</summary>
    [JsonStringEnumMemberName("0.05-m")]
    TwentiethMetre,

    /// <summary>0.01 m, by interpolation.</summary>
    [JsonStringEnumMemberName("0.01-m")]
    HundredthMetre,

    /// <summary>Whole metre, on a metre wheel.</summary>
    [JsonStringEnumMemberName("1-m")]
    WholeMetre,

    /// <summary>Nearest inch.</summary>
    [JsonStringEnumMemberName("1-in")]
    Inch,

    /// <summary>Nearest quarter foot.</summary>
    [JsonStringEnumMemberName("quarter-ft")]
    QuarterFoot,

    /// <summary>Nearest half foot, which is six inches.</summary>
    [JsonStringEnumMemberName("half-ft")]
    HalfFoot,
}

/// <summary>Rounds depths by a <see cref="RoundingMethod"/>.</summary>
public static class Rounding
{
    /// <summary>Rounds a depth in metres. The arithmetic is done in the method's own unit, so that ties are exact.</summary>
    public static Length Round(decimal metres, RoundingMethod method)
    {
        var (step, unit, _) = Of(method);
        return new Length(Decimals.Plain(Decimals.RoundTo(metres / Length.MetresPer(unit), step)), unit, step);
    }

    /// <summary>The method in words: "to the nearest quarter foot".</summary>
    public static string Words(RoundingMethod method) => "to the nearest " + Of(method).Words;

    private static (decimal Step, LengthUnit Unit, string Words) Of(RoundingMethod method) =>
        method switch
        {
            RoundingMethod.TenthMetre => (0.1m, LengthUnit.Metre, "0.1 m"),
            RoundingMethod.TwentiethMetre => (0.05m, LengthUnit.Metre, "0.05 m"),
            RoundingMethod.HundredthMetre => (0.01m, LengthUnit.Metre, "0.01 m"),
            RoundingMethod.WholeMetre => (1m, LengthUnit.Metre, "whole metre"),
            RoundingMethod.Inch => (1m, LengthUnit.FootInch, "inch"),
            RoundingMethod.QuarterFoot => (3m, LengthUnit.FootInch, "quarter foot"),
            RoundingMethod.HalfFoot => (6m, LengthUnit.FootInch, "half foot"),
            _ => throw new ArgumentOutOfRangeException(nameof(method)),
        };
}
