using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using UpperStill.Formats.Labels;
using UpperStill.Server.People;
using UpperStill.Store;
using UpperStill.Store.People;

namespace UpperStill.Server.Endpoints;

/// <summary>A device on which somebody is signed in.</summary>
/// <param name="Id">The session.</param>
/// <param name="Device">In the words of its browser.</param>
/// <param name="Address">The network address from which it signed in.</param>
/// <param name="Began">When.</param>
/// <param name="Seen">When it was last seen with a signal.</param>
/// <param name="This">True for the device that asks.</param>
public sealed record DeviceSession(Guid Id, string Device, string Address, DateTimeOffset Began, DateTimeOffset Seen, bool This);

/// <summary>The caller's own account.</summary>
/// <param name="Sessions">Where they are signed in, the newest first.</param>
/// <param name="SecondFactor">True where a code is asked for.</param>
/// <param name="RecoveryCodes">How many recovery codes are left.</param>
public sealed record AccountInfo(IReadOnlyList<DeviceSession> Sessions, bool SecondFactor, int RecoveryCodes);

/// <summary>A new password.</summary>
/// <param name="Current">The present one.</param>
/// <param name="Password">The new one, at least ten letters or signs.</param>
public sealed record PasswordChange(string Current, string Password);

/// <summary>A secret for an app that shows codes.</summary>
/// <param name="Secret">To be typed where it cannot be scanned.</param>
/// <param name="Address">What the picture says.</param>
/// <param name="Path">The picture: a QR code as a path of unit squares.</param>
/// <param name="Size">Its width in squares.</param>
public sealed record SecondFactorSecret(string Secret, string Address, string Path, int Size);

/// <summary>A code of the app.</summary>
/// <param name="Code">Six digits.</param>
public sealed record SecondFactorCode(string Code);

/// <summary>Recovery codes, shown once.</summary>
/// <param name="Codes">Each opens the account once without the app.</param>
public sealed record RecoveryCodes(IReadOnlyList<string> Codes);

/// <summary>The password again, before something is taken away.</summary>
/// <param name="Password">The present one.</param>
public sealed record PasswordAgain(string Password);

/// <summary>Everybody's own account.</summary>
internal static class AccountEndpoints
{
    internal static void MapAccount(this IEndpointRouteBuilder app)
    {
        var account = app.MapGroup("/api/account").WithTags("session").For(AccessLevel.SignedIn);
        account
            .MapGet("/", (Own own, CancellationToken cancel) => own.InfoAsync(cancel))
            .WithName("account")
            .WithSummary("Where the caller is signed in, and whether a second factor is asked for.");
        account
            .MapDelete("/sessions/{id:guid}", (Guid id, Own own, CancellationToken cancel) => own.EndAsync(id, cancel))
            .WithName("end-session")
            .WithSummary("Ends a session on another device; what waits there stays there.")
            .Produces<AccountInfo>();
        account
            .MapPost("/password", (PasswordChange given, Own own, CancellationToken cancel) => own.PasswordAsync(given, cancel))
            .WithName("change-password")
            .WithSummary("Changes the password and ends every other session.")
            .Produces<AccountInfo>()
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .RequireRateLimiting(SessionEndpoints.RateLimit);
        account
            .MapPost("/second-factor", (Own own) => own.BeginAsync())
            .WithName("begin-second-factor")
            .WithSummary("A secret for an app that shows codes; nothing changes until a code of it is given.")
            .Produces<SecondFactorSecret>()
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .RequireRateLimiting(SessionEndpoints.RateLimit);
        account
            .MapPut("/second-factor", (SecondFactorCode given, Own own, CancellationToken cancel) => own.ConfirmAsync(given, cancel))
            .WithName("confirm-second-factor")
            .WithSummary("From now on a code is asked for; answers with recovery codes, shown once.")
            .Produces<RecoveryCodes>()
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .RequireRateLimiting(SessionEndpoints.RateLimit);
        account
            .MapPost("/second-factor/off", (PasswordAgain given, Own own, CancellationToken cancel) => own.OffAsync(given, cancel))
            .WithName("end-second-factor")
            .WithSummary("No code is asked for any more.")
            .Produces<AccountInfo>()
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .RequireRateLimiting(SessionEndpoints.RateLimit);
        account
            .MapPost("/link/open", (Own own, CancellationToken cancel) => own.LinkAsync(true, cancel))
            .WithName("open-link")
            .WithSummary("The caller asked for the link to their account: it opens at once.");
        account
            .MapPost("/link/stop", (Own own, CancellationToken cancel) => own.LinkAsync(false, cancel))
            .WithName("stop-link")
            .WithSummary("The caller did not ask for the link to their account: it opens nothing.");
    }

