using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Application.Import;

/// <summary>What a column of an old table holds.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<HistoricRole>))]
public enum HistoricRole
{
    /// <summary>Nothing that is brought in.</summary>
    [JsonStringEnumMemberName("none")]
    None,

    /// <summary>The station, by code or name.</summary>
    [JsonStringEnumMemberName("station")]
    Station,

    /// <summary>The day.</summary>
    [JsonStringEnumMemberName("date")]
    Date,

    /// <summary>The local time.</summary>
    [JsonStringEnumMemberName("time")]
    Time,

    /// <summary>Who read.</summary>
    [JsonStringEnumMemberName("observers")]
    Observers,

    /// <summary>The depth at which the values of the row were read.</summary>
    [JsonStringEnumMemberName("depth")]
    Depth,

    /// <summary>Clarity (Secchi depth): a length, whatever the box was called.</summary>
    [JsonStringEnumMemberName("clarity")]
    Clarity,

    /// <summary>How clarity was read, in words.</summary>
    [JsonStringEnumMemberName("clarity-method")]
    ClarityMethod,

    /// <summary>Temperature of the water.</summary>
    [JsonStringEnumMemberName("temperature")]
    Temperature,

    /// <summary>Dissolved oxygen.</summary>
    [JsonStringEnumMemberName("oxygen")]
    Oxygen,

    /// <summary>Practical salinity.</summary>
    [JsonStringEnumMemberName("salinity")]
    Salinity,

    /// <summary>Something that a laboratory measured.</summary>
    [JsonStringEnumMemberName("analyte")]
    Analyte,
}

/// <summary>How a column is read.</summary>
/// <param name="Head">Its head.</param>
/// <param name="Role">What it holds.</param>
/// <param name="Unit">Its unit; null where none was chosen yet, or it has none.</param>
/// <param name="Analyte">The analyte's code, where it is one.</param>
/// <param name="Sure">True where somebody looked at an unusual column and says that it is right.</param>
public sealed record HistoricColumn(
    string Head,
    HistoricRole Role = HistoricRole.None,
    string? Unit = null,
    string? Analyte = null,
    bool Sure = false
);

/// <summary>How a table is read.</summary>
/// <param name="Columns">Column by column, in their order.</param>
/// <param name="Station">The station of the whole table; null where a column names it.</param>
/// <param name="Dates">The order of its dates; null where it is not known.</param>
public sealed record HistoricMapping(IReadOnlyList<HistoricColumn> Columns, string? Station = null, DateOrder? Dates = null);

/// <summary>What a column can be said to hold.</summary>
/// <param name="Role">What.</param>
/// <param name="Name">Its name for a list.</param>
/// <param name="Units">Units to choose from; none where it has none.</param>
/// <param name="Analyte">The analyte's code, where it is one.</param>
public sealed record HistoricChoice(HistoricRole Role, string Name, IReadOnlyList<string> Units, string? Analyte = null);
