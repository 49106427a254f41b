using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Described;
using static UpperStill.Core.Protocols.Rake.RakeFields;

namespace UpperStill.Core.Protocols.Rake;

/// <summary>What is to be said of each throw.</summary>
internal static class RakeChecks
{
    private static readonly string[] Sides = ["bow", "stern", "left", "right"];

    internal static void Of(ProtocolRun run)
    {
        foreach (var thrown in run.Every(RakeProtocol.Throw))
        {
            if (thrown[Outcome] is { } outcome and not "good")
            {
                thrown.Fail(RakeFindings.ThrowFailed, Outcome, ("how", outcome == "turned" ? "turned over" : "fouled"));
            }

            if (
                thrown.WrittenAt(Side) is { } side
                && (thrown.WrittenAt(Fullness) ?? thrown.WrittenAt(Present)) is { } judged
                && side > judged
            )
            {
                thrown.Find(RakeFindings.SideUnset, Side);
            }
        }

        foreach (var (item, i) in RakeProtocol.Items(run.Draft).Select((r, i) => (r.Code, i)))
        {
            run.Propose(Side, new ObservedValue { Choice = Sides[i % Sides.Length] }, "in turn, before anybody looks", item);
        }

        foreach (var kind in run.All(RakeProtocol.Kind))
        {
            var item = kind.ItemCode!;
            var thrown = run.Counts(RakeProtocol.Throw, item[..item.LastIndexOf(Repeat.Inner)]);
            if (kind[KindFullness] is { } own && thrown?[Fullness] is { } all && string.CompareOrdinal(own, all) > 0)
            {
                kind.Find(
                    RakeFindings.KindOverTotal,
                    KindFullness,
                    ("kind", Sentence.Begun(run.Words(RakeProtocol.Kind, item))),
                    ("a", own),
                    ("b", all)
                );
            }

            if (item.EndsWith(Repeat.Inner + ListedKind.Code, StringComparison.Ordinal) && kind.Has(State))
            {
                kind.Find(CommonFindings.InvaderSeen, State, ("kind", "A plant"));
            }
        }
    }
}
