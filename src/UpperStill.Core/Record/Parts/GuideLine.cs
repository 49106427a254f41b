namespace UpperStill.Core.Record.Parts;

/// <summary>One thing to do.</summary>
/// <param name="Do">What.</param>
/// <param name="Why">Why it is done so.</param>
public sealed record GuideLine(string Do, string Why);

/// <summary>How a step is done, and what can hurt.</summary>
/// <param name="Lines">In the order in which they are done; none for a step that is not known.</param>
/// <param name="Cautions">What can hurt. Local law, the programme's safety plan and the substance's safety sheet come first.</param>
public sealed record StepGuideResult(IReadOnlyList<GuideLine> Lines, IReadOnlyList<string> Cautions)
{
    /// <summary>A guide with its cautions; where something can hurt, what the law and the programme say comes on top.</summary>
    internal static StepGuideResult Of(IEnumerable<GuideLine> lines, params string[] cautions) =>
        new([.. lines], cautions.Length == 0 ? [] : [.. cautions, Caution.Law]);
}
