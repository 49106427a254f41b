using UpperStill.Core.Protocols.Results;

namespace UpperStill.Formats.Results;

/// <summary>A row of a results file.</summary>
/// <param name="Line">Its line in the file, the head being the first.</param>
/// <param name="Number">The sample number as it stands there.</param>
/// <param name="Result">What it reports; null where it cannot be read.</param>
/// <param name="Raw">The row as it stands in the file.</param>
/// <param name="Code">Why it cannot be read: the code of a finding.</param>
/// <param name="Why">The same in words.</param>
public sealed record ResultRow(long Line, string Number, ResultBody? Result, string Raw, string? Code = null, string? Why = null);
