using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Protocols.Custody;

/// <summary>The checks on a sample on bench, road and arrival.</summary>
internal static class SampleChecks
{
    private const decimal FreezerC = -15;

    internal static void Fold(SheetDraft draft, SampleDraft sample, IReadOnlyCollection<SampleDraft> all)
    {
        sample.Findings.AddRange(sample.Filter?.Findings(sample.CollectedAt ?? Source(draft, sample)) ?? []);
        sample.Findings.AddRange([
            .. Volumes(draft, sample, all),
            .. Labels(draft, sample),
            .. Stored(draft, sample),
            .. HandedOver(draft, sample),
            .. Received(draft, sample),
        ]);
    }

    // Before it is folded a filter has no time of its own: that of its bottle counts.
    private static DateTimeOffset? Source(SheetDraft draft, SampleDraft sample) =>
        sample.Filter?.Answers.From is { } from
            ? FillChecks.Counting(draft).FirstOrDefault(f => SampleNumber.Same(f.Body.Sample, from))?.Entry.At ?? draft.Start!.Entry.At
            : null;

    private static IEnumerable<Finding> Volumes(SheetDraft draft, SampleDraft sample, IReadOnlyCollection<SampleDraft> all)
    {
        if (
            sample is { Kin: SampleKin.Replicate, Filter: { Ended: { } ended, TotalMl: > 0 } own }
            && all.FirstOrDefault(s => s.Number == sample.Of)?.Filter is { Ended: { } first, TotalMl: > 0 } other
        )
        {
            var mean = (own.TotalMl + other.TotalMl) / 2;
            if (Math.Abs(own.TotalMl - other.TotalMl) > mean * draft.Context.Programme.Of(CustodyOptions.ReplicateVolumesApart) / 100)
            {
                yield return Finding
                    .Check(
                        "replicate-volumes-apart",
                        $"{Decimals.Text(other.TotalMl)} and {Decimals.Text(own.TotalMl)} mL.",
                        "Allowed, but the lab must know.",
                        "Both volumes must be on the labels."
                    )
                    .On(Beside.Filtering, first.Id, ended.Id);
            }
        }
    }

    private static IEnumerable<Finding> Labels(SheetDraft draft, SampleDraft sample)
    {
        var label = draft.Standing(CustodyKinds.Labelled).LastOrDefault(l => Names(l.Body.Samples, sample));
        if (label?.Body.Missing is not { Count: > 0 } missing)
        {
            yield break;
        }

        if (sample.Kin == SampleKin.Replicate && missing.Contains("REP"))
        {
            yield return Finding
                .Check("replicate-unmarked", "Two like labels.", "Nobody can tell the replicate from the sample.", "Mark the second REP.")
                .On(Beside.Label, label.Entry.Id);
        }

        if (missing.Where(m => m != "REP").ToList() is { Count: > 0 } fields)
        {
            yield return Finding
                .Check(
                    "label-incomplete",
                    $"Missing on the label: {string.Join(", ", fields)}.",
                    "The lab refuses it.",
                    "Write it in pencil."
                )
                .On(Beside.Label, label.Entry.Id);
        }
    }

    private static IEnumerable<Finding> Stored(SheetDraft draft, SampleDraft sample)
    {
        if (draft.Standing(CustodyKinds.Stored).LastOrDefault(s => Names(s.Body.Samples, sample)) is not { } stored)
        {
            yield break;
        }

        var frozen = sample.Type.Keep == Keeping.Frozen;
        if (SampleTypes.OnFilter(sample.Type.Code) && stored.Body.In == StorePlace.Freezer && sample.Foil != true)
        {
            yield return Finding
                .Stop(
                    "foil-unconfirmed",
                    $"{sample.Number} is in the freezer, and foil is not confirmed.",
                    "The lab refuses an unwrapped vial.",
                    "Wrap wholly; water and month on the foil."
                )
                .On(Beside.Storing, stored.Entry.Id);
        }

        var fits = sample.Type.Keep.Fits(stored.Body.In);
        if (!fits)
        {
            yield return Finding
                .Check(
                    "stored-wrong",
                    $"{sample.Number} is in the {stored.Body.In.ToString().ToLowerInvariant()}.",
                    Why(sample.Type.Keep),
                    "Put it there, or say why not."
                )
                .On(Beside.Storing, stored.Entry.Id);
        }

        if (
            Read(stored.Body.TemperatureC) is { } c
            && fits
            && (frozen ? c > FreezerC : sample.Type.Keep != Keeping.Room && c > draft.Context.Programme.Of(CustodyOptions.Thawed))
        )
        {
            yield return Finding
                .Check(
                    "stored-warm",
                    $"{Decimals.Text(c)} °C in the {stored.Body.In.ToString().ToLowerInvariant()}.",
                    Why(sample.Type.Keep),
                    frozen ? "-18 °C or colder. Look whether it thaws." : "More ice, or another place."
                )
                .On(Beside.Storing, stored.Entry.Id);
        }
    }

