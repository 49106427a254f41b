using System.Globalization;

namespace UpperStill.Core.Record.History;

/// <summary>Another visit of the same station, as far as sample numbers must know of it.</summary>
/// <param name="Visit">Its id.</param>
/// <param name="StartedAt">When it began.</param>
/// <param name="Series">Its letter among the visits of its day; null for the first.</param>
/// <param name="Filled">The samples that it filled, by number.</param>
public sealed record OtherVisit(Guid Visit, DateTimeOffset StartedAt, string? Series = null, IReadOnlyList<string>? Filled = null);

/// <summary>A visit that is about to begin.</summary>
/// <param name="Day">Its local day.</param>
/// <param name="Others">Visits of its station that are known here, of any day.</param>
public sealed record VisitSeriesRequest(DateOnly Day, IReadOnlyList<OtherVisit> Others);

/// <summary>The letter of a visit among those of its day and station.</summary>
/// <param name="Series">B to Z; null for the first, whose numbers are those of the printed labels.</param>
public sealed record VisitSeriesResult(string? Series = null);

/// <summary>
/// Sample numbers are unique across the visits of one day and station: the first keeps the outing’s printed numbers, later ones
/// carry a letter behind the day, as in <c>HAR-1-260812B-C1</c>. Of two that did not know of each other the later one’s bottles
/// are found when both are delivered.
/// </summary>
public static class VisitSeries
{
    private const char Second = 'B';
    private const char Last = 'Z';

    /// <summary>The letter for a visit that begins.</summary>
    public static VisitSeriesResult Next(VisitSeriesRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var taken = request
            .Others.Where(o => DateOnly.FromDateTime(o.StartedAt.DateTime) == request.Day)
            .Select(o => o.Series is [>= Second and <= Last and var letter] ? letter : (char)(Second - 1))
            .ToList();
        return new VisitSeriesResult(
            taken.Count == 0 ? null : ((char)Math.Min(Last, taken.Max() + 1)).ToString(CultureInfo.InvariantCulture)
        );
    }
}
