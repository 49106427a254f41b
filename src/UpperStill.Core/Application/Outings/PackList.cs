using UpperStill.Core.Application.Visits;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Equipment;

namespace UpperStill.Core.Application.Outings;

/// <summary>The union of what the parts of the visits need at the stations of an outing, counted, crate by crate.</summary>
public static class PackList
{
    /// <summary>The list.</summary>
    /// <param name="stops">The stations.</param>
    /// <param name="kit">The kit of the group.</param>
    /// <param name="day">The day.</param>
    public static IReadOnlyList<PackNeed> Of(IReadOnlyList<PlannedStop> stops, IReadOnlyList<KitItem> kit, DateOnly day)
    {
        ArgumentNullException.ThrowIfNull(stops);
        ArgumentNullException.ThrowIfNull(kit);
        var outing = new Packing(stops, kit, day);
        return
        [
            .. stops
                .SelectMany(s => VisitParts.Of(s.Programme))
                .Distinct()
                .SelectMany(p => p.Pack(outing))
                .GroupBy(n => n.Key)
                // What several parts need is packed once, and stands there for all of them.
                .Select(n => n.MaxBy(m => m.Count)! with { Stops = string.Join(", ", n.Select(m => m.Stops).Distinct()) })
                .OrderBy(n => n.Crate),
        ];
    }
}
