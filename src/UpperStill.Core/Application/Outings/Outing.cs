using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Protocols.Arrival;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Science.Sky;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Laboratories;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Seasons;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Application.Outings;

/// <summary>A station of an outing before it is put in order.</summary>
/// <param name="Station">The station.</param>
/// <param name="Programme">Its programme.</param>
/// <param name="Protocols">What is due.</param>
/// <param name="Line">The line proposed there.</param>
/// <param name="LeaveBy">Local time by which to set out for the lab; null where nothing goes there fresh.</param>
/// <param name="Alternate">Another day that keeps every rule.</param>
public sealed record OutingPlace(
    Station Station,
    Programme Programme,
    IReadOnlyList<Protocol> Protocols,
    string? Line = null,
    DateTime? LeaveBy = null,
    DateOnly? Alternate = null
);

/// <summary>An outing to be prepared.</summary>
/// <param name="Day">The local day.</param>
/// <param name="Offset">The water's offset from UTC on that day.</param>
/// <param name="Places">Its stations.</param>
/// <param name="Kit">The kit of the group.</param>
/// <param name="Forecast">The forecast; null where there is none.</param>
/// <param name="Tide">The tide's constants; null where there is none.</param>
/// <param name="Passes">True where a satellite looks down that day.</param>
/// <param name="Simulated">What of it is made up, in words: it is marked on the screen.</param>
/// <param name="Laboratory">The laboratory; null where none is set up.</param>
/// <param name="Zone">The water's time zone.</param>
public sealed record OutingRequest(
    DateOnly Day,
    TimeSpan Offset,
    IReadOnlyList<OutingPlace> Places,
    IReadOnlyList<KitItem> Kit,
    Forecast? Forecast,
    TideConstants? Tide,
    bool Passes,
    IReadOnlyList<string> Simulated,
    Laboratory? Laboratory = null,
    TimeZoneInfo? Zone = null
);

/// <summary>A station in travelling order.</summary>
/// <param name="Station">The station.</param>
/// <param name="Programme">The programme's code.</param>
/// <param name="ProgrammeVersion">Its version.</param>
/// <param name="ProgrammeName">Its name.</param>
/// <param name="Protocols">What is due.</param>
/// <param name="Hours">When readings may be made.</param>
/// <param name="Samples">The samples it fills.</param>
/// <param name="Line">The line proposed.</param>
/// <param name="FromLastM">Metres from the station before, as the crow flies; null for the first.</param>
public sealed record OutingStop(
    Station Station,
    string Programme,
    int ProgrammeVersion,
    string ProgrammeName,
    IReadOnlyList<Protocol> Protocols,
    HoursWindow Hours,
    IReadOnlyList<PlannedSample> Samples,
    string? Line = null,
    int? FromLastM = null
)
{
    /// <summary>The pieces of the paper sheet, in the order of work.</summary>
    public required IReadOnlyList<PaperPiece> Paper { get; init; }
}

