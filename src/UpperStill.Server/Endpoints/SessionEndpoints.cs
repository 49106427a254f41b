using System.Globalization;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Identity;
using UpperStill.Core.Setup.People;
using UpperStill.Server.Hosting;
using UpperStill.Server.People;
using UpperStill.StandIns.Demo;
using UpperStill.Store;
using UpperStill.Store.People;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Endpoints;

/// <summary>Who is signed in.</summary>
/// <param name="Id">The person.</param>
/// <param name="Name">The name beside readings.</param>
/// <param name="SignInName">The name to sign in with.</param>
/// <param name="Grants">Roles and waters.</param>
/// <param name="Works">True for samplers and coordinators.</param>
/// <param name="Coordinates">True for coordinators of any water.</param>
/// <param name="CoordinatesAll">True for coordinators of the whole group.</param>
/// <param name="Reports">True for laboratories and coordinators: they take samples in and report results.</param>
/// <param name="Link">A link by which their password can be set anew; null where there is none.</param>
/// <param name="SecondFactorDue">True where they coordinate and a password alone opens their account; not in the demo, whose passwords
/// everybody knows.</param>
public sealed record SessionPerson(
    Guid Id,
    string Name,
    string SignInName,
    IReadOnlyList<Grant> Grants,
    bool Works,
    bool Coordinates,
    bool CoordinatesAll,
    bool Reports,
    LinkNotice? Link = null,
    bool SecondFactorDue = false
);

/// <summary>Somebody made a link by which the password of an account can be set anew; its holder can stop it.</summary>
/// <param name="By">Who made it.</param>
/// <param name="From">From when it works by itself.</param>
public sealed record LinkNotice(string By, DateTimeOffset From);

/// <summary>An account of the demo; the sign-in page offers it.</summary>
/// <param name="Name">The person's name.</param>
/// <param name="SignInName">The name to sign in with.</param>
/// <param name="Password">The password: no secret in a demo.</param>
/// <param name="Grants">Roles and waters.</param>
public sealed record DemoAccount(string Name, string SignInName, string Password, IReadOnlyList<Grant> Grants);

/// <summary>This device's session with the server.</summary>
/// <param name="Token">To be sent with every write, so that no other site can make it.</param>
/// <param name="Person">Null where nobody is signed in.</param>
/// <param name="DemoAccounts">Only in the demo, and only where nobody is signed in.</param>
/// <param name="FirstNeeded">True while the group has nobody: the one-time link stands in the data folder.</param>
public sealed record SessionInfo(
    string Token,
    bool FirstNeeded,
    SessionPerson? Person = null,
    IReadOnlyList<DemoAccount>? DemoAccounts = null
);

/// <summary>A name and a password.</summary>
/// <param name="SignInName">The name.</param>
/// <param name="Password">The password.</param>
/// <param name="Code">The second factor, where the account has one: the app’s six digits, or a recovery code.</param>
public sealed record SignIn(string SignInName, string Password, string? Code = null);

/// <summary>The first coordinator of an empty instance.</summary>
/// <param name="Token">From the link that stands in the data folder.</param>
/// <param name="Name">The name beside readings.</param>
/// <param name="SignInName">The name to sign in with.</param>
/// <param name="Password">At least ten letters or signs.</param>
public sealed record FirstPerson(string Token, string Name, string SignInName, string Password);

/// <summary>An invited person choosing a password.</summary>
/// <param name="Person">From the link.</param>
/// <param name="Token">From the link.</param>
/// <param name="Password">At least ten letters or signs.</param>
/// <param name="Code">The second factor, where the account has one.</param>
public sealed record Welcome(Guid Person, string Token, string Password, string? Code = null);

/// <summary>Signing in and out.</summary>
internal static class SessionEndpoints
{
    internal const string RateLimit = "sign-in";

    internal static void MapSession(this IEndpointRouteBuilder app)
    {
        var session = app.MapGroup("/api/session").WithTags("session").For(AccessLevel.Anyone);
        session
            .MapGet("/", (Sessions sessions, CancellationToken cancel) => sessions.InfoAsync(cancel))
            .WithName("session")
            .WithSummary("Who is signed in on this device, and the token for its writes.");
        session
            .MapPost("/", async (SignIn given, Sessions sessions, CancellationToken cancel) => await sessions.SignInAsync(given, cancel))
            .WithName("sign-in")
            .WithSummary(
                "Signs in. After five wrong tries the account is shut for ten minutes to the address that they came from, and to no other."
            )
            .Produces<SessionInfo>()
            .ProducesProblem(StatusCodes.Status401Unauthorized)
            .ProducesProblem(StatusCodes.Status429TooManyRequests)
            .RequireRateLimiting(RateLimit);
        session
            .MapDelete("/", async (Sessions sessions, CancellationToken cancel) => await sessions.SignOutAsync(cancel))
            .WithName("sign-out")
            .WithSummary("Signs out on this device.")
            .Produces<SessionInfo>();
        session
            .MapPost("/first", async (FirstPerson given, Sessions sessions, CancellationToken cancel) =>
                await sessions.FirstAsync(given, cancel)
            )
            .WithName("first-coordinator")
            .WithSummary("Makes the first coordinator of an empty instance, by the one-time link.")
            .Produces<SessionInfo>()
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .ProducesProblem(StatusCodes.Status410Gone)
            .RequireRateLimiting(RateLimit);
        session
            .MapPost("/welcome", async (Welcome given, Sessions sessions, CancellationToken cancel) =>
                await sessions.WelcomeAsync(given, cancel)
            )
            .WithName("welcome")
            .WithSummary("An invited person chooses a password, by a one-time link.")
            .Produces<SessionInfo>()
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .ProducesProblem(StatusCodes.Status410Gone)
            .RequireRateLimiting(RateLimit);
    }

