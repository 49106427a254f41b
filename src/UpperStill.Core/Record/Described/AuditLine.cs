namespace UpperStill.Core.Record.Described;

/// <summary>A line of a self-audit.</summary>
/// <param name="Code">What it is of, for ever.</param>
/// <param name="Words">For people.</param>
/// <param name="Lacks">What the entries lack of it; null where it stands as done.</param>
internal sealed record AuditLine(string Code, string Words, string? Lacks);
