using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Labels;
using UpperStill.Server.People;
using UpperStill.Store;
using UpperStill.Store.Projections;

namespace UpperStill.Server.Ledger;

/// <summary>What a device needs to bring its ledger up to date.</summary>
/// <param name="UpTo">Everything that reached the log until here is in it; asked with it next time.</param>
/// <param name="Whole">True where it replaces all that the device has.</param>
/// <param name="Visits">Visits whose samples are replaced by these.</param>
/// <param name="Samples">The samples.</param>
public sealed record LedgerView(long UpTo, bool Whole, IReadOnlyList<Guid> Visits, IReadOnlyList<LedgerSample> Samples);

/// <summary>Samples that left together.</summary>
/// <param name="Id">Identity.</param>
/// <param name="LeftAt">When they left.</param>
/// <param name="To">To whom.</param>
/// <param name="By">How they travel.</param>
/// <param name="On">On what.</param>
/// <param name="Signature">Who handed over.</param>
/// <param name="Samples">The samples, by number.</param>
/// <param name="Waybill">The carrier's number.</param>
/// <param name="Seal">The seal's number.</param>
/// <param name="TemperatureC">In the box on leaving, °C, as read.</param>
public sealed record Manifest(
    Guid Id,
    DateTimeOffset LeftAt,
    string To,
    TravelBy By,
    TravelOn On,
    string Signature,
    IReadOnlyList<LedgerSample> Samples,
    string? Waybill = null,
    string? Seal = null,
    string? TemperatureC = null
)
{
    /// <summary>When the first of them was taken in.</summary>
    public DateTimeOffset? ReceivedAt { get; init; }

    /// <summary>Who took them in.</summary>
    public string? ReceivedBy { get; init; }
}

/// <summary>A manifest in the list.</summary>
/// <param name="Id">Identity.</param>
/// <param name="LeftAt">When it left.</param>
/// <param name="Count">How many samples.</param>
/// <param name="OnTheRoad">How many are not taken in yet.</param>
/// <param name="Open">How many have no result yet.</param>
/// <param name="Waters">Of which waters.</param>
public sealed record ManifestRow(Guid Id, DateTimeOffset LeftAt, int Count, int OnTheRoad, int Open, IReadOnlyList<string> Waters);

/// <summary>Reads the ledger as far as the caller may see it.</summary>
public sealed class LedgerDesk(FieldBook book, Caller caller, TimeProvider clock)
{
    private const int DaysBehind = 90;
    private const int ManifestsShown = 60;

    /// <summary>What changed since a place in the log; from the beginning, what is still under way or of the last weeks.</summary>
    public async Task<LedgerView> SinceAsync(long since, CancellationToken cancel)
    {
        var upTo = await book.Entries.MaxAsync(e => (long?)e.Sequence, cancel) ?? 0;
        var recent = DateOnly.FromDateTime(clock.GetUtcNow().DateTime).AddDays(-DaysBehind);
        if (since <= 0 || since > upTo)
        {
            var all = await book
                .Samples.AsNoTracking()
                .Where(s =>
                    s.Day >= recent || (s.Open && s.State != nameof(SampleState.Planned) && s.State != nameof(SampleState.Labelled))
                )
                .ToListAsync(cancel);
            return new LedgerView(upTo, true, [], Seen(all));
        }

        var visits = await book.Visits.AsNoTracking().Where(v => v.LastSequence > since).Select(v => v.Visit).ToListAsync(cancel);
        return new LedgerView(
            upTo,
            false,
            visits,
            Seen(await book.Samples.AsNoTracking().Where(s => visits.Contains(s.Visit)).ToListAsync(cancel))
        );
    }

    /// <summary>The samples with a number; two where two visits of one day share it.</summary>
    public async Task<IReadOnlyList<LedgerSample>> FindAsync(string number, CancellationToken cancel)
    {
        var body = SampleNumber.Body(number.Trim().ToUpperInvariant());
        return Seen(await book.Samples.AsNoTracking().Where(s => s.Body == body).ToListAsync(cancel));
    }

    /// <summary>A manifest; null where none of it may be seen.</summary>
    public async Task<Manifest?> ManifestAsync(Guid id, CancellationToken cancel)
    {
        var samples = Seen(await book.Samples.AsNoTracking().Where(s => s.Manifest == id).ToListAsync(cancel));
        if (samples.Count == 0)
        {
            return null;
        }

        var visits = samples.Select(s => s.Visit).Distinct().ToList();
        var entries = (
            await book
                .Entries.AsNoTracking()
                .Where(e => visits.Contains(e.Visit) && (e.Kind == CustodyKinds.HandedOver.Name || e.Kind == CustodyKinds.Received.Name))
                .ToListAsync(cancel)
        )
            .Select(e => e.ToEntry())
            .ToList();
        var handed = entries
            .Where(e => e.Kind == CustodyKinds.HandedOver.Name)
            .Select(e => (Entry: e, Body: CustodyKinds.HandedOver.Read(e.Body)))
            .Where(e => e.Body?.Manifest == id)
            .OrderBy(e => e.Entry.At)
            .First();
        var received = entries
            .Where(e => e.Kind == CustodyKinds.Received.Name)
            .Select(e => (Entry: e, Body: CustodyKinds.Received.Read(e.Body)))
            .Where(e => e.Body?.Manifest == id)
            .OrderBy(e => e.Entry.At)
            .FirstOrDefault();
        var body = handed.Body!;
        return new Manifest(
            id,
            handed.Entry.At,
            body.To,
            body.By,
            body.On,
            body.Signature,
            samples,
            body.Waybill,
            body.Seal,
            body.TemperatureC
        )
        {
            ReceivedAt = received.Entry?.At,
            ReceivedBy = received.Body?.Signature,
        };
    }

    /// <summary>The last manifests, newest first.</summary>
    public async Task<IReadOnlyList<ManifestRow>> ManifestsAsync(CancellationToken cancel)
    {
        var rows = (
            await book
                .Samples.AsNoTracking()
                .Where(s => s.Manifest != null)
                .OrderByDescending(s => s.Day)
                .Take(ManifestsShown * 40)
                .ToListAsync(cancel)
        )
            .Where(s => caller.May.Sees(s.Water))
            .ToList();
        return
        [
            .. rows.GroupBy(s => s.Manifest!.Value)
                .Select(g =>
                {
                    var samples = g.Select(Read).ToList();
                    return new ManifestRow(
                        g.Key,
                        samples.Max(s => s.Life.Last(l => l.Step == SampleStep.HandOver).At),
                        samples.Count,
                        samples.Count(s => s.State == SampleState.HandedOver),
                        samples.Count(s => s.State is SampleState.HandedOver or SampleState.Received or SampleState.Analysed),
                        [.. samples.Select(s => s.Water).Distinct().Order(StringComparer.Ordinal)]
                    );
                })
                .OrderByDescending(m => m.LeftAt)
                .Take(ManifestsShown),
        ];
    }

    private List<LedgerSample> Seen(IEnumerable<SampleRow> rows) =>
        [
            .. rows.Where(s => caller.May.Sees(s.Water))
                .OrderBy(s => s.Day)
                .ThenBy(s => s.Number, StringComparer.Ordinal)
                .ThenBy(s => s.Visit)
                .Select(Read),
        ];

    internal static LedgerSample Read(SampleRow row) => JsonSerializer.Deserialize(row.Definition, SetupJson.Default.LedgerSample)!;
}
