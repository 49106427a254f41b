using System.Globalization;
using System.Security.Cryptography;
using Microsoft.AspNetCore.DataProtection;
using UpperStill.Store.People;

namespace UpperStill.Server.Seasons;

/// <summary>
/// Keys by which a calendar program, which cannot sign in, fetches one person's dates. A key opens nothing else, ends after four hundred
/// days, and is worthless once its person has taken a new one.
/// </summary>
public sealed class CalendarKeys(IDataProtectionProvider protection, TimeProvider clock)
{
    private static readonly TimeSpan Holds = TimeSpan.FromDays(400);
    private readonly IDataProtector protector = protection.CreateProtector("season-calendar-2");

    /// <summary>The key of a person.</summary>
    public string For(Person person)
    {
        ArgumentNullException.ThrowIfNull(person);
        return protector.Protect(
            string.Create(
                CultureInfo.InvariantCulture,
                $"{person.Id:N} {person.CalendarKey} {(clock.GetUtcNow() + Holds).ToUnixTimeSeconds()}"
            )
        );
    }

    /// <summary>Whose key it is, and which of theirs; null where it is none, or has ended.</summary>
    public (Guid Person, int Number)? Read(string? key)
    {
        try
        {
            return
                key is not null
                && protector.Unprotect(key).Split(' ') is [var id, var number, var until]
                && long.Parse(until, CultureInfo.InvariantCulture) > clock.GetUtcNow().ToUnixTimeSeconds()
                ? (Guid.Parse(id), int.Parse(number, CultureInfo.InvariantCulture))
                : null;
        }
        catch (Exception e) when (e is CryptographicException or FormatException)
        {
            return null;
        }
    }
}
