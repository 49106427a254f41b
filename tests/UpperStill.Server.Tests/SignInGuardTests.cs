using System.Net;
using UpperStill.Server.People;
using UpperStill.Store.People;

namespace UpperStill.Server.Tests;

/// <summary>Whom the door is shut to, and which passwords nobody may have.</summary>
public sealed class SignInGuardTests
{
    private readonly StoppedClock clock = new();
    private readonly SignInGuard guard;

    public SignInGuardTests() => guard = new SignInGuard(clock);

    [Fact]
    public void Whoever_guesses_shuts_the_door_to_themselves_alone()
    {
        var (stranger, holder) = (IPAddress.Parse("203.0.113.9"), IPAddress.Parse("198.51.100.4"));
        Guess(stranger, "asa", 4);
        Assert.False(guard.IsShut(stranger, "asa"));
        Guess(stranger, " ASA ", 1);
        Assert.True(guard.IsShut(stranger, "asa"));
        Assert.False(guard.IsShut(holder, "asa"));
        Assert.False(guard.IsShut(stranger, "bea"));
    }

    [Fact]
    public void It_opens_after_ten_minutes_and_with_the_right_password()
    {
        var address = IPAddress.Parse("203.0.113.9");
        Guess(address, "asa", 5);
        clock.Now += TimeSpan.FromMinutes(9.9);
        Assert.True(guard.IsShut(address, "asa"));
        clock.Now += TimeSpan.FromMinutes(0.2);
        Assert.False(guard.IsShut(address, "asa"));
        Guess(address, "asa", 4);
        guard.Right(address, "asa");
        Guess(address, "asa", 4);
        Assert.False(guard.IsShut(address, "asa"));
    }

    [Fact]
    public void All_addresses_of_one_network_of_the_newer_sort_are_one()
    {
        Guess(IPAddress.Parse("2001:db8:1:2::1"), "asa", 3);
        Guess(IPAddress.Parse("2001:db8:1:2:ffff::7"), "asa", 2);
        Assert.True(guard.IsShut(IPAddress.Parse("2001:db8:1:2::99"), "asa"));
        Assert.False(guard.IsShut(IPAddress.Parse("2001:db8:1:3::1"), "asa"));
        Guess(IPAddress.Parse("::ffff:203.0.113.9"), "asa", 5);
        Assert.True(guard.IsShut(IPAddress.Parse("203.0.113.9"), "asa"));
    }

    [Fact]
    public void Its_memory_is_bounded()
    {
        for (var i = 0; i < 50_000; i++)
        {
            guard.Wrong(IPAddress.Parse("203.0.113.9"), $"name {i}");
        }

        Guess(IPAddress.Parse("203.0.113.9"), "asa", 5);
        Assert.True(guard.IsShut(IPAddress.Parse("203.0.113.9"), "asa"));
    }

    [Fact]
    public void A_code_is_fresh_once()
    {
        var asa = Guid.NewGuid();
        Assert.True(guard.IsFresh(asa, "123456"));
        Assert.False(guard.IsFresh(asa, "123456"));
        Assert.True(guard.IsFresh(Guid.NewGuid(), "123456"));
    }

    [Theory]
    [InlineData("qwertyuiop", false)]
    [InlineData("1234567890", false)]
    [InlineData("Password123!", false)]
    [InlineData("basketball7", false)]
    [InlineData("aaaaaaaaaaaa", false)]
    [InlineData("abababababab", false)]
    [InlineData("dragondragon", false)]
    [InlineData("asalindqvist1", false)] // her own name
    [InlineData("asa.lindqvist", false)] // her sign-in name
    [InlineData("heron kettle rope nine", true)]
    [InlineData("upper-still-demo", true)]
    [InlineData("a long enough one", true)]
    [InlineData("xk7!pWqz0#", true)]
    [InlineData("dragonfly-kettle-rope", true)]
    public async Task A_password_that_anybody_would_try_is_refused(string password, bool good) =>
        Assert.Equal(
            good,
            (
                await new CommonPasswords().ValidateAsync(
                    null!,
                    new Person { UserName = "asa.lindqvist", Name = "Asa Lindqvist" },
                    password
                )
            ).Succeeded
        );

    private void Guess(IPAddress address, string name, int times)
    {
        for (var i = 0; i < times; i++)
        {
            guard.Wrong(address, name);
        }
    }

    private sealed class StoppedClock : TimeProvider
    {
        internal DateTimeOffset Now { get; set; } = new(2026, 8, 12, 9, 0, 0, TimeSpan.Zero);

        public override DateTimeOffset GetUtcNow() => Now;
    }
}
