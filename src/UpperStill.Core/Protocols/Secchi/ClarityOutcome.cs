using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;

namespace UpperStill.Core.Protocols.Secchi;

/// <summary>A clarity that ended otherwise than in plain marks.</summary>
internal static class ClarityOutcome
{
    internal static ClarityResult Work(ClarityRequest request, DiscOutcome outcome, ReadMarks marks, int needed)
    {
        List<Finding> findings = [.. marks.Findings];
        switch (outcome)
        {
            case DiscOutcome.OnBottom when marks.Sounding is { } sounding:
                var text = "> " + marks.Show(sounding);
                findings.Add(
                    Beside(
                        Finding.Note(
                            "clarity-on-bottom",
                            $"Kept as “{text}”.",
                            "It is not averaged as if it were the depth.",
                            "Once a month is enough here."
                        )
                    )
                );
                return new ClarityResult(
                    [],
                    needed,
                    findings,
                    ClarityM: Decimals.Published(sounding.Metres),
                    Text: text,
                    Censored: true,
                    Working: new Working(
                        "Clarity",
                        [new WorkingInput("sounding", LengthText.Write(sounding))],
                        [$"The disc lay on the bottom in sight: clarity {text}"],
                        "On the bottom and still visible: right-censored at the sounding. It is never doubled and never averaged as a number.",
                        "Helsel 2012, Statistics for Censored Environmental Data, 2nd ed."
                    )
                );

            case DiscOutcome.OnBottom:
                findings.Add(
                    Beside(
                        Finding.Stop(
                            "sounding-missing",
                            "Depth not yet measured.",
                            "“On the bottom” means deeper than the sounding, and there is none.",
                            "Sound first."
                        )
                    )
                );
                return new ClarityResult([], needed, findings, Text: "> bottom, not sounded", Censored: true);

            case DiscOutcome.InPlants:
                findings.Add(
                    Beside(
                        Finding.Note(
                            "clarity-in-plants",
                            "Lost in plants.",
                            "That is not a clarity reading; it is kept as a remark.",
                            "Try a gap in the plants."
                        )
                    )
                );
                return new ClarityResult([], needed, findings, Text: "lost in plants");

            case DiscOutcome.InMud:
                findings.Add(
                    Beside(
                        Finding.Check(
                            "clarity-in-mud",
                            "Lost in stirred sediment.",
                            "The cloud is yours or the anchor’s.",
                            "Wait or move, then read again."
                        )
                    )
                );
                return new ClarityResult([], needed, findings, Text: "lost in stirred sediment");

            case DiscOutcome.NotTaken:
                return new ClarityResult(
                    [],
                    needed,
                    findings,
                    Text: string.IsNullOrWhiteSpace(request.OutcomeReason) ? "not taken" : $"not taken: {request.OutcomeReason}"
                );

            default:
                throw new ArgumentOutOfRangeException(nameof(outcome));
        }
    }

    private static Finding Beside(Finding finding) => finding with { Beside = Basis.Findings.Beside.Clarity };
}