    private static IEnumerable<Finding> HandedOver(SheetDraft draft, SampleDraft sample)
    {
        if (
            sample.Manifest is null
            || draft.Standing(CustodyKinds.HandedOver).FirstOrDefault(h => Names(h.Body.Samples, sample)) is not { } handed
        )
        {
            yield break;
        }

        if (handed.Body.NotFrozen is { } thawed && Names(thawed, sample))
        {
            yield return Thawed(sample, "was not frozen when it left", handed.Entry.Id);
        }

        if (CustodyFindings.Untold(handed.Body.By, handed.Body.Waybill, handed.Body.RecipientTold, handed.Body.SheetInside) is { } untold)
        {
            yield return untold.On(Beside.HandOver, handed.Entry.Id);
        }

        if (Overdue(draft, sample, handed.Entry.At) is { } over)
        {
            yield return over.On(Beside.HandOver, handed.Entry.Id);
        }
    }

    private static IEnumerable<Finding> Received(SheetDraft draft, SampleDraft sample)
    {
        if (draft.Standing(CustodyKinds.Received).LastOrDefault(r => Names(r.Body.Samples, sample)) is not { } received)
        {
            yield break;
        }

        var warm =
            sample.Type.Keep is Keeping.Ice or Keeping.Cold
            && Read(received.Body.TemperatureC) is { } c
            && c > draft.Context.Programme.Of(CustodyOptions.Thawed);
        if (received.Body.As is ArrivedAs.Thawed or ArrivedAs.Warm || warm)
        {
            yield return Thawed(
                sample,
                $"arrived {(received.Body.As == ArrivedAs.Thawed ? "thawed" : "warm")}{(received.Body.TemperatureC is { } at ? $", {at} °C" : string.Empty)}",
                received.Entry.Id
            );
        }
        else if (received.Body.As is ArrivedAs.Leaking or ArrivedAs.Unwrapped or ArrivedAs.Unlabelled)
        {
            yield return Finding
                .Check(
                    "arrived-unfit",
                    $"{sample.Number} arrived {received.Body.As.ToString().ToLowerInvariant()}.",
                    "What is in it may not be what was collected.",
                    "The lab decides: measure it marked, or reject it with a reason."
                )
                .On(Beside.HandOver, received.Entry.Id);
        }

        if (received.Body.SealWhole == false)
        {
            yield return Finding
                .Check("seal-broken", "The seal was not whole.", "Somebody may have opened the box.", "Ask who carried it; say so here.")
                .On(Beside.HandOver, received.Entry.Id);
        }
    }

    private static Finding? Overdue(SheetDraft draft, SampleDraft sample, DateTimeOffset at)
    {
        if (sample.CollectedAt is null || SampleHolds.ToTheLab(sample, draft, onTheRoad: true) is not { } hold || at <= hold.Limit)
        {
            return null;
        }

        return CustodyFindings.HoldOver(sample.Number, hold, at, "It is handed in all the same; the result is marked.");
    }

    private static Finding Thawed(SampleDraft sample, string how, Guid entry) =>
        CustodyFindings.Thawed(sample.Number, how).On(Beside.HandOver, entry);

    private static string Why(Keeping keep) =>
        keep switch
        {
            Keeping.Frozen => "It is kept frozen and dark: chlorophyll and phosphorus change as it thaws.",
            Keeping.Room => "It is stable at room temperature, in the dark; ice may break the glass.",
            _ => "It is kept cold and dark, not frozen: a full bottle bursts.",
        };

    private static decimal? Read(string? written) => written is null ? null : NumberText.Read(written).Value;

    private static bool Names(IEnumerable<string> numbers, SampleDraft sample) => numbers.Any(n => SampleNumber.Same(n, sample.Number));
}
