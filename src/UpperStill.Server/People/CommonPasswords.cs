using System.Security.Cryptography;
using System.Text;
using Microsoft.AspNetCore.Identity;
using UpperStill.Store.People;

namespace UpperStill.Server.People;

/// <summary>
/// Refuses passwords that anybody would try first: those of a shipped list, with a number or a sign behind or before them too, the person's
/// own name,
/// and few signs repeated. The list holds the beginnings of SHA-256 of some 49 000 passwords that were found in breaches
/// (the common list of zxcvbn-ts 4.1.3, MIT licence), in lower case.
/// </summary>
public sealed class CommonPasswords : IPasswordValidator<Person>
{
    private const int Kept = 6;
    private const int LeastDifferent = 5;
    private const int LongestAround = 4;
    private static readonly Lazy<HashSet<ulong>> List = new(Read);

    /// <inheritdoc/>
    public Task<IdentityResult> ValidateAsync(UserManager<Person> manager, Person user, string? password) =>
        Task.FromResult(
            password is null || !IsTrivial(password, user)
                ? IdentityResult.Success
                : IdentityResult.Failed(
                    new IdentityError
                    {
                        Code = "PasswordCommon",
                        Description =
                            "That password is among the first that anybody would try. Take four plain words that do not belong together.",
                    }
                )
        );

    private static bool IsTrivial(string password, Person? person)
    {
        var plain = password.ToLowerInvariant();
        var core = plain.Trim([.. plain.Where(c => !char.IsLetter(c)).Distinct()]);
        return plain.Distinct().Count() < LeastDifferent
            || IsListed(plain)
            || (core.Length >= LeastDifferent - 1 && plain.Length - core.Length <= LongestAround + 2 && IsListed(core))
            || IsListed(plain[..(plain.Length / 2)]) && plain[..(plain.Length / 2)] == plain[((plain.Length + 1) / 2)..]
            || new[] { person?.UserName, person?.Name.Replace(" ", string.Empty, StringComparison.Ordinal) }.Any(own =>
                own is { Length: > 3 }
                && plain.Length - own.Length <= LongestAround
                && plain.Contains(own.ToLowerInvariant(), StringComparison.Ordinal)
            );
    }

    private static bool IsListed(string plain) => List.Value.Contains(Key(SHA256.HashData(Encoding.UTF8.GetBytes(plain))));

    private static HashSet<ulong> Read()
    {
        using var stream = typeof(CommonPasswords).Assembly.GetManifestResourceStream("common-passwords.bin")!;
        var list = new HashSet<ulong>((int)(stream.Length / Kept));
        Span<byte> one = stackalloc byte[Kept];
        while (stream.ReadAtLeast(one, Kept, throwOnEndOfStream: false) == Kept)
        {
            list.Add(Key(one));
        }

        return list;
    }

    private static ulong Key(ReadOnlySpan<byte> hash)
    {
        var key = 0ul;
        foreach (var part in hash[..Kept])
        {
            key = (key << 8) | part;
        }

        return key;
    }
}
