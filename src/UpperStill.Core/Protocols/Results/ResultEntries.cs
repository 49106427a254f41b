using UpperStill.Core.Science.Chlorophyll;
using UpperStill.Core.Setup.Laboratories;

namespace UpperStill.Core.Protocols.Results;

/// <summary>Body of the entry <c>result</c>: what a laboratory reports of a sample.</summary>
/// <param name="Sample">The sample's number.</param>
/// <param name="Analyte">The analyte's code.</param>
/// <param name="Value">The value as written; for a value below the limit, the limit.</param>
/// <param name="Unit">Its unit as written; null where none was given, and then it is kept but not used.</param>
/// <param name="Qualifier">What is said beside it.</param>
/// <param name="DetectionLimit">The detection limit as written, in the same unit.</param>
/// <param name="Method">The method, in the laboratory's words.</param>
/// <param name="On">The day of the analysis.</param>
/// <param name="File">Name of the file it came in; null where it was typed.</param>
public sealed record ResultBody(
    string Sample,
    string Analyte,
    string Value,
    string? Unit = null,
    Qualifier? Qualifier = null,
    string? DetectionLimit = null,
    string? Method = null,
    DateOnly? On = null,
    string? File = null
);

/// <summary>Body of the entry <c>measured</c>: what an instrument showed of a filter's extract; the chlorophyll is worked out from
/// it.</summary>
/// <param name="Sample">The filter's number.</param>
/// <param name="Readings">The readings.</param>
/// <param name="On">The day of the analysis.</param>
public sealed record MeasuredBody(string Sample, ExtractReadings Readings, DateOnly? On = null);

/// <summary>Body of the entry <c>flow</c>: flow of the stream when the sample was taken, from which its load follows.</summary>
/// <param name="Sample">The sample's number.</param>
/// <param name="Value">As read.</param>
/// <param name="Unit"><c>m³/s</c> or <c>L/s</c>.</param>
public sealed record FlowBody(string Sample, string Value, string Unit);
