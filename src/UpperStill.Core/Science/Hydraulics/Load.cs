using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;

namespace UpperStill.Core.Science.Hydraulics;

/// <summary>A load to be worked out.</summary>
/// <param name="ConcentrationMgL">Concentration, mg/L.</param>
/// <param name="Flow">Flow as read.</param>
/// <param name="Unit"><c>m³/s</c>, <c>L/s</c> or <c>ft³/s</c>.</param>
public sealed record LoadRequest([property: Within(0, 1000000, "mg/L")] decimal ConcentrationMgL, string Flow, string Unit);

/// <summary>What a stream carries.</summary>
/// <param name="KgPerDay">kg/day; null where it cannot be worked out.</param>
/// <param name="Text">For the reader.</param>
/// <param name="Working">How it came about.</param>
/// <param name="Finding">What stands in the way.</param>
public sealed record LoadResult(decimal? KgPerDay = null, string? Text = null, Working? Working = null, Finding? Finding = null);

/// <summary>What a stream carries in a day: 86.4 × flow in m³/s × concentration in mg/L.</summary>
public static class Load
{
    /// <summary>Works it out.</summary>
    public static LoadResult Work(LoadRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var (flow, finding) = NumberText.Read(request.Flow);
        var factor = FlowUnits.CubicMetres(request.Unit);
        if (finding is not null || flow is null)
        {
            return new LoadResult(Finding: finding);
        }

        if (factor is null)
        {
            return new LoadResult(
                Finding: Finding.Stop(
                    "unit-missing",
                    $"{Decimals.Text(flow.Value)} has no unit of flow.",
                    "It could be read two ways and is lost if we guess.",
                    "Choose m³/s, L/s or ft³/s."
                )
            );
        }

        if (flow < 0 || request.ConcentrationMgL < 0)
        {
            return new LoadResult(
                Finding: Finding.Stop(
                    "flow-negative",
                    "Flow and concentration are not below nothing.",
                    "A load has no direction.",
                    "Type it again."
                )
            );
        }

        var cubic = flow.Value * factor.Value;
        var load = 86.4m * cubic * request.ConcentrationMgL;
        var shown = load >= 1 ? Decimals.Text(decimal.Round(load, 2, MidpointRounding.AwayFromZero)) : Decimals.Significant(load, 2);
        return new LoadResult(
            Decimals.Published(load),
            $"{shown} kg/day",
            new Working(
                "Load",
                [
                    new WorkingInput("flow", $"{Decimals.Text(flow.Value)} {request.Unit}"),
                    new WorkingInput("concentration", $"{Decimals.Text(request.ConcentrationMgL)} mg/L"),
                ],
                [
                    .. factor == 1
                        ? Array.Empty<string>()
                        : [$"{Decimals.Text(flow.Value)} {request.Unit} × {Decimals.Text(factor.Value)} = {Decimals.Text(cubic)} m³/s"],
                    $"86.4 × {Decimals.Text(cubic)} m³/s × {Decimals.Text(request.ConcentrationMgL)} mg/L = {shown} kg/day",
                ],
                "A day has 86 400 s; 1 mg/L is 1 g/m³.",
                "Definition of the load"
            )
        );
    }
}
