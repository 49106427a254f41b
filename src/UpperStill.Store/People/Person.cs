using System.Text.Json;
using Microsoft.AspNetCore.Identity;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Setup.People;

namespace UpperStill.Store.People;

/// <summary>Someone who signs in.</summary>
public sealed class Person : IdentityUser<Guid>
{
    /// <summary>Most letters of a name.</summary>
    public const int LongestName = 100;

    /// <summary>The name that stands beside readings.</summary>
    public string Name { get; set; } = string.Empty;

    /// <summary>The grants as JSON of Core.</summary>
    public string GrantsJson { get; set; } = "[]";

    /// <summary>False once the person has left the group; the name stays beside what they wrote.</summary>
    public bool Active { get; set; } = true;

    /// <summary>From when the link of a coordinator may set the password anew, where there is one already; null where there is no such
    /// link.</summary>
    public DateTimeOffset? LinkFrom { get; set; }

    /// <summary>Who made that link.</summary>
    public string? LinkBy { get; set; }

    /// <summary>Which calendar key is theirs; a new one makes those before it worthless.</summary>
    public int CalendarKey { get; set; }

    /// <summary>What they may do.</summary>
    public Permissions Permissions => Active ? new Permissions(Grants) : Permissions.None;

    /// <summary>Their roles and waters.</summary>
    public IReadOnlyList<Grant> Grants
    {
        get => JsonSerializer.Deserialize(GrantsJson, SetupJson.Default.IReadOnlyListGrant) ?? [];
        set => GrantsJson = JsonSerializer.Serialize(value, SetupJson.Default.IReadOnlyListGrant);
    }
}
