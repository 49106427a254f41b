using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Clarity;
using UpperStill.Core.Kit;
using UpperStill.Core.Operations;
using UpperStill.Core.Places;
using UpperStill.Core.Programmes;
using UpperStill.Core.Seasons;
using UpperStill.Core.Visits;

namespace UpperStill.Store.Reference;

/// <summary>Reads stations, programmes and lines.</summary>
public static class ReferenceBook
{
    /// <summary>All lines.</summary>
    public static async Task<IReadOnlyList<Line>> LinesAsync(this FieldBook book, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        return [.. (await book.Lines.AsNoTracking().OrderBy(l => l.Code).ToListAsync(cancel))
            .Select(l => JsonSerializer.Deserialize(l.Definition, CoreJson.Default.Line)!)];
    }

    /// <summary>A version of a programme, or its newest where <paramref name="version"/> is null; null if there is none.</summary>
    public static async Task<Programme?> ProgrammeAsync(this FieldBook book, string code, int? version, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        var row = await book.Programmes.AsNoTracking().Where(p => p.Code == code && (version == null || p.Version == version))
            .OrderByDescending(p => p.Version).FirstOrDefaultAsync(cancel);
        return row is null ? null : JsonSerializer.Deserialize(row.Definition, CoreJson.Default.Programme);
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
        return await book.Clarities.AsNoTracking().Where(c => c.Station == station).OrderBy(c => c.Day).ThenBy(c => c.Visit)
            .Select(c => new ClarityPoint(c.Visit, c.Day, c.ClarityM, c.Censored, c.Usable, c.Text)).ToListAsync(cancel);
    }

    /// <summary>What a visit at a station is judged by; null if station or programme is unknown.</summary>
    public static async Task<VisitContext?> ContextAsync(this FieldBook book, string station, string? programme, int? version, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        if (await book.Stations.AsNoTracking().FirstOrDefaultAsync(s => s.Code == station, cancel) is not { } row
            || await book.ProgrammeAsync(programme ?? row.Programme, version, cancel) is not { } rules)
        {
            return null;
        }

        return new VisitContext(row.Read(), rules, await book.LinesAsync(cancel), await book.ClaritiesAsync(station, cancel));
    }
}
