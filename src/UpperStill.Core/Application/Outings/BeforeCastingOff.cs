using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Application.Outings;

/// <summary>Something on the pack list, as far as its tick goes.</summary>
/// <param name="Key">Its key on the list.</param>
/// <param name="Words">What it is.</param>
/// <param name="Ticked">True where it is aboard.</param>
public sealed record Tick(string Key, string Words, bool Ticked);

/// <summary>Asks whether what keeps people safe is confirmed.</summary>
/// <param name="Ticks">The pack list.</param>
public sealed record CastingOffRequest(IReadOnlyList<Tick> Ticks);

/// <summary>What is not confirmed.</summary>
/// <param name="Finding">Null where everything is.</param>
public sealed record CastingOffResult(Finding? Finding = null);

/// <summary>Looks, before casting off, at what keeps people safe.</summary>
public static class BeforeCastingOff
{
    /// <summary>Flotation for each person, anchor with spare line, bailer; ashore boots; someone told.</summary>
    private static readonly string[] Needed = ["flotation", "anchor", "bailer", "boots", "told"];

    /// <summary>Names what of it is not ticked.</summary>
    public static CastingOffResult Work(CastingOffRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var open = request.Ticks.Where(t => Needed.Contains(t.Key) && !t.Ticked).Select(t => t.Words).ToList();
        return new CastingOffResult(
            open.Count == 0
                ? null
                : Finding.Check(
                    "safety-unticked",
                    $"Not confirmed: {string.Join("; ", open)}.",
                    "On the water it cannot be fetched.",
                    "Check before casting off."
                )
        );
    }
}
