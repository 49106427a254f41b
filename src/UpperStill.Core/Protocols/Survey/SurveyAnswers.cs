using System.Globalization;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Record.Described;
using static UpperStill.Core.Protocols.Survey.SurveyFields;

namespace UpperStill.Core.Protocols.Survey;

/// <summary>What people answered, and how far they are apart. An opinion is never averaged: its season has a median.</summary>
internal static class SurveyAnswers
{
    private const int Severe = 5;
    private const int StepsApart = 2;

    internal static void Of(ProtocolRun run)
    {
        Half(run);
        List<Attempt> people = [.. run.All(SurveyProtocol.Person)];
        List<decimal> colours = [];
        foreach (var person in people)
        {
            if (Steps(run, person) is { } colour)
            {
                colours.Add(colour);
            }

            if (Read(person, Algae) == Severe)
            {
                person.Find(SurveyFindings.Bloom, Algae);
            }
        }

        if (colours.Count > 0)
        {
            var middle = Decimals.Median(colours);
            run.Derive(new SheetDerived("colour-step", "Colour", $"step {Decimals.Text(middle)}", middle, "step"));
        }

        Answers(run, people, Algae, "opinion-algae");
        Answers(run, people, Recreation, "opinion-recreation");
    }

    // The disc hangs at half the clarity; where it lies on the bottom, at half of the sounding.
    private static void Half(ProtocolRun run)
    {
        var clarity = run.Draft.Section<SheetClarity>()?.Result;
        if ((clarity?.MeanM ?? clarity?.ClarityM) is not { } metres)
        {
            run.Derive(new SheetDerived("half-depth", "The disc hangs at", "waits for the clarity", null, "m"));
            return;
        }

        run.Derive(
            new SheetDerived(
                "half-depth",
                "The disc hangs at",
                run.Draft.Show(metres / 2),
                Decimals.Published(metres / 2),
                "m",
                Working: new Working(
                    "Half the clarity",
                    [new WorkingInput("clarity", run.Draft.Show(metres))],
                    [$"{run.Draft.Show(metres)} / 2 = {run.Draft.Show(metres / 2)}"],
                    "The same depth of water each time; on the bottom, half of the sounding.",
                    "Practice of the colour chart"
                )
            )
        );
    }

    private static decimal? Steps(ProtocolRun run, Attempt person)
    {
        List<int> steps = [.. (person.Some(Colour) ?? []).Select(Number).OfType<int>().Order()];
        if (steps.Count == 2 && steps[1] - steps[0] == 1)
        {
            person.Find(SurveyFindings.Between, Colour, ("a", Name(steps[0])), ("b", Name(steps[1])));
        }
        else if (steps.Count > 1)
        {
            person.Find(SurveyFindings.TwoFar, Colour, ("list", string.Join(" and ", steps.Select(Name))));
            return null;
        }

        if (steps.Count == 0)
        {
            return null;
        }

        var step = (decimal)steps.Average();
        run.Derive(
            new SheetDerived(
                "colour-step",
                $"Colour, {run.Words(SurveyProtocol.Person, person.ItemCode!)}",
                steps.Count == 1 ? Name(steps[0]) : $"between {Name(steps[0])} and {Name(steps[1])}",
                step,
                "step",
                person.ItemCode
            )
        );
        return step;
    }

    private static void Answers(ProtocolRun run, List<Attempt> people, ChoiceField field, string parameter)
    {
        var read = people.Select(p => (Person: p, Answer: Read(p, field))).Where(p => p.Answer is not null).ToList();
        foreach (var (person, answer) in read)
        {
            run.Derive(
                new SheetDerived(
                    parameter,
                    $"{field.Label}, opinion of {run.Words(SurveyProtocol.Person, person.ItemCode!)}",
                    $"{answer} of 5",
                    answer,
                    "of 5",
                    person.ItemCode
                )
            );
        }

        if (read.Count > 0)
        {
            var middle = Decimals.Median(read.Select(r => (decimal)r.Answer!.Value));
            run.Derive(
                new SheetDerived(
                    parameter,
                    $"{field.Label}, opinion",
                    $"{Decimals.Text(middle)} of 5",
                    middle,
                    "of 5",
                    Working: new Working(
                        $"{field.Label}, opinion",
                        [.. read.Select(r => r.Person.Input(field))],
                        [$"Median of {string.Join(", ", read.Select(r => r.Answer))} = {Decimals.Text(middle)}"],
                        "Opinions are counted and ordered, never averaged; an even count gives the half between.",
                        "Stevens 1946, Science 103, 677–680, for ordinal scales"
                    )
                )
            );
        }

        if (read.Count > 1 && read.Max(r => r.Answer) - read.Min(r => r.Answer) >= StepsApart)
        {
            read[^1]
                .Person.Find(
                    SurveyFindings.Apart,
                    field,
                    ("a", read.Min(r => r.Answer)!.Value.ToString(CultureInfo.InvariantCulture)),
                    ("b", read.Max(r => r.Answer)!.Value.ToString(CultureInfo.InvariantCulture))
                );
        }
    }

    private static int? Read(Attempt person, ChoiceField field) => person[field] is { } code ? Number(code) : null;

    private static int? Number(string code) =>
        int.TryParse(code, NumberStyles.None, CultureInfo.InvariantCulture, out var number) ? number : null;

    private static string Name(int step) => ColourChart.All.FirstOrDefault(s => s.Step == step)?.Name ?? $"step {step}";
}
