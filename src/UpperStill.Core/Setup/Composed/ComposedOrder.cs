namespace UpperStill.Core.Setup.Composed;

/// <summary>The order of steps of which some wait for others.</summary>
internal static class ComposedOrder
{
    /// <summary>The steps as they were composed, each behind those that it waits for; those of a circle, which can never begin, are in
    /// <c>Circle</c>.</summary>
    internal static (IReadOnlyList<ComposedStep> Steps, IReadOnlyList<ComposedStep> Circle) Of(IReadOnlyList<ComposedStep> steps)
    {
        var known = steps.Select(s => s.Code).ToHashSet(StringComparer.Ordinal);
        List<ComposedStep> rest = [.. steps];
        List<ComposedStep> sorted = [];
        HashSet<string> done = [];
        while (rest.Find(s => s.After.All(a => !known.Contains(a) || done.Contains(a))) is { } next)
        {
            rest.Remove(next);
            sorted.Add(next);
            done.Add(next.Code);
        }

        return (sorted, rest);
    }
}
