using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Setup.People;
using UpperStill.Server.People;
using UpperStill.Store;
using UpperStill.Store.Log;
using UpperStill.Store.People;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Endpoints;

/// <summary>A person of the group.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Name">The name beside readings.</param>
/// <param name="SignInName">The name to sign in with.</param>
/// <param name="Grants">Roles and waters.</param>
/// <param name="Active">False once they have left the group.</param>
/// <param name="Joined">True once they have chosen a password.</param>
/// <param name="SecondFactor">True where a code is asked for when they sign in.</param>
public sealed record PersonInfo(
    Guid Id,
    string Name,
    string SignInName,
    IReadOnlyList<Grant> Grants,
    bool Active,
    bool Joined,
    bool SecondFactor
);

/// <summary>A person as a coordinator writes it.</summary>
/// <param name="Name">The name beside readings.</param>
/// <param name="SignInName">The name to sign in with.</param>
/// <param name="Grants">Roles and waters.</param>
/// <param name="Active">False once they have left the group.</param>
public sealed record PersonChange(string Name, string SignInName, IReadOnlyList<Grant> Grants, bool Active = true);

/// <summary>Whose a name in the record is.</summary>
/// <param name="Name">The name as it stands there.</param>
/// <param name="Person">The account; null for nobody’s.</param>
public sealed record NameChange(string Name, Guid? Person = null);

/// <summary>A link by which a person chooses a password: once, within seven days.</summary>
/// <param name="Path">The path with its fragment, to be put behind this server's address.</param>
/// <param name="From">From when it opens, where the account has a password already; null where at once.</param>
public sealed record WelcomeLink(string Path, DateTimeOffset? From = null);

/// <summary>What happened to an account.</summary>
/// <param name="Sequence">Its place in the order.</param>
/// <param name="At">When.</param>
/// <param name="What">A word for what.</param>
/// <param name="SignInName">The sign-in name as it was given.</param>
/// <param name="Name">The person’s name; null where it is nobody’s account.</param>
/// <param name="By">Who did it, where that is somebody else.</param>
/// <param name="Address">From which network address.</param>
public sealed record AccountHappening(
    long Sequence,
    DateTimeOffset At,
    string What,
    string SignInName,
    string? Name,
    string? By,
    string Address
);

/// <summary>The people of the group, for its coordinators.</summary>
internal static class PeopleEndpoints
{
    private const int MostNames = 500;
    private const int MostEvents = 500;
    private const int LongestRecordName = 120;

