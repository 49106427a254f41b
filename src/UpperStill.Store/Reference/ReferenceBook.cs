using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.History;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Stratification;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Laboratories;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Waters;
using UpperStill.Store.People;
using UpperStill.Store.Projections;

namespace UpperStill.Store.Reference;

/// <summary>Reads stations, programmes and lines.</summary>
public static class ReferenceBook
{
    /// <summary>The whole kit.</summary>
    public static async Task<IReadOnlyList<KitItem>> KitItemsAsync(this FieldBook book, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        var checks = (await book.KitChecks.AsNoTracking().ToListAsync(cancel)).ToLookup(c => c.Item);
        return [.. (await book.Kit.AsNoTracking().OrderBy(i => i.Code).ToListAsync(cancel)).Select(row => Read(row, checks[row.Code]))];
    }

    /// <summary>The waters at which a line is used: where it is proposed, and where readings were made with it.</summary>
    public static async Task<IReadOnlyList<string>> WatersOfLineAsync(this FieldBook book, string line, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        return await book
            .Database.SqlQuery<string>(
                $"""
                SELECT Water AS Value FROM Stations WHERE Line = {line}
                UNION SELECT s.Water FROM Entries e JOIN Visits v ON v.Visit = e.Visit JOIN Stations s ON s.Code = v.Station
                WHERE e.Kind = {VisitKinds.VisitStarted.Name} AND json_extract(e.Body, '$.line') = {line}
                """
            )
            .ToListAsync(cancel);
    }

    /// <summary>An item with its checks.</summary>
    public static async Task<KitItem> ReadAsync(this FieldBook book, KitRow row, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        ArgumentNullException.ThrowIfNull(row);
        return Read(row, await book.KitChecks.AsNoTracking().Where(c => c.Item == row.Code).ToListAsync(cancel));
    }

    /// <summary>Adds a check, or what became of one.</summary>
    public static void AddCheck(this FieldBook book, string item, KitCheck check)
    {
        ArgumentNullException.ThrowIfNull(book);
        ArgumentNullException.ThrowIfNull(check);
        book.KitChecks.Add(
            new KitCheckRow
            {
                Item = item,
                Check = check.Id,
                Definition = JsonSerializer.Serialize(check, SetupJson.Default.KitCheck),
            }
        );
    }

    /// <summary>Adds an item with the checks that it has.</summary>
    public static void AddItem(this FieldBook book, KitItem item)
    {
        ArgumentNullException.ThrowIfNull(book);
        ArgumentNullException.ThrowIfNull(item);
        book.Kit.Add(
            new KitRow
            {
                Code = item.Code,
                Kind = item.Kind,
                Definition = Definition(item),
            }
        );
        foreach (var check in item.Checks ?? [])
        {
            book.AddCheck(item.Code, check);
        }
    }

    /// <summary>What stands in an item's row: everything but its checks.</summary>
    public static string Definition(KitItem item)
    {
        ArgumentNullException.ThrowIfNull(item);
        return JsonSerializer.Serialize(item with { Checks = null }, SetupJson.Default.KitItem);
    }

    private static KitItem Read(KitRow row, IEnumerable<KitCheckRow> checks) =>
        JsonSerializer.Deserialize(row.Definition, SetupJson.Default.KitItem)! with
        {
            // In the order in which they were first written, each as it stands now.
            Checks =
            [
                .. checks
                    .OrderBy(c => c.Sequence)
                    .GroupBy(c => c.Check)
                    .Select(g => JsonSerializer.Deserialize(g.Last().Definition, SetupJson.Default.KitCheck)!),
            ],
        };

    /// <summary>A version of a programme, or its newest where <paramref name="version"/> is null; null if there is none.</summary>
    public static async Task<Programme?> ProgrammeAsync(this FieldBook book, string code, int? version, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        var row = await book
            .Programmes.AsNoTracking()
            .Where(p => p.Code == code && (version == null || p.Version == version))
            .OrderByDescending(p => p.Version)
            .FirstOrDefaultAsync(cancel);
        return row is null ? null : JsonSerializer.Deserialize(row.Definition, CoreJson.Default.Programme);
    }

    /// <summary>The newest versions of programmes, by code.</summary>
    /// <exception cref="JsonException">One is missing, though a station names it.</exception>
    public static async Task<IReadOnlyDictionary<string, Programme>> ProgrammesAsync(
        this FieldBook book,
        IEnumerable<string> codes,
        CancellationToken cancel
    )
    {
        ArgumentNullException.ThrowIfNull(codes);
        Dictionary<string, Programme> programmes = [];
        foreach (var code in codes.Distinct())
        {
            programmes[code] = await book.ProgrammeAsync(code, null, cancel) ?? throw new JsonException($"Programme {code} is missing.");
        }

        return programmes;
    }

    /// <summary>The water itself.</summary>
    public static Water Read(this WaterRow row)
    {
        ArgumentNullException.ThrowIfNull(row);
        return JsonSerializer.Deserialize(row.Definition, SetupJson.Default.Water)!;
    }

    /// <summary>The station itself.</summary>
    public static Station Read(this StationRow row)
    {
        ArgumentNullException.ThrowIfNull(row);
        return JsonSerializer.Deserialize(row.Definition, CoreJson.Default.Station)!;
    }

    /// <summary>Days of the week on which a station's people can go, Sunday = 0.</summary>
    public static IReadOnlyList<int> ReadWeekdays(this StationRow row)
    {
        ArgumentNullException.ThrowIfNull(row);
        return [.. row.Weekdays.Split(',', StringSplitOptions.RemoveEmptyEntries).Select(int.Parse)];
    }

