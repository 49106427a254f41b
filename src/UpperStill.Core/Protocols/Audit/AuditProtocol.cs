using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Audit;

/// <summary>Self-audit: was everything done? Answered by the one who did not do it, held against the day’s own entries.</summary>
public sealed class AuditProtocol : DescribedProtocol
{
    internal const string Name = "audit";

    /// <summary>When it is answered.</summary>
    public static readonly Method When = Method.Of(
        MethodGroup.Other,
        "audit.when",
        "A self-audit is answered",
        "Nothing interrupts.",
        ["end: at the end", "as-you-go: as you go"],
        guideOnly: true
    );

    /// <summary>Who answers it.</summary>
    public static readonly Method By = Method.Of(
        MethodGroup.Other,
        "audit.by",
        "A self-audit is answered by",
        "Fresh eyes.",
        ["other: the one who did not do it", "anyone: anyone"]
    );

    private static readonly FindingWords NoRemark = new(
        "audit-no-remark",
        FindingLevel.Check,
        "{line}: no.",
        "Who reads it later cannot know.",
        "What was left out, and why?"
    );
    private static readonly FindingWords Contradicts = new(
        "audit-contradicts",
        FindingLevel.Check,
        "You say {line}; {entries}.",
        "The record and the answer cannot both be so.",
        "Which stands? Strike the other."
    );
    private static readonly FindingWords BySelf = new(
        "audit-by-self",
        FindingLevel.Note,
        "{name} did the work and answers for it.",
        "Fresh eyes see what hands forget.",
        "Let the other answer, where there is one."
    );

    private static readonly ChoiceField Answer = new(
        "answer",
        "Done",
        new FieldChoice("yes", "yes"),
        new FieldChoice("no", "no"),
        new FieldChoice("not-today", "not today")
    );
    private static readonly WordsField Remark = new("remark", "Remark") { Required = false };
    private static readonly PersonField Signed = new("by", "Answered by");

    private static readonly Repeat Line = new("line", "line", 0, 999)
    {
        Asked = draft => [.. AuditLines.Of(draft).Select(l => new RepeatItem(l.Code, l.Words))],
    };

    /// <summary>One of it is enough.</summary>
    public AuditProtocol()
        : base(
            new ProtocolScript
            {
                Code = Name,
                Title = "Self-audit",
                Purpose = "Was everything done? A box filled is not a thing done.",
                Rank = StepRank.Audit,
                Picture = ProtocolPicture.Lines,
                Steps =
                [
                    new("line", "Done?", "A box filled is not a thing done.", Answer, Remark) { Repeat = Line },
                    new("sign", "Sign.", "A name makes one look.", Signed),
                ],
                Findings = [NoRemark, Contradicts, BySelf],
                Methods = [When, By],
            }
        ) { }

    private protected override void Evaluate(ProtocolRun run)
    {
        var lines = AuditLines.Of(run.Draft).ToDictionary(l => l.Code);
        List<Attempt> answered = [.. run.All(Line).Where(l => l[Answer] is not null)];
        foreach (var line in answered)
        {
            var words = run.Words(Line, line.ItemCode!);
            if (line[Answer] == "no" && string.IsNullOrWhiteSpace(line[Remark]))
            {
                line.Find(NoRemark, Answer, ("line", words));
            }

            if (lines.GetValueOrDefault(line.ItemCode!) is { } known)
            {
                if (line[Answer] == "yes" && known.Lacks is { } lacks)
                {
                    line.Find(Contradicts, Answer, ("line", $"“{words}”"), ("entries", lacks));
                }
            }
        }

        if (
            run.Once[Signed] is { } by
            && run.Programme.Chooses(By, "other")
            && run.Draft.Start is { Body.Observers: [var first, ..] }
            && string.Equals(first.Trim(), by.Name.Trim(), StringComparison.OrdinalIgnoreCase)
        )
        {
            run.Once.Find(BySelf, Signed, ("name", by.Name));
        }

        var (yes, no, not) = (Count("yes"), Count("no"), Count("not-today"));
        if (yes + no == 0)
        {
            run.Derive(new SheetDerived("audit", "Done", "waits for a yes or no", null, "%"));
            return;
        }

        run.Derive(
            new SheetDerived(
                "audit",
                "Done",
                $"{yes} of {yes + no}",
                Decimals.Published(100m * yes / (yes + no)),
                "%",
                Working: new Working(
                    "Done",
                    [.. answered.Select(l => l.Input(Answer))],
                    [$"{yes} yes / ({yes} yes + {no} no) = {Decimals.Fixed(100m * yes / (yes + no), 0)} %; {not} not today"],
                    "What was not to be done today does not count.",
                    "Counted"
                )
            )
        );

        int Count(string answer) => answered.Count(l => l[Answer] == answer);
    }
}
