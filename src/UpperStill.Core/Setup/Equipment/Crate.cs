using System.Text.Json.Serialization;

namespace UpperStill.Core.Setup.Equipment;

/// <summary>The crates in which kit is carried, in the order in which they are packed.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<Crate>))]
public enum Crate
{
    /// <summary>What keeps people alive.</summary>
    [JsonStringEnumMemberName("safety")]
    Safety,

    /// <summary>Disc, line, clips.</summary>
    [JsonStringEnumMemberName("clarity")]
    Clarity,

    /// <summary>Meter and thermometer.</summary>
    [JsonStringEnumMemberName("profile")]
    Profile,

    /// <summary>Samplers and bottles.</summary>
    [JsonStringEnumMemberName("bottles")]
    Bottles,

    /// <summary>Composite and filtering.</summary>
    [JsonStringEnumMemberName("chlorophyll")]
    Chlorophyll,

    /// <summary>Sheets, labels, pencils.</summary>
    [JsonStringEnumMemberName("paper")]
    Paper,

    /// <summary>Cooler and ice.</summary>
    [JsonStringEnumMemberName("cold")]
    Cold,
}
