using System.Security.Cryptography;
using System.Text;
using Microsoft.AspNetCore.WebUtilities;
using Microsoft.EntityFrameworkCore;
using UpperStill.Server.Backups;
using UpperStill.Server.Hosting;
using UpperStill.Store;

namespace UpperStill.Server.People;

/// <summary>The one-time link by which an empty instance gets its first coordinator: in a file that only its owner can read, gone with the
/// first use. A log is read by too many.</summary>
public sealed class FirstCoordinator(Instance instance) : IDisposable
{
    private readonly string file = Path.Combine(instance.DataFolder, "first-coordinator.txt");
    private readonly byte[] token = RandomNumberGenerator.GetBytes(24);

    /// <summary>One at a time, so that the link makes one person only.</summary>
    public SemaphoreSlim Door { get; } = new(1, 1);

    /// <summary>The part of the link that nobody can guess.</summary>
    public string Token => WebEncoders.Base64UrlEncode(token);

    /// <summary>Writes the link down; gives the file.</summary>
    /// <param name="address">Where the server is reached.</param>
    public string Keep(string address)
    {
        // Behind the fragment's sign no browser sends it, and no proxy writes it down.
        Durable.Write(file, Encoding.UTF8.GetBytes($"{address}/welcome#first={Token}{Environment.NewLine}"));
        return file;
    }

    /// <summary>The link has been used.</summary>
    public void Forget() => File.Delete(file);

    /// <summary>True while the group has nobody.</summary>
    public static async Task<bool> IsNeededAsync(FieldBook book, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        return !await book.Users.AnyAsync(cancel);
    }

    /// <summary>True for the token of this start.</summary>
    public bool Knows(string given) =>
        CryptographicOperations.FixedTimeEquals(Encoding.UTF8.GetBytes(given), Encoding.UTF8.GetBytes(Token));

    /// <inheritdoc/>
    public void Dispose() => Door.Dispose();
}
