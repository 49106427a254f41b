using System.Security.Cryptography;
using System.Text;
using Microsoft.AspNetCore.WebUtilities;
using Microsoft.EntityFrameworkCore;
using UpperStill.Store;

namespace UpperStill.Server.People;

/// <summary>The one-time link by which an empty instance gets its first coordinator: printed where the server was started, gone with the first use.</summary>
public sealed class FirstCoordinator : IDisposable
{
    private readonly byte[] token = RandomNumberGenerator.GetBytes(24);

    /// <summary>One at a time, so that the link makes one person only.</summary>
    public SemaphoreSlim Door { get; } = new(1, 1);

    /// <summary>The part of the link that nobody can guess.</summary>
    public string Token => WebEncoders.Base64UrlEncode(token);

    /// <summary>True while the group has nobody.</summary>
    public static async Task<bool> IsNeededAsync(FieldBook book, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        return !await book.Users.AnyAsync(cancel);
    }

    /// <summary>True for the token of this start.</summary>
    public bool Knows(string given) => CryptographicOperations.FixedTimeEquals(Encoding.UTF8.GetBytes(given), Encoding.UTF8.GetBytes(Token));

    /// <inheritdoc/>
    public void Dispose() => Door.Dispose();
}
