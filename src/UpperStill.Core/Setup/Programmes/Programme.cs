using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Statistics;
using UpperStill.Core.Setup.Composed;

namespace UpperStill.Core.Setup.Programmes;

/// <summary>The rules a group of samplers follows: one method for each step. Versioned; a visit names the version it was made
/// under.</summary>
/// <param name="Code">Identity, for example <c>town-lakes</c>.</param>
/// <param name="Version">Counts up from 1.</param>
/// <param name="Name">The name people use.</param>
/// <param name="Hours">When readings may be made, local time.</param>
/// <param name="Clarity">The clarity method.</param>
/// <param name="Composite">The composite method.</param>
/// <param name="Summary">How a season is summed up.</param>
/// <param name="Checks">The limits of the checks at the moment of entry.</param>
/// <param name="Season">What is due when; null where no season is planned.</param>
/// <param name="Methods">Ways that differ from the usual, by setting; see <see cref="Method"/>.</param>
public sealed record Programme(
    string Code,
    [property: Within(1, 1000000)] int Version,
    string Name,
    HoursWindow Hours,
    ClaritySettings Clarity,
    CompositeSettings Composite,
    SummarySettings Summary,
    CheckLimits Checks,
    IReadOnlyList<ProtocolPlan>? Season = null,
    [property: JsonPropertyName("schools")] IReadOnlyDictionary<string, string>? Methods = null
)
{
    /// <summary>Numbers that differ from the usual, by setting; see <see cref="Threshold"/>.</summary>
    [Within(-1000, 100000), JsonPropertyName("limits")]
    public IReadOnlyDictionary<string, decimal>? Thresholds { get; init; }

    /// <summary>The group’s own protocols, as they were published with this version; null where there are none.</summary>
    public IReadOnlyList<ComposedProtocol>? Own { get; init; }

    /// <summary>What somebody aboard has been trained in, within the year; null where no training is asked.</summary>
    public IReadOnlyList<Protocol>? Trained { get; init; }

    /// <summary>True where a disc is let down at all: its season says so, or nothing is said of a season.</summary>
    public bool AsksClarity() => Season is not { Count: > 0 } season || season.Any(p => p.Protocol == Protocol.Clarity);

    /// <summary>True where the matter is done in this way.</summary>
    public bool Chooses(Method method, string option) => ChoiceOf(method) == option;

    /// <summary>The way chosen, or the usual one; a way of an earlier build that is no more is the usual one, too.</summary>
    public string ChoiceOf(Method method)
    {
        ArgumentNullException.ThrowIfNull(method);
        return Methods?.GetValueOrDefault(method.Setting) is { } chosen && method.Options.Any(o => o.Code == chosen)
            ? chosen
            : method.Usual;
    }

    /// <summary>The number chosen, or the usual one.</summary>
    public decimal Of(Threshold threshold)
    {
        ArgumentNullException.ThrowIfNull(threshold);
        return Thresholds is not null && Thresholds.TryGetValue(threshold.Setting, out var chosen) ? chosen : threshold.Usual;
    }
}

/// <summary>A window of local time.</summary>
/// <param name="From">First minute.</param>
/// <param name="Until">Last minute.</param>
public sealed record HoursWindow(TimeOnly From, TimeOnly Until);

/// <summary>Limits of the checks; each default is the common practice. Depths in metres.</summary>
/// <param name="PairApartM">A pair further apart than this and than <paramref name="PairApartPercent"/> is to be repeated.</param>
/// <param name="PairApartPercent">Per cent of the pair's mean.</param>
/// <param name="ObserversDifferPercent">Per cent of the readings' mean.</param>
/// <param name="BottomToleranceM">How near the sounding counts as the bottom.</param>
/// <param name="SoundingDiffersPercent">Per cent of the known depth.</param>
/// <param name="SoundingDiffersLeastM">Never finer than this.</param>
/// <param name="UnusualMads">Scaled median absolute deviations beyond which a value is unusual.</param>
/// <param name="UnusualLeastCount">Values of the month needed before that is asked.</param>
/// <param name="ClockOffS">Seconds by which a device's clock may differ from the server's.</param>
public sealed record CheckLimits(
    [property: Within(0, 100, "m")] decimal PairApartM = 0.3m,
    [property: Within(0, 100, "%")] decimal PairApartPercent = 10m,
    [property: Within(0, 100, "%")] decimal ObserversDifferPercent = 10m,
    [property: Within(0, 100, "m")] decimal BottomToleranceM = 0.1m,
    [property: Within(0, 1000, "%")] decimal SoundingDiffersPercent = 10m,
    [property: Within(0, 100, "m")] decimal SoundingDiffersLeastM = 0.3m,
    [property: Within(0, 1000)] decimal UnusualMads = 3.5m,
    [property: Within(0, 1000)] int UnusualLeastCount = 10,
    [property: Within(0, 1000000, "s")] int ClockOffS = 300
);
