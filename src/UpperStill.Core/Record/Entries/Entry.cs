using System.Text.Json;
using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Setup.People;

namespace UpperStill.Core.Record.Entries;

/// <summary>One thing read, done or decided in a visit. Written once; never changed.</summary>
/// <param name="Id">UUIDv7 made on the device.</param>
/// <param name="Visit">The visit it belongs to, a UUIDv7 made on the device that began it.</param>
/// <param name="Kind">What it is; every part of a visit names its own.</param>
/// <param name="Version">Version of the kind's body.</param>
/// <param name="Body">What was read or done, as it was written.</param>
/// <param name="At">When, with the device's offset from UTC; its clock time is local time.</param>
/// <param name="By">Who, by the name of the time.</param>
/// <param name="Device">Which device.</param>
/// <param name="Strikes">The entry that this one strikes out.</param>
/// <param name="Why">The reason; required with <paramref name="Strikes"/>.</param>
public sealed record Entry(
    Guid Id,
    Guid Visit,
    string Kind,
    [property: Within(1, 1000)] int Version,
    JsonElement Body,
    DateTimeOffset At,
    string By,
    string Device,
    Guid? Strikes = null,
    string? Why = null
)
{
    /// <summary>Added by the server on receipt; a device does not write it.</summary>
    public EntryReceipt? Receipt { get; init; }

    /// <summary>The account of whoever made it; null in entries of earlier builds.</summary>
    public Guid? Person { get; init; }

    /// <summary>Who made it.</summary>
    [JsonIgnore]
    public NamedPerson Maker => new(Person, By);

    /// <summary>Who delivered it, where that is not who made it.</summary>
    [JsonIgnore]
    public string? BroughtInBy => Person is { } maker && Receipt is { DeliveredById: { } id } && id != maker ? Receipt.DeliveredBy : null;
}

/// <summary>What the server notes when an entry arrives.</summary>
/// <param name="At">When it was received, by the server's clock.</param>
/// <param name="ClockOffS">Seconds by which the device's clock was ahead of the server's when it sent; negative when behind.</param>
/// <param name="DeliveredBy">Whose sign-in delivered it, by the name of the time; where a coordinator brought in a saved file, not who made
/// it.</param>
/// <param name="DeliveredById">That person's account; null in entries that earlier builds received, or that no person sent.</param>
public sealed record EntryReceipt(
    DateTimeOffset At,
    [property: Within(-2147483648, 2147483647, "s")] long ClockOffS,
    string? DeliveredBy = null,
    Guid? DeliveredById = null
);
