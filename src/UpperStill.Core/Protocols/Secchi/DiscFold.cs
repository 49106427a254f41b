using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.People;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Secchi;

/// <summary>The disc's part of the sheet: the boxes, and the clarity from what stands in them.</summary>
internal static class DiscFold
{
    private const int MostLowerings = 3;

    internal static SheetClarity Fold(SheetDraft draft)
    {
        var marks = draft.Standing(SecchiKinds.DiscMark);
        var outcomes = draft.Standing(SecchiKinds.DiscOutcome);
        var method = DiscMethod.Of(draft.Context.Programme);
        var (settings, events) = (method.Settings, DiscMethod.Events(method.Settings, method.Folded));
        var blind = Blind(draft, settings, events, marks, outcomes);
        foreach (var box in marks.GroupBy(m => (m.Body.Lowering, m.Body.Event)).Where(_ => !blind))
        {
            draft.Disagreement(
                Beside.Clarity,
                $"the disc {DiscMethod.Words(box.Key.Event)}, reading {box.Key.Lowering}",
                [.. box.Select(m => m.Entry)],
                e => Words(draft, box.First(m => m.Entry == e).Body.Depth)
            );
        }

        var outcome = outcomes.Count > 0 ? outcomes[^1] : null;
        draft.Disagreement(Beside.Clarity, "the disc’s outcome", [.. outcomes.Select(o => o.Entry)], e =>
            outcomes.First(o => o.Entry == e).Body.Outcome.ToString()
        );
        var result = ClarityRule.Work(
            new ClarityRequest(
                settings,
                [
                    .. marks.Select(m => new DiscMark(
                        m.Body.Lowering,
                        m.Body.Event,
                        m.Body.Depth,
                        m.Body.Observer,
                        m.Entry.Id,
                        m.Body.ObserverId
                    )),
                ],
                outcome?.Body.Outcome,
                outcome?.Entry.Why,
                draft.Section<Sounded>()?.Read.Body.Depth,
                draft.Line,
                draft.Context.Programme.Checks,
                draft.Day,
                draft.Context.History,
                draft.Reader
            )
            {
                People = draft.Context.People,
                Folded = method.Folded,
                OneLowering = method.OneLowering,
            }
        );
        if (marks.Count == 0 && outcome is null && draft.Latest(SecchiKinds.ClarityStated) is { } stated)
        {
            result = ClarityStated.Work(stated.Body, stated.Entry.Id, draft.Reader);
        }

        var read = result.Readings.Count;
        if (blind)
        {
            // What cannot be read at all tells no number; it is said at once.
            var unread = marks.Where(m => m.Body.Depth.Read().Length is null).Select(m => m.Entry.Id).ToHashSet();
            result = new ClarityResult(
                [],
                result.Needed,
                [.. result.Findings.Where(f => f.About.Count > 0 && f.About.All(unread.Contains))]
            );
        }

        draft.Findings.AddRange(
            result.Findings.Select(f => f.About.Count == 0 && outcome is not null ? f with { About = [outcome.Entry.Id] } : f)
        );
        var boxes = Boxes(draft, settings, events, marks, result, read);
        return new SheetClarity(
            blind ? [.. boxes.Select(b => b with { DepthM = null, Text = null })] : boxes,
            result,
            outcome?.Body.Outcome,
            outcome?.Entry.Id,
            blind,
            read
        )
        {
            Name = SecchiOptions.Named(draft.Context.Programme),
        };
    }

    // Whoever ends the visit, leaves the step out or says why one reading must do, is not kept waiting for the second.
    private static bool Blind(
        SheetDraft draft,
        ClaritySettings settings,
        IReadOnlyList<DiscEvent> events,
        IReadOnlyList<Read<DiscMarkBody>> marks,
        IReadOnlyList<Read<DiscOutcomeBody>> outcomes
    ) =>
        settings.Observers == ObserverMethod.Swap
        && marks.Count > 0
        && outcomes.Count == 0
        && !draft.Imported
        && draft.Standing(VisitKinds.VisitClosed).Count == 0
        && !draft.Standing(VisitKinds.StepSkipped).Any(s => s.Body.Step == "clarity")
        && !draft.Standing(VisitKinds.Kept).Any(k => k.Body.Finding == "clarity-reading-missing")
        && Enumerable
            .Range(1, settings.Needed)
            .Any(lowering => events.Any(seen => !marks.Any(m => m.Body.Lowering == lowering && m.Body.Event == seen)));

    /// <summary>The boxes the programme asks for, any taken beyond that, and one lowering more where a check asks for it.</summary>
    private static List<DiscBox> Boxes(
        SheetDraft draft,
        ClaritySettings settings,
        IReadOnlyList<DiscEvent> events,
        IReadOnlyList<Read<DiscMarkBody>> marks,
        ClarityResult result,
        int read
    )
    {
        var begun = marks.Count == 0 ? 0 : Math.Min(marks.Max(m => m.Body.Lowering), MostLowerings);
        var repeat = result.Findings.Any(f =>
            f.Code is "clarity-pair-apart" or "clarity-readings-apart" or "clarity-unusual" or "clarity-observers-differ"
        );
        var asked = repeat && begun == read ? Math.Min(begun + 1, MostLowerings) : begun;
        List<DiscBox> boxes = [];
        for (var lowering = 1; lowering <= Math.Max(settings.Needed, asked); lowering++)
        {
            foreach (var seen in events)
            {
                var mark = marks.LastOrDefault(m => m.Body.Lowering == lowering && m.Body.Event == seen);
                var length = mark?.Body.Depth.Read().Length;
                var who = mark is { Body.Observer: { } name }
                    ? new NamedPerson(mark.Body.ObserverId, name)
                    : Turn(draft, settings, lowering);
                boxes.Add(
                    new DiscBox(
                        lowering,
                        seen,
                        who?.Name,
                        lowering > settings.Needed,
                        mark?.Entry.Id,
                        length is { } l ? Decimals.Published(l.Metres) : null,
                        mark is null ? null : Words(draft, mark.Body.Depth),
                        who?.Id
                    )
                );
            }
        }

        return boxes;
    }

    private static NamedPerson? Turn(SheetDraft draft, ClaritySettings settings, int lowering)
    {
        var observers = draft.Start?.Body.People.ToList() ?? [];
        return observers.Count == 0 ? null
            : settings.Observers == ObserverMethod.Swap ? observers[(lowering - 1) % observers.Count]
            : observers[0];
    }

    private static string Words(SheetDraft draft, WrittenLength depth) =>
        depth.Read().Length is { } length ? draft.Show(length) : $"“{depth.Written}”";
}
