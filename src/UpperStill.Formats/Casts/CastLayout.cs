using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Findings;

namespace UpperStill.Formats.Casts;

/// <summary>What a column of a logged cast holds.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<CastQuantity>))]
public enum CastQuantity
{
    /// <summary>Nothing that is asked for.</summary>
    [JsonStringEnumMemberName("none")]
    None,

    /// <summary>Depth below the surface, m or ft.</summary>
    [JsonStringEnumMemberName("depth")]
    Depth,

    /// <summary>Water temperature, °C or °F.</summary>
    [JsonStringEnumMemberName("temperature")]
    Temperature,

    /// <summary>Dissolved oxygen, mg/L or %.</summary>
    [JsonStringEnumMemberName("oxygen")]
    Oxygen,

    /// <summary>Specific conductance at 25 °C, µS/cm or mS/cm.</summary>
    [JsonStringEnumMemberName("conductivity")]
    Conductivity,

    /// <summary>pH.</summary>
    [JsonStringEnumMemberName("ph")]
    Ph,

    /// <summary>Practical salinity.</summary>
    [JsonStringEnumMemberName("salinity")]
    Salinity,
}

/// <summary>A column and what it is taken for.</summary>
/// <param name="Header">Its name in the file.</param>
/// <param name="Quantity">What it holds.</param>
/// <param name="Unit">m, ft, °C, °F, mg/L, %, µS/cm or mS/cm; null where the file does not say.</param>
public sealed record CastColumn(string Header, CastQuantity Quantity, string? Unit = null);

/// <summary>How a file of a logged cast is laid out.</summary>
/// <param name="Separator">Between columns: comma, semicolon, tab or bar.</param>
/// <param name="DecimalComma">True where numbers are written 3,85.</param>
/// <param name="FirstRow">Lines before the first row of numbers.</param>
/// <param name="Columns">The columns, with a guess of what they hold.</param>
/// <param name="Sample">The first rows as written.</param>
/// <param name="Fault">Why the file cannot be read at all; null where it can.</param>
public sealed record CastLayout(
    string Separator,
    bool DecimalComma,
    int FirstRow,
    IReadOnlyList<CastColumn> Columns,
    IReadOnlyList<IReadOnlyList<string>> Sample,
    FieldFinding? Fault = null
);
