using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Arrival;
using UpperStill.Core.Protocols.Bottles;
using UpperStill.Core.Protocols.Composite;
using UpperStill.Core.Protocols.Paper;
using UpperStill.Core.Protocols.Profile;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Application.Visits;

/// <summary>Folds a visit part by part, and puts the sheet together from what each has added.</summary>
internal sealed class SheetFold
{
    private readonly SheetDraft draft;
    private readonly IReadOnlyList<VisitPart> parts;

    internal SheetFold(FoldRequest request)
    {
        List<VisitPart> folded = [];
        draft = new SheetDraft(request, VisitParts.Bottles) { StepsSoFar = () => [.. folded.SelectMany(p => p.Steps(draft!))] };
        parts = VisitParts.Of(draft.Context.Programme);
        draft.AnsweredElsewhere = parts
            .OfType<DescribedProtocol>()
            .Where(p => draft.Wants(new Protocol(p.Code)))
            .SelectMany(p => p.Answers)
            .ToHashSet(StringComparer.Ordinal);
        foreach (var part in parts)
        {
            part.Fold(draft);
            folded.Add(part);
        }
    }

    internal FieldSheet Sheet()
    {
        DescribedProtocols.Unknown(draft);
        StirredBefore.Fold(draft);
        var steps = new StepsOf(draft);
        RangeChecks.Fold(draft, EntryKinds.All.Values);
        Leaving.Fold(draft, steps);
        var aboard = GearAboard.Fold(draft);
        var (clarity, composite, remarks) = (
            draft.Section<SheetClarity>()!,
            draft.Section<CompositeResult>()!,
            draft.Section<SheetDiscRemarks>()!
        );
        var sounding = draft.Section<Sounded>()?.Sheet;
        var closed = draft.Standing(VisitKinds.VisitClosed);
        List<Finding> findings = [.. draft.Findings.Select(f => draft.AnswerTo(f) is { } why ? f with { Kept = why } : f)];
        var known = draft.Context.Station.KnownDepth.Read().Length;
        var bottom = sounding?.DepthM ?? known?.Metres ?? 10;
        var stops = findings.Where(f => f.Level == FindingLevel.Stop && f.Kept is null).ToList();
        var usable = !stops.Any(f => f.Beside is Beside.Clarity or Beside.Sounding);
        IReadOnlyList<SheetEntry> entries = [.. draft.Log.All.Select(e => Shown(e, clarity.Blind))];
        var shown = steps.Visit(stops, closed.Count > 0);
        var mending = new Mending(draft, steps, shown, entries);
        return new FieldSheet(
            draft.Log.All.Count > 0 ? draft.Log.All[0].Visit : Guid.Empty,
            draft.Start is null ? VisitState.NotStarted
                : closed.Count > 0 ? VisitState.Closed
                : VisitState.Open,
            entries,
            shown,
            [.. findings.Select(mending.With)],
            clarity,
            composite,
            DepthScale.To(bottom, draft.Native, draft.Reader),
            Decimals.Published(bottom),
            draft.Native
        )
        {
            Usable = usable,
            ByDepth = draft.Context.Station.ByDepth,
            Observers = draft.Start?.Body.Observers ?? [],
            StopsToEnd = stops.Count(f => f.Beside != Beside.Entry),
            Took = [.. parts.SelectMany(p => p.Took(draft)).Distinct()],
            TakenEntries =
            [
                .. draft.Standing(VisitKinds.Taken).Select(t => new SheetTaken(t.Body.Protocol, t.Entry.Id)).DistinctBy(t => t.Protocol),
            ],
            Arrival = draft.Section<SheetArrival>()!,
            Remarks = remarks,
            Tries = draft.Section<SheetTries>()!,
            Aboard = aboard,
            Sums = draft.Section<IReadOnlyList<SheetHandSum>>()!,
            Paper = draft.Start?.Body.Paper == true,
            Order = draft.Latest(VisitKinds.StepOrder)?.Entry.Id,
            Due = draft.Start?.Body.Due,
            Profile = draft.Section<SheetProfile>(),
            Bottles = draft.Section<SheetBottles>(),
            Point = SecchiParameters.Point(draft),
            KeepOffM =
                sounding is null ? null
                : composite.LimitM is { } limit ? Math.Max(0, limit)
                : null,
            KnownM = known is { } k ? Decimals.Published(k.Metres) : null,
            KnownText = known is { } kk ? draft.Show(kk) : null,
            StartedAt = draft.Start?.Entry.At,
            ClosedAt = closed.Count > 0 ? closed[^1].Entry.At : null,
            ClosedEntry = closed.Count > 0 ? closed[^1].Entry.Id : null,
            Line = draft.Line,
            Sounding = sounding,
            Protocols = draft.Described() is { Count: > 0 } described ? described : null,
            Record = new(() =>
                new VisitRecord(
                    [.. parts.SelectMany(p => p.Readings(draft))],
                    ProfileParameters.Numbers(draft),
                    ProfileParameters.Usable(draft)
                )
            ),
        };
    }

    private SheetEntry Shown(Entry entry, bool blind)
    {
        var striker = draft.Log.StruckBy(entry);
        return new SheetEntry(
            entry.Id,
            entry.Kind,
            blind && entry.Kind == SecchiKinds.DiscMark.Name ? "The disc was read; the number shows when both have read"
                : EntryKinds.All.TryGetValue(entry.Kind, out var kind) ? kind.Words(entry, draft.Reader)
                : entry.Kind,
            entry.At,
            entry.By,
            entry.Device,
            striker is not null,
            striker?.Why ?? entry.Why,
            entry.Strikes,
            entry.BroughtInBy
        );
    }
}
