using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Clarity;
using UpperStill.Core.Oxygen;
using UpperStill.Core.Profiles;
using UpperStill.Core.Programmes;
using UpperStill.Core.Trends;

namespace UpperStill.Store.Projections;

/// <summary>Reads the series of a station from the projections.</summary>
public static class SeriesBook
{
    /// <summary>The series of a station that have any value.</summary>
    /// <param name="book">The book.</param>
    /// <param name="station">The station's code.</param>
    /// <param name="programme">The programme that sums them up.</param>
    /// <param name="clarity">The station's clarities.</param>
    /// <param name="cancel">Gives up.</param>
    public static async Task<IReadOnlyList<StationSeries>> SeriesAsync(this FieldBook book, string station, Programme programme, IReadOnlyList<ClarityPoint> clarity, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        ArgumentNullException.ThrowIfNull(clarity);
        var joins = (await book.SeriesJoins.AsNoTracking().Where(j => j.Station == station).ToListAsync(cancel)).ToLookup(j => j.Subject, j => j.Day);
        var values = await book.Values.AsNoTracking().Where(v => v.Station == station).Join(book.Visits, v => v.Visit, v => v.Visit, (value, visit) => new { Value = value, visit.ResultsSigned }).ToListAsync(cancel);
        var profiles = await book.Profiles.AsNoTracking().Where(p => p.Station == station).Join(book.Visits, p => p.Visit, v => v.Visit, (profile, visit) => new { Profile = profile, visit.FieldSigned }).ToListAsync(cancel);
        return [.. Enum.GetValues<TrendSubject>().Select(subject => (Subject: subject, Points: Points(subject))).Where(s => s.Points.Count > 0)
            .Select(s => new StationSeries(s.Subject, SubjectWords.Of(s.Subject).Window(programme), s.Points, [.. joins[s.Subject.ToString()].Order()]))];

        IReadOnlyList<SeriesPoint> Points(TrendSubject subject) => subject switch
        {
            TrendSubject.Clarity => [.. clarity.Select(c => new SeriesPoint(c.Visit, c.Date, c.ClarityM, c.Censored ? Censoring.Above : Censoring.None, c.Usable, c.SignedOff, c.Method, c.Text))],
            TrendSubject.Chlorophyll or TrendSubject.Phosphorus => [.. values.Where(v => v.Value.Analyte == SubjectWords.Of(subject).Analyte).GroupBy(v => v.Value.Visit)
                .Select(g => SubjectWords.Followed(g, v => v.Value.Place)).OrderBy(v => v.Value.Day).ThenBy(v => v.Value.Visit)
                .Select(v => new SeriesPoint(v.Value.Visit, v.Value.Day, v.Value.Value, v.Value.Below ? Censoring.Below : Censoring.None, true, v.ResultsSigned, v.Value.Method, v.Value.Text))],
            _ => [.. profiles.Select(p => (p, Value: SubjectWords.Of(subject).Number(p.Profile.Numbers()))).Where(p => p.Value is not null).OrderBy(p => p.p.Profile.Day).ThenBy(p => p.p.Profile.Visit)
                .Select(p => new SeriesPoint(p.p.Profile.Visit, p.p.Profile.Day, decimal.Round((decimal)p.Value!.Value, 3), Censoring.None, p.p.Profile.Usable, p.p.FieldSigned))],
        };
    }

    /// <summary>Usable values of one subject that are signed off, of all stations, oldest first.</summary>
    public static async Task<IReadOnlyDictionary<string, List<SeriesPoint>>> PointsOfAllAsync(this FieldBook book, TrendSubject subject, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(book);
        Dictionary<string, List<SeriesPoint>> all = [];
        if (subject == TrendSubject.Clarity)
        {
            await foreach (var c in book.Clarities.AsNoTracking().Where(c => c.Usable).Join(book.Visits.Where(v => v.FieldSigned), c => c.Visit, v => v.Visit, (c, _) => new { c.Visit, c.Station, c.Day, c.ClarityM, c.Censored, c.Method }).AsAsyncEnumerable().WithCancellation(cancel))
            {
                Add(c.Station, new SeriesPoint(c.Visit, c.Day, c.ClarityM, c.Censored ? Censoring.Above : Censoring.None, Method: c.Method));
            }
        }
        else if (SubjectWords.Of(subject).Analyte is { } analyte)
        {
            await foreach (var v in book.Values.AsNoTracking().Where(v => v.Analyte == analyte).Join(book.Visits.Where(v => v.ResultsSigned), v => v.Visit, v => v.Visit, (v, _) => new { v.Visit, v.Station, v.Day, v.Value, v.Below, v.Method }).AsAsyncEnumerable().WithCancellation(cancel))
            {
                Add(v.Station, new SeriesPoint(v.Visit, v.Day, v.Value, v.Below ? Censoring.Below : Censoring.None, Method: v.Method));
            }
        }
        else
        {
            await foreach (var p in book.Profiles.AsNoTracking().Where(p => p.Usable).Join(book.Visits.Where(v => v.FieldSigned), p => p.Visit, v => v.Visit, (p, _) => p).AsAsyncEnumerable().WithCancellation(cancel))
            {
                if (SubjectWords.Of(subject).Number(p.Numbers()) is { } value)
                {
                    Add(p.Station, new SeriesPoint(p.Visit, p.Day, decimal.Round((decimal)value, 3)));
                }
            }
        }

        foreach (var points in all.Values)
        {
            points.Sort((a, b) => a.Day.CompareTo(b.Day) is not 0 and var by ? by : a.Visit.CompareTo(b.Visit));
        }

        return all;

        void Add(string station, SeriesPoint point)
        {
            if (!all.TryGetValue(station, out var points))
            {
                all[station] = points = [];
            }

            points.Add(point);
        }
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
