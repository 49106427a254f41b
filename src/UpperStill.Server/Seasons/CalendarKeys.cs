using System.Security.Cryptography;
using Microsoft.AspNetCore.DataProtection;
using UpperStill.Store.People;

namespace UpperStill.Server.Seasons;

/// <summary>Keys by which a calendar program, which cannot sign in, fetches one person's dates. A key opens nothing else.</summary>
public sealed class CalendarKeys(IDataProtectionProvider protection)
{
    private readonly IDataProtector protector = protection.CreateProtector("season-calendar");

    /// <summary>The key of a person.</summary>
    public string For(Person person)
    {
        ArgumentNullException.ThrowIfNull(person);
        return protector.Protect(person.Id.ToString("N"));
    }

    /// <summary>Whose key it is; null where it is none.</summary>
    public Guid? PersonOf(string? key)
    {
        try
        {
            return key is not null && Guid.TryParse(protector.Unprotect(key), out var id) ? id : null;
        }
        catch (CryptographicException)
        {
            return null;
        }
    }
}
