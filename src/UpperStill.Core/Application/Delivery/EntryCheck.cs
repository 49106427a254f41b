using System.Text.Json;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Entries;

namespace UpperStill.Core.Application.Delivery;

/// <summary>What an entry must be to be kept at all. Everything else is kept and becomes a finding.</summary>
public static class EntryCheck
{
    /// <summary>Longest body, in characters of JSON.</summary>
    public const int LongestBody = 64 * 1024;

    private const int LongestName = 120;
    private const int LongestReason = 2000;
    private const int UuidVersion = 7;

    /// <summary>Reads an entry as it was sent; where it is none, says why.</summary>
    public static (Entry? Entry, Finding? Unreadable) Read(JsonElement sent)
    {
        string? fault;
        try
        {
            var entry = sent.Deserialize(VisitJson.Default.Entry);
            fault = entry is null ? "it is empty" : BodyShape.Fault(sent, VisitJson.Default.Entry, Judged.Written);
            if (fault is null)
            {
                return (entry, null);
            }
        }
        catch (Exception e) when (e is JsonException or InvalidOperationException)
        {
            // The second is a text that is no Unicode.
            fault = e.Message;
        }

        return (null, Stop("entry-shape", "This is not an entry.", $"{fault}.", "See GET /api/kinds for the shapes."));
    }

    /// <summary>The reason why the entry cannot be kept; null where it can.</summary>
    /// <param name="entry">The entry.</param>
    /// <param name="anew">False for an entry of a log that is brought in: an earlier build may have kept what none writes today, and it is
    /// read as it was then.</param>
    public static Finding? Refusal(Entry entry, bool anew = true)
    {
        if (entry.Id.Version != UuidVersion || entry.Visit.Version != UuidVersion)
        {
            return Stop(
                "entry-id",
                "The entry or its visit has no UUID of version 7.",
                "Without one, delivering it twice would count it twice.",
                "Send it from Upper Still, or make the id as RFC 9562 says."
            );
        }

        if (!EntryKinds.All.TryGetValue(entry.Kind, out var kind) || entry.Version < 1 || entry.Version > kind.Version)
        {
            return Stop(
                "entry-kind",
                $"“{Short(entry.Kind)}” version {entry.Version} is not known here.",
                "It could be kept but never read.",
                "Update this instance, then send again."
            );
        }

        if (!Named(entry.By) || !Named(entry.Device))
        {
            return Stop(
                "entry-by",
                "Who made it, or on which device, is missing or too long.",
                "A reading belongs to somebody.",
                $"Give both, at most {LongestName} characters."
            );
        }

        if (entry.Body.GetRawText().Length > LongestBody || entry.Why?.Length > LongestReason)
        {
            return Stop(
                "entry-too-long",
                "The entry is longer than any reading.",
                "It would crowd out the record.",
                $"A body has at most {LongestBody / 1024} kB, a reason {LongestReason} characters."
            );
        }

        if (anew && !PlausibleYear.Holds(entry.At.Year))
        {
            return Stop(
                "entry-at",
                $"The year {entry.At.Year} is none in which anybody read this.",
                "It would stand at the wrong end of the record.",
                "Set the device’s clock, and write it again."
            );
        }

        if (kind.Fault(entry.Body, anew) is { } fault)
        {
            return Stop(
                "entry-body",
                $"The body is not a {entry.Kind} of version {entry.Version}: {fault}.",
                "It could not be read back as it was meant.",
                "See GET /api/kinds for its shape."
            );
        }

        if ((entry.Strikes is not null || kind.NeedsReason) && string.IsNullOrWhiteSpace(entry.Why))
        {
            return Stop(
                "reason-missing",
                "Struck, kept, lost, rejected or moved without a reason.",
                "Later nobody knows what stood, and why.",
                "Say why in a few words."
            );
        }

        return kind == VisitKinds.Strike && entry.Strikes is null
                ? Stop(
                    "strike-nothing",
                    "It does not say what it strikes.",
                    "A strike without its entry changes nothing.",
                    "Name the entry in `strikes`."
                )
            : entry.Strikes == entry.Id
                ? Stop(
                    "strike-itself",
                    "An entry cannot strike itself.",
                    "It would be written and rubbed out at once.",
                    "Strike it with another."
                )
            : null;
    }

    private static bool Named(string? name) => !string.IsNullOrWhiteSpace(name) && name.Length <= LongestName;

    private static string Short(string text) => text.Length <= LongestName ? text : text[..LongestName] + "…";

    private static Finding Stop(string code, string seen, string why, string act) =>
        Finding.Stop(code, seen, why, act) with
        {
            NoWayRound = true,
        };
}

/// <summary>The answer to "can this entry be kept?"</summary>
/// <param name="Refusal">Why it cannot; null where it can.</param>
public sealed record EntryRefusal(Finding? Refusal = null);
