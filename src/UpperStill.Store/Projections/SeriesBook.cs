using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Trends;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Oxygen;
using UpperStill.Core.Science.Stratification;
using UpperStill.Store.Reference;

namespace UpperStill.Store.Projections;

/// <summary>A station's series, and the unit in which its depths are read.</summary>
/// <param name="Series">Those that have any value, in the order of the subjects.</param>
/// <param name="Native">The unit.</param>
public sealed record SeriesOfStation(IReadOnlyList<StationSeries> Series, LengthUnit Native);

/// <summary>Reads series from the projections.</summary>
public static class SeriesBook
{
    /// <summary>The series of some stations, each table read once.</summary>
    /// <param name="book">The book.</param>
    /// <param name="stations">The stations; not so many that their values would not fit in memory.</param>
    /// <param name="subjects">What of them; null for everything.</param>
    /// <param name="cancel">Gives up.</param>
    public static async Task<IReadOnlyDictionary<string, SeriesOfStation>> SeriesAsync(
        this FieldBook book,
        IReadOnlyCollection<StationRow> stations,
        IReadOnlyCollection<Parameter>? subjects,
        CancellationToken cancel
    )
    {
        ArgumentNullException.ThrowIfNull(book);
        ArgumentNullException.ThrowIfNull(stations);
        List<string> codes = [.. stations.Select(s => s.Code)];
        var programmes = await book.ProgrammesAsync(stations.Select(s => s.Programme), cancel);
        var own = programmes.Values.SelectMany(VisitParts.OwnParameters).DistinctBy(d => d.Code).ToDictionary(d => d.Code);
        subjects ??= [.. Subjects.Measured, .. own.Keys];
        Dictionary<(string Station, Parameter Subject), List<SeriesPoint>> all = [];
        var bySource = subjects.ToDictionary(Subjects.ReadingCode);
        List<string> sources = [.. bySource.Keys];
        foreach (
            var r in (
                await book
                    .Readings.AsNoTracking()
                    .Where(r => codes.Contains(r.Station) && sources.Contains(r.Parameter))
                    .ToListAsync(cancel)
            )
                .GroupBy(r => (r.Visit, r.Parameter))
                .Select(g => g.Count() == 1 ? g.First() : Subjects.Followed(g, r => r.Item))
        )
        {
            Add(
                r.Station,
                bySource[r.Parameter],
                new SeriesPoint(r.Visit, r.Day, r.Value, r.Censored, r.Usable, r.SignedOff, r.Method, r.Text)
            );
        }

        var joins = (await book.SeriesJoins.AsNoTracking().Where(j => codes.Contains(j.Station)).ToListAsync(cancel)).ToLookup(
            j => (j.Station, j.Subject),
            j => j.Day
        );
        return stations.ToDictionary(
            s => s.Code,
            station => new SeriesOfStation(
                [.. subjects.Where(subject => all.ContainsKey((station.Code, subject))).Select(subject => Series(station, subject))],
                station.Read().NativeUnit()
            )
        );

        StationSeries Series(StationRow station, Parameter subject)
        {
            var (programme, described) = (programmes[station.Programme], own.GetValueOrDefault(subject));
            var told = described ?? Subjects.Of(subject);
            return new StationSeries(
                subject,
                Subjects.Window(told, programme),
                Sorted(all[(station.Code, subject)]),
                [.. joins[(station.Code, subject.ToString())].Order()]
            )
            {
                Described = described,
                Running = Subjects.Running(told, programme),
            };
        }

        void Add(string station, Parameter subject, SeriesPoint point)
        {
            if (!all.TryGetValue((station, subject), out var points))
            {
                all[(station, subject)] = points = [];
            }

            points.Add(point);
        }
    }

    /// <summary>Everything that some stations may have a series of: what is built in, and what their programmes' own protocols
    /// give.</summary>
    /// <param name="book">The book.</param>
    /// <param name="stations">The stations.</param>
    /// <param name="cancel">Gives up.</param>
    public static async Task<IReadOnlyList<Parameter>> SubjectsAsync(
        this FieldBook book,
        IEnumerable<StationRow> stations,
        CancellationToken cancel
    ) =>
        [
            .. Subjects.Measured,
            .. (await book.ProgrammesAsync(stations.Select(s => s.Programme), cancel))
                .Values.SelectMany(VisitParts.OwnParameters)
                .Select(d => d.Code)
                .Distinct(),
        ];

    private static List<SeriesPoint> Sorted(List<SeriesPoint> points)
    {
        points.Sort((a, b) => a.Day.CompareTo(b.Day) is not 0 and var by ? by : a.Visit.CompareTo(b.Visit));
        return points;
    }

    /// <summary>The oxygen of a profile.</summary>
    public static OxygenVisit Oxygen(this ProfileRow profile)
    {
        ArgumentNullException.ThrowIfNull(profile);
        return new OxygenVisit(
            profile.Day,
            profile.AnoxicM,
            profile.AnoxicArea,
            profile.DeepOxygenMgL,
            profile.DeepThicknessM,
            profile.BottomOxygenMgL,
            profile.HypoxicM
        );
    }

    /// <summary>The numbers of a profile, as Core knows them.</summary>
    public static ProfileNumbers Numbers(this ProfileRow profile)
    {
        ArgumentNullException.ThrowIfNull(profile);
        return new ProfileNumbers(
            profile.SurfaceC,
            profile.BottomC,
            profile.ThermoclineM,
            profile.BottomOxygenMgL,
            profile.BottomM,
            profile.HypoxicM,
            profile.AnoxicM,
            profile.StabilityJM2,
            profile.AnoxicArea,
            profile.DeepOxygenMgL
        )
        {
            DeepThicknessM = profile.DeepThicknessM,
        };
    }
}
