using System.Globalization;
using System.Runtime.CompilerServices;
using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Profile;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Statistics;
using UpperStill.Formats.Calendars;
using UpperStill.Formats.Packages;
using UpperStill.Server.Hosting;
using UpperStill.Store;
using UpperStill.Store.Log;
using UpperStill.Store.Projections;
using UpperStill.Store.Reference;

namespace UpperStill.Server.Packages;

/// <summary>Writes the record of some stations as a package, row by row from the database: nothing of it is held whole.</summary>
public sealed class PackageExport(FieldBook book, Instance instance, TimeProvider clock)
{
    private const int VisitsAtOnce = 400;

    /// <summary>Writes it.</summary>
    /// <param name="output">Where it goes.</param>
    /// <param name="title">What it is.</param>
    /// <param name="stations">The stations' codes.</param>
    /// <param name="whole">True for everything, also entries whose visit has no beginning yet.</param>
    /// <param name="cancel">Gives up.</param>
    /// <param name="dates">The dates to come, for a calendar; null for none.</param>
    public async Task WriteAsync(
        Stream output,
        string title,
        IReadOnlyCollection<string> stations,
        bool whole,
        CancellationToken cancel,
        IEnumerable<CalendarStation>? dates = null
    )
    {
        ArgumentNullException.ThrowIfNull(stations);
        var rows = await book.Stations.AsNoTracking().OrderBy(s => s.Ordinal).ThenBy(s => s.Code).ToListAsync(cancel);
        rows = [.. rows.Where(s => stations.Contains(s.Code))];
        var codes = rows.Select(s => s.Code).ToList();
        var waters = rows.Select(s => s.Water).Distinct().ToList();
        await using var package = new PackageWriter(output, title, clock.GetUtcNow());
        await package.AddAsync(PackageTables.Visits, VisitsAsync(codes, cancel), cancel);
        await package.AddAsync(PackageTables.Readings, ReadingsAsync(codes, cancel), cancel);
        await package.AddAsync("stations.geojson", StationsGeoJson.Write(rows.Select(s => s.Read())));
        if (dates is not null)
        {
            await package.AddAsync("season.ics", text => SeasonCalendar.Write(text, dates, clock.GetUtcNow()));
        }

        await package.AddAsync(
            PackageTables.Waters,
            EachAsync(book.Waters.Where(w => whole || waters.Contains(w.Code)).OrderBy(w => w.Code), w => [w.Code, w.Definition], cancel),
            cancel
        );
        await package.AddAsync(
            PackageTables.Programmes,
            EachAsync(book.Programmes.OrderBy(p => p.Code).ThenBy(p => p.Version), p => [p.Code, Number(p.Version), p.Definition], cancel),
            cancel
        );
        await package.AddAsync(
            PackageTables.Kit,
            Listed(await book.KitItemsAsync(cancel), i =>
                [i.Code, i.Kind.ToString(), JsonSerializer.Serialize(i, SetupJson.Default.KitItem)]
            ),
            cancel
        );
        await package.AddAsync(
            PackageTables.Stations,
            Listed(rows, s => [s.Code, s.Water, s.Programme, s.Line, s.Weekdays, Number(s.Ordinal), s.Definition]),
            cancel
        );
        await package.AddAsync(
            PackageTables.Laboratories,
            EachAsync(book.Laboratories.OrderBy(l => l.Code), l => [l.Code, l.Definition], cancel),
            cancel
        );
        await package.AddAsync(
            PackageTables.Joins,
            EachAsync(
                book.SeriesJoins.Where(j => codes.Contains(j.Station)).OrderBy(j => j.Station).ThenBy(j => j.Subject).ThenBy(j => j.Day),
                j => [j.Station, j.Subject, Day(j.Day), j.Why, j.By],
                cancel
            ),
            cancel
        );
        await package.AddAsync(
            PackageTables.Limits,
            EachAsync(
                book.Benchmarks.Where(l => waters.Contains(l.Water)).OrderBy(l => l.Id),
                l => [l.Id.ToString(), l.Water, l.Subject, Yes(l.Above), Decimals.Text(l.Value), l.Name, l.Source],
                cancel
            ),
            cancel
        );
        await package.AddAsync(
            PackageTables.SeasonDays,
            EachAsync(
                book.SeasonDays.Where(d => d.Station == null || codes.Contains(d.Station)).OrderBy(d => d.Id),
                d => [d.Id.ToString(), d.Station, Day(d.Day), d.Kind.ToString(), d.Why, d.By, Moment(d.At)],
                cancel
            ),
            cancel
        );
        if (whole)
        {
            await GroupAsync(package, cancel);
        }

        await PhotosAsync(package, whole ? null : waters, cancel);
        var entries = whole ? book.Entries : book.Entries.Where(e => book.Visits.Any(v => v.Visit == e.Visit && codes.Contains(v.Station)));
        await package.AddAsync(PackageTables.Entries, EachAsync(entries.OrderBy(e => e.Sequence), Entry, cancel), cancel);
        await CastsAsync(package, entries, cancel);
    }

