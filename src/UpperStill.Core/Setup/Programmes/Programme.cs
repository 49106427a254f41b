using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Setup.Programmes;

/// <summary>The rules a group of samplers follows: one school for each step. Versioned; a visit names the version it was made under.</summary>
/// <param name="Code">Identity, for example <c>town-lakes</c>.</param>
/// <param name="Version">Counts up from 1.</param>
/// <param name="Name">The name people use.</param>
/// <param name="Hours">When readings may be made, local time.</param>
/// <param name="Clarity">The clarity school.</param>
/// <param name="Composite">The composite school.</param>
/// <param name="Summary">How a season is summed up.</param>
/// <param name="Checks">The limits of the checks at the moment of entry.</param>
/// <param name="Season">What is due when; null where no season is planned.</param>
/// <param name="Schools">Schools of <see cref="SchoolBook"/> that differ from the usual, by setting.</param>
/// <param name="Limits">Limits of <see cref="LimitBook"/> that differ from the usual, by setting.</param>
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
    IReadOnlyDictionary<string, string>? Schools = null,
    [property: Within(-1000, 100000)] IReadOnlyDictionary<string, decimal>? Limits = null)
{
    /// <summary>True where a way other than the usual one is chosen, and it is this one.</summary>
    internal bool Chooses(string setting, string option) => Schools is not null && Schools.TryGetValue(setting, out var chosen) && chosen == option;

    /// <summary>The school chosen for a setting, or the usual one.</summary>
    /// <exception cref="ArgumentException">No school has that setting.</exception>
    public string SchoolOf(string setting) =>
        Schools?.GetValueOrDefault(setting) ?? SchoolBook.Find(setting)?.Usual ?? throw new ArgumentException($"No school is called {setting}.", nameof(setting));

    /// <summary>The number chosen for a limit, or the usual one.</summary>
    /// <exception cref="ArgumentException">No limit has that setting.</exception>
    public decimal LimitOf(string setting) =>
        Limits is not null && Limits.TryGetValue(setting, out var chosen) ? chosen : LimitBook.Find(setting)?.Usual ?? throw new ArgumentException($"No limit is called {setting}.", nameof(setting));
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
    [property: Within(0, 1000000, "s")] int ClockOffS = 300);
