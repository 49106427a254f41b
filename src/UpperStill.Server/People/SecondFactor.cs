using Microsoft.AspNetCore.Identity;
using UpperStill.Store.People;

namespace UpperStill.Server.People;

/// <summary>A second factor: six digits of an app that change every half minute (RFC 6238), or one of ten recovery codes.</summary>
public sealed class SecondFactor(UserManager<Person> people, SignInGuard guard)
{
    /// <summary>Names the problem, so that a page knows to ask for the code.</summary>
    public const string Type = "about:blank#second-factor";

    // Where the library itself looks for the secret.
    private const string Keeper = "[AspNetUserStore]";
    private const string KeyName = "AuthenticatorKey";
    private const int RecoveryCodes = 10;
    private const int LongestCode = 40;

    /// <summary>The answer to whoever gave no code.</summary>
    internal static IResult Asked { get; } =
        Results.Problem(
            "Type the six digits that your app shows, or one of your recovery codes.",
            statusCode: StatusCodes.Status401Unauthorized,
            title: "This account asks for a second factor.",
            type: Type
        );

    /// <summary>True where none is asked for, or the code fits.</summary>
    /// <param name="person">Who.</param>
    /// <param name="code">What they gave.</param>
    public async Task<bool> PassesAsync(Person person, string? code)
    {
        ArgumentNullException.ThrowIfNull(person);
        return !person.TwoFactorEnabled
            || (
                code is { Length: > 0 and <= LongestCode }
                && (await FitsAsync(person, code) || (await people.RedeemTwoFactorRecoveryCodeAsync(person, code.Trim())).Succeeded)
            );
    }

    /// <summary>A new secret for an app; nothing is asked for until <see cref="ConfirmAsync"/>.</summary>
    public async Task<string> BeginAsync(Person person)
    {
        // Not by way of the manager, which would end every session at once: nothing is asked for yet.
        var secret = people.GenerateNewAuthenticatorKey();
        await people.SetAuthenticationTokenAsync(person, Keeper, KeyName, secret);
        return secret;
    }

    /// <summary>From now on a code is asked for; gives the recovery codes. Null where the code does not fit.</summary>
    /// <param name="person">Who.</param>
    /// <param name="code">What the app shows.</param>
    public async Task<IReadOnlyList<string>?> ConfirmAsync(Person person, string code)
    {
        ArgumentNullException.ThrowIfNull(code);
        if (code.Length > LongestCode || !await FitsAsync(person, code))
        {
            return null;
        }

        await people.SetTwoFactorEnabledAsync(person, true);
        return [.. (await people.GenerateNewTwoFactorRecoveryCodesAsync(person, RecoveryCodes))!];
    }

    /// <summary>No second factor any more.</summary>
    public async Task EndAsync(Person person)
    {
        await people.SetTwoFactorEnabledAsync(person, false);
        await people.RemoveAuthenticationTokenAsync(person, Keeper, KeyName);
    }

    private async Task<bool> FitsAsync(Person person, string code)
    {
        var digits = code.Replace(" ", string.Empty, StringComparison.Ordinal);
        return await people.VerifyTwoFactorTokenAsync(person, TokenOptions.DefaultAuthenticatorProvider, digits)
            && guard.IsFresh(person.Id, digits);
    }
}