    internal static void MapPeople(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/people").WithTags("people").For(AccessLevel.CoordinatesAll);
        group
            .MapGet("/", async (FieldBook book, CancellationToken cancel) =>
                (await book.Users.AsNoTracking().ToListAsync(cancel)).OrderBy(p => p.Name, StringComparer.OrdinalIgnoreCase).Select(Info)
            )
            .WithName("people")
            .WithSummary("Everyone of the group, with roles and waters.");
        group
            .MapPost("/", (PersonChange given, Register register, CancellationToken cancel) => register.AddAsync(given, cancel))
            .WithName("add-person")
            .WithSummary("Adds a person, who then chooses a password by a link.")
            .Produces<PersonInfo>()
            .ProducesProblem(StatusCodes.Status400BadRequest);
        group
            .MapPut("/{id:guid}", (Guid id, PersonChange given, Register register, CancellationToken cancel) =>
                register.ChangeAsync(id, given, cancel)
            )
            .WithName("change-person")
            .WithSummary("Changes a person’s name, roles or waters; at once, also where they are signed in.")
            .Produces<PersonInfo>()
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .ProducesProblem(StatusCodes.Status404NotFound);
        group
            .MapPost("/{id:guid}/link", (Guid id, Register register, CancellationToken cancel) => register.LinkAsync(id, cancel))
            .WithName("welcome-link")
            .WithSummary(
                "A one-time link by which the person chooses a password. Hand it over yourself. Where they have a password, it "
                    + "opens after a day, or when they say so."
            )
            .Produces<WelcomeLink>()
            .ProducesProblem(StatusCodes.Status404NotFound);
        group
            .MapDelete("/{id:guid}/sessions", (Guid id, Register register, CancellationToken cancel) =>
                register.EndSessionsAsync(id, cancel)
            )
            .WithName("end-sessions-of")
            .WithSummary("Ends every session of a person, as when a phone is lost; what waits on it stays there.")
            .Produces<PersonInfo>()
            .ProducesProblem(StatusCodes.Status404NotFound);
        group
            .MapDelete("/{id:guid}/second-factor", (Guid id, Register register, CancellationToken cancel) =>
                register.EndSecondFactorAsync(id, cancel)
            )
            .WithName("end-second-factor-of")
            .WithSummary("Takes a person’s second factor away, where app and recovery codes are lost; the password stays.")
            .Produces<PersonInfo>()
            .ProducesProblem(StatusCodes.Status404NotFound);
        group
            .MapGet("/events", async (FieldBook book, CancellationToken cancel) =>
                await (
                    from happened in book.AccountEvents.AsNoTracking().OrderByDescending(e => e.Sequence).Take(MostEvents)
                    join person in book.Users on happened.Person equals person.Id into whose
                    from person in whose.DefaultIfEmpty()
                    orderby happened.Sequence descending
                    select new AccountHappening(
                        happened.Sequence,
                        happened.At,
                        happened.What,
                        happened.SignInName,
                        person == null ? null : person.Name,
                        happened.By,
                        happened.Address
                    )
                ).ToListAsync(cancel)
            )
            .WithName("account-events")
            .WithSummary("Sign-ins, refusals, links and roles, the newest first.");
        group
            .MapGet("/names", (FieldBook book, CancellationToken cancel) => book.RecordNamesAsync(MostNames, cancel))
            .WithName("record-names")
            .WithSummary("Names under which visits were made that are nobody’s account, and those that are known to be somebody’s.");
        group
            .MapPut("/names", (NameChange given, Register register, CancellationToken cancel) => register.NameAsync(given, cancel))
            .WithName("name-person")
            .WithSummary(
                "Says whose a name in the record is. Nobody signs off what they read under another spelling; entries stay as they are."
            )
            .Produces<IReadOnlyList<RecordName>>()
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static PersonInfo Info(Person person) =>
        new(
            person.Id,
            person.Name,
            person.UserName!,
            person.Grants,
            person.Active,
            person.PasswordHash is not null,
            person.TwoFactorEnabled
        );

    /// <summary>The work behind the addresses.</summary>
    internal sealed class Register(
        FieldBook book,
        LogBook log,
        UserManager<Person> people,
        Accounts accounts,
        SecondFactor second,
        Caller caller,
        TimeProvider clock
    )
    {
        private static readonly TimeSpan ToldFirst = TimeSpan.FromDays(1);

        internal async Task<IResult> AddAsync(PersonChange given, CancellationToken cancel)
        {
            if (await FaultAsync(given, null, cancel) is { } fault)
            {
                return fault;
            }

            var person = new Person
            {
                Id = Guid.CreateVersion7(),
                UserName = given.SignInName.Trim(),
                Name = given.Name.Trim(),
                Grants = given.Grants,
                Active = given.Active,
            };
            return await KeepAsync(person, null, await people.CreateAsync(person), cancel);
        }

        internal async Task<IResult> ChangeAsync(Guid id, PersonChange given, CancellationToken cancel)
        {
            if (await people.FindByIdAsync(id.ToString()) is not { } person)
            {
                return Unknown;
            }

            if (await FaultAsync(given, id, cancel) is { } fault)
            {
                return fault;
            }

            var before = Words(person);
            var called = person.Name;
            if (called != given.Name.Trim() && !await book.KnownNames.AnyAsync(n => n.Name == called, cancel))
            {
                // What they wrote under the name they had stays theirs.
                book.KnownNames.Add(new KnownName { Name = called, Person = id });
            }

            (person.Name, person.UserName, person.Grants, person.Active) = (
                given.Name.Trim(),
                given.SignInName.Trim(),
                given.Grants,
                given.Active
            );
            var kept = await KeepAsync(person, before, await people.UpdateAsync(person), cancel);
            if (called != person.Name)
            {
                await log.AloneAsync(
                    book,
                    async () =>
                    {
                        await book.ProjectNamesAsync([called, person.Name], cancel);
                        return true;
                    },
                    cancel
                );
            }

            return kept;
        }

        internal async Task<IResult> NameAsync(NameChange given, CancellationToken cancel)
        {
            if (string.IsNullOrWhiteSpace(given.Name) || given.Name.Length > LongestRecordName)
            {
                return Fault("The name is missing or too long.", "Take one that stands in the record.");
            }

            if (given.Person is { } id && await people.FindByIdAsync(id.ToString()) is null)
            {
                return Unknown;
            }

            await log.AloneAsync(
                book,
                async () =>
                {
                    var known = await book.KnownNames.FirstOrDefaultAsync(n => n.Name == given.Name, cancel);
                    var before = known?.Person;
                    if (known is not null)
                    {
                        book.KnownNames.Remove(known);
                        await book.SaveChangesAsync(cancel);
                    }

                    if (given.Person is { } whose)
                    {
                        book.KnownNames.Add(new KnownName { Name = given.Name, Person = whose });
                    }

                    book.Note(caller.Name, clock.GetUtcNow(), "name", given.Name, before?.ToString(), given.Person?.ToString());
                    await book.SaveChangesAsync(cancel);
                    await book.ProjectNamesAsync([given.Name], cancel);
                    return true;
                },
                cancel
            );
            return Results.Ok(await book.RecordNamesAsync(MostNames, cancel));
        }

        internal async Task<IResult> LinkAsync(Guid id, CancellationToken cancel)
        {
            if (await people.FindByIdAsync(id.ToString()) is not { Active: true } person)
            {
                return Unknown;
            }

            person.LinkFrom = person.PasswordHash is null ? null : clock.GetUtcNow() + ToldFirst;
            person.LinkBy = person.PasswordHash is null ? null : caller.Name;
            await people.UpdateAsync(person);
            await accounts.NoteAsync(AccountEvents.LinkMade, person.UserName!, id, caller.Name, cancel);
            return Results.Ok(
                new WelcomeLink(
                    $"/welcome#person={id}&token={Uri.EscapeDataString(await people.GeneratePasswordResetTokenAsync(person))}",
                    person.LinkFrom
                )
            );
        }

        internal async Task<IResult> EndSessionsAsync(Guid id, CancellationToken cancel)
        {
            if (await people.FindByIdAsync(id.ToString()) is not { } person)
            {
                return Unknown;
            }

            await accounts.EndAsync(id, null, cancel);
            await accounts.NoteAsync(AccountEvents.Ended, person.UserName!, id, caller.Name, cancel);
            return Results.Ok(Info(person));
        }

        internal async Task<IResult> EndSecondFactorAsync(Guid id, CancellationToken cancel)
        {
            if (await people.FindByIdAsync(id.ToString()) is not { } person)
            {
                return Unknown;
            }

            await second.EndAsync(person);
            await accounts.EndAsync(id, null, cancel);
            await accounts.NoteAsync(AccountEvents.SecondOff, person.UserName!, id, caller.Name, cancel);
            return Results.Ok(Info(person));
        }

        private static IResult Unknown { get; } =
            Results.Problem("See GET /api/people.", statusCode: StatusCodes.Status404NotFound, title: "No such person in this group.");

        private static IResult Fault(string title, string detail) =>
            Results.Problem(detail + " Nothing was changed.", statusCode: StatusCodes.Status400BadRequest, title: title);

        private static string Words(Person person) =>
            $"{person.Name} ({person.UserName}) {person.GrantsJson}{(person.Active ? string.Empty : " left")}";

        private async Task<IResult> KeepAsync(Person person, string? before, IdentityResult result, CancellationToken cancel)
        {
            if (!result.Succeeded)
            {
                return SessionEndpoints.Refusal(result);
            }

            book.Note(caller.Name, clock.GetUtcNow(), "person", person.UserName!, before, Words(person));
            await accounts.NoteAsync(AccountEvents.Granted, person.UserName!, person.Id, caller.Name, cancel);
            return Results.Ok(Info(person));
        }

        private async Task<IResult?> FaultAsync(PersonChange given, Guid? id, CancellationToken cancel)
        {
            if (given.Name.Trim().Length is 0 or > Person.LongestName)
            {
                return Fault("The name is missing or too long.", "It stands beside what the person reads.");
            }

            var known = await book.Waters.Select(w => w.Code).ToListAsync(cancel);
            if (given.Grants.SelectMany(g => g.Waters ?? []).Except(known).FirstOrDefault() is { } unknown)
            {
                return Fault($"No water “{unknown}” is known here.", "A role holds for all waters or for some that are set up.");
            }

            if (given.Active && given.Grants.Any(g => g is { Role: Role.Coordinator, Waters: null }))
            {
                return null;
            }

            var others = (await book.Users.AsNoTracking().Where(p => p.Active && p.Id != id).ToListAsync(cancel)).Any(p =>
                p.Permissions.CoordinatesAll
            );
            return others
                ? null
                : Fault(
                    "Nobody would be left who coordinates the whole group.",
                    "Nobody could add people or change programmes any more. Give another person that role first."
                );
        }
    }
}
