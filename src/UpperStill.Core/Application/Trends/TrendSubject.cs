using System.Text.Json.Serialization;
using UpperStill.Core.Science.Statistics;
using UpperStill.Core.Science.Stratification;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Application.Trends;

/// <summary>What a series is of.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<TrendSubject>))]
public enum TrendSubject
{
    /// <summary>Clarity (Secchi depth), m.</summary>
    [JsonStringEnumMemberName("clarity")] Clarity,

    /// <summary>Chlorophyll a, µg/L.</summary>
    [JsonStringEnumMemberName("chlorophyll")] Chlorophyll,

    /// <summary>Total phosphorus, µg/L as P.</summary>
    [JsonStringEnumMemberName("phosphorus")] Phosphorus,

    /// <summary>Dissolved oxygen at the deepest level, mg/L.</summary>
    [JsonStringEnumMemberName("bottom-oxygen")] BottomOxygen,

    /// <summary>Temperature at the shallowest level, °C.</summary>
    [JsonStringEnumMemberName("surface-temperature")] SurfaceTemperature,

    /// <summary>Depth of the thermocline by density, m.</summary>
    [JsonStringEnumMemberName("thermocline")] Thermocline,

    /// <summary>Schmidt stability, J/m².</summary>
    [JsonStringEnumMemberName("stability")] Stability,

    /// <summary>Any number, such as a pasted table's.</summary>
    [JsonStringEnumMemberName("value")] Value,
}

/// <summary>What is said of a subject.</summary>
/// <param name="Subject">The subject.</param>
/// <param name="Name">Its name in a sentence.</param>
/// <param name="Unit">Its unit.</param>
/// <param name="Decimals">Decimals of a value for the reader.</param>
/// <param name="AskedPerDecade">A change in ten years that people would want to see.</param>
/// <param name="Rising">What a rise means: a sentence with the amount at {0}.</param>
/// <param name="Falling">What a fall means.</param>
/// <param name="Depth">True where it is a depth, shown in the reader's unit and drawn from the surface down.</param>
public sealed record SubjectWords(TrendSubject Subject, string Name, string Unit, int Decimals, decimal AskedPerDecade, string Rising, string Falling, bool Depth = false)
{
    private static readonly SubjectWords[] All =
    [
        new(TrendSubject.Clarity, "clarity", "m", 2, 0.5m, "The water is getting clearer: {0} more each decade.", "The water is getting murkier: {0} less clear each decade.", Depth: true),
        new(TrendSubject.Chlorophyll, "chlorophyll", "µg/L", 1, 2, "The water is getting greener: {0} more chlorophyll each decade.", "The water is getting less green: {0} less chlorophyll each decade."),
        new(TrendSubject.Phosphorus, "phosphorus", "µg/L", 1, 5, "Phosphorus is rising: {0} more each decade.", "Phosphorus is falling: {0} less each decade."),
        new(TrendSubject.BottomOxygen, "oxygen at the bottom", "mg/L", 1, 1, "The deep water is gaining oxygen: {0} more each decade.", "The deep water is losing oxygen: {0} less each decade."),
        new(TrendSubject.SurfaceTemperature, "temperature at the surface", "°C", 1, 0.5m, "The surface is warming: {0} more each decade.", "The surface is cooling: {0} less each decade."),
        new(TrendSubject.Thermocline, "depth of the thermocline", "m", 1, 1, "The warm layer reaches deeper: {0} more each decade.", "The warm layer grows thinner: {0} less each decade.", Depth: true),
        new(TrendSubject.Stability, "stability", "J/m²", 0, 50, "The layers are harder to mix: {0} more each decade.", "The layers are easier to mix: {0} less each decade."),
        new(TrendSubject.Value, "the values", string.Empty, 2, 1, "The values rise: {0} more each decade.", "The values fall: {0} less each decade."),
    ];

    /// <summary>The words of a subject.</summary>
    public static SubjectWords Of(TrendSubject subject) => All.First(w => w.Subject == subject);

    /// <summary>The analyte that a laboratory reports for it; null where none does.</summary>
    public string? Analyte => Subject switch { TrendSubject.Chlorophyll => "chlorophyll-a", TrendSubject.Phosphorus => "total-phosphorus", _ => null };

    /// <summary>What a station measures: everything but a pasted table.</summary>
    public static IReadOnlyList<TrendSubject> Measured { get; } = [.. Enum.GetValues<TrendSubject>().Where(s => s != TrendSubject.Value)];

    /// <summary>What people who live by a water ask after.</summary>
    public static IReadOnlyList<TrendSubject> AskedAfter { get; } = [.. Measured.Where(s => Of(s).Asked)];

    /// <summary>True for what is a number of a profile.</summary>
    public static bool OfProfiles(TrendSubject subject) => subject is TrendSubject.BottomOxygen or TrendSubject.SurfaceTemperature or TrendSubject.Thermocline or TrendSubject.Stability;

    /// <summary>True for what people who live by a water ask after, whatever it says; the rest is told where it moves.</summary>
    public bool Asked => Subject is TrendSubject.Clarity or TrendSubject.Chlorophyll or TrendSubject.Phosphorus or TrendSubject.BottomOxygen;

    /// <summary>True for what a report draws.</summary>
    public bool Pictured => Asked && Subject != TrendSubject.Phosphorus;

    /// <summary>The number of a profile that is followed; null where the subject is no number of a profile, or the profile has none.</summary>
    /// <param name="profile">The profile.</param>
    public double? Number(ProfileNumbers profile)
    {
        ArgumentNullException.ThrowIfNull(profile);
        return Subject switch
        {
            TrendSubject.BottomOxygen => profile.BottomOxygenMgL,
            TrendSubject.SurfaceTemperature => profile.SurfaceC,
            TrendSubject.Thermocline => profile.ThermoclineM,
            TrendSubject.Stability => profile.StabilityJM2,
            _ => null,
        };
    }

    // Where an analyte was taken at several places of a visit, the first of these is followed.
    private static readonly string[] Places = ["composite", "surface"];

    /// <summary>Which of an analyte's values of one visit is followed: the composite's, else the surface's, else the first by name.</summary>
    /// <param name="values">The values, at least one.</param>
    /// <param name="place">Where one was taken.</param>
    public static T Followed<T>(IEnumerable<T> values, Func<T, string> place) =>
        values.OrderBy(v => Array.IndexOf(Places, place(v)) is >= 0 and var at ? at : Places.Length).ThenBy(place, StringComparer.Ordinal).First();

    /// <summary>The months and the least count by which a programme sums it up.</summary>
    public SummarySettings Window(Programme programme)
    {
        ArgumentNullException.ThrowIfNull(programme);
        Protocol? protocol = Subject switch { TrendSubject.Clarity => null, TrendSubject.Chlorophyll => Protocol.Chlorophyll, TrendSubject.Phosphorus => Protocol.Phosphorus, _ => Protocol.Profile };
        return protocol is null ? programme.Summary
            : (programme.Season ?? []).FirstOrDefault(p => p.Protocol == protocol) is { } plan ? Planned(plan)
            : programme.Summary with { LeastReadings = LeastUsual };
    }

    private const int LeastUsual = 3;

    private static SummarySettings Planned(ProtocolPlan plan) =>
        new(plan.From.Month, plan.Until.Month, plan.Least > 0 ? plan.Least : plan.Rhythm == Rhythm.Once ? 1 : LeastUsual);
}
