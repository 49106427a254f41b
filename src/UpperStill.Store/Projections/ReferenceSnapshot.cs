using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Clarity;
using UpperStill.Core.Kit;
using UpperStill.Core.Operations;
using UpperStill.Core.Places;
using UpperStill.Core.Programmes;
using UpperStill.Core.Visits;
using UpperStill.Store.Reference;

namespace UpperStill.Store.Projections;

/// <summary>The reference tables read once, and each station's record as it grows, for a rebuild of everything.</summary>
internal sealed class ReferenceSnapshot
{
    private readonly Dictionary<string, List<ClarityPoint>> records = [];
    private readonly Dictionary<string, Station> stations;
    private readonly Dictionary<(string, int), Programme> programmes;
    private readonly IReadOnlyList<Line> lines;

    private ReferenceSnapshot(Dictionary<string, Station> stations, Dictionary<(string, int), Programme> programmes, IReadOnlyList<Line> lines) =>
        (this.stations, this.programmes, this.lines) = (stations, programmes, lines);

    internal static async Task<ReferenceSnapshot> ReadAsync(FieldBook book, CancellationToken cancel) => new(
        (await book.Stations.AsNoTracking().ToListAsync(cancel)).ToDictionary(s => s.Code, s => s.Read()),
        (await book.Programmes.AsNoTracking().ToListAsync(cancel)).ToDictionary(p => (p.Code, p.Version), p => JsonSerializer.Deserialize(p.Definition, CoreJson.Default.Programme)!),
        await book.LinesAsync(cancel));

    internal VisitContext? Context(VisitStartedBody start) =>
        stations.TryGetValue(start.Station, out var station) && programmes.TryGetValue((start.Programme, start.ProgrammeVersion), out var programme)
            ? new VisitContext(station, programme, lines, records.GetValueOrDefault(start.Station) ?? [])
            : null;

    internal void Remember(ClarityRow? row)
    {
        if (row is null)
        {
            return;
        }

        if (!records.TryGetValue(row.Station, out var record))
        {
            records[row.Station] = record = [];
        }

        record.Add(new ClarityPoint(row.Visit, row.Day, row.ClarityM, row.Censored, row.Usable, row.Text));
    }
}
