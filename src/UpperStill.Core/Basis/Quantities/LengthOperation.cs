using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Basis.Quantities;

/// <summary>A length as typed.</summary>
/// <param name="Written">The text.</param>
/// <param name="Unit">The unit of the line or box; null where it is not known.</param>
/// <param name="Reader">Unit for the words.</param>
public sealed record LengthRequest(string Written, LengthUnit? Unit = null, ReaderUnit Reader = ReaderUnit.AsRead);

/// <summary>What was typed, understood.</summary>
/// <param name="DepthM">m, exact; null where it cannot be read.</param>
/// <param name="Text">As it will be shown.</param>
/// <param name="Finding">What stands in the way, or what to look at.</param>
public sealed record LengthResult(decimal? DepthM = null, string? Text = null, Finding? Finding = null);

/// <summary>Reads a length while it is typed.</summary>
public static class LengthOperation
{
    /// <summary>The length in metres and in words, or the finding that says what is wrong.</summary>
    public static LengthResult Work(LengthRequest request)
    {
        var (length, finding) = LengthParser.Parse(request.Written, request.Unit);
        return length is { } l
            ? new LengthResult(Decimals.Published(l.Metres), LengthText.Show(l, request.Reader), finding)
            : new LengthResult(Finding: finding);
    }
}
