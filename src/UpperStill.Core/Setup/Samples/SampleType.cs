using System.Text.Json.Serialization;

namespace UpperStill.Core.Setup.Samples;

/// <summary>How a sample is kept on the way.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<Keeping>))]
public enum Keeping
{
    /// <summary>On ice, in the dark.</summary>
    [JsonStringEnumMemberName("ice")]
    Ice,

    /// <summary>Frozen, in the dark.</summary>
    [JsonStringEnumMemberName("frozen")]
    Frozen,

    /// <summary>Refrigerated.</summary>
    [JsonStringEnumMemberName("cold")]
    Cold,

    /// <summary>At room temperature, in the dark.</summary>
    [JsonStringEnumMemberName("room")]
    Room,
}

/// <summary>Where samples are put away by how they are kept.</summary>
public static class KeepingPlaces
{
    /// <summary>How it is kept, in words.</summary>
    public static string Words(this Keeping keep) =>
        keep switch
        {
            Keeping.Ice => "on ice, dark",
            Keeping.Frozen => "frozen, dark",
            Keeping.Cold => "refrigerated",
            _ => "room temperature, dark",
        };

    /// <summary>Where it usually stands.</summary>
    public static StorePlace UsualPlace(this Keeping keep) =>
        keep switch
        {
            Keeping.Frozen => StorePlace.Freezer,
            Keeping.Room => StorePlace.Cupboard,
            Keeping.Cold => StorePlace.Refrigerator,
            _ => StorePlace.Cooler,
        };

    /// <summary>True where a place keeps it as it should be; ice and a refrigerator do the same.</summary>
    public static bool Fits(this Keeping keep, StorePlace place) =>
        place == keep.UsualPlace() || (keep is Keeping.Ice or Keeping.Cold && place is StorePlace.Cooler or StorePlace.Refrigerator);
}

/// <summary>A sort of sample: its container, what is added, how it is filled, rinsed and kept.</summary>
/// <param name="Code">Identity, for example <c>chlorophyll-filter</c>.</param>
/// <param name="Letter">Stands in the sample's number.</param>
/// <param name="Measures">What is measured, as it stands on the label.</param>
/// <param name="Container">The container, in words.</param>
/// <param name="Added">What is added; null where nothing is.</param>
/// <param name="Fill">How full.</param>
/// <param name="Rinse">How it is rinsed.</param>
/// <param name="VolumeMl">Usual volume, mL.</param>
/// <param name="FilledAt">On the water, or at the bench.</param>
/// <param name="HoldHours">Hours from collection within which the lab has it; null where it keeps, or where it is filtered first.</param>
public sealed record SampleType(
    string Code,
    string Letter,
    string Measures,
    string Container,
    Preservative? Added,
    FillLevel Fill,
    RinseRule Rinse,
    int VolumeMl = 250,
    FilledAt FilledAt = FilledAt.Water,
    int? HoldHours = SampleType.UnsaidHours
)
{
    /// <summary>How it is kept.</summary>
    public required Keeping Keep { get; init; }

    /// <summary>How long, in words; a programme's hours stand before it.</summary>
    public required string Hold { get; init; }

    /// <summary>What comes on the label on top.</summary>
    public required IReadOnlyList<string> LabelAlso { get; init; }

    /// <summary>What can hurt.</summary>
    public string? Caution { get; init; }

    /// <summary>True where its time runs until a carrier has it, not until it is at the laboratory.</summary>
    public bool Shipped { get; init; }

    /// <summary>Hours that the lab has on top.</summary>
    public int LabHours { get; init; }

    /// <summary>Hours on ice where the laboratory has not said.</summary>
    public const int UnsaidHours = 24;

    /// <summary>The name of the programme's threshold for the hold.</summary>
    public string HoldSetting => $"hold.{Code}";

    /// <summary>True where the container comes sterile: it is never rinsed, and nobody touches its neck or the inside of its cap.</summary>
    public bool Sterile { get; init; }

    /// <summary>True where what is inside would be lost by rinsing: acid, or a sterile wall.</summary>
    internal bool NeverRinsed => Sterile || Added?.Inside == true;

    /// <summary>True where a touch of the hand would be measured: ultra-clean samples, phosphorus, plastics.</summary>
    public bool PurityCounts { get; init; }

    /// <summary>True where whole water is in it: not a filter, a catch or sand.</summary>
    public bool Water { get; init; } = true;
}

/// <summary>Where a sample comes into its container.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<FilledAt>))]
public enum FilledAt
{
    /// <summary>At the station.</summary>
    [JsonStringEnumMemberName("water")]
    Water,

    /// <summary>At the bench, the same day.</summary>
    [JsonStringEnumMemberName("bench")]
    Bench,
}
