using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Geodesy;

namespace UpperStill.Core.Protocols.Arrival;

/// <summary>The head of the sheet, put together from its boxes.</summary>
internal static class ArrivalFold
{
    private static readonly (string Field, string What, Func<ConditionsBody, string?> Words)[] Boxes =
    [
        ("people", "the people aboard", b => b.People is { } n ? $"{n} aboard" : null),
        ("anchored", "the anchor", b => b.Anchored is { } held ? (held ? "anchored" : "not anchored") : null),
        ("air", "the air", b => b.Air is { } air
                ? air.Read().Celsius is { } c
                    ? $"air {Temperature.Show(c)}"
                    : $"air “{air.Written}”"
                : null),
        ("cloudEighths", "the cloud", b => b.CloudEighths is { } eighths ? $"cloud {eighths}/8" : null),
        ("wind", "the wind", b => b.WindTold is { } wind ? $"wind {wind.Words}" : null),
        ("windFrom", "the wind’s direction", b => b.WindFrom is { } from ? $"from {from}" : null),
        ("waves", "the waves", b => b.WavesTold is { } waves ? WeatherClasses.Words(waves)
            : b.Waves is { } off ? $"waves {off}, not on the scale from 1 to 4"
            : null),
        ("rain24", "the rain of 24 h", b => b.Rain24Told is { } rain ? $"{rain.Words} in 24 h" : null),
        ("rain72", "the rain of 72 h", b => b.Rain72Told is { } rain ? $"{rain.Words} in 72 h" : null),
        ("surface", "the surface", b => b.Surface is { } surface
                ? surface == WaterSurface.Clear
                    ? "surface clear"
                    : $"{surface} on the surface".ToLowerInvariant()
                : null),
        ("smell", "the smell", b => b.Smell is { } smell ? $"smell {smell}" : null),
        ("stage", "the stage", b =>
            b.Stage is { } stage ? $"stage {(stage.Read().Length is { } length ? LengthText.Write(length) : stage.Written)}" : null
        ),
        ("fog", "the fog", b => b.Fog is { } fog ? (fog ? "fog" : "no fog") : null),
        ("thunder", "thunder", b => b.Thunder is { } thunder ? (thunder ? "thunder" : "no thunder") : null),
        ("water", "the water’s temperature", b => b.Water is { } water
                ? water.Read().Celsius is { } c
                    ? $"water {Temperature.Show(c)}"
                    : $"water “{water.Written}”"
                : null),
        ("waterSteady", "the thermometer", b => b.WaterSteady is { } steady
                ? steady
                    ? "thermometer steady"
                    : "thermometer still moving"
                : null),
        ("waterSecond", "the second thermometer", b => b.WaterSecond is { } second
                ? second.Read().Celsius is { } c
                    ? $"by a second thermometer {Temperature.Show(c)}"
                    : $"by a second thermometer “{second.Written}”"
                : null),
        ("remark", "the remark", b => b.Remark),
    ];

    internal static SheetArrival Fold(SheetDraft draft)
    {
        var entries = draft.Standing(ArrivalKinds.Conditions);
        List<ConditionBox> boxes = [];
        foreach (var (field, what, words) in Boxes)
        {
            var filled = entries.Where(e => words(e.Body) is not null).ToList();
            draft.Disagreement(Basis.Findings.Beside.Header, what, [.. filled.Select(f => f.Entry)], e =>
                words(filled.First(f => f.Entry == e).Body)!
            );
            if (filled.Count > 0)
            {
                boxes.Add(new ConditionBox(field, words(filled[^1].Body)!, filled[^1].Entry.Id));
            }
        }

        var now = entries.Select(e => e.Body).Aggregate(new ConditionsBody(), Over);
        var fixes = draft
            .Standing(ArrivalKinds.Fix)
            .Where(f => Shape.InRange(new Position(f.Body.LatitudeDeg, f.Body.LongitudeDeg)))
            .Select(f => Beside(draft, f))
            .ToList();
        var arrival = new SheetArrival(
            boxes,
            now,
            [.. draft.Standing(ArrivalKinds.Landmarks).GroupBy(l => l.Body.Transit).Select(g => g.Last().Body)],
            Words(boxes, fixes),
            WaterTemperature.Scale(draft),
            fixes.Count > 0 ? fixes[0] : null,
            fixes.Count > 1 ? fixes[^1] : null,
            Sun(draft, draft.Start?.Entry.At)
        );
        draft.Findings.AddRange(ArrivalChecks.Of(draft, arrival));
        return arrival;
    }

