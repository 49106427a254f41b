namespace UpperStill.Store.People;

/// <summary>What happened to an account: somebody came in, was refused, changed the password; a link was made or used.</summary>
public sealed class AccountEvent
{
    /// <summary>Order.</summary>
    public long Sequence { get; set; }

    /// <summary>When.</summary>
    public DateTimeOffset At { get; set; }

    /// <summary>What, as a word of <see cref="AccountEvents"/>.</summary>
    public required string What { get; set; }

    /// <summary>The sign-in name as it was given; it may be nobody's.</summary>
    public required string SignInName { get; set; }

    /// <summary>Whose account; null where there is none.</summary>
    public Guid? Person { get; set; }

    /// <summary>Who did it, where that is somebody else.</summary>
    public string? By { get; set; }

    /// <summary>From which network address.</summary>
    public required string Address { get; set; }
}

/// <summary>The words of account events.</summary>
public static class AccountEvents
{
    /// <summary>Signed in.</summary>
    public const string In = "signed-in";

    /// <summary>Name and password, or the code, did not belong together.</summary>
    public const string Refused = "refused";

    /// <summary>Too many tries from there.</summary>
    public const string Locked = "locked";

    /// <summary>Signed out.</summary>
    public const string Out = "signed-out";

    /// <summary>A session was ended from elsewhere.</summary>
    public const string Ended = "session-ended";

    /// <summary>The password was changed.</summary>
    public const string Password = "password-changed";

    /// <summary>A second factor is asked for from now on.</summary>
    public const string SecondOn = "second-factor-on";

    /// <summary>No second factor is asked for any more.</summary>
    public const string SecondOff = "second-factor-off";

    /// <summary>A link was made.</summary>
    public const string LinkMade = "link-made";

    /// <summary>The holder of the account opened the link at once.</summary>
    public const string LinkAllowed = "link-allowed";

    /// <summary>The holder of the account stopped the link.</summary>
    public const string LinkStopped = "link-stopped";

    /// <summary>A link was used to choose a password.</summary>
    public const string LinkUsed = "link-used";

    /// <summary>Roles or waters were changed.</summary>
    public const string Granted = "roles-changed";

    /// <summary>What strangers can cause without end: of these only the newest are kept.</summary>
    public static IReadOnlyList<string> ByStrangers { get; } = [Refused, Locked];
}
