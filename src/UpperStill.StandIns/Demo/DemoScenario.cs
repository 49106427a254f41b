using System.Text.Json;
using System.Text.Json.Serialization;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Laboratories;
using UpperStill.Core.Setup.People;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Waters;
using UpperStill.StandIns.Lakes;

namespace UpperStill.StandIns.Demo;

/// <summary>A station of the demo, with the lake that answers for it.</summary>
/// <param name="Station">The station.</param>
/// <param name="Programme">The programme's code.</param>
/// <param name="Line">The line's code; null where none is let down.</param>
/// <param name="SoundsInFeet">True where the finder shows feet.</param>
/// <param name="Observers">Who goes there.</param>
/// <param name="EveryDays">Days between visits in earlier seasons.</param>
/// <param name="Weekdays">Days of the week on which its people can go, Sunday = 0.</param>
/// <param name="ThisSeason">Visits of the season under way.</param>
/// <param name="Lake">The simulated lake.</param>
public sealed record DemoStation(
    Station Station,
    string Programme,
    string? Line,
    bool SoundsInFeet,
    IReadOnlyList<string> Observers,
    int EveryDays,
    IReadOnlyList<int> Weekdays,
    IReadOnlyList<DateOnly> ThisSeason,
    LakeModel Lake
);

/// <summary>Someone of the demo, with an account that exists in the demo only.</summary>
/// <param name="Name">The name beside readings.</param>
/// <param name="SignInName">The name to sign in with.</param>
/// <param name="Grants">Roles and waters.</param>
public sealed record DemoPerson(string Name, string SignInName, IReadOnlyList<Grant> Grants);

/// <summary>A water of the demo, with the shape that its map is drawn from.</summary>
/// <param name="Water">The water, its outline still empty.</param>
/// <param name="Shape">The basin.</param>
public sealed record DemoWater(Water Water, LakeShape Shape)
{
    /// <summary>The water with its outline, contours and areas.</summary>
    public Water Drawn() => Water with { Outline = [Shape.Shore()], Contours = Shape.Contours(), Hypsography = Shape.Hypsography() };
}

/// <summary>A day of the demo's season set aside by hand.</summary>
/// <param name="Day">The day.</param>
/// <param name="Kind">blocked, shared or iceOut.</param>
/// <param name="Why">Why.</param>
/// <param name="Station">The station; null for all.</param>
public sealed record DemoDay(DateOnly Day, string Kind, string Why, string? Station = null);

/// <summary>The made-up district that the demo shows.</summary>
/// <param name="Seed">The seed of everything in it.</param>
/// <param name="Now">The demo's fixed day, and the hour at which it begins.</param>
/// <param name="FirstYear">The first season.</param>
/// <param name="Programmes">Programmes.</param>
/// <param name="Laboratory">The laboratory.</param>
/// <param name="Days">Days of the season set aside.</param>
/// <param name="Waters">Waters.</param>
/// <param name="People">People.</param>
/// <param name="Kit">The kit.</param>
/// <param name="Stations">Stations.</param>
public sealed record DemoScenario(
    ulong Seed,
    DateTimeOffset Now,
    int FirstYear,
    IReadOnlyList<Programme> Programmes,
    Laboratory Laboratory,
    IReadOnlyList<DemoDay> Days,
    IReadOnlyList<DemoWater> Waters,
    IReadOnlyList<DemoPerson> People,
    IReadOnlyList<KitItem> Kit,
    IReadOnlyList<DemoStation> Stations
)
{
    /// <summary>The password of every account of the demo. No secret: the sign-in page shows it, and the accounts exist in the demo
    /// only.</summary>
    public const string Password = "upper-still-demo";

    /// <summary>The scenario that ships with Upper Still.</summary>
    public static DemoScenario Load()
    {
        using var stream = typeof(DemoScenario).Assembly.GetManifestResourceStream("scenario.json")!;
        var scenario = JsonSerializer.Deserialize(stream, DemoJson.Default.DemoScenario)!;
        return scenario with { Kit = [.. scenario.Kit.Select((item, i) => scenario.Sprung(item, i))] };
    }

    /// <summary>The programme by which a station is visited.</summary>
    public Programme ProgrammeOf(DemoStation station) => Programmes.First(p => p.Code == station.Programme);

    // Every line was taped each spring of the earlier seasons, and every mark was true.
    private KitItem Sprung(KitItem item, int index) =>
        item.Marks is null
            ? item
            : item with
            {
                Checks =
                [
                    .. Enumerable
                        .Range(FirstYear, Now.Year - FirstYear)
                        .Select(year => new KitCheck(
                            new Guid(index, (short)year, 0, [0, 0, 0, 0, 0, 0, 0, 0]),
                            KitCheckKind.Taped,
                            new DateOnly(year, 4, 11),
                            People[0].Name,
                            [new TapedMark(item.Marks.Usable, item.Marks.Usable)]
                        )),
                    .. item.Checks ?? [],
                ],
            };
}

/// <summary>The scenario's JSON.</summary>
[JsonSourceGenerationOptions(
    PropertyNamingPolicy = JsonKnownNamingPolicy.CamelCase,
    RespectNullableAnnotations = true,
    RespectRequiredConstructorParameters = true
)]
[JsonSerializable(typeof(DemoScenario))]
internal sealed partial class DemoJson : JsonSerializerContext;
