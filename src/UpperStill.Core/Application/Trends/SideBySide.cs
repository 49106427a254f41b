using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Application.Trends;

/// <summary>What a station's series says, to be held beside others.</summary>
/// <param name="Station">The station.</param>
/// <param name="Programme">Its programme's code.</param>
/// <param name="ProgrammeName">Its programme's name.</param>
/// <param name="Answer">What its series says.</param>
public sealed record StationSaid(Station Station, string Programme, string ProgrammeName, SeriesAnswer Answer);

/// <summary>A station beside others.</summary>
/// <param name="Station">Its code.</param>
/// <param name="Name">Its name.</param>
/// <param name="Water">Its water.</param>
/// <param name="Programme">Its programme's code.</param>
/// <param name="Headline">What its series says.</param>
/// <param name="Depth">True where it is drawn from the surface down.</param>
/// <param name="Years">Year by year, to be drawn small; null where a page would be too long.</param>
/// <param name="Line">The two ends of the trend, to be drawn.</param>
/// <param name="Beside">The year beside those before it; null where nothing was read in it.</param>
public sealed record StationBeside(
    string Station,
    string Name,
    string Water,
    string Programme,
    string Headline,
    bool Depth,
    IReadOnlyList<YearBrief>? Years = null,
    IReadOnlyList<TrendAt>? Line = null,
    YearBeside? Beside = null
);

/// <summary>Stations side by side: one subject, one year beside those before it.</summary>
/// <param name="Subject">What of them.</param>
/// <param name="Unit">Its unit.</param>
/// <param name="Year">The year.</param>
/// <param name="Years">Years with values, the newest first.</param>
/// <param name="Programmes">Programmes of the stations, by code.</param>
/// <param name="Stations">The stations, in their order.</param>
public sealed record SideBySide(
    Parameter Subject,
    string Unit,
    int Year,
    IReadOnlyList<int> Years,
    IReadOnlyDictionary<string, string> Programmes,
    IReadOnlyList<StationBeside> Stations
)
{
    /// <summary>What else can be put side by side.</summary>
    public IReadOnlyList<SubjectName> Subjects { get; } = Trends.Subjects.Names;

    /// <summary>How many stations of a programme are drawn.</summary>
    public const int MostDrawn = 60;

    /// <summary>Puts stations side by side.</summary>
    /// <param name="subject">What of them.</param>
    /// <param name="stations">The stations, in their order.</param>
    /// <param name="year">The year; null for the newest that somewhere has enough values, all signed off: a season that has only begun says
    /// little.</param>
    /// <param name="reader">Unit for the words.</param>
    public static SideBySide Of(
        Parameter subject,
        IReadOnlyList<StationSaid> stations,
        int? year = null,
        ReaderUnit reader = ReaderUnit.AsRead
    )
    {
        ArgumentNullException.ThrowIfNull(stations);
        List<int> years =
        [
            .. stations.SelectMany(s => s.Answer.Years.Where(y => y.Count > 0).Select(y => y.Year)).Distinct().OrderDescending(),
        ];
        var which = year
            ?? stations
                .SelectMany(s => s.Answer.Years.Where(y => y is { Value: not null, Provisional: false }).Select(y => y.Year))
                .DefaultIfEmpty(years.FirstOrDefault())
                .Max();
        Dictionary<string, int> drawn = [];
        return new SideBySide(
            subject,
            Trends.Subjects.Of(subject).Unit,
            which,
            years,
            stations.DistinctBy(s => s.Programme).ToDictionary(s => s.Programme, s => s.ProgrammeName),
            [.. stations.Select(Beside)]
        );

        StationBeside Beside(StationSaid said)
        {
            var draw = (drawn[said.Programme] = drawn.GetValueOrDefault(said.Programme) + 1) <= MostDrawn;
            return new StationBeside(
                said.Station.Code,
                said.Station.Name,
                said.Station.Water,
                said.Programme,
                said.Answer.Headline,
                said.Answer.Depth,
                draw ? said.Answer.Years : null,
                draw ? said.Answer.Line : null,
                YearBeside.Of(said.Answer, which, said.Station.NativeUnit(), reader)
            );
        }
    }
}
