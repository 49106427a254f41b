namespace UpperStill.Core.Setup.People;

/// <summary>Names to be told apart.</summary>
/// <param name="Names">As they were typed.</param>
/// <param name="Known">Whoever is known on the device, the likeliest first.</param>
public sealed record CrewRequest(IReadOnlyList<string> Names, IReadOnlyList<PersonNames> Known);

/// <summary>Who they are.</summary>
/// <param name="Ids">One for each name, in its order; null for whoever is not known and needs an id of their own.</param>
public sealed record CrewResult(IReadOnlyList<Guid?> Ids);

/// <summary>Finds the people behind names, so that one person keeps one id.</summary>
public static class Crew
{
    /// <summary>The first who is known by each name.</summary>
    /// <param name="request">Names, and who is known.</param>
    public static CrewResult Find(CrewRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        return new CrewResult([
            .. request.Names.Select(name =>
                request.Known.FirstOrDefault(k => k.Names.Any(n => KnownPeople.Plain(n) == KnownPeople.Plain(name)))?.Id
            ),
        ]);
    }
}
