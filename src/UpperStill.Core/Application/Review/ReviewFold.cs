using UpperStill.Core.Application.Samples;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Protocols.Review;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.People;

namespace UpperStill.Core.Application.Review;

/// <summary>Folds the review of a visit.</summary>
internal sealed class ReviewFold
{
    private readonly SheetDraft draft;
    private readonly FoldRequest request;
    private readonly FieldSheet sheet;
    private readonly List<ReviewFinding> findings;
    private readonly KnownPeople people;

    internal ReviewFold(FoldRequest request, FieldSheet sheet, VisitSamples samples)
    {
        draft = new SheetDraft(request, VisitParts.Bottles);
        this.request = request;
        people = new KnownPeople(request.Context.People);
        this.sheet = sheet;
        findings =
        [
            .. sheet
                .Findings.Concat(samples.Findings)
                .Select(f => new ReviewFinding(f))
                .Concat(samples.Samples.SelectMany(s => s.Findings.Select(f => new ReviewFinding(f, s.Number))))
                .Where(f => f.Finding.Level != FindingLevel.Note && f.Finding.Beside != Beside.Leaving)
                .OrderBy(f => f.Finding.Kept is not null)
                .ThenByDescending(f => f.Finding.Level),
        ];
    }

    internal VisitReview Review()
    {
        var questions = Questions();
        var (field, results) = (Standing.Field(draft.Log), Standing.Results(draft.Log));
        var blocks = Blocks(questions).ToList();
        List<Finding> said = [];
        var signed = draft.Standing(ReviewKinds.SignedOff).Where(s => ByAnother(s, said)).ToList();
        var recalled = signed.Count > 0 && LineChanged(signed[^1], said);
        said.AddRange(BroughtIn());
        var last = signed.LastOrDefault();
        var fieldSigned = blocks.Count == 0 && !recalled && signed.Any(s => s.Body.Field == field);
        var resultsSigned = blocks.Count == 0 && !recalled && signed.Any(s => s.Body.Results == results && s.Body.Field == field);
        if (last is not null && !recalled && !(fieldSigned && resultsSigned))
        {
            said.Add(
                Finding
                    .Check(
                        "changed-since-sign-off",
                        fieldSigned ? "Results came or changed after it was signed off." : "Something changed after it was signed off.",
                        "What nobody vouches for stays out of the trends.",
                        "Look at what is new, and sign it off again."
                    )
                    .On(Beside.Header, last.Entry.Id)
            );
        }

        var state =
            sheet.State != VisitState.Closed ? ReviewState.NotEnded
            : blocks.Count > 0 ? ReviewState.Open
            : fieldSigned && resultsSigned ? ReviewState.SignedOff
            : ReviewState.Ready;
        return new VisitReview(sheet.Visit, state, findings, questions, blocks, fieldSigned, resultsSigned, field, results, last?.Entry.By)
        {
            SignedAt = last?.Entry.At,
            Said = said,
        };
    }

    private List<ReviewQuestion> Questions()
    {
        var answers = draft.Standing(ReviewKinds.Answered).ToLookup(a => a.Body.Asked);
        return
        [
            .. draft
                .Standing(ReviewKinds.Asked)
                .Select(q => new ReviewQuestion(
                    q.Entry.Id,
                    q.Body.Question,
                    q.Entry.By,
                    q.Entry.At,
                    answers[q.Entry.Id].LastOrDefault()?.Body.Answer,
                    answers[q.Entry.Id].LastOrDefault()?.Entry.By
                )),
        ];
    }

    private IEnumerable<string> Blocks(List<ReviewQuestion> questions)
    {
        if (sheet.State != VisitState.Closed)
        {
            yield return "The visit has not ended.";
        }

        if (findings.Count(f => f.Finding.Kept is null) is > 0 and var open)
        {
            yield return open == 1 ? "1 finding is open." : $"{open} findings are open.";
        }

        if (questions.Count(q => q.Answer is null) is > 0 and var asked)
        {
            yield return asked == 1 ? "1 question is not answered." : $"{asked} questions are not answered.";
        }
    }

    // A check of the line that was written down or struck since, and changes what was signed off. What a new release works out otherwise
    // ends no sign-off.
    private bool LineChanged(Read<SignedOffBody> sign, List<Finding> said)
    {
        var at = sign.Entry.Receipt?.At ?? sign.Entry.At;
        if (draft.Context.Lines.FirstOrDefault(l => l.Code == draft.Start?.Body.Line) is not { } line || !line.ChangedAfter(at))
        {
            return false;
        }

        var then = FieldSheet.Fold(request with { Context = request.Context with { Lines = [line.AsKnownAt(at)] } }).Clarity.Result;
        var now = sheet.Clarity.Result;
        if (then.ClarityM == now.ClarityM && then.Censored == now.Censored)
        {
            return false;
        }

        said.Add(
            Finding
                .Check(
                    "line-changed-value",
                    $"By a check of {line.Code} since the sign-off the clarity is {now.Text ?? "none"}; signed off was "
                        + $"{then.Text ?? "none"}.",
                    "Whoever signed it off has not seen this value.",
                    "Look at it, and sign it off again."
                )
                .On(Beside.Header, sign.Entry.Id)
        );
        return true;
    }

    private IEnumerable<Finding> BroughtIn() =>
        draft
            .Log.All.Where(e => e.BroughtInBy is not null)
            .GroupBy(e => (e.By, Through: e.BroughtInBy))
            .Select(g =>
                Finding
                    .Note(
                        "brought-in",
                        $"{(g.Count() == 1 ? "1 entry" : $"{g.Count()} entries")} of {g.Key.By} came through {g.Key.Through}.",
                        "They were saved as a file and brought in by a coordinator.",
                        "Ask both where something is odd."
                    )
                    .On(Beside.Header, g.Select(e => e.Id))
            );

    private bool ByAnother(Read<SignedOffBody> sign, List<Finding> said)
    {
        var own = draft.Start is { } start && Vouching.IsOwn(sign.Entry.Maker, start.Entry, start.Body, people);
        if (own)
        {
            said.Add(
                Finding
                    .Check(
                        "signed-by-sampler",
                        $"{sign.Entry.By} made this visit.",
                        "Nobody sees their own slips.",
                        "Somebody else signs it off; until then it does not count."
                    )
                    .On(Beside.Header, sign.Entry.Id)
            );
        }

        return !own;
    }
}