    /// <summary>The work behind the addresses.</summary>
    internal sealed class Own(
        FieldBook book,
        UserManager<Person> people,
        Accounts accounts,
        SecondFactor second,
        SignInGuard guard,
        Caller caller,
        IHttpContextAccessor accessor,
        TimeProvider clock
    )
    {
        private HttpContext Http => accessor.HttpContext!;

        private Guid Id => caller.Person!.Id;

        internal async Task<AccountInfo> InfoAsync(CancellationToken cancel)
        {
            var person = await PersonAsync();
            var mine = Accounts.SessionOf(Http.User);
            var sessions = await book.Sessions.AsNoTracking().Where(s => s.Person == Id).OrderByDescending(s => s.Id).ToListAsync(cancel);
            return new AccountInfo(
                [.. sessions.Select(s => new DeviceSession(s.Id, s.Device, s.Address, s.Began, s.Seen, s.Id == mine))],
                person.TwoFactorEnabled,
                person.TwoFactorEnabled ? await people.CountRecoveryCodesAsync(person) : 0
            );
        }

        internal async Task<AccountInfo> EndAsync(Guid session, CancellationToken cancel)
        {
            if (await accounts.EndAsync(Id, session, cancel) > 0)
            {
                await accounts.NoteAsync(AccountEvents.Ended, caller.Person!.UserName!, Id, null, cancel);
            }

            return await InfoAsync(cancel);
        }

        internal async Task<IResult> PasswordAsync(PasswordChange given, CancellationToken cancel)
        {
            var person = await PersonAsync();
            if (await NotTheirsAsync(person, given.Current, cancel) is { } refusal)
            {
                return refusal;
            }

            var changed = await people.ChangePasswordAsync(person, given.Current, given.Password);
            if (!changed.Succeeded)
            {
                return SessionEndpoints.Refusal(changed);
            }

            await accounts.RenewAsync(person, AccountEvents.Password, cancel);
            return Results.Ok(await InfoAsync(cancel));
        }

        internal async Task<IResult> BeginAsync()
        {
            var person = await PersonAsync();
            if (person.TwoFactorEnabled)
            {
                return Results.Problem(
                    "Take it away first, with your password.",
                    statusCode: StatusCodes.Status400BadRequest,
                    title: "A second factor is asked for already."
                );
            }

            var secret = await second.BeginAsync(person);
            var address = $"otpauth://totp/Upper%20Still:{Uri.EscapeDataString(person.UserName!)}?secret={secret}&issuer=Upper%20Still";
            var picture = QrPath.Of(address);
            return Results.Ok(new SecondFactorSecret(secret, address, picture.Path, picture.Size));
        }

        internal async Task<IResult> ConfirmAsync(SecondFactorCode given, CancellationToken cancel)
        {
            var person = await PersonAsync();
            if (
                person.TwoFactorEnabled
                || guard.IsShut(Http.Connection.RemoteIpAddress, person.UserName!)
                || await second.ConfirmAsync(person, given.Code) is not { } codes
            )
            {
                guard.Wrong(Http.Connection.RemoteIpAddress, person.UserName!);
                return Results.Problem(
                    "Take the one that the app shows now; look that this device’s clock is right.",
                    statusCode: StatusCodes.Status400BadRequest,
                    title: "This code does not fit."
                );
            }

            await accounts.RenewAsync(person, AccountEvents.SecondOn, cancel);
            return Results.Ok(new RecoveryCodes(codes));
        }

        internal async Task<IResult> OffAsync(PasswordAgain given, CancellationToken cancel)
        {
            var person = await PersonAsync();
            if (await NotTheirsAsync(person, given.Password, cancel) is { } refusal)
            {
                return refusal;
            }

            await second.EndAsync(person);
            await accounts.RenewAsync(person, AccountEvents.SecondOff, cancel);
            return Results.Ok(await InfoAsync(cancel));
        }

        internal async Task<AccountInfo> LinkAsync(bool open, CancellationToken cancel)
        {
            var person = await PersonAsync();
            if (person.LinkFrom is not null)
            {
                person.LinkFrom = open ? clock.GetUtcNow() : null;
                person.LinkBy = open ? person.LinkBy : null;
                await people.UpdateAsync(person);
                await accounts.NoteAsync(open ? AccountEvents.LinkAllowed : AccountEvents.LinkStopped, person.UserName!, Id, null, cancel);
            }

            return await InfoAsync(cancel);
        }

        private async Task<Person> PersonAsync() => (await people.FindByIdAsync(Id.ToString()))!;

        // A device left lying open is not enough to take the account.
        private async Task<IResult?> NotTheirsAsync(Person person, string password, CancellationToken cancel)
        {
            var address = Http.Connection.RemoteIpAddress;
            if (!guard.IsShut(address, person.UserName!) && await people.CheckPasswordAsync(person, password))
            {
                return null;
            }

            guard.Wrong(address, person.UserName!);
            await accounts.NoteAsync(AccountEvents.Refused, person.UserName!, Id, null, cancel);
            return Results.Problem(
                "Nothing was changed. After five wrong tries it waits for ten minutes.",
                statusCode: StatusCodes.Status400BadRequest,
                title: "That is not your present password."
            );
        }
    }
}
