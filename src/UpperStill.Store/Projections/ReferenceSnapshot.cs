using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.History;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.People;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Waters;
using UpperStill.Store.People;
using UpperStill.Store.Reference;

namespace UpperStill.Store.Projections;

/// <summary>The reference tables read once, and each station's record as it grows, where many visits are made anew.</summary>
internal sealed class ReferenceSnapshot
{
    private readonly Dictionary<string, List<ClarityPoint>> records = [];
    private readonly Dictionary<string, SortedDictionary<(int Year, int Month), MonthTemperatures>> temperatures = [];
    private readonly Dictionary<(string Station, DateOnly Day), List<OtherVisit>> others = [];
    private readonly Dictionary<string, Station> stations;
    private readonly Dictionary<(string, int), Programme> programmes;
    private readonly Dictionary<string, WaterFacts> waters;
    private readonly IReadOnlyList<Line> lines;
    private readonly IReadOnlyList<Gear> gear;
    private readonly IReadOnlyList<PersonNames> people;

    private ReferenceSnapshot(
        Dictionary<string, Station> stations,
        Dictionary<(string, int), Programme> programmes,
        Dictionary<string, WaterFacts> waters,
        IReadOnlyList<KitItem> kit,
        IReadOnlyList<PersonNames> people
    )
    {
        (this.stations, this.programmes, this.waters, this.people) = (stations, programmes, waters, people);
        lines = [.. kit.Select(i => i.AsLine()).OfType<Line>()];
        gear = [.. kit.Select(Gear.Of).OfType<Gear>()];
    }

    /// <summary>Reads them.</summary>
    /// <param name="book">The book.</param>
    /// <param name="standing">The stations of whose record a part stands already.</param>
    /// <param name="cancel">Gives up.</param>
    internal static async Task<ReferenceSnapshot> ReadAsync(FieldBook book, IEnumerable<string> standing, CancellationToken cancel)
    {
        var snapshot = new ReferenceSnapshot(
            (await book.Stations.AsNoTracking().ToListAsync(cancel)).ToDictionary(s => s.Code, s => s.Read()),
            (await book.Programmes.AsNoTracking().ToListAsync(cancel)).ToDictionary(
                p => (p.Code, p.Version),
                p => JsonSerializer.Deserialize(p.Definition, CoreJson.Default.Programme)!
            ),
            (await book.Waters.AsNoTracking().ToListAsync(cancel)).ToDictionary(w => w.Code, w => WaterFacts.Of(w.Read())),
            await book.KitItemsAsync(cancel),
            await book.NamesAsync(cancel)
        );
        foreach (var station in standing)
        {
            snapshot.records[station] = [.. await book.ClaritiesAsync(station, cancel)];
            snapshot.temperatures[station] = new((await book.TemperaturesAsync(station, cancel)).ToDictionary(t => (t.Year, t.Month)));
            foreach (var visit in await book.WithBottlesAsync(station, cancel))
            {
                snapshot.Add(station, visit);
            }
        }

        return snapshot;
    }

    internal VisitContext? Context(VisitStartedBody start, DateOnly day) =>
        stations.TryGetValue(start.Station, out var station)
        && programmes.TryGetValue((start.Programme, start.ProgrammeVersion), out var programme)
            ? new VisitContext(
                station,
                programme,
                lines,
                records.GetValueOrDefault(start.Station) ?? [],
                waters.GetValueOrDefault(station.WaterCode),
                gear,
                Temperatures: temperatures.GetValueOrDefault(start.Station)?.Values.ToList(),
                People: people
            )
            {
                Others = others.GetValueOrDefault((start.Station, day)),
            }
            : null;

    internal void Remember(ReadingRow? row, string station, FieldSheet sheet, IReadOnlyList<SampleRow> samples)
    {
        Remember(station, sheet);
        string[] filled = [.. samples.Where(s => !OtherVisits.Unfilled.Contains(s.State)).Select(s => s.Number)];
        if (filled.Length > 0)
        {
            Add(station, new OtherVisit(sheet.Visit, sheet.StartedAt!.Value, Filled: filled));
        }

        if (row is null)
        {
            return;
        }

        if (!records.TryGetValue(row.Station, out var record))
        {
            records[row.Station] = record = [];
        }

        var at = record.Count;
        while (at > 0 && record[at - 1].Date > row.Day)
        {
            at--;
        }

        record.Insert(at, row.Point() with { Method = null, SignedOff = false });
    }

    private void Add(string station, OtherVisit visit)
    {
        var key = (station, DateOnly.FromDateTime(visit.StartedAt.DateTime));
        if (!others.TryGetValue(key, out var there))
        {
            others[key] = there = [];
        }

        there.Add(visit);
    }

    private void Remember(string station, FieldSheet sheet)
    {
        decimal[] warm = [.. (sheet.Profile?.Levels ?? []).Select(l => l.CountedC).OfType<decimal>()];
        if (warm.Length == 0)
        {
            return;
        }

        if (!temperatures.TryGetValue(station, out var months))
        {
            temperatures[station] = months = [];
        }

        var (year, month) = (sheet.StartedAt!.Value.Year, sheet.StartedAt.Value.Month);
        var before = months.GetValueOrDefault((year, month));
        months[(year, month)] = new MonthTemperatures(
            year,
            month,
            Math.Min(before?.LowC ?? warm.Min(), warm.Min()),
            Math.Max(before?.HighC ?? warm.Max(), warm.Max())
        );
    }
}
