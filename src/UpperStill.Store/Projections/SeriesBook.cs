using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Trends;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Oxygen;
using UpperStill.Core.Science.Statistics;
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
    public static async Task<IReadOnlyDictionary<string, SeriesOfStation>> SeriesAsync(this FieldBook book, IReadOnlyCollection<StationRow> stations, IReadOnlyCollection<TrendSubject>? subjects, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        ArgumentNullException.ThrowIfNull(stations);
        subjects ??= SubjectWords.Measured;
        List<string> codes = [.. stations.Select(s => s.Code)];
        Dictionary<(string Station, TrendSubject Subject), List<SeriesPoint>> all = [];
        if (subjects.Contains(TrendSubject.Clarity))
        {
            foreach (var c in await book.Clarities.AsNoTracking().Where(c => codes.Contains(c.Station)).ToListAsync(cancel))
            {
                Add(c.Station, TrendSubject.Clarity, new SeriesPoint(c.Visit, c.Day, c.ClarityM, c.Censored ? Censoring.Above : Censoring.None, c.Usable, c.SignedOff, c.Method, c.Text));
            }
        }

        var analytes = subjects.Select(s => (Subject: s, SubjectWords.Of(s).Analyte)).Where(s => s.Analyte is not null).ToDictionary(s => s.Analyte!, s => s.Subject);
        if (analytes.Count > 0)
        {
            List<string> asked = [.. analytes.Keys];
            var values = await book.Values.AsNoTracking().Where(v => codes.Contains(v.Station) && asked.Contains(v.Analyte)).ToListAsync(cancel);
            foreach (var v in values.GroupBy(v => (v.Visit, v.Analyte)).Select(g => SubjectWords.Followed(g, v => v.Place)))
            {
                Add(v.Station, analytes[v.Analyte], new SeriesPoint(v.Visit, v.Day, v.Value, v.Below ? Censoring.Below : Censoring.None, true, v.SignedOff, v.Method, v.Text));
            }
        }

        var ofProfiles = subjects.Where(SubjectWords.OfProfiles).ToList();
        if (ofProfiles.Count > 0)
        {
            foreach (var p in await book.Profiles.AsNoTracking().Where(p => codes.Contains(p.Station)).ToListAsync(cancel))
            {
                var numbers = p.Numbers();
                foreach (var subject in ofProfiles)
                {
                    if (SubjectWords.Of(subject).Number(numbers) is { } value)
                    {
                        Add(p.Station, subject, new SeriesPoint(p.Visit, p.Day, decimal.Round((decimal)value, 3), Censoring.None, p.Usable, p.SignedOff));
                    }
                }
            }
        }

        var joins = (await book.SeriesJoins.AsNoTracking().Where(j => codes.Contains(j.Station)).ToListAsync(cancel)).ToLookup(j => (j.Station, j.Subject), j => j.Day);
        var programmes = await book.ProgrammesAsync(stations.Select(s => s.Programme), cancel);
        return stations.ToDictionary(s => s.Code, station => new SeriesOfStation(
            [.. subjects.Order().Where(subject => all.ContainsKey((station.Code, subject))).Select(subject => new StationSeries(
                subject, SubjectWords.Of(subject).Window(programmes[station.Programme]), Sorted(all[(station.Code, subject)]), [.. joins[(station.Code, subject.ToString())].Order()]))],
            station.Read().NativeUnit()));

        void Add(string station, TrendSubject subject, SeriesPoint point)
        {
            if (!all.TryGetValue((station, subject), out var points))
            {
                all[(station, subject)] = points = [];
            }

            points.Add(point);
        }
    }

    private static List<SeriesPoint> Sorted(List<SeriesPoint> points)
    {
        points.Sort((a, b) => a.Day.CompareTo(b.Day) is not 0 and var by ? by : a.Visit.CompareTo(b.Visit));
        return points;
    }

    /// <summary>The oxygen of a profile.</summary>
    public static OxygenVisit Oxygen(this ProfileRow profile)
    {
        ArgumentNullException.ThrowIfNull(profile);
        return new OxygenVisit(profile.Day, profile.AnoxicM, profile.AnoxicArea, profile.DeepOxygenMgL, profile.DeepThicknessM, profile.BottomOxygenMgL, profile.HypoxicM);
    }

    /// <summary>The numbers of a profile, as Core knows them.</summary>
    public static ProfileNumbers Numbers(this ProfileRow profile)
    {
        ArgumentNullException.ThrowIfNull(profile);
        return new ProfileNumbers(
            profile.SurfaceC, profile.BottomC, profile.ThermoclineM, profile.BottomOxygenMgL, profile.BottomM, profile.HypoxicM, profile.AnoxicM, profile.StabilityJM2, profile.AnoxicArea, profile.DeepOxygenMgL,
            profile.DeepThicknessM);
    }
}
