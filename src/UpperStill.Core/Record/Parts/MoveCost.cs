namespace UpperStill.Core.Record.Parts;

/// <summary>What is lost where a step comes after another that it should come before.</summary>
/// <param name="First">The step that should come first.</param>
/// <param name="Then">The one that should come later; null for any.</param>
/// <param name="Lost">What is lost.</param>
internal sealed record MoveCost(string First, string? Then, string Lost);
