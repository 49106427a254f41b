using UpperStill.Core.Basis.Boxes;
using UpperStill.Core.Setup.Composed;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Application.Visits;

/// <summary>Asks for the boxes that are answered with one touch.</summary>
/// <param name="Of">A kind of entry, or what else the code begins with; null for all.</param>
public sealed record BoxesRequest(string? Of = null);

/// <summary>The boxes.</summary>
/// <param name="Boxes">All of them; each code stands once.</param>
public sealed record BoxesResult(IReadOnlyList<Box> Boxes);

/// <summary>The boxes of all parts and of what is set up, as the pages read them.</summary>
public static class BoxBook
{
    // What a season can plan; a protocol that describes itself brings its name.
    private static readonly Box Protocols = Box.Names(
        "plan.protocol",
        "What",
        [
            .. ((string Code, string Words)[])
                [("clarity", "clarity"), ("chlorophyll", "chlorophyll"), ("phosphorus", "phosphorus"), ("profile", "profile")],
            .. VisitParts.Described.Select(d => (d.Code, char.ToLowerInvariant(d.Description.Title[0]) + d.Description.Title[1..])),
        ]
    );

    private static readonly BoxesResult All = new([
        .. VisitParts.All.SelectMany(p => p.Boxes),
        .. KitBoxes.All,
        .. SettingBoxes.All,
        .. WaterBoxes.All,
        .. ComposedBoxes.All,
        Protocols,
    ]);

    /// <summary>All of them.</summary>
    public static BoxesResult Work(BoxesRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        return request.Of is { } of
            ? new BoxesResult([.. All.Boxes.Where(b => b.Code.StartsWith(of + ".", StringComparison.Ordinal))])
            : All;
    }
}
