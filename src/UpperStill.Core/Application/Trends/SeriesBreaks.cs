namespace UpperStill.Core.Application.Trends;

/// <summary>Splits a series where the way of measuring changed for good: a value by another method is another series, unless somebody joins
/// them.</summary>
internal static class SeriesBreaks
{
    // One visit with a borrowed tube is no new method.
    private const int LeastRun = 3;

    internal static (IReadOnlyList<SeriesBreak> Breaks, IReadOnlyList<IReadOnlyList<SeriesPoint>> Parts) Of(
        IReadOnlyList<SeriesPoint> points,
        IReadOnlyCollection<DateOnly> joins
    )
    {
        List<SeriesBreak> breaks = [];
        List<IReadOnlyList<SeriesPoint>> parts = [];
        List<SeriesPoint> part = [];
        string? method = null;
        for (var i = 0; i < points.Count; i++)
        {
            var here = points[i].Method;
            if (here is not null && (method is null || Same(method, here)))
            {
                // Whoever says more of it is heard.
                method = here.Length > (method?.Length ?? 0) ? here : method;
            }
            else if (here is not null && Stays(points, i, here))
            {
                var joined = joins.Contains(points[i].Day);
                breaks.Add(new SeriesBreak(points[i].Day, method!, here, joined));
                if (!joined)
                {
                    parts.Add(part);
                    part = [];
                }

                method = here;
            }

            part.Add(points[i]);
        }

        parts.Add(part);
        return (breaks, parts);
    }

    // What stands behind a semicolon is not always said: the same as far as both say it.
    private static bool Same(string one, string other) => one == other || one.Split(';')[0] == other || one == other.Split(';')[0];

    private static bool Stays(IReadOnlyList<SeriesPoint> points, int from, string method) =>
        points.Skip(from).Where(p => p.Method is not null).Take(LeastRun).TakeWhile(p => Same(p.Method!, method)).Count() is var run
        && (run == LeastRun || run == points.Skip(from).Count(p => p.Method is not null));
}
