using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Protocols.Review;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Setup.People;
using UpperStill.Store.Projections;

namespace UpperStill.Store.People;

/// <summary>A name by which visits were made, and whose it is.</summary>
/// <param name="Name">As it stands in the record.</param>
/// <param name="Visits">At how many visits.</param>
/// <param name="Person">The account it belongs to; null where nobody has said so.</param>
public sealed record RecordName(string Name, int Visits, Guid? Person = null);

/// <summary>Which names in the record are whose.</summary>
public static class NameBook
{
    /// <summary>Everybody with an account, by all their names, the present one first.</summary>
    public static async Task<IReadOnlyList<PersonNames>> NamesAsync(this FieldBook book, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        var others = (await book.KnownNames.AsNoTracking().ToListAsync(cancel)).ToLookup(n => n.Person, n => n.Name);
        var people = await book.Users.AsNoTracking().Select(p => new { p.Id, p.Name }).ToListAsync(cancel);
        var trained = (await book.Trainings.AsNoTracking().ToListAsync(cancel)).ToLookup(t => t.Person);
        return
        [
            .. people
                .OrderBy(p => p.Id)
                .Select(p => new PersonNames(p.Id, [p.Name, .. others[p.Id].Order(StringComparer.Ordinal)])
                {
                    Trained = [.. trained[p.Id].OrderByDescending(t => t.On).Select(t => t.Read())],
                }),
        ];
    }

    /// <summary>The names of one account.</summary>
    public static async Task<PersonNames> NamesAsync(this FieldBook book, Person person, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        ArgumentNullException.ThrowIfNull(person);
        return new PersonNames(
            person.Id,
            [person.Name, .. await book.KnownNames.Where(n => n.Person == person.Id).Select(n => n.Name).ToListAsync(cancel)]
        );
    }

    /// <summary>The names under which visits were begun or read that are nobody's account, and those that somebody said are theirs; the
    /// most frequent first.</summary>
    /// <param name="book">The book.</param>
    /// <param name="most">At most so many.</param>
    /// <param name="cancel">Gives up.</param>
    public static async Task<IReadOnlyList<RecordName>> RecordNamesAsync(this FieldBook book, int most, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        var said = await book.KnownNames.AsNoTracking().ToDictionaryAsync(n => n.Name, n => n.Person, cancel);
        var bearers = (await book.Users.Select(p => p.Name).ToListAsync(cancel)).Select(KnownPeople.Plain).ToHashSet();
        var counted = await book
            .Database.SqlQuery<Counted>(
                $"""
                SELECT Name, count(DISTINCT Visit) AS Visits FROM (
                    SELECT o.value AS Name, e.Visit FROM Entries e, json_each(e.Body, '$.observers') o
                    WHERE e.Kind = {VisitKinds.VisitStarted.Name}
                    UNION SELECT e."By", e.Visit FROM Entries e WHERE e.Kind = {VisitKinds.VisitStarted.Name}) GROUP BY Name
                """
            )
            .ToListAsync(cancel);
        return
        [
            .. counted
                .Where(c => said.ContainsKey(c.Name) || !bearers.Contains(KnownPeople.Plain(c.Name)))
                .Select(c => new RecordName(c.Name, c.Visits, said.TryGetValue(c.Name, out var whose) ? whose : null))
                .OrderByDescending(c => c.Visits)
                .ThenBy(c => c.Name, StringComparer.Ordinal)
                .Take(most),
        ];
    }

    /// <summary>Looks anew at the visits that somebody signed off and that bear one of these names: whose they are has changed.</summary>
    public static async Task ProjectNamesAsync(this FieldBook book, IEnumerable<string> names, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        ArgumentNullException.ThrowIfNull(names);
        var plain = names.Select(KnownPeople.Plain).ToHashSet();
        var signed = await book
            .Entries.Where(e => e.Kind == ReviewKinds.SignedOff.Name)
            .Select(e => e.Visit)
            .Distinct()
            .ToListAsync(cancel);
        HashSet<Guid> touched = [];
        foreach (var part in signed.Chunk(500))
        {
            var starts = await book
                .Entries.AsNoTracking()
                .Where(e => part.Contains(e.Visit) && e.Kind == VisitKinds.VisitStarted.Name)
                .ToListAsync(cancel);
            touched.UnionWith(
                starts
                    .Where(s =>
                        (VisitKinds.VisitStarted.Read(s.ToEntry().Body)?.Observers ?? [])
                            .Append(s.By)
                            .Any(n => plain.Contains(KnownPeople.Plain(n)))
                    )
                    .Select(s => s.Visit)
            );
        }

        await book.ProjectAsync(touched, cancel);
    }

    private sealed record Counted(string Name, int Visits);
}
