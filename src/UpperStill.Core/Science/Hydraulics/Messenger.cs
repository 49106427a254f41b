namespace UpperStill.Core.Science.Hydraulics;

/// <summary>A messenger that slides down the line of a swinging sampler.</summary>
public static class Messenger
{
    /// <summary>m/s where nobody timed it.</summary>
    public const decimal UsualFallMs = 3;

    /// <summary>Seconds from the hand to the trip.</summary>
    /// <param name="lineM">From the hand to the sampler, m.</param>
    /// <param name="fallMs">Fall speed, m/s; above 0.</param>
    public static decimal Seconds(decimal lineM, decimal fallMs) => lineM / fallMs;

    /// <summary>Seconds to wait after an upright pass, so that the sampler is upright when it trips; 0 for a whole number of
    /// beats.</summary>
    /// <param name="seconds">From the hand to the trip, s.</param>
    /// <param name="beatS">From one upright pass to the next, s; above 0.</param>
    public static decimal LetGoAfter(decimal seconds, decimal beatS) => seconds % beatS == 0 ? 0 : beatS - (seconds % beatS);
}