    /// <summary>The laboratory of the group; null where none is set up.</summary>
    public static async Task<Laboratory?> LaboratoryAsync(this FieldBook book, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        var row = await book.Laboratories.AsNoTracking().OrderBy(l => l.Code).FirstOrDefaultAsync(cancel);
        return row is null ? null : JsonSerializer.Deserialize(row.Definition, SetupJson.Default.Laboratory);
    }

    /// <summary>A station's clarities, oldest first.</summary>
    public static async Task<IReadOnlyList<ClarityPoint>> ClaritiesAsync(this FieldBook book, string station, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        return
        [
            .. (
                await book
                    .Readings.AsNoTracking()
                    .Clarity()
                    .Where(c => c.Station == station)
                    .OrderBy(c => c.Day)
                    .ThenBy(c => c.Visit)
                    .ToListAsync(cancel)
            ).Select(c => c.Point()),
        ];
    }

    /// <summary>The newest clarity of each station that has one.</summary>
    public static async Task<IReadOnlyList<ReadingRow>> LastClaritiesAsync(this FieldBook book, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);

        // One look at the end of the index for each station, instead of a walk through all clarities.
        return await book
            .Readings.FromSql(
                $"""
                SELECT c.* FROM Stations s JOIN Readings c ON c.Parameter = 'clarity' AND c.Visit =
                    (SELECT n.Visit FROM Readings n WHERE n.Station = s.Code AND n.Parameter = 'clarity'
                    ORDER BY n.Day DESC, n.Visit DESC LIMIT 1)
                """
            )
            .AsNoTracking()
            .ToListAsync(cancel);
    }

    /// <summary>What a visit at a station is judged by; null if station or programme is unknown.</summary>
    public static async Task<VisitContext?> ContextAsync(
        this FieldBook book,
        string station,
        string? programme,
        int? version,
        CancellationToken cancel
    )
    {
        ArgumentNullException.ThrowIfNull(book);
        if (
            await book.Stations.AsNoTracking().FirstOrDefaultAsync(s => s.Code == station, cancel) is not { } row
            || await book.ProgrammeAsync(programme ?? row.Programme, version, cancel) is not { } rules
        )
        {
            return null;
        }

        var water = await book.Waters.AsNoTracking().FirstOrDefaultAsync(w => w.Code == row.Water, cancel);

        // Lines that were given up are among them: old readings were made on them.
        var kit = await book.KitItemsAsync(cancel);
        return new VisitContext(
            row.Read(),
            rules,
            [.. kit.Select(i => i.AsLine()).OfType<Line>()],
            await book.ClaritiesAsync(station, cancel),
            water is null ? null : WaterFacts.Of(water.Read()),
            [.. kit.Select(Gear.Of).OfType<Gear>()],
            Temperatures: await book.TemperaturesAsync(station, cancel),
            WorkedBefore: await book
                .Visits.Where(v => v.Station == station && v.CompositeRaiseS != null)
                .OrderByDescending(v => v.Day)
                .ThenByDescending(v => v.Visit)
                .Select(v => new RiseThatWorked(v.Day, (decimal)v.CompositeFromM!.Value, (decimal)v.CompositeRaiseS!.Value))
                .FirstOrDefaultAsync(cancel),
            People: await book.NamesAsync(cancel)
        );
    }

    /// <summary>The water of a visit; null before its beginning has arrived.</summary>
    public static Task<string?> WaterOfAsync(this FieldBook book, Guid visit, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        return book
            .Visits.Where(v => v.Visit == visit)
            .Join(book.Stations, v => v.Station, s => s.Code, (_, s) => s.Water)
            .FirstOrDefaultAsync(cancel);
    }

    /// <summary>How cold and warm the water was at a station, month by month.</summary>
    public static async Task<IReadOnlyList<MonthTemperatures>> TemperaturesAsync(
        this FieldBook book,
        string station,
        CancellationToken cancel
    )
    {
        ArgumentNullException.ThrowIfNull(book);
        var months = await book
            .Levels.Where(l => l.Station == station && l.TemperatureC != null)
            .GroupBy(l => new { l.Day.Year, l.Day.Month })
            .Select(m => new
            {
                m.Key.Year,
                m.Key.Month,
                Low = m.Min(l => l.TemperatureC!.Value),
                High = m.Max(l => l.TemperatureC!.Value),
            })
            .ToListAsync(cancel);
        return
        [
            .. months.OrderBy(m => (m.Year, m.Month)).Select(m => new MonthTemperatures(m.Year, m.Month, (decimal)m.Low, (decimal)m.High)),
        ];
    }

    /// <summary>The last profiles of a station, newest first.</summary>
    /// <param name="book">The book.</param>
    /// <param name="station">The station's code.</param>
    /// <param name="most">At most so many.</param>
    /// <param name="cancel">Gives up.</param>
    public static async Task<IReadOnlyList<EarlierProfile>> LastProfilesAsync(
        this FieldBook book,
        string station,
        int most,
        CancellationToken cancel
    )
    {
        ArgumentNullException.ThrowIfNull(book);
        var visits = await book
            .Levels.Where(l => l.Station == station && l.Ordinal == 0)
            .OrderByDescending(l => l.Day)
            .ThenBy(l => l.Visit)
            .Take(most)
            .Select(l => l.Visit)
            .ToListAsync(cancel);
        var levels = (await book.Levels.AsNoTracking().Where(l => visits.Contains(l.Visit)).ToListAsync(cancel)).ToLookup(l => l.Visit);
        return
        [
            .. visits.Select(v => new EarlierProfile(
                v,
                levels[v].First().Day,
                [
                    .. levels[v]
                        .OrderBy(l => l.Ordinal)
                        .Select(l => new EarlierLevel((decimal)l.DepthM, (decimal?)l.TemperatureC, (decimal?)l.OxygenMgL)),
                ]
            )),
        ];
    }
}
