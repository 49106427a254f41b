using System.Collections.Concurrent;
using System.Net;
using System.Net.Sockets;
using System.Security.Cryptography;
using System.Text;

namespace UpperStill.Server.People;

/// <summary>
/// Shuts the door after five wrong tries, for that account from that address alone: a stranger who guesses locks nobody else out.
/// A name that is nobody's is treated as one that is somebody's.
/// </summary>
public sealed class SignInGuard(TimeProvider clock)
{
    private const int Tries = 5;
    private const int MostKept = 20_000;
    private static readonly TimeSpan Shut = TimeSpan.FromMinutes(10);
    private static readonly TimeSpan CodeHolds = TimeSpan.FromMinutes(5);

    private readonly ConcurrentDictionary<(string Address, string Name), (int Wrong, DateTimeOffset Last)> doors = new();
    private readonly ConcurrentDictionary<(Guid Person, string Code), DateTimeOffset> codes = new();

    /// <summary>True while the door is shut.</summary>
    /// <param name="address">From where.</param>
    /// <param name="name">The sign-in name as it was given.</param>
    public bool IsShut(IPAddress? address, string name) =>
        doors.TryGetValue(Door(address, name), out var door) && door.Wrong >= Tries && clock.GetUtcNow() - door.Last < Shut;

    /// <summary>A wrong try.</summary>
    /// <param name="address">From where.</param>
    /// <param name="name">The sign-in name as it was given.</param>
    public void Wrong(IPAddress? address, string name)
    {
        var now = clock.GetUtcNow();
        Forget(doors, door => now - door.Last > Shut);
        doors.AddOrUpdate(Door(address, name), (1, now), (_, door) => now - door.Last > Shut ? (1, now) : (door.Wrong + 1, now));
    }

    /// <summary>The right password, and the right code where one is asked for.</summary>
    /// <param name="address">From where.</param>
    /// <param name="name">The sign-in name as it was given.</param>
    public void Right(IPAddress? address, string name) => doors.TryRemove(Door(address, name), out _);

    /// <summary>True the first time that a person gives a code; whoever looked over their shoulder cannot use it again.</summary>
    /// <param name="person">Who.</param>
    /// <param name="code">The code.</param>
    public bool IsFresh(Guid person, string code)
    {
        var now = clock.GetUtcNow();
        Forget(codes, at => now - at > CodeHolds);
        return codes.TryAdd((person, code), now);
    }

    // However long the name is that somebody sends, what is remembered of it is short. One who has a network of the newer sort has as many
    // addresses as they like in it.
    private static (string Address, string Name) Door(IPAddress? address, string name)
    {
        var bytes = (address is { IsIPv4MappedToIPv6: true } ? address.MapToIPv4() : address)?.GetAddressBytes() ?? [];
        return (
            Convert.ToHexString(
                address is { AddressFamily: AddressFamily.InterNetworkV6, IsIPv4MappedToIPv6: false } ? bytes.AsSpan(0, 8) : bytes
            ),
            Convert.ToHexString(SHA256.HashData(Encoding.UTF8.GetBytes(name.Trim().ToUpperInvariant())))
        );
    }

    private static void Forget<TKey, TValue>(ConcurrentDictionary<TKey, TValue> all, Func<TValue, bool> old)
        where TKey : notnull
    {
        if (all.Count < MostKept)
        {
            return;
        }

        foreach (var (key, value) in all)
        {
            if (old(value))
            {
                all.TryRemove(key, out _);
            }
        }

        // Full of what is not old: the memory of the server counts for more than a guesser's count.
        if (all.Count >= MostKept)
        {
            all.Clear();
        }
    }
}
