namespace UpperStill.Core.Setup.People;

/// <summary>Somebody as an entry names them.</summary>
/// <param name="Id">Who they are: the id of their account, or one made on a device for people without; null in entries of earlier
/// builds.</param>
/// <param name="Name">Their name as it was written then.</param>
public sealed record NamedPerson(Guid? Id, string Name);

/// <summary>Somebody and all the names under which the record knows them.</summary>
/// <param name="Id">Who they are.</param>
/// <param name="Names">Their name, those they had before, and other spellings that a coordinator knows to be theirs.</param>
public sealed record PersonNames(Guid Id, IReadOnlyList<string> Names)
{
    /// <summary>What they were trained in, the latest first.</summary>
    public IReadOnlyList<Trained> Trained
    {
        get;
        init => field = value ?? [];
    } = [];
}

/// <summary>Tells people apart: by their ids; by a name only where an entry has no id, or one that was made on a device without a
/// signal.</summary>
/// <param name="people">Everybody with an account.</param>
public sealed class KnownPeople(IReadOnlyList<PersonNames>? people)
{
    private readonly HashSet<Guid> ids = [.. (people ?? []).Select(p => p.Id)];
    private readonly ILookup<string, Guid> named = (people ?? [])
        .SelectMany(p => p.Names.Select(n => (p.Id, Name: Plain(n))))
        .Distinct()
        .ToLookup(n => n.Name, n => n.Id);

    /// <summary>A name without what tells no two people apart: blanks around and between, capitals.</summary>
    /// <param name="name">The name as written.</param>
    public static string Plain(string name)
    {
        ArgumentNullException.ThrowIfNull(name);
        return string.Join(' ', name.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries)).ToUpperInvariant();
    }

    /// <summary>True where both are one person, as far as anybody knows.</summary>
    /// <param name="one">One.</param>
    /// <param name="other">The other.</param>
    public bool Same(NamedPerson one, NamedPerson other)
    {
        ArgumentNullException.ThrowIfNull(one);
        ArgumentNullException.ThrowIfNull(other);
        if (one.Id is not null && one.Id == other.Id)
        {
            return true;
        }

        var (a, b) = (Of(one), Of(other));
        return a.Count > 0 || b.Count > 0
            ? a.Intersect(b).Any()
            : (one.Id is null || other.Id is null) && Plain(one.Name) == Plain(other.Name);
    }

    /// <summary>The accounts that somebody may be; none where they have none.</summary>
    /// <param name="one">Who.</param>
    public IReadOnlyCollection<Guid> Of(NamedPerson one)
    {
        ArgumentNullException.ThrowIfNull(one);
        return one.Id is { } id && ids.Contains(id) ? [id] : [.. named[Plain(one.Name)]];
    }
}
