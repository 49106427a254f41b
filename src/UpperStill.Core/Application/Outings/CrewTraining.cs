using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Setup.People;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Application.Outings;

/// <summary>Who goes, and what for.</summary>
/// <param name="Programme">The programme.</param>
/// <param name="Day">Local day.</param>
/// <param name="Due">What is to be done.</param>
/// <param name="Crew">Who goes, by name.</param>
/// <param name="People">Everybody with an account, with what they were trained in.</param>
public sealed record CrewTrainingRequest(
    Programme Programme,
    DateOnly Day,
    IReadOnlyList<Protocol> Due,
    IReadOnlyList<string> Crew,
    IReadOnlyList<PersonNames> People
);

/// <summary>What training is missing aboard.</summary>
/// <param name="Findings">One for each protocol that asks for it.</param>
public sealed record CrewTrainingResult(IReadOnlyList<Finding> Findings);

/// <summary>Whether somebody aboard has been trained this year in what the programme asks training for.</summary>
public static class CrewTraining
{
    /// <summary>Looks for it.</summary>
    public static CrewTrainingResult Work(CrewTrainingRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        List<string> crew = [.. request.Crew.Where(name => !string.IsNullOrWhiteSpace(name))];
        if (crew.Count == 0)
        {
            return new([]);
        }

        var plain = crew.Select(KnownPeople.Plain).ToHashSet();
        List<Trained> had =
        [
            .. request
                .People.Where(p => p.Names.Any(n => plain.Contains(KnownPeople.Plain(n))))
                .SelectMany(p => p.Trained)
                .Where(t => t.On.Year == request.Day.Year && t.On <= request.Day),
        ];
        return new([
            .. (request.Programme.Trained ?? [])
                .Where(p => request.Due.Contains(p) && !had.Exists(t => t.What == p.Code))
                .Select(p =>
                    Finding.Check(
                        "training-due",
                        $"{string.Join(" and ", crew)} {(crew.Count == 1 ? "has" : "have")} not had {p.Words()} this year.",
                        "Over the winter the hands forget.",
                        "Go with someone who has."
                    )
                ),
        ]);
    }
}
