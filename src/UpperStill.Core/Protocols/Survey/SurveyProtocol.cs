using System.Globalization;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Setup.Programmes;
using static UpperStill.Core.Protocols.Survey.SurveyFields;

namespace UpperStill.Core.Protocols.Survey;

/// <summary>Survey and colour: how the water looks to people. Opinions stay opinions.</summary>
public sealed class SurveyProtocol : DescribedProtocol
{
    internal const string Name = "survey";

    /// <summary>Who is asked.</summary>
    public static readonly Method Each = Method.Of(
        MethodGroup.Other,
        "opinion.each",
        "Opinions are asked of",
        "One touch.",
        ["first: the first observer", "both: each, apart"]
    );

    /// <summary>Each person who is asked.</summary>
    internal static readonly Repeat Person = new("person", "person", 1, 6) { Asked = People };

    /// <summary>One of it is enough.</summary>
    public SurveyProtocol()
        : base(
            new ProtocolScript
            {
                Code = Name,
                Title = "Survey and colour",
                Purpose = "How the water looks to people, each apart.",
                Rank = StepRank.Survey,
                Answers = ["colour", "algae", "recreation"],
                Steps =
                [
                    new(
                        "colour",
                        "The disc at half the clarity: one step of the chart, or two neighbours.",
                        "The same depth of water each time.",
                        Colour,
                        Murky
                    )
                    {
                        Repeat = Person,
                    },
                    new("algae", "Algae.", "Eyes see what bottles miss.", Algae) { Repeat = Person },
                    new("recreation", "Recreation.", "The first answer is hidden from the second.", Recreation) { Repeat = Person },
                    new("around", "Look around.", "It explains the answers.", Waves, PeopleAround, Boats, Plants, Rubbish, Management),
                ],
                Pack = _ => [Packing.Plain("colour-chart", Setup.Equipment.Crate.Clarity, "colour chart", 1, "the colour of the water")],
                Parameters =
                [
                    Opinion("opinion-algae", "opinion of algae"),
                    Opinion("opinion-recreation", "opinion of recreation"),
                    Chart(),
                ],
                Findings = SurveyFindings.All,
                Methods = [Each],
            }
        ) { }

    private static ParameterDescription Opinion(string code, string name) =>
        new()
        {
            Code = new(code),
            Name = name,
            Unit = "of 5",
            Decimals = 1,
            Summary = SeasonSummary.Median,
            Better = BetterWhen.Lower,
            AskedPerDecade = 1,
            Protocol = new(Name),
        };

    private static ParameterDescription Chart() =>
        new()
        {
            Code = new("colour-step"),
            Name = "colour of the water",
            Unit = "step",
            Decimals = 1,
            Summary = SeasonSummary.Median,
            AskedPerDecade = 2,
            Protocol = new(Name),
        };

    private static IReadOnlyList<RepeatItem> People(SheetDraft draft)
    {
        IReadOnlyList<string> observers = draft.Start?.Body.Observers ?? [];
        return
        [
            .. observers
                .Take(draft.Context.Programme.Chooses(Each, "both") ? 6 : 1)
                .Select((name, i) => new RepeatItem((i + 1).ToString(CultureInfo.InvariantCulture), name)),
        ];
    }

    private protected override void Evaluate(ProtocolRun run) => SurveyAnswers.Of(run);
}
