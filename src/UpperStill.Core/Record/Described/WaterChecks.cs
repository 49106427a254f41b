using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Record.Described;

/// <summary>Checks that several protocols share: knee depth, two thermometers.</summary>
internal static class WaterChecks
{
    /// <summary>Knee-deep, m.</summary>
    internal static readonly (decimal Low, decimal High) Knee = (0.4m, 0.6m);

    /// <summary>Says where somebody does not stand knee-deep.</summary>
    internal static void KneeDeep(Attempt attempt, LengthField depth)
    {
        if (attempt[depth] is { } read && (read.Metres < Knee.Low || read.Metres > Knee.High))
        {
            attempt.Find(CommonFindings.DepthNotKnee, depth, ("depth", LengthText.Write(read)));
        }
    }
}
