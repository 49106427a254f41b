using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Formats.Results;

/// <summary>How the columns of a results file are read. Columns are named by their heads; what has no column can be the same for the whole
/// file.</summary>
/// <param name="Number">The column of the sample number.</param>
/// <param name="Value">The column of the value.</param>
/// <param name="Analyte">The column of the analyte; null where it is the same throughout.</param>
/// <param name="Unit">The column of the unit; null where it is the same throughout.</param>
/// <param name="Qualifier">The column of the qualifier.</param>
/// <param name="DetectionLimit">The column of the detection limit.</param>
/// <param name="Method">The column of the method.</param>
/// <param name="Date">The column of the day of analysis.</param>
/// <param name="WholeAnalyte">The analyte of the whole file.</param>
/// <param name="WholeUnit">The unit of the whole file.</param>
public sealed record ResultMapping(
    string? Number = null,
    string? Value = null,
    string? Analyte = null,
    string? Unit = null,
    string? Qualifier = null,
    string? DetectionLimit = null,
    string? Method = null,
    string? Date = null,
    string? WholeAnalyte = null,
    string? WholeUnit = null
)
{
    /// <summary>The order of its dates; null where it is not known, and then ambiguous ones are left open.</summary>
    public DateOrder? Dates { get; init; }

    /// <summary>Analytes by what the laboratory calls them, where that is not a usual name.</summary>
    public IReadOnlyDictionary<string, string>? Names { get; init; }
}

/// <summary>What a file looks like before it is read.</summary>
/// <param name="Heads">The heads of its columns.</param>
/// <param name="First">Its first rows.</param>
/// <param name="Mapping">How its columns are read, as far as the heads say.</param>
/// <param name="Problem">Why it cannot be read; null where it can.</param>
public sealed record ResultLook(
    IReadOnlyList<string> Heads,
    IReadOnlyList<IReadOnlyList<string>> First,
    ResultMapping Mapping,
    string? Problem = null
);
