using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Basis.Quantities;

/// <summary>A plain number as typed.</summary>
/// <param name="Written">The text.</param>
public sealed record NumberRequest(string Written);

/// <summary>What was typed, understood.</summary>
/// <param name="Value">The number; null where it cannot be read.</param>
/// <param name="Finding">What stands in the way.</param>
public sealed record NumberResult(decimal? Value = null, Finding? Finding = null);

/// <summary>Reads a number as people type it.</summary>
public static class NumberOperation
{
    /// <summary>The number, or the finding that says what is wrong.</summary>
    public static NumberResult Work(NumberRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var (value, finding) = NumberText.Read(request.Written);
        return new NumberResult(value, finding);
    }
}