    // Who the group is and what it changed belongs to the whole record, not to one water's.
    private async Task GroupAsync(PackageWriter package, CancellationToken cancel)
    {
        await package.AddAsync(
            PackageTables.People,
            EachAsync(book.Users.OrderBy(p => p.Id), p => [p.Id.ToString(), p.Name, p.UserName, p.GrantsJson, Yes(p.Active)], cancel),
            cancel
        );
        await package.AddAsync(
            PackageTables.Names,
            EachAsync(book.KnownNames.OrderBy(n => n.Name), n => [n.Name, n.Person.ToString()], cancel),
            cancel
        );
        await package.AddAsync(
            PackageTables.Changes,
            EachAsync(book.Changes.OrderBy(c => c.Sequence), c => [Moment(c.At), c.By, c.Subject, c.Key, c.Before, c.After], cancel),
            cancel
        );
        await package.AddAsync(
            PackageTables.Proposals,
            EachAsync(
                book.Proposals.OrderBy(p => p.Id),
                p => [p.Id.ToString(), p.Water, p.Definition, p.Why, p.By, Moment(p.At), p.Outcome],
                cancel
            ),
            cancel
        );
    }

    // One picture at a time.
    private async Task PhotosAsync(PackageWriter package, List<string>? waters, CancellationToken cancel)
    {
        var photos = await book
            .Photos.Where(p => waters == null || waters.Contains(p.Water))
            .OrderBy(p => p.Id)
            .Select(p => new
            {
                p.Id,
                p.Water,
                p.ContentType,
                p.By,
                p.At,
            })
            .ToListAsync(cancel);
        await package.AddAsync(
            PackageTables.Photos,
            Listed(photos, p => [p.Id.ToString(), p.Water, PhotoFile(p.Id, p.ContentType), p.By, Moment(p.At)]),
            cancel
        );
        foreach (var photo in photos)
        {
            using var bytes = new MemoryStream(await book.Photos.Where(p => p.Id == photo.Id).Select(p => p.Bytes).FirstAsync(cancel));
            await package.AddAsync($"photos/{PhotoFile(photo.Id, photo.ContentType)}", bytes, cancel);
        }
    }

    private static string PhotoFile(Guid id, string type) => $"{id}.{(type == "image/png" ? "png" : "jpg")}";

    // What came from meters, as it came; a file that was never sent is not there.
    private async Task CastsAsync(PackageWriter package, IQueryable<EntryRow> entries, CancellationToken cancel)
    {
        var bodies = await entries.AsNoTracking().Where(e => e.Kind == ProfileKinds.LoggedCast.Name).ToListAsync(cancel);
        foreach (
            var sha256 in bodies
                .Select(e => ProfileKinds.LoggedCast.Read(e.ToEntry().Body)?.Sha256)
                .OfType<string>()
                .Distinct()
                .Order(StringComparer.Ordinal)
        )
        {
            if (instance.CastFile(sha256) is { } path && File.Exists(path))
            {
                await using var file = File.OpenRead(path);
                await package.AddAsync($"casts/{sha256}.csv", file, cancel);
            }
        }
    }

