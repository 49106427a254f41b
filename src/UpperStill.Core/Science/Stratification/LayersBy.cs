using System.Text.Json.Serialization;

namespace UpperStill.Core.Science.Stratification;

/// <summary>What shows the layers of the water.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<LayersBy>))]
public enum LayersBy
{
    /// <summary>Density, which leads, and one degree per metre beside it.</summary>
    [JsonStringEnumMemberName("both")]
    Both,

    /// <summary>The steepest gradient of density.</summary>
    [JsonStringEnumMemberName("density")]
    Density,

    /// <summary>One degree per metre.</summary>
    [JsonStringEnumMemberName("degree")]
    Degree,
}
