using System.Globalization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Arrival;
using UpperStill.Core.Protocols.Bottles;
using UpperStill.Core.Protocols.Composite;
using UpperStill.Core.Protocols.Paper;
using UpperStill.Core.Protocols.Profile;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.History;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Application.Visits;

/// <summary>Folds a visit part by part: header, sounding, disc, composite, leaving.</summary>
internal sealed class SheetFold
{
    private readonly SheetDraft draft;

    internal SheetFold(FoldRequest request) => draft = new SheetDraft(request);

    internal FieldSheet Sheet()
    {
        Header();
        SoundingPart.Fold(draft);
        var arrival = ArrivalPart.Fold(draft);
        var clarity = DiscPart.Fold(draft);
        var remarks = DiscRemarksPart.Fold(draft, clarity, arrival);
        var profile = ProfilePart.Fold(draft);
        var bottles = BottlesPart.Fold(draft, profile);
        var composite = CompositeRule.Work(new CompositeRequest(
            draft.Context.Programme.Composite, clarity.Result.Censored ? null : UnroundedMean(clarity), clarity.Result.Censored,
            draft.Section<Sounded>()?.Read.Body.Depth, draft.Line, draft.Reader, draft.Day));
        var composed = !draft.Asks || bottles?.Places.Any(p => p.Place == "composite") == true;
        if (composed && (clarity.Result.ClarityM is not null || draft.Context.Programme.Composite.DepthRule == CompositeDepthRule.Preset))
        {
            // Before a clarity is read its absence is no fault of the composite.
            draft.Findings.AddRange(composite.Findings);
        }

        var tries = CompositePart.Fold(draft, composite);
        var sums = WorkedByHand.Fold(draft, clarity.Result, composite);
        var closed = draft.Standing(VisitKinds.VisitClosed);
        var steps = new StepsOf(draft, arrival, clarity, composite, tries, profile, bottles);
        RangeChecks.Fold(draft, EntryKinds.All.Values);
        Leaving.Fold(draft, clarity, bottles, steps);
        var aboard = GearAboard.Fold(draft);
        List<Finding> findings = [.. draft.Findings.Select(f => draft.AnswerTo(f) is { } why ? f with { Kept = why } : f)];
        var known = draft.Context.Station.KnownDepth.Read().Length;
        var bottom = draft.Section<Sounded>()?.Sheet?.DepthM ?? known?.Metres ?? 10;
        var stops = findings.Where(f => f.Level == FindingLevel.Stop && f.Kept is null).ToList();
        var taken = draft.Standing(VisitKinds.Taken).Select(t => new SheetTaken(t.Body.Protocol, t.Entry.Id)).DistinctBy(t => t.Protocol).ToList();
        var usable = !stops.Any(f => f.Beside is Beside.Clarity or Beside.Sounding);
        return new FieldSheet(
            draft.Log.All.Count > 0 ? draft.Log.All[0].Visit : Guid.Empty,
            draft.Start is null ? VisitState.NotStarted : closed.Count > 0 ? VisitState.Closed : VisitState.Open,
            [.. draft.Log.All.Select(e => Shown(e, clarity.Blind))],
            steps.Visit(stops, closed.Count > 0),
            findings,
            clarity,
            composite,
            DepthScale.To(bottom, draft.Native, draft.Reader),
            Decimals.Published(bottom),
            draft.Native,
            usable,
            draft.Start?.Body.Observers ?? [],
            stops.Count(f => f.Beside != Beside.Entry),
            Took(clarity, profile, bottles, taken),
            taken,
            arrival,
            remarks,
            tries,
            aboard,
            sums,
            draft.Start?.Body.Paper == true,
            draft.Latest(VisitKinds.StepOrder)?.Entry.Id,
            draft.Start?.Body.Due,
            profile,
            bottles,
            Point(clarity.Result, usable, Stated(clarity) ?? ClarityMethod.Of(draft.Context.Programme.Clarity, remarks.Now, draft.Context.Gear ?? [])),
            draft.Section<Sounded>()?.Sheet is null ? null : composite.LimitM is { } limit ? Math.Max(0, limit) : null,
            known is { } k ? Decimals.Published(k.Metres) : null,
            known is { } kk ? draft.Show(kk) : null,
            draft.Start?.Entry.At,
            closed.Count > 0 ? closed[^1].Entry.At : null,
            closed.Count > 0 ? closed[^1].Entry.Id : null,
            draft.Line,
            draft.Section<Sounded>()?.Sheet);
    }

    // What was said to be taken counts as much as what was entered bottle by bottle.
    private IReadOnlyList<Protocol> Took(SheetClarity clarity, SheetProfile? profile, SheetBottles? bottles, List<SheetTaken> taken)
    {
        var full = (bottles?.Places ?? []).SelectMany(p => p.Bottles).Where(b => b.Entry is not null).Select(b => b.Type.Code).ToHashSet();
        IEnumerable<Protocol> took =
        [
            .. clarity.Result.Text is null && clarity.Outcome is null ? Array.Empty<Protocol>() : [Protocol.Clarity],
            .. profile is { Levels.Count: > 1 } ? [Protocol.Profile] : Array.Empty<Protocol>(),
            .. (draft.Context.Programme.Season ?? []).Where(p => draft.Wants(p.Protocol) && UsualBottles.Of(p).Any(b => full.Contains(b.Type))).Select(p => p.Protocol),
            .. taken.Select(t => t.Protocol),
        ];
        return [.. took.Distinct()];
    }

    private static decimal? UnroundedMean(SheetClarity clarity) => clarity.Result.MeanM;