    private static string?[] Entry(EntryRow e) =>
        [
            e.Id.ToString(),
            e.Visit.ToString(),
            e.Kind,
            Number(e.Version),
            e.Body,
            Moment(e.At),
            e.By,
            e.Device,
            e.Strikes?.ToString(),
            e.Why,
            Moment(e.ReceivedAt),
            e.ClockOffS.ToString(CultureInfo.InvariantCulture),
            e.Person?.ToString(),
            e.DeliveredBy,
            e.DeliveredById?.ToString(),
        ];

    private IAsyncEnumerable<string?[]> VisitsAsync(List<string> codes, CancellationToken cancel) =>
        EachAsync(
            book.Visits.Where(v => codes.Contains(v.Station)).OrderBy(v => v.Day).ThenBy(v => v.Visit),
            v => [v.Visit.ToString(), v.Station, Day(v.Day), Moment(v.StartedAt), v.Observers, v.Review, v.Took],
            cancel
        );

    // Station by station, some hundred visits at a time, so that a visit's numbers stand together.
    private async IAsyncEnumerable<string?[]> ReadingsAsync(List<string> codes, [EnumeratorCancellation] CancellationToken cancel)
    {
        foreach (var code in codes)
        {
            await foreach (var row in ReadingsAsync(code, cancel))
            {
                yield return row;
            }
        }
    }

    private async IAsyncEnumerable<string?[]> ReadingsAsync(string code, [EnumeratorCancellation] CancellationToken cancel)
    {
        var visits = await book
            .Visits.Where(v => v.Station == code)
            .OrderBy(v => v.Day)
            .ThenBy(v => v.Visit)
            .Select(v => v.Visit)
            .ToListAsync(cancel);
        foreach (var part in visits.Chunk(VisitsAtOnce))
        {
            var ids = part.ToList();
            var rows = (await book.Record.Where(r => ids.Contains(r.Visit)).ToListAsync(cancel)).ToLookup(r => r.Visit);
            foreach (
                var r in part.SelectMany(v =>
                    rows[v]
                        .OrderBy(Place)
                        .ThenBy(r => r.DepthM)
                        .ThenBy(r =>
                            r.DepthM is null ? 0
                            : r.Parameter == "temperature" ? 0
                            : 1
                        )
                        .ThenBy(r => r.Parameter, StringComparer.Ordinal)
                        .ThenBy(r => r.Item, StringComparer.Ordinal)
                )
            )
            {
                yield return
                [
                    r.Visit.ToString(),
                    r.Station,
                    Day(r.Day),
                    r.Parameter,
                    $"{r.Item} {r.Depth}".Trim() is { Length: > 0 } at ? at : null,
                    r.DepthM is { } m ? Number(m) : null,
                    Decimals.Text(r.Value),
                    r.Censored switch
                    {
                        Censoring.Above => "above",
                        Censoring.Below => "below",
                        _ => null,
                    },
                    r.Unit,
                    r.Text,
                    r.Method,
                    Yes(r.Usable),
                    Yes(r.SignedOff),
                ];
            }
        }
    }

    // Clarity, the levels of the profile from the surface down, what else was read, what a laboratory gave.
    private static int Place(RecordRow row) =>
        row.OfLaboratory ? 3
        : row.DepthM is not null ? 1
        : row.Parameter == Parameter.Clarity.Code ? 0
        : 2;

    private static async IAsyncEnumerable<string?[]> EachAsync<TRow>(
        IQueryable<TRow> rows,
        Func<TRow, string?[]> fields,
        [EnumeratorCancellation] CancellationToken cancel
    )
        where TRow : class
    {
        await foreach (var row in rows.AsNoTracking().AsAsyncEnumerable().WithCancellation(cancel))
        {
            yield return fields(row);
        }
    }

    private static async IAsyncEnumerable<string?[]> Listed<TRow>(IEnumerable<TRow> rows, Func<TRow, string?[]> fields)
    {
        foreach (var row in rows)
        {
            yield return fields(row);
        }

        await Task.CompletedTask;
    }

    private static string Day(DateOnly day) => day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);

    private static string Moment(DateTimeOffset at) => at.ToString("O", CultureInfo.InvariantCulture);

    private static string Number(int number) => number.ToString(CultureInfo.InvariantCulture);

    private static string Number(double number) => number.ToString("R", CultureInfo.InvariantCulture);

    private static string Yes(bool yes) => yes ? "true" : "false";
}
