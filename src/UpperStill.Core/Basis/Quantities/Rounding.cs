using System.Text.Json.Serialization;

namespace UpperStill.Core.Basis.Quantities;

/// <summary>The rounding schools for a reported clarity: applied once, at the end, half away from zero.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<RoundingSchool>))]
public enum RoundingSchool
{
    /// <summary>0.1 m.</summary>
    [JsonStringEnumMemberName("0.1-m")] TenthMetre,

    /// <summary>0.05 m.</summary>
    [JsonStringEnumMemberName("0.05-m")] TwentiethMetre,

    /// <summary>0.01 m, by interpolation.</summary>
    [JsonStringEnumMemberName("0.01-m")] HundredthMetre,

    /// <summary>Whole metre, on a metre wheel.</summary>
    [JsonStringEnumMemberName("1-m")] WholeMetre,

    /// <summary>Nearest inch.</summary>
    [JsonStringEnumMemberName("1-in")] Inch,

    /// <summary>Nearest quarter foot.</summary>
    [JsonStringEnumMemberName("quarter-ft")] QuarterFoot,

    /// <summary>Nearest half foot, which is six inches.</summary>
    [JsonStringEnumMemberName("half-ft")] HalfFoot,
}

/// <summary>Rounds depths by a <see cref="RoundingSchool"/>.</summary>
public static class Rounding
{
    /// <summary>Rounds a depth in metres. The arithmetic is done in the school's own unit, so that ties are exact.</summary>
    public static Length Round(decimal metres, RoundingSchool school)
    {
        var (step, unit, _) = Of(school);
        return new Length(Decimals.Plain(Decimals.RoundTo(metres / Length.MetresPer(unit), step)), unit, step);
    }

    /// <summary>The school in words: "to the nearest quarter foot".</summary>
    public static string Words(RoundingSchool school) => "to the nearest " + Of(school).Words;

    private static (decimal Step, LengthUnit Unit, string Words) Of(RoundingSchool school) => school switch
    {
        RoundingSchool.TenthMetre => (0.1m, LengthUnit.Metre, "0.1 m"),
        RoundingSchool.TwentiethMetre => (0.05m, LengthUnit.Metre, "0.05 m"),
        RoundingSchool.HundredthMetre => (0.01m, LengthUnit.Metre, "0.01 m"),
        RoundingSchool.WholeMetre => (1m, LengthUnit.Metre, "whole metre"),
        RoundingSchool.Inch => (1m, LengthUnit.FootInch, "inch"),
        RoundingSchool.QuarterFoot => (3m, LengthUnit.FootInch, "quarter foot"),
        RoundingSchool.HalfFoot => (6m, LengthUnit.FootInch, "half foot"),
        _ => throw new ArgumentOutOfRangeException(nameof(school)),
    };
}