    /// <summary>The work behind the addresses.</summary>
    internal sealed class Sessions(
        IHttpContextAccessor accessor,
        IAntiforgery antiforgery,
        SignInManager<Person> signIn,
        UserManager<Person> people,
        FieldBook book,
        FirstCoordinator first,
        Instance instance,
        Caller caller,
        Accounts accounts,
        SecondFactor second,
        SignInGuard guard,
        TimeProvider clock
    )
    {
        private HttpContext Http => accessor.HttpContext!;

        internal async Task<SessionInfo> InfoAsync(CancellationToken cancel)
        {
            var needed = await FirstCoordinator.IsNeededAsync(book, cancel);
            var token = antiforgery.GetAndStoreTokens(Http).RequestToken!;
            if (caller.Person is not null)
            {
                await accounts.SeenAsync(cancel);
            }

            var coordinates = caller.Person?.Grants.Any(g => g.Role == Role.Coordinator) ?? false;
            return caller.Person is { } person
                ? new SessionInfo(
                    token,
                    needed,
                    new SessionPerson(
                        person.Id,
                        person.Name,
                        person.UserName!,
                        person.Grants,
                        person.Permissions.Works,
                        coordinates,
                        person.Permissions.CoordinatesAll,
                        person.Grants.Any(g => g.Role is Role.Laboratory or Role.Coordinator),
                        person.LinkFrom is { } from ? new LinkNotice(person.LinkBy ?? string.Empty, from) : null,
                        !instance.Demo && coordinates && !person.TwoFactorEnabled
                    )
                )
                : new SessionInfo(
                    token,
                    needed,
                    null,
                    instance.Demo
                        ?
                        [
                            .. DemoScenario
                                .Load()
                                .People.Select(p => new DemoAccount(p.Name, p.SignInName, DemoScenario.Password, p.Grants)),
                        ]
                        : null
                );
        }

        internal async Task<IResult> SignInAsync(SignIn given, CancellationToken cancel)
        {
            var (address, name) = (Http.Connection.RemoteIpAddress, given.SignInName.Trim());
            if (guard.IsShut(address, name))
            {
                await accounts.NoteAsync(AccountEvents.Locked, name, null, null, cancel);
                return Results.Problem(
                    "It opens again in ten minutes; from elsewhere it is open. A coordinator can give you a new link.",
                    statusCode: StatusCodes.Status401Unauthorized,
                    title: "Too many wrong tries from here."
                );
            }

            var person = await people.FindByNameAsync(name);
            var right = person is { Active: true, PasswordHash: not null }
                ? await people.CheckPasswordAsync(person, given.Password)
                : Pretend(given.Password);
            if (!right)
            {
                return await WrongAsync(
                    "Name and password do not belong together.",
                    "Try again; a coordinator of your group can give you a new link."
                );
            }

            if (!await second.PassesAsync(person!, given.Code))
            {
                return given.Code is null
                    ? SecondFactor.Asked
                    : await WrongAsync(
                        "This code does not fit.",
                        "Take the one that the app shows now, or one of your recovery codes. Each works once.",
                        SecondFactor.Type
                    );
            }

            guard.Right(address, name);
            return await EnterAsync(person!, cancel);

            async Task<IResult> WrongAsync(string title, string detail, string? type = null)
            {
                guard.Wrong(address, name);
                await accounts.NoteAsync(AccountEvents.Refused, name, person?.Id, null, cancel);
                return Results.Problem(detail, statusCode: StatusCodes.Status401Unauthorized, title: title, type: type);
            }
        }

        // A name that is nobody's costs as long as one with a wrong password.
        private bool Pretend(string password)
        {
            nobodysHash ??= people.PasswordHasher.HashPassword(Nobody, Guid.NewGuid().ToString());
            people.PasswordHasher.VerifyHashedPassword(Nobody, nobodysHash, password);
            return false;
        }

        private static readonly Person Nobody = new();
        private static string? nobodysHash;

        internal async Task<IResult> SignOutAsync(CancellationToken cancel)
        {
            if (caller.Person is { } person)
            {
                await accounts.EndAsync(person.Id, Accounts.SessionOf(Http.User), cancel);
                await accounts.NoteAsync(AccountEvents.Out, person.UserName!, person.Id, null, cancel);
            }

            await signIn.SignOutAsync();
            Http.User = new System.Security.Claims.ClaimsPrincipal(new System.Security.Claims.ClaimsIdentity());
            caller.Person = null;
            return Results.Ok(await InfoAsync(cancel));
        }

        internal async Task<IResult> FirstAsync(FirstPerson given, CancellationToken cancel)
        {
            await first.Door.WaitAsync(cancel);
            try
            {
                if (!first.Knows(given.Token) || !await FirstCoordinator.IsNeededAsync(book, cancel))
                {
                    return Gone;
                }

                var person = new Person
                {
                    Id = Guid.CreateVersion7(),
                    UserName = given.SignInName.Trim(),
                    Name = given.Name.Trim(),
                    Grants = [new Grant(Role.Coordinator)],
                };
                if (person.Name.Length is 0 or > Person.LongestName)
                {
                    return Results.Problem(
                        "It stands beside what you change. Write it as your group knows you.",
                        statusCode: StatusCodes.Status400BadRequest,
                        title: "Your name is missing or too long."
                    );
                }

                var made = await people.CreateAsync(person, given.Password);
                if (!made.Succeeded)
                {
                    return Refusal(made);
                }

                book.Note(person.Name, clock.GetUtcNow(), "person", person.UserName, null, person.GrantsJson);
                await book.SaveChangesAsync(cancel);
                first.Forget();
                return await EnterAsync(person, cancel);
            }
            finally
            {
                first.Door.Release();
            }
        }

        internal async Task<IResult> WelcomeAsync(Welcome given, CancellationToken cancel)
        {
            if (
                await people.FindByIdAsync(given.Person.ToString()) is not { Active: true } person
                || !await people.VerifyUserTokenAsync(
                    person,
                    people.Options.Tokens.PasswordResetTokenProvider,
                    UserManager<Person>.ResetPasswordTokenPurpose,
                    given.Token
                )
            )
            {
                return Gone;
            }

            // An account that somebody holds is not taken over by whoever has a link: its holder is told first, and can stop it.
            if (person.PasswordHash is not null && (person.LinkFrom is not { } from || from > clock.GetUtcNow()))
            {
                return person.LinkFrom is not { } opens
                    ? Gone
                    : Results.Problem(
                        "This account has a password already, so its holder is told first and can stop the link. It opens "
                            + $"{opens.ToString("d MMMM HH:mm", CultureInfo.InvariantCulture)} (UTC); where you are still signed "
                            + "in, you can open it at once, under “You and this device”.",
                        statusCode: StatusCodes.Status403Forbidden,
                        title: "This link does not open yet."
                    );
            }

            // A code works once: it is not used up by a password that is refused.
            foreach (var rule in people.PasswordValidators)
            {
                if (await rule.ValidateAsync(people, person, given.Password) is { Succeeded: false } refused)
                {
                    return Refusal(refused);
                }
            }

            // Whoever has the link does not try codes without end.
            var address = Http.Connection.RemoteIpAddress;
            if (
                person.PasswordHash is not null
                && (guard.IsShut(address, person.UserName!) || !await second.PassesAsync(person, given.Code))
            )
            {
                if (given.Code is not null)
                {
                    guard.Wrong(address, person.UserName!);
                    await accounts.NoteAsync(AccountEvents.Refused, person.UserName!, person.Id, null, cancel);
                }

                return SecondFactor.Asked;
            }

            var set = await people.ResetPasswordAsync(person, given.Token, given.Password);
            if (!set.Succeeded)
            {
                return set.Errors.Any(e => e.Code == nameof(IdentityErrorDescriber.InvalidToken)) ? Gone : Refusal(set);
            }

            (person.LinkFrom, person.LinkBy) = (null, null);
            await people.UpdateAsync(person);
            await accounts.RenewAsync(person, AccountEvents.LinkUsed, cancel);
            caller.Person = person;
            return Results.Ok(await InfoAsync(cancel));
        }

        private static IResult Gone { get; } =
            Results.Problem(
                "A link works once and for seven days. Ask a coordinator for a new one.",
                statusCode: StatusCodes.Status410Gone,
                title: "This link has been used or is too old."
            );

        private async Task<IResult> EnterAsync(Person person, CancellationToken cancel)
        {
            await accounts.EnterAsync(person, cancel);
            await accounts.NoteAsync(AccountEvents.In, person.UserName!, person.Id, null, cancel);
            caller.Person = person;
            return Results.Ok(await InfoAsync(cancel));
        }
    }

    /// <summary>Why an account could not be made or changed, in the words of the library.</summary>
    internal static IResult Refusal(IdentityResult result) =>
        Results.Problem(
            "Nothing was changed.",
            statusCode: StatusCodes.Status400BadRequest,
            title: string.Join(" ", result.Errors.Select(e => e.Description))
        );
}
