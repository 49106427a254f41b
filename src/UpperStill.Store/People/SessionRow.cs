namespace UpperStill.Store.People;

/// <summary>Somebody signed in on a device. A cookie that names a session which is not here opens nothing.</summary>
public sealed class SessionRow
{
    /// <summary>Identity; it stands in the device's cookie.</summary>
    public Guid Id { get; set; }

    /// <summary>Who.</summary>
    public Guid Person { get; set; }

    /// <summary>When they signed in.</summary>
    public DateTimeOffset Began { get; set; }

    /// <summary>When the device last opened the application with a signal.</summary>
    public DateTimeOffset Seen { get; set; }

    /// <summary>The device, in the words of its browser, shortened.</summary>
    public required string Device { get; set; }

    /// <summary>The network address from which they signed in.</summary>
    public required string Address { get; set; }
}
