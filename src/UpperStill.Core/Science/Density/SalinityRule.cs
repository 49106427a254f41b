using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;

namespace UpperStill.Core.Science.Density;

/// <summary>What a conductivity meter showed.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<ConductivityAs>))]
public enum ConductivityAs
{
    /// <summary>Conductivity at the water’s temperature, mS/cm.</summary>
    [JsonStringEnumMemberName("mS/cm")]
    Raw,

    /// <summary>Specific conductance, brought to 25 °C by the meter, µS/cm.</summary>
    [JsonStringEnumMemberName("µS/cm-25")]
    Specific,

    /// <summary>The ratio to standard sea water (salinity 35, 15 °C).</summary>
    [JsonStringEnumMemberName("ratio")]
    Ratio,
}

/// <summary>A conductivity to be turned into salinity.</summary>
/// <param name="Value">As shown.</param>
/// <param name="As">What it is.</param>
/// <param name="TemperatureC">Water, °C.</param>
/// <param name="PressureDbar">Pressure of the water above, dbar.</param>
public sealed record SalinityRequest(
    [property: Within(0, 1000000)] decimal Value,
    ConductivityAs As,
    [property: Within(-5, 60, "°C")] decimal TemperatureC,
    [property: Within(0, 12000, "dbar")] decimal PressureDbar = 0
);

/// <summary>What follows from a conductivity.</summary>
/// <param name="Findings">What stands in the way.</param>
/// <param name="Salinity">Practical salinity, no unit, 3 decimals; null outside its scale.</param>
/// <param name="SpecificUsCm">Specific conductance at 25 °C, µS/cm.</param>
/// <param name="WorkingSalinity">Salinity that stands for fresh and brackish water in the solubility of oxygen.</param>
/// <param name="Text">For the reader.</param>
/// <param name="Working">How it came about.</param>
public sealed record SalinityResult(
    IReadOnlyList<Finding> Findings,
    decimal? Salinity = null,
    decimal? SpecificUsCm = null,
    decimal? WorkingSalinity = null,
    string? Text = null,
    Working? Working = null
);

/// <summary>Salinity and specific conductance from what a meter showed: by the practical scale at sea, by conductance in fresh
/// water.</summary>
public static class SalinityRule
{
    /// <summary>Works it out.</summary>
    public static SalinityResult Work(SalinityRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var (t, p) = (request.TemperatureC, request.PressureDbar);
        var raw = Rounded(
            request.As switch
            {
                ConductivityAs.Raw => request.Value,
                ConductivityAs.Ratio => request.Value * (decimal)PracticalSalinity.StandardMsCm,
                _ => PracticalSalinity.AtTemperature(request.Value, t) / 1000,
            }
        );
        var specific = request.As == ConductivityAs.Specific ? request.Value : Rounded(PracticalSalinity.At25(raw, t) * 1000);
        var ratio = request.As == ConductivityAs.Ratio ? request.Value : Rounded(raw / (decimal)PracticalSalinity.StandardMsCm);
        var scale = (decimal)Math.Min(1e6, PracticalSalinity.OfRatio((double)ratio, (double)t, (double)p));
        var holds = PracticalSalinity.Holds((double)t, (double)scale);
        decimal? fresh = specific <= PracticalSalinity.MostConductance ? PracticalSalinity.OfConductance(specific) : null;
        List<Finding> findings = [];
        if (!holds)
        {
            findings.Add(
                Finding.Check(
                    "equation-range",
                    $"Salinity {Decimals.Fixed(scale, 2)} at {Decimals.Text(t)} °C is outside the practical scale.",
                    "It was measured for 2–42 and −2–35 °C.",
                    fresh is null
                        ? "Look at the unit: mS/cm or µS/cm?"
                        : "In fresh water take the specific conductance; for oxygen its working salinity."
                )
            );
        }

        List<string> steps =
        [
            .. request.As switch
            {
                ConductivityAs.Ratio => [$"Conductivity = {Decimals.Text(ratio)} × 42.914 = {Decimals.Text(raw)} mS/cm"],
                ConductivityAs.Specific =>
                [
                    $"Conductivity at {Decimals.Text(t)} °C = {Decimals.Text(request.Value)} / 1000 × (1 + 0.0191 × "
                        + $"({Decimals.Text(t)} − 25)) = {Decimals.Text(raw)} mS/cm",
                    $"Ratio = {Decimals.Text(raw)} / 42.914 = {Decimals.Text(ratio)}",
                ],
                _ => new[] { $"Ratio = {Decimals.Text(raw)} / 42.914 = {Decimals.Text(ratio)}" },
            },
            .. request.As == ConductivityAs.Specific
                ? Array.Empty<string>()
                :
                [
                    $"Specific conductance = {Decimals.Text(raw)} × 1000 / (1 + 0.0191 × ({Decimals.Text(t)} − 25)) = "
                        + $"{Decimals.Text(specific)} µS/cm at 25 °C",
                ],
            .. holds
                ? [$"Practical salinity at {Decimals.Text(t)} °C and {Decimals.Text(p)} dbar: {Decimals.Fixed(scale, 3)}"]
                : Array.Empty<string>(),
            .. fresh is { } f
                ? [$"For oxygen: 5.572e-4 × {Decimals.Text(specific)} + 2.02e-9 × {Decimals.Text(specific)}² = {Decimals.Fixed(f, 3)}"]
                : Array.Empty<string>(),
        ];
        return new SalinityResult(
            findings,
            holds ? Rounded(scale, 3) : null,
            Rounded(specific, 1),
            fresh is { } s ? Rounded(s, 3) : null,
            holds ? $"salinity {Decimals.Fixed(scale, 2)}" : $"{Decimals.Significant(specific, 4)} µS/cm at 25 °C",
            new Working(
                "Salinity",
                [
                    new WorkingInput(
                        "as shown",
                        $"{Decimals.Text(request.Value)}{(request.As switch { ConductivityAs.Raw => " mS/cm", ConductivityAs.Specific => " µS/cm at 25 °C", _ => " of standard sea water" })}"
                    ),
                    new WorkingInput("water", $"{Decimals.Text(t)} °C"),
                    new WorkingInput("pressure", $"{Decimals.Text(p)} dbar"),
                ],
                steps,
                "Where salinity itself is reported, the practical scale; where fresh water holds oxygen, its conductance.",
                $"{PracticalSalinity.Scale}; {PracticalSalinity.ByConductance}; to 25 °C, Standard Methods 2510 B"
            )
        );
    }

    // A figure that the next step goes on with stands as it is printed.
    private static decimal Rounded(decimal value) => Decimals.ToSignificant(value, 8);

    private static decimal Rounded(decimal value, int decimals) =>
        Decimals.Plain(decimal.Round(value, decimals, MidpointRounding.AwayFromZero));
}