    /// <summary>An entry in a few words.</summary>
    internal static string WordsOf(ConditionsBody body)
    {
        var words = string.Join(", ", Boxes.Select(b => b.Words(body)).OfType<string>());
        return words.Length > 0 ? Sentence.Begun(words) : "No condition";
    }

    /// <summary>The sun over the station at an instant.</summary>
    internal static SheetSun? Sun(SheetDraft draft, DateTimeOffset? at)
    {
        if (at is not { } instant)
        {
            return null;
        }

        var sun = Science.Sky.Sun.Over(draft.Context.Station.At, instant);
        var (altitude, azimuth) = (decimal.Round((decimal)sun.AltitudeDeg, 1), decimal.Round((decimal)sun.AzimuthDeg, 0) % 360);
        return new SheetSun(altitude, azimuth, $"sun in the {PlaceText.Towards(sun.AzimuthDeg)}, {Decimals.Fixed(altitude, 0)}° high");
    }

    private static ConditionsBody Over(ConditionsBody old, ConditionsBody next) =>
        new(
            next.People ?? old.People,
            next.Anchored ?? old.Anchored,
            next.Air ?? old.Air,
            next.CloudEighths ?? old.CloudEighths,
            Later(old, next, b => b.WindTold).WindMs,
            next.WindFrom ?? old.WindFrom,
            next.WavesTold is null ? next.Waves ?? old.Waves : null,
            Later(old, next, b => b.Rain24Told).Rain24Mm,
            Later(old, next, b => b.Rain72Told).Rain72Mm,
            next.Surface ?? old.Surface
        )
        {
            Smell = next.Smell ?? old.Smell,
            Stage = next.Stage ?? old.Stage,
            Fog = next.Fog ?? old.Fog,
            Thunder = next.Thunder ?? old.Thunder,
            Remark = next.Remark ?? old.Remark,
            Water = next.Water ?? old.Water,
            WaterSteady = next.WaterSteady ?? old.WaterSteady,
            WaterSecond = next.WaterSecond ?? old.WaterSecond,
            Wind = Later(old, next, b => b.WindTold).Wind,
            WaveState = next.WavesTold ?? (next.Waves is null ? old.WaveState : null),
            Rain24 = Later(old, next, b => b.Rain24Told).Rain24,
            Rain72 = Later(old, next, b => b.Rain72Told).Rain72,
        };

    // One box holds a class or a number of an instrument, never some of each.
    private static ConditionsBody Later(ConditionsBody old, ConditionsBody next, Func<ConditionsBody, Told?> box) =>
        box(next) is null ? old : next;

    private static SheetFix Beside(SheetDraft draft, Read<FixBody> fix)
    {
        var at = new Position(fix.Body.LatitudeDeg, fix.Body.LongitudeDeg);
        var (east, north) = Shape.OnPlane(at, draft.Context.Station.At);
        var distance = decimal.Round((decimal)Shape.DistanceM(at, draft.Context.Station.At), 1);
        var text =
            distance < 1
                ? "on the mark"
                : $"{PlaceText.Distance(distance)} from the mark, it lies "
                    + $"{PlaceText.Towards((Shape.Degrees(Math.Atan2(east, north)) + 360) % 360)}";
        return new SheetFix(at.LatitudeDeg, at.LongitudeDeg, distance, text, fix.Body.Source, fix.Entry.Id);
    }

    // The three that say most: where, then what the water is like.
    private static string Words(List<ConditionBox> boxes, List<SheetFix> fixes) =>
        fixes.Count == 0 && boxes.Count == 0
            ? "position, people, weather"
            : string.Join(
                ", ",
                fixes
                    .Take(1)
                    .Select(f => f.DistanceM < 1 ? f.Text : $"{PlaceText.Distance(f.DistanceM)} from the mark")
                    .Concat(boxes.OrderBy(b => b.Field is "air" or "waves" or "wind" or "anchored" ? 0 : 1).Select(b => b.Text))
                    .Take(3)
            );
}
