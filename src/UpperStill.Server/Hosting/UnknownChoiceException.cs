namespace UpperStill.Server.Hosting;

/// <summary>An address asks for a choice that there is not; answered with 400 and with what there is.</summary>
/// <param name="given">What was given.</param>
/// <param name="choices">What there is.</param>
public sealed class UnknownChoiceException(string given, IReadOnlyList<string> choices)
    : BadHttpRequestException(
        $"“{(given.Length > LongestShown ? given[..LongestShown] + "…" : given)}” is none of {string.Join(", ", choices)}."
    )
{
    private const int LongestShown = 40;
}
