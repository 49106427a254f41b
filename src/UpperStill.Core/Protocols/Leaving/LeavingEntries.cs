namespace UpperStill.Core.Protocols.Leaving;

/// <summary>Body of the entry <c>aboard</c>: something counted aboard on leaving.</summary>
/// <param name="Thing">What.</param>
/// <param name="Aboard">False where it is missing.</param>
public sealed record AboardBody(string Thing, bool Aboard);

/// <summary>Something to count aboard before the station is left.</summary>
/// <param name="Thing">What.</param>
/// <param name="Aboard">The answer; null while it is open.</param>
/// <param name="Entry">The entry it stands in.</param>
public sealed record SheetAboard(string Thing, bool? Aboard = null, Guid? Entry = null);
