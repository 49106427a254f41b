using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Record.Described;

/// <summary>Where somebody stands who takes water knee-deep.</summary>
internal static class KneeDeep
{
    /// <summary>m.</summary>
    internal static readonly (decimal Low, decimal High) Range = (0.4m, 0.6m);

    /// <summary>Says where somebody does not stand so.</summary>
    internal static void Of(Attempt attempt, LengthField depth)
    {
        if (attempt[depth] is { } read && (read.Metres < Range.Low || read.Metres > Range.High))
        {
            attempt.Find(CommonFindings.DepthNotKnee, depth, ("depth", LengthText.Write(read)));
        }
    }
}
