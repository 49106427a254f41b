using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Application.Visits;

/// <summary>Clean water that was filled after something had stirred the spot.</summary>
internal static class StirredBefore
{
    internal static void Fold(SheetDraft draft)
    {
        var stirred = Stirred(draft).ToList();
        if (stirred.Count == 0)
        {
            return;
        }

        var own = draft
            .Described()
            .SelectMany(p => p.Containers.Select(c => (c.Number, p.Protocol)))
            .ToDictionary(c => SampleNumber.Body(c.Number), c => c.Protocol, StringComparer.OrdinalIgnoreCase);
        foreach (var fill in FillChecks.Counting(draft))
        {
            var by = own.GetValueOrDefault(SampleNumber.Body(fill.Body.Sample));
            if (
                draft.Context.Programme.TypeOf(fill.Body.Type) is not { Water: true }
                || stirred.Find(s => s.At < fill.Entry.At && (s.Described || (by is not null && fill.Body.From == FilledFrom.Lake)))
                    is not { } before
            )
            {
                continue;
            }

            var finding = Finding.Check(
                "order-broken",
                $"{before.What} came before {fill.Body.Sample}.",
                "Stirred bottom ends up in the bottle.",
                "Move upstream or farther out, wait, or come another day."
            );
            draft.Findings.Add(
                by is null
                    ? finding.On(Beside.Bottles, fill.Entry.Id)
                    : finding.On(Beside.Observation, fill.Entry.Id) with
                    {
                        At = $"{by}/{ProtocolRun.OpenContainer}",
                    }
            );
        }
    }

    private sealed record Stir(string What, DateTimeOffset At, bool Described);

    private static IEnumerable<Stir> Stirred(SheetDraft draft)
    {
        foreach (var protocol in VisitParts.Described.Where(p => p.Stirring.Count > 0))
        {
            var first = draft
                .Standing(ObservationKinds.Observation)
                .Where(o => o.Body.Protocol.Code == protocol.Code && protocol.Stirring.Contains(o.Body.Step))
                .Select(o => (DateTimeOffset?)o.Entry.At)
                .Min();
            if (first is { } at)
            {
                yield return new Stir(protocol.Description.Title, at, true);
            }
        }

        if (draft.Section<Sounded>()?.Read is { Body.By: SoundedBy.Lead or SoundedBy.Disc } sounding)
        {
            yield return new Stir(
                sounding.Body.By == SoundedBy.Lead ? "The lead on the bottom" : "The disc on the bottom",
                sounding.Entry.At,
                false
            );
        }
    }
}