    // The record keeps the clarity as it is reported, not as one reader wishes to see it.
    private ClarityPoint? Point(ClarityResult result, bool usable, string method) => draft.Start is { } start && result.ClarityM is { } metres
        ? new ClarityPoint(
            start.Entry.Visit, DateOnly.FromDateTime(start.Entry.At.DateTime), metres, result.Censored, usable,
            draft.Reader == ReaderUnit.AsRead ? result.Text : null, method)
        : null;

    // A clarity without readings and outcome is one that a table states.
    private string? Stated(SheetClarity clarity) => clarity is { Outcome: null, Read: 0 } && draft.Latest(SecchiKinds.ClarityStated) is { } stated ? stated.Body.Method ?? ClarityStated.Method : null;

    private void Header()
    {
        draft.Line = draft.Context.Lines.FirstOrDefault(l => l.Code == draft.Start?.Body.Line);
        if (draft.Start is not { } start)
        {
            return;
        }

        var hours = draft.Context.Programme.Hours;
        var time = TimeOnly.FromDateTime(start.Entry.At.DateTime);
        if ((time < hours.From || time > hours.Until) && !draft.Context.Programme.Chooses("visit.hours-rule", "none"))
        {
            draft.Findings.Add(Finding.Check(
                "hours-outside", $"{Clock(time)} is outside {Clock(hours.From)}–{Clock(hours.Until)}.", "Readings at other hours differ by light alone.",
                "Keep it with a reason, or come at the right time.") with
            { Beside = Beside.Header, About = [start.Entry.Id] });
        }

        if (SheetTimes.Contradiction(start.Entry.At, start.Body.Half) is { } contradiction)
        {
            draft.Findings.Add(contradiction.On(Beside.Header, start.Entry.Id));
        }

        if (start.Body.TimeEstimated == true)
        {
            draft.Findings.Add(Finding.Note("time-estimated", $"{Clock(time)} is an estimate.", "Holding times and the trend count from it.", "It stays marked so.").On(Beside.Header, start.Entry.Id));
        }

        if (draft.Latest(VisitKinds.VisitMoved) is { } moved)
        {
            draft.Findings.Add(Finding.Note(
                "visit-moved", $"Begun at {start.Body.Station}, moved to {moved.Body.Station} by {moved.Entry.By} ({moved.Entry.Why}).", "It is judged and compared as that station’s.", "Its bottles keep the labels they were given.").On(
                Beside.Header, moved.Entry.Id));
        }

        CopiedLater();
        if (draft.Line is { } line && !line.CheckedIn(start.Entry.At.Year))
        {
            draft.Findings.Add(Finding.Check(
                "line-unchecked", $"{line.Code} has not been taped this season.", "Ropes stretch and a whole season reads short.",
                "Tape it ashore; readings are corrected afterwards.") with
            { Beside = Beside.Header, About = [start.Entry.Id] });
        }

        ClockOff();
    }

    // The id of an entry says when it was written down here, the entry when it was read.
    private void CopiedLater()
    {
        var limit = draft.Context.Programme.LimitOf("checks.copied-later");
        var late = draft.Imported ? [] : draft.Log.Standing.Select(e => (Entry: e, Late: WrittenAt(e.Id) - e.At)).Where(e => (decimal)e.Late.TotalMinutes > limit).ToList();
        if (late.Count > 0)
        {
            var longest = late.Max(e => e.Late);
            draft.Findings.Add(Finding.Note(
                "copied-later", $"{(late.Count == 1 ? "1 entry" : $"{late.Count} entries")} copied {Span((long)longest.TotalSeconds)} later.", "A copy may slip.", "Both times are kept.").On(
                Beside.Header, late.Select(e => e.Entry.Id)));
        }
    }

    private static DateTimeOffset WrittenAt(Guid id)
    {
        Span<byte> bytes = stackalloc byte[16];
        id.TryWriteBytes(bytes, bigEndian: true, out _);
        return DateTimeOffset.FromUnixTimeMilliseconds((long)(System.Buffers.Binary.BinaryPrimitives.ReadUInt64BigEndian(bytes) >> 16));
    }

    private void ClockOff()
    {
        var limit = draft.Context.Programme.Checks.ClockOffS;
        foreach (var device in draft.Log.All.Where(e => e.Receipt is { } r && (r.ClockOffS > limit || r.ClockOffS < -limit)).GroupBy(e => e.Device))
        {
            var off = device.MaxBy(e => Math.Abs((decimal)e.Receipt!.ClockOffS))!.Receipt!.ClockOffS;
            draft.Findings.Add(Finding.Check(
                "clock-off", $"The clock of {device.Key} was {Span(off)} {(off > 0 ? "ahead" : "behind")}.", "Times and days of its readings are off by that.",
                "Set the device’s clock; say on the visit when the readings were made.") with
            { Beside = Beside.Header, About = [.. device.Select(e => e.Id)] });
        }
    }

    private SheetEntry Shown(Entry entry, bool blind)
    {
        var striker = draft.Log.StruckBy(entry);
        return new SheetEntry(
            entry.Id, entry.Kind, blind && entry.Kind == SecchiKinds.DiscMark.Name ? "The disc was read; the number shows when both have read" : EntryKinds.All.TryGetValue(entry.Kind, out var kind) ? kind.Words(entry, draft.Reader) : entry.Kind,
            entry.At, entry.By, entry.Device, striker is not null, striker?.Why ?? entry.Why, entry.Strikes, entry.BroughtInBy);
    }

    private static string Clock(TimeOnly time) => time.ToString("HH:mm", CultureInfo.InvariantCulture);

    private static string Span(long seconds)
    {
        var span = Math.Abs((decimal)seconds);
        return span < 7200 ? $"{Decimals.Fixed(span / 60, 0)} min" : span < 172_800 ? $"{Decimals.Fixed(span / 3600, 0)} h" : $"{Decimals.Fixed(span / 86_400, 0)} days";
    }
}
