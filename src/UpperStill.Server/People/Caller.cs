using UpperStill.Core.Setup.People;
using UpperStill.Store.People;

namespace UpperStill.Server.People;

/// <summary>Who makes this request, as the database knows them now: a role taken away ends at once.</summary>
public sealed class Caller
{
    /// <summary>Null where nobody is signed in.</summary>
    public Person? Person { get; set; }

    /// <summary>What they may do.</summary>
    public Permissions May => Person?.Permissions ?? Permissions.None;

    /// <summary>The name for the record of changes.</summary>
    public string Name => Person?.Name ?? "nobody";
}
