using System.Globalization;
using Microsoft.EntityFrameworkCore;
using UpperStill.Store;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Hosting;

/// <summary>
/// The clock of this instance. In the demo it begins at the demo's hour whenever it is first used on a real day and runs on from
/// there, also over a restart, so that screens are repeatable and times within a day keep their order.
/// </summary>
public sealed class InstanceClock : TimeProvider
{
    private TimeSpan shift = TimeSpan.Zero;

    private TimeZoneInfo zone = TimeZoneInfo.Local;

    /// <inheritdoc/>
    public override TimeZoneInfo LocalTimeZone => zone;

    /// <inheritdoc/>
    public override DateTimeOffset GetUtcNow() => System.GetUtcNow() + shift;

    /// <summary>Sets the clock to the demo's day.</summary>
    /// <param name="book">Remembers when the demo was first used on this real day.</param>
    /// <param name="start">The demo's day and first hour.</param>
    public void StandOn(FieldBook book, DateTimeOffset start)
    {
        ArgumentNullException.ThrowIfNull(book);
        var now = System.GetUtcNow();
        var name = "demo-began-" + now.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);
        var fact = book.Facts.AsNoTracking().FirstOrDefault(f => f.Name == name);
        if (fact is null)
        {
            fact = new InstanceFact { Name = name, Value = now.ToString("O", CultureInfo.InvariantCulture) };
            book.Facts.Add(fact);
            book.SaveChanges();
        }

        zone = TimeZoneInfo.CreateCustomTimeZone("demo", start.Offset, "demo", "demo");
        shift = start - DateTimeOffset.Parse(fact.Value, CultureInfo.InvariantCulture);
    }
}
