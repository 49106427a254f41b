using System.Text.Json;
using UpperStill.Core.Record.Entries;

namespace UpperStill.Store.Log;

/// <summary>An entry in the log. The database refuses to change or delete it.</summary>
public sealed class EntryRow
{
    // A row is never changed once it is written: its entry is read from it once.
    private Entry? entry;

    /// <summary>Order of arrival at this server.</summary>
    public long Sequence { get; set; }

    /// <summary>The entry's own id.</summary>
    public Guid Id { get; set; }

    /// <summary>The visit.</summary>
    public Guid Visit { get; set; }

    /// <summary>The kind.</summary>
    public required string Kind { get; set; }

    /// <summary>Version of the body.</summary>
    public int Version { get; set; }

    /// <summary>The body as JSON, as it was sent.</summary>
    public required string Body { get; set; }

    /// <summary>When it was written, with the device's offset.</summary>
    public DateTimeOffset At { get; set; }

    /// <summary>Who.</summary>
    public required string By { get; set; }

    /// <summary>Which device.</summary>
    public required string Device { get; set; }

    /// <summary>The entry it strikes.</summary>
    public Guid? Strikes { get; set; }

    /// <summary>The reason.</summary>
    public string? Why { get; set; }

    /// <summary>When the server received it.</summary>
    public DateTimeOffset ReceivedAt { get; set; }

    /// <summary>Seconds by which the device's clock was ahead when it sent.</summary>
    public long ClockOffS { get; set; }

    /// <summary>Whose sign-in delivered it, by the name of the time.</summary>
    public string? DeliveredBy { get; set; }

    /// <summary>The account of whoever made it; null in entries of earlier builds.</summary>
    public Guid? Person { get; set; }

    /// <summary>The account of whoever delivered it; null in entries that earlier builds received.</summary>
    public Guid? DeliveredById { get; set; }

    /// <summary>The row for an entry just received.</summary>
    public static EntryRow From(Entry entry, EntryReceipt receipt) =>
        new()
        {
            entry = entry with { Receipt = receipt },
            Id = entry.Id,
            Visit = entry.Visit,
            Kind = entry.Kind,
            Version = entry.Version,
            Body = entry.Body.GetRawText(),
            At = entry.At,
            By = entry.By,
            Device = entry.Device,
            Strikes = entry.Strikes,
            Why = entry.Why,
            ReceivedAt = receipt.At,
            ClockOffS = receipt.ClockOffS,
            DeliveredBy = receipt.DeliveredBy,
            Person = entry.Person,
            DeliveredById = receipt.DeliveredById,
        };

    /// <summary>The entry as it was sent, with the server's receipt.</summary>
    public Entry ToEntry() => entry ??= Read();

    private Entry Read()
    {
        using var body = JsonDocument.Parse(Body);
        return new Entry(Id, Visit, Kind, Version, body.RootElement.Clone(), At, By, Device, Strikes, Why)
        {
            Receipt = new EntryReceipt(ReceivedAt, ClockOffS, DeliveredBy, DeliveredById),
            Person = Person,
        };
    }

    /// <summary>True where the other says exactly the same; the receipt apart.</summary>
    public bool Says(Entry entry) =>
        entry.Visit == Visit
        && entry.Kind == Kind
        && entry.Version == Version
        && entry.At == At
        && entry.By == By
        && entry.Person == Person
        && entry.Device == Device
        && entry.Strikes == Strikes
        && entry.Why == Why
        && JsonElement.DeepEquals(ToEntry().Body, entry.Body);
}
