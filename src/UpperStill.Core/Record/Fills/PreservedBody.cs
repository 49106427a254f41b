namespace UpperStill.Core.Record.Fills;

/// <summary>Body of the entry <c>preserved</c>: what keeps them was added afterwards.</summary>
/// <param name="Samples">The samples.</param>
/// <param name="Added">What.</param>
public sealed record PreservedBody(IReadOnlyList<string> Samples, string Added);
