using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Setup.Programmes;

/// <summary>Which mark makes a clarity reading.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<EndPoint>))]
public enum EndPoint
{
    /// <summary>The depth where the disc is just lost.</summary>
    [JsonStringEnumMemberName("disappear")]
    Disappear,

    /// <summary>The mean of where it is lost and where it is seen again.</summary>
    [JsonStringEnumMemberName("mean")]
    Mean,

    /// <summary>The depth where black and white can be told apart again on the way up.</summary>
    [JsonStringEnumMemberName("reappear")]
    Reappear,
}

/// <summary>Whether one pair of eyes reads, or partners swap.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<ObserverMethod>))]
public enum ObserverMethod
{
    /// <summary>One person makes every reading.</summary>
    [JsonStringEnumMemberName("same")]
    Same,

    /// <summary>Two people, one reading each.</summary>
    [JsonStringEnumMemberName("swap")]
    Swap,
}

/// <summary>A clarity method: how a Secchi reading is made in a programme.</summary>
/// <param name="EndPoint">Which mark counts.</param>
/// <param name="Readings">Lowerings asked for, 1–3.</param>
/// <param name="Observers">Same eyes, or partners swap.</param>
/// <param name="RoundTo">Rounding of the reported value.</param>
public sealed record ClaritySettings(
    EndPoint EndPoint,
    [property: Within(1, 9)] int Readings,
    ObserverMethod Observers,
    RoundingMethod RoundTo
)
{
    /// <summary>How many people must read.</summary>
    public int ObserversNeeded() => Observers == ObserverMethod.Swap ? 2 : 1;

    /// <summary>Lowerings that a complete clarity needs.</summary>
    internal int Needed => Observers == ObserverMethod.Swap ? Math.Max(2, Readings) : Math.Max(1, Readings);

    /// <summary>The marks of one lowering, in the order in which they are read.</summary>
    internal IReadOnlyList<DiscEvent> Events =>
        EndPoint switch
        {
            EndPoint.Disappear => [DiscEvent.Disappeared],
            EndPoint.Mean => [DiscEvent.Disappeared, DiscEvent.Reappeared],
            EndPoint.Reappear => [DiscEvent.Reappeared],
            _ => throw new ArgumentOutOfRangeException(nameof(EndPoint)),
        };

    /// <summary>The method in words.</summary>
    internal string Words =>
        (EndPoint, Observers, Needed) switch
        {
            (EndPoint.Disappear, _, _) => "Disappear only: the depth where the disc is just lost",
            (EndPoint.Reappear, ObserverMethod.Swap, _) =>
                "Two observers: each reads where black and white can be told apart again; the mean of the readings",
            (EndPoint.Reappear, _, _) => "Reappear: the depth where black and white can be told apart again",
            (_, _, 1) => "Disappear and reappear: the mean of the two marks",
            _ => "Full pairs: the mean of each pair, then the mean of the unrounded pairs",
        };
}
