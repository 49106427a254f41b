using System.Security.Claims;
using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using UpperStill.Store;
using UpperStill.Store.People;

namespace UpperStill.Server.People;

/// <summary>Sessions of people on devices, and the record of what happens to accounts.</summary>
public sealed class Accounts(FieldBook book, SignInManager<Person> signIn, IHttpContextAccessor accessor, TimeProvider clock)
{
    private const string SessionClaim = "upper-still-session";
    private const int LongestDevice = 120;
    private const int LongestName = 100;
    private const int MostByStrangers = 10_000;
    private static readonly TimeSpan Forgotten = PeopleServices.FieldSeason;

    private HttpContext Http => accessor.HttpContext!;

    private string Address => Http.Connection.RemoteIpAddress?.ToString() ?? "unknown";

    /// <summary>The session that a caller's cookie names; null where it names none.</summary>
    public static Guid? SessionOf(ClaimsPrincipal user) => Guid.TryParse(user.FindFirstValue(SessionClaim), out var id) ? id : null;

    /// <summary>Whoever a cookie signs in: only while its session stands, and the password is the one it was made with.</summary>
    public static async Task<Person?> PersonOfAsync(FieldBook book, ClaimsPrincipal user, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        if (!Guid.TryParse(user.FindFirstValue(ClaimTypes.NameIdentifier), out var id) || SessionOf(user) is not { } session)
        {
            return null;
        }

        var person = await book
            .Users.AsNoTracking()
            .FirstOrDefaultAsync(p => p.Id == id && p.Active && book.Sessions.Any(s => s.Id == session && s.Person == id), cancel);
        return person?.SecurityStamp == user.FindFirstValue(new ClaimsIdentityOptions().SecurityStampClaimType) ? person : null;
    }

    /// <summary>Signs a person in on this device.</summary>
    public async Task EnterAsync(Person person, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(person);
        var now = clock.GetUtcNow();
        var old = now - Forgotten;
        var words = Http.Request.Headers.UserAgent.ToString();
        foreach (var gone in (await book.Sessions.Where(s => s.Person == person.Id).ToListAsync(cancel)).Where(s => s.Seen < old))
        {
            book.Sessions.Remove(gone);
        }

        var session = new SessionRow
        {
            Id = Guid.CreateVersion7(),
            Person = person.Id,
            Began = now,
            Seen = now,
            Device = words.Length > LongestDevice ? words[..LongestDevice] : words,
            Address = Address,
        };
        book.Sessions.Add(session);
        await book.SaveChangesAsync(cancel);
        Claim[] claims = [new(SessionClaim, session.Id.ToString())];
        await signIn.SignInWithClaimsAsync(person, isPersistent: true, claims);
        Http.User = await signIn.CreateUserPrincipalAsync(person);
        ((ClaimsIdentity)Http.User.Identity!).AddClaims(claims);
    }

    /// <summary>Remembers that this device was seen, at most once an hour.</summary>
    public async Task SeenAsync(CancellationToken cancel)
    {
        var now = clock.GetUtcNow();
        if (
            SessionOf(Http.User) is { } id
            && await book.Sessions.FirstOrDefaultAsync(s => s.Id == id, cancel) is { } session
            && now - session.Seen > TimeSpan.FromHours(1)
        )
        {
            session.Seen = now;
            await book.SaveChangesAsync(cancel);
        }
    }

    /// <summary>Ends every session of a person but the one on this device, which begins anew, and writes down why.</summary>
    public async Task RenewAsync(Person person, string what, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(person);
        await EndAsync(person.Id, null, cancel);
        await EnterAsync(person, cancel);
        await NoteAsync(what, person.UserName!, person.Id, null, cancel);
    }

    /// <summary>Ends sessions of a person on the server: their cookies open nothing any more.</summary>
    /// <param name="person">Whose.</param>
    /// <param name="one">Only this; null for all.</param>
    /// <param name="cancel">Gives up.</param>
    public Task<int> EndAsync(Guid person, Guid? one, CancellationToken cancel) =>
        book.Sessions.Where(s => s.Person == person && (one == null || s.Id == one)).ExecuteDeleteAsync(cancel);

    /// <summary>Writes down what happened.</summary>
    /// <param name="what">A word of <see cref="AccountEvents"/>.</param>
    /// <param name="signInName">The name as it was given.</param>
    /// <param name="person">Whose account.</param>
    /// <param name="by">Who did it, where that is somebody else.</param>
    /// <param name="cancel">Gives up.</param>
    public async Task NoteAsync(string what, string signInName, Guid? person, string? by, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(signInName);
        book.AccountEvents.Add(
            new AccountEvent
            {
                At = clock.GetUtcNow(),
                What = what,
                SignInName = signInName.Length > LongestName ? signInName[..LongestName] : signInName,
                Person = person,
                By = by,
                Address = Address,
            }
        );
        await book.SaveChangesAsync(cancel);
        if (
            AccountEvents.ByStrangers.Contains(what)
            && await book
                .AccountEvents.Where(e => AccountEvents.ByStrangers.Contains(e.What))
                .OrderByDescending(e => e.Sequence)
                .Skip(MostByStrangers)
                .Select(e => (long?)e.Sequence)
                .FirstOrDefaultAsync(cancel)
                is { } last
        )
        {
            await book
                .AccountEvents.Where(e => e.Sequence <= last && AccountEvents.ByStrangers.Contains(e.What))
                .ExecuteDeleteAsync(cancel);
        }
    }
}
