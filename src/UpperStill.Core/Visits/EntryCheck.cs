using UpperStill.Core.Findings;

namespace UpperStill.Core.Visits;

/// <summary>What an entry must be to be kept at all. Everything else is kept and becomes a finding.</summary>
public static class EntryCheck
{
    /// <summary>Longest body, in characters of JSON.</summary>
    public const int LongestBody = 64 * 1024;

    private const int LongestName = 120;
    private const int LongestReason = 2000;
    private const int UuidVersion = 7;

    /// <summary>The reason why the entry cannot be kept; null where it can.</summary>
    public static Finding? Refusal(Entry entry)
    {
        if (entry.Id.Version != UuidVersion || entry.Visit.Version != UuidVersion)
        {
            return Stop("entry-id", "The entry or its visit has no UUID of version 7.", "Without one, delivering it twice would count it twice.", "Send it from Upper Still, or make the id as RFC 9562 says.");
        }

        if (!EntryKinds.All.TryGetValue(entry.Kind, out var kind) || entry.Version < 1 || entry.Version > kind.Version)
        {
            return Stop("entry-kind", $"“{Short(entry.Kind)}” version {entry.Version} is not known here.", "It could be kept but never read.", "Update this instance, then send again.");
        }

        if (!Named(entry.By) || !Named(entry.Device))
        {
            return Stop("entry-by", "Who made it, or on which device, is missing or too long.", "A reading belongs to somebody.", $"Give both, at most {LongestName} characters.");
        }

        if (entry.Body.GetRawText().Length > LongestBody || entry.Why?.Length > LongestReason)
        {
            return Stop("entry-too-long", "The entry is longer than any reading.", "It would crowd out the record.", $"A body has at most {LongestBody / 1024} kB, a reason {LongestReason} characters.");
        }

        if (!kind.Reads(entry.Body))
        {
            return Stop("entry-body", $"The body is not a {entry.Kind} of version {entry.Version}.", "It could not be read back.", "See GET /api/kinds for its shape.");
        }

        if ((entry.Strikes is not null || kind == EntryKinds.Kept || kind == EntryKinds.SampleLost || kind == EntryKinds.SampleRejected) && string.IsNullOrWhiteSpace(entry.Why))
        {
            return Stop("reason-missing", "Struck, kept, lost or rejected without a reason.", "Later nobody knows what stood, and why.", "Say why in a few words.");
        }

        return kind == EntryKinds.Strike && entry.Strikes is null
            ? Stop("strike-nothing", "It does not say what it strikes.", "A strike without its entry changes nothing.", "Name the entry in `strikes`.")
            : entry.Strikes == entry.Id
                ? Stop("strike-itself", "An entry cannot strike itself.", "It would be written and rubbed out at once.", "Strike it with another.")
                : null;
    }

    private static bool Named(string? name) => !string.IsNullOrWhiteSpace(name) && name.Length <= LongestName;

    private static string Short(string text) => text.Length <= LongestName ? text : text[..LongestName] + "…";

    private static Finding Stop(string code, string seen, string why, string act) => Finding.Stop(code, seen, why, act) with { NoWayRound = true };
}

/// <summary>The answer to "can this entry be kept?"</summary>
/// <param name="Refusal">Why it cannot; null where it can.</param>
public sealed record EntryRefusal(Finding? Refusal = null);
