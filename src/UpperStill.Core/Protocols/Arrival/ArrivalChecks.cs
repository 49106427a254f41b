using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Protocols.Arrival;

/// <summary>The checks on place, people and weather.</summary>
internal static class ArrivalChecks
{
    // A position this far away may be the same numbers read another way.
    private const double ElsewhereM = 50_000;
    private static readonly string[] WeatherBoxes = ["thunder", "wind", "waves", "fog"];
    private const decimal ColdestAirC = -30;
    private const decimal WarmestAirC = 50;

    internal static IEnumerable<Finding> Of(SheetDraft draft, SheetArrival arrival) =>
        [
            .. Place(draft, arrival),
            .. Landmarks(draft, arrival),
            .. People(draft, arrival),
            .. Weather(draft, arrival),
            .. Rain(draft, arrival),
            .. Interval(draft),
            .. ThermometerChecks.Of(draft, arrival),
        ];

    /// <summary>What of the weather keeps the disc from being read well; null where nothing does.</summary>
    internal static string? Rough(Programme programme, ConditionsBody now)
    {
        List<string> over = [];
        // Of a class that reaches over the limit nobody knows that it does not: the boat comes first.
        if (now.WindTold is { } wind && wind.MayBeOver(programme.Of(ArrivalOptions.Wind)))
        {
            over.Add($"Wind {wind.Words}");
        }

        if (now.WavesTold is { } waves && (int)waves > programme.Of(ArrivalOptions.Waves))
        {
            var words = WeatherClasses.Words(waves);
            over.Add(over.Count == 0 ? Sentence.Begun(words) : words);
        }

        if (now.Fog == true)
        {
            over.Add(over.Count == 0 ? "Fog" : "fog");
        }

        return over.Count == 0 ? null : string.Join(" and ", over);
    }

    private static IEnumerable<Finding> Place(SheetDraft draft, SheetArrival arrival)
    {
        var station = draft.Context.Station;
        var fixes = draft.Standing(ArrivalKinds.Fix);
        foreach (var fix in fixes)
        {
            var at = new Position(fix.Body.LatitudeDeg, fix.Body.LongitudeDeg);
            if (!Shape.InRange(at) || (Shape.DistanceM(at, station.At) > ElsewhereM && Meant(at, station.At) is not null))
            {
                var guess = Meant(at, station.At);
                yield return Finding
                    .Stop(
                        "position-format",
                        $"{PlaceText.Words(at)} lies outside your "
                            + $"waters{(guess is { } g ? $"; {PlaceText.Words(g)} lies at {station.Name}" : string.Empty)}.",
                        "Latitude and longitude, or the sign, may be swapped.",
                        "Strike it and write the other, or type it again."
                    )
                    .On(Beside.Header, fix.Entry.Id);
                yield break;
            }
        }

        if (arrival.Anchored is not { } anchored || draft.Context.Programme.Chooses(ArrivalOptions.FoundBy, "memory"))
        {
            yield break;
        }

        var first = fixes.First(f => f.Entry.Id == anchored.Entry).Body;
        if (first.AccuracyM > station.RadiusM)
        {
            yield return Finding
                .Note(
                    "position-poor",
                    $"This fix is good to {PlaceText.Distance(first.AccuracyM.Value)} only.",
                    "It could be any place in the radius.",
                    "Wait for a better one, or use the landmarks."
                )
                .On(Beside.Header, anchored.Entry);
        }

        if (anchored.DistanceM > station.RadiusM + (first.AccuracyM ?? 0))
        {
            yield return Finding
                .Check(
                    "position-far",
                    $"You are {PlaceText.Distance(anchored.DistanceM)} from {station.Name}.",
                    "Depth and water differ from place to place.",
                    "Move, or say why here."
                )
                .On(Beside.Header, anchored.Entry);
        }

        if (arrival.Latest is { } latest)
        {
            var drift = (decimal)
                Shape.DistanceM(
                    new Position(anchored.LatitudeDeg, anchored.LongitudeDeg),
                    new Position(latest.LatitudeDeg, latest.LongitudeDeg)
                );
            if (drift > station.RadiusM)
            {
                yield return Finding
                    .Check(
                        "drifted",
                        $"{PlaceText.Distance(drift)} from where you anchored.",
                        "Depths no longer match the sounding.",
                        "Go back, or sound again."
                    )
                    .On(Beside.Header, latest.Entry);
            }
        }
    }

    private static IEnumerable<Finding> Landmarks(SheetDraft draft, SheetArrival arrival)
    {
        var off = draft.Standing(ArrivalKinds.Landmarks).Where(l => !l.Body.InLine && arrival.Landmarks.Contains(l.Body)).ToList();
        foreach (var line in off)
        {
            var names = (draft.Context.Station.Transits ?? []).ElementAtOrDefault(line.Body.Transit) is { } transit
                ? $"{transit.Near.Name} and {transit.Far.Name}"
                : "The landmarks";
            yield return Finding
                .Check(
                    "landmarks-off",
                    $"{names} are not in line.",
                    "You may be off the spot.",
                    "Move along the other line, or note what has changed ashore."
                )
                .On(Beside.Header, line.Entry.Id);
        }
    }

