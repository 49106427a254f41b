namespace UpperStill.Core.Basis.Findings;

/// <summary>Words as they begin a sentence.</summary>
internal static class Sentence
{
    /// <summary>The same with a capital; nothing stays nothing.</summary>
    internal static string Begun(string words) => words.Length == 0 ? words : char.ToUpperInvariant(words[0]) + words[1..];
}
