using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Record.History;

/// <summary>How cold and warm the water was in one month.</summary>
/// <param name="Year">The year.</param>
/// <param name="Month">The month, 1–12.</param>
/// <param name="LowC">Coldest, °C.</param>
/// <param name="HighC">Warmest, °C.</param>
public sealed record MonthTemperatures(
    [property: Within(1800, 2200)] int Year,
    [property: Within(1, 12)] int Month,
    [property: Within(-5, 60, "°C")] decimal LowC,
    [property: Within(-5, 60, "°C")] decimal HighC
)
{
    private const int LeastYears = 2;

    /// <summary>Coldest and warmest of the same month in earlier years; null where there are fewer than two of them.</summary>
    internal static (decimal LowC, decimal HighC)? Usual(IReadOnlyList<MonthTemperatures>? months, DateOnly? day)
    {
        var same = months?.Where(m => m.Month == day?.Month && m.Year < day?.Year).ToList();
        return same is { Count: >= LeastYears } ? (same.Min(m => m.LowC), same.Max(m => m.HighC)) : null;
    }
}
