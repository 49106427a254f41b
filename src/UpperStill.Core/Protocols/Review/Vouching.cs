using UpperStill.Core.Record.Entries;
using UpperStill.Core.Setup.People;

namespace UpperStill.Core.Protocols.Review;

/// <summary>Nobody vouches for their own reading, in whatever spelling.</summary>
public static class Vouching
{
    /// <summary>True where a visit is somebody's own: they read it, or they wrote its beginning.</summary>
    /// <param name="who">Who would sign it off.</param>
    /// <param name="start">Its beginning.</param>
    /// <param name="begun">That entry's body.</param>
    /// <param name="people">Who is who.</param>
    public static bool IsOwn(NamedPerson who, Entry start, VisitStartedBody begun, KnownPeople people)
    {
        ArgumentNullException.ThrowIfNull(start);
        ArgumentNullException.ThrowIfNull(begun);
        ArgumentNullException.ThrowIfNull(people);
        return begun.People.Append(start.Maker).Any(one => people.Same(who, one));
    }
}
