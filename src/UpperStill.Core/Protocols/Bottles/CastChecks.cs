using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Protocols.Bottles;

/// <summary>The checks on the lowerings of a bottle sampler.</summary>
internal static class CastChecks
{
    private const int AskedReady = 5;

    internal static IEnumerable<Finding> Of(SheetDraft draft, IReadOnlyList<Read<CastBody>> casts, IReadOnlyList<Read<FillBody>> fills)
    {
        for (var i = 0; i < casts.Count; i++)
        {
            var cast = casts[i];
            // Emptied away and lowered again; where a bottle was filled from it, it is still its water.
            var settled =
                casts.Skip(i + 1).Any(later => later.Body.Place == cast.Body.Place && Good(later.Body))
                && !fills.Any(f => f.Body.Cast == cast.Entry.Id);
            foreach (var finding in One(draft, cast.Body))
            {
                var said = finding.On(Beside.Bottles, cast.Entry.Id);
                yield return settled ? said.Settled("a later cast came up right") : said;
            }
        }
    }

    /// <summary>True where its water can be used.</summary>
    internal static bool Good(CastBody cast) => cast.Outcome == CastOutcome.Closed && cast.Sediment != true;

    internal static string Words(CastBody cast, ReaderUnit reader)
    {
        var depth = cast.LineOut.Read().Length is { } length ? LengthText.Show(length, reader) : $"“{cast.LineOut.Written}”";
        var outcome = cast.Outcome switch
        {
            CastOutcome.Closed => "closed",
            CastOutcome.Open => "came up open",
            CastOutcome.Leaking => "leaking",
            CastOutcome.NotFull => "not full",
            _ => "touched bottom",
        };
        return string.Join(
            ", ",
            new[]
            {
                $"Cast at {depth}",
                outcome,
                cast.Sediment == true ? "sediment" : null,
                cast.Smell is { } smell && smell != "none" ? $"smells of {smell}" : null,
            }.OfType<string>()
        );
    }

    private static IEnumerable<Finding> One(SheetDraft draft, CastBody cast)
    {
        if (cast.LineOut.Read().Finding is { } unread)
        {
            yield return unread;
        }

        if (cast.Ready is { } ready && ready.Count < AskedReady)
        {
            yield return Finding.Check(
                "sampler-unready",
                $"Not all ticked: {ready.Count} of {AskedReady}.",
                "An open vent or a loose clamp costs the cast.",
                "Look at the rest before the next one."
            );
        }

        if (cast.Felt == false)
        {
            yield return Finding.Check(
                "trip-unfelt",
                "No trip was felt.",
                "Tripped early means water from another depth.",
                "Tug once; if nothing, raise slowly and look."
            );
        }

        if (cast.Outcome == CastOutcome.Touched)
        {
            yield return Finding.Stop(
                "sampler-touched",
                "The sampler touched bottom.",
                "Mud is in the water below.",
                "Wait or move, rinse, again. In a river: too shallow for this sampler."
            );
        }
        else if (cast.Outcome != CastOutcome.Closed)
        {
            yield return Finding.Stop(
                "sampler-failed",
                $"It came up {(cast.Outcome == CastOutcome.Open ? "open" : cast.Outcome == CastOutcome.Leaking ? "leaking" : "short")}.",
                "This water is not from that depth alone.",
                "Empty away from the spot, rinse, lower again."
            );
        }

        if (cast.Sediment == true && draft.Context.Programme.ChoiceOf(FillOptions.Sediment) is "again" or "spurt")
        {
            yield return Finding.Stop(
                "sample-has-sediment",
                "Sediment, weed or debris is in it.",
                "That is not water alone.",
                "Empty down-current, rinse three times, again."
            );
        }

        if (cast.Rinses is { } rinses && RinsesAsked(draft) is { } asked && rinses < asked)
        {
            yield return Finding.Check(
                "rinses-short",
                $"{rinses} of {asked} rinses.",
                "Traces of earlier water remain.",
                "Rinse once more before filling."
            );
        }

        if (cast.AngleDeg is { } angle && LineLean.Of(draft, angle, cast.LineOut.Read().Length?.Metres) is { } lean)
        {
            yield return lean;
        }
    }

    private static int? RinsesAsked(SheetDraft draft) =>
        draft.Context.Programme.ChoiceOf(BottlesOptions.SamplerRinses) switch
        {
            "three-depth" or "three-dips" => 3,
            "once" => 1,
            _ => null,
        };
}