    private static IEnumerable<Finding> People(SheetDraft draft, SheetArrival arrival)
    {
        var ashore = draft.Context.Station.OnLand ? 1 : 0;
        var needed = Math.Max(1, (int)draft.Context.Programme.Of(ArrivalOptions.PeopleMin) - ashore);
        if (arrival.Now.People is { } aboard && aboard < needed)
        {
            yield return Finding
                .Stop(
                    "people-too-few",
                    $"{aboard} {(ashore == 1 ? "here" : "aboard")}, {needed} required.",
                    "Nobody can help the one who falls in.",
                    "Take someone along or sample from shore."
                )
                .On(Beside.Header, About(arrival, "people"));
        }

        if (
            draft.Asks
            && draft.UnderWay
            && arrival.Now.Anchored == false
            && ashore == 0
            && draft.Context.Programme.ChoiceOf(ArrivalOptions.Anchor) == "required"
        )
        {
            yield return Finding
                .Check("anchor-missing", "Not anchored.", "Drift moves place and depth.", "Anchor with spare line, or say why not.")
                .On(Beside.Header, About(arrival, "anchored"));
        }
    }

    private static IEnumerable<Finding> Weather(SheetDraft draft, SheetArrival arrival)
    {
        var now = arrival.Now;
        var rough = Rough(draft.Context.Programme, now);
        if (now.Thunder == true || rough is not null)
        {
            yield return Finding
                .Stop(
                    "weather-over-limit",
                    $"{(now.Thunder == true ? "Thunder" : rough)}.",
                    "The boat comes before the sample.",
                    "Stay ashore or head in; use the alternate date. You decide."
                )
                .On(Beside.Header, WeatherBoxes.SelectMany(f => About(arrival, f)));
        }

        if (now.Air?.Read() is { } air)
        {
            if (air.Finding is { } unread)
            {
                yield return unread.On(Beside.Header, About(arrival, "air"));
            }
            else if (air.Celsius is < ColdestAirC or > WarmestAirC)
            {
                yield return Finding
                    .Check(
                        "temperature-range",
                        $"{Temperature.Show(air.Celsius.Value)} is outside what is likely.",
                        "Sign, unit or a misread scale?",
                        "Read again."
                    )
                    .On(Beside.Header, About(arrival, "air"));
            }
        }

        if (now.Surface == WaterSurface.Scum)
        {
            yield return Finding
                .Check(
                    "bloom-seen",
                    "Scum on the water: it may be a harmful bloom.",
                    "Some are poisonous to people and dogs.",
                    "Do not touch, keep dogs out. Gloves, bloom bottle, photograph, tell the coordinator."
                )
                .On(Beside.Header, About(arrival, "surface"));
        }
    }

    private static IEnumerable<Finding> Rain(SheetDraft draft, SheetArrival arrival)
    {
        var heavy = draft.Context.Programme.Of(ArrivalOptions.RainHeavy);
        if (arrival.Now.Rain24Told is { } rain && rain.MayBeOver(heavy))
        {
            var seen = Sentence.Begun(rain.Words) + " in 24 h";
            yield return Finding
                .Note(
                    "rain-heavy",
                    rain.Over(heavy) ? $"{seen}." : $"{seen}: perhaps over the {Decimals.Text(heavy)} mm that are heavy here.",
                    "Expect cloudy water.",
                    "Results stand for the storm, not the season."
                )
                .On(Beside.Header, About(arrival, "rain24"));
        }

        if (
            draft.Asks
            && draft.UnderWay
            && (arrival.Now.Rain24Told is null || arrival.Now.Rain72Told is null)
            && !draft.Context.Programme.Chooses(ArrivalOptions.Rain, "ignored")
        )
        {
            yield return Finding
                .Check("rain-unknown", "Rain of the last days is blank.", "It explains a cloudy sample.", "A guess marked as such will do.")
                .On(Beside.Header);
        }
    }

    private static IEnumerable<Finding> Interval(SheetDraft draft)
    {
        var rhythm = (draft.Context.Programme.Season ?? []).FirstOrDefault(p => p.Protocol == Protocol.Clarity && p.Rhythm == Rhythm.Days);
        if (draft.Asks && rhythm is not null && draft.Day is { } day && draft.LastDay is { } last && last.Year == day.Year)
        {
            var gap = day.DayNumber - last.DayNumber;
            if (gap < rhythm.LeastGapDays || gap > rhythm.GreatestGapDays)
            {
                yield return Finding
                    .Note(
                        "interval-off",
                        $"{gap} days since the last; the programme asks for {rhythm.LeastGapDays}–{rhythm.GreatestGapDays}.",
                        "Uneven gaps weigh some weeks more.",
                        "Kept; the plan moves on from here."
                    )
                    .On(Beside.Header);
            }
        }
    }

    private static Position? Meant(Position at, Position station) =>
        StationCheck.ReadOtherwise(at).Where(r => Shape.DistanceM(r, station) < ElsewhereM / 5).Select(r => (Position?)r).FirstOrDefault();

    private static IEnumerable<Guid> About(SheetArrival arrival, string field) =>
        arrival.Boxes.Where(b => b.Field == field).Select(b => b.Entry);
}