/// <summary>One outing prepared: where, when, what to take, and whether to go.</summary>
/// <param name="Day">The day.</param>
/// <param name="Stops">The stations in travelling order.</param>
/// <param name="Go">What the forecast says.</param>
/// <param name="Weather">The hours of the forecast within the programme's.</param>
/// <param name="Tides">High and low waters of the day, local time.</param>
/// <param name="HighSun">When the sun stands highest, local time.</param>
/// <param name="Passes">True where a satellite looks down.</param>
/// <param name="Pack">The pack list.</param>
/// <param name="Cautions">What can hurt, for these stations.</param>
/// <param name="Simulated">What of it is made up.</param>
public sealed record Outing(
    DateOnly Day,
    IReadOnlyList<OutingStop> Stops,
    GoAnswer Go,
    IReadOnlyList<ForecastHour> Weather,
    IReadOnlyList<TideTurn> Tides,
    DateTimeOffset HighSun,
    bool Passes,
    IReadOnlyList<PackNeed> Pack,
    IReadOnlyList<string> Cautions,
    IReadOnlyList<string> Simulated
)
{
    /// <summary>Local time by which to set out for the lab with what must be fresh; null where nothing must.</summary>
    public DateTime? LatestBack { get; init; }

    /// <summary>Another day that keeps every rule.</summary>
    public DateOnly? Alternate { get; init; }

    /// <summary>Why what is collected that day would not be at the lab in time; null where it would.</summary>
    public Finding? TooLate { get; init; }

    /// <summary>Prepares an outing with at least one station.</summary>
    public static Outing Prepare(OutingRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        ArgumentOutOfRangeException.ThrowIfZero(request.Places.Count, nameof(request));

        List<OutingPlace> places =
        [
            .. OutingDay.InOrder(request.Places.Select(p => p.Station)).Select(s => request.Places.First(p => p.Station == s)),
        ];
        List<OutingStop> stops = [];
        List<PlannedStop> planned = [.. places.Select(p => Planned(p, request))];
        foreach (var stop in planned)
        {
            var last = stops.Count == 0 ? null : stops[^1].Station;
            stops.Add(
                new OutingStop(
                    stop.Station,
                    stop.Programme.Code,
                    stop.Programme.Version,
                    stop.Programme.Name,
                    stop.Protocols,
                    stop.Programme.Hours,
                    stop.Samples,
                    stop.Line,
                    last is null ? null : (int)Math.Round(Shape.DistanceM(last.At, stop.Station.At))
                )
                {
                    Paper = [.. VisitParts.Of(stop.Programme).SelectMany(p => p.Paper(stop)).OrderBy(p => p.Rank)],
                }
            );
        }

        var hours = new HoursWindow(request.Places.Min(p => p.Programme.Hours.From), request.Places.Max(p => p.Programme.Hours.Until));
        var strictest = request.Places.MinBy(p => p.Programme.Of(ArrivalOptions.Wind))!.Programme;
        var shore = places.All(p => p.Station.OnLand);
        var alternate = places.Select(p => p.Alternate).Where(a => a is not null).Min();
        var midnight = new DateTimeOffset(request.Day.ToDateTime(TimeOnly.MinValue), request.Offset);
        return new Outing(
            request.Day,
            stops,
            GoNoGo.Judge(request.Forecast, hours, strictest, shore, alternate),
            [
                .. (request.Forecast?.Hours ?? []).Where(h =>
                    TimeOnly.FromDateTime(h.At.DateTime) is var t && t >= hours.From && t < hours.Until
                ),
            ],
            request.Tide is null
                ? []
                : [.. Tide.Turns(request.Tide, midnight, midnight.AddDays(1)).Select(t => t with { At = t.At.ToOffset(request.Offset) })],
            Sun.Noon(stops[0].Station.At, request.Day, request.Offset),
            request.Passes,
            PackList.Of(planned, request.Kit, request.Day),
            OutingCautions.For(shore, stops),
            request.Simulated
        )
        {
            LatestBack = places.Select(p => p.LeaveBy).Where(t => t is not null).Min(),
            Alternate = alternate,
            TooLate = request.Laboratory is { } laboratory
                ? places
                    .Select(p =>
                        LabReach.Check(
                            laboratory,
                            request.Day,
                            p.Programme.Hours,
                            SeasonNeeds.Plans(p.Programme).Where(s => p.Protocols.Contains(s.Protocol)),
                            request.Zone
                        )
                    )
                    .FirstOrDefault(f => f is not null)
                : null,
        };
    }

    private static PlannedStop Planned(OutingPlace place, OutingRequest request) =>
        new(
            place.Station,
            place.Programme,
            place.Protocols,
            PlannedSamples.Of(place.Station, place.Programme, [.. place.Protocols], request.Day, VisitParts.Bottles),
            place.Line
        )
        {
            LineUnit = request.Kit.FirstOrDefault(i => i.Code == place.Line)?.AsLine()?.Unit,
        };
}
