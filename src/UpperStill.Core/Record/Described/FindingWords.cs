using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Record.Described;

/// <summary>A finding's words by its code, with the names of what stands in them in braces: a table, so that a language can be
/// added.</summary>
/// <param name="Code">The finding's code.</param>
/// <param name="Level">Its usual level.</param>
/// <param name="Seen">What was seen.</param>
/// <param name="Why">Why it matters.</param>
/// <param name="Act">What to do.</param>
public sealed record FindingWords(string Code, FindingLevel Level, string Seen, string Why, string Act)
{
    /// <summary>The finding with its names filled in.</summary>
    internal Finding With(params (string Name, string Text)[] given)
    {
        string Fill(string words)
        {
            foreach (var (name, text) in given)
            {
                words = words.Replace($"{{{name}}}", text, StringComparison.Ordinal);
            }

            return words;
        }

        var (seen, why, act) = (Fill(Seen), Fill(Why), Fill(Act));
        return Level switch
        {
            FindingLevel.Stop => Finding.Stop(Code, seen, why, act),
            FindingLevel.Check => Finding.Check(Code, seen, why, act),
            _ => Finding.Note(Code, seen, why, act),
        };
    }
}
