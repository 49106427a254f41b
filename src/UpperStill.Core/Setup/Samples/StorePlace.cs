using System.Text.Json.Serialization;

namespace UpperStill.Core.Setup.Samples;

/// <summary>Where a sample is kept.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<StorePlace>))]
public enum StorePlace
{
    /// <summary>A freezer, -18 °C or colder.</summary>
    [JsonStringEnumMemberName("freezer")]
    Freezer,

    /// <summary>A refrigerator, about 4 °C.</summary>
    [JsonStringEnumMemberName("refrigerator")]
    Refrigerator,

    /// <summary>A cooler with ice.</summary>
    [JsonStringEnumMemberName("cooler")]
    Cooler,

    /// <summary>A dark cupboard.</summary>
    [JsonStringEnumMemberName("cupboard")]
    Cupboard,
}
