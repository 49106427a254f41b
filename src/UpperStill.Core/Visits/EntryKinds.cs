using System.Text.Json;
using UpperStill.Core.Arrival;
using UpperStill.Core.Bottles;
using UpperStill.Core.Chlorophyll;
using UpperStill.Core.Clarity;
using UpperStill.Core.Composites;
using UpperStill.Core.Oxygen;
using UpperStill.Core.Profiles;
using UpperStill.Core.Quantities;
using UpperStill.Core.Results;
using UpperStill.Core.Review;
using UpperStill.Core.Samples;
using UpperStill.Core.Seasons;

namespace UpperStill.Core.Visits;

/// <summary>All kinds of entry.</summary>
public static class EntryKinds
{
    /// <summary>A visit begins.</summary>
    public static readonly EntryKind<VisitStartedBody> VisitStarted = new(
        "visit-started", 1, "A visit begins at a station, under a version of a programme.", j => j.VisitStartedBody,
        (b, _) => $"Visit begun at {b.Station}, {string.Join(" and ", b.Observers)}" + (b.Import is { } from ? $", from {from.File}, line {from.Line}" : b.Paper == true ? ", typed from a sheet" : string.Empty) + (b.TimeEstimated == true ? ", the time estimated" : string.Empty));

    /// <summary>A visit moved to the station at which it was made.</summary>
    public static readonly EntryKind<VisitMovedBody> VisitMoved = new(
        "visit-moved", 1, "The visit was begun at the wrong station and lies at this one; `why` says how that is known.", j => j.VisitMovedBody, (b, _) => $"Moved to {b.Station}", EntryOwner.Mover);

    /// <summary>Where the boat is.</summary>
    public static readonly EntryKind<FixBody> Fix = new(
        "fix", 1, "A position; the first of a visit is where it anchored, later ones show drift.", j => j.FixBody,
        (b, _) => $"Position {Decimals.Text(decimal.Round((decimal)b.LatitudeDeg, 5))}, {Decimals.Text(decimal.Round((decimal)b.LongitudeDeg, 5))}" + (b.Source == FixSource.Simulated ? ", simulated" : string.Empty));

    /// <summary>Landmarks in line, or not.</summary>
    public static readonly EntryKind<LandmarksBody> Landmarks = new(
        "landmarks", 1, "Whether a transit of the station is in line.", j => j.LandmarksBody, (b, _) => $"Landmarks {b.Transit + 1} {(b.InLine ? "in line" : "not in line")}");

    /// <summary>The head of the sheet.</summary>
    public static readonly EntryKind<ConditionsBody> Conditions = new(
        "conditions", 2, "People, anchor, weather and water of the day; an entry carries only what was answered with it. What an instrument shows is a number; what was told without one is a class.",
        j => j.ConditionsBody, (b, _) => ArrivalPart.WordsOf(b), older: (b, version) => b.OfVersion(version));

    /// <summary>The depth of the water.</summary>
    public static readonly EntryKind<SoundingBody> Sounding = new(
        "sounding", 1, "The depth of the water as read.", j => j.SoundingBody, (b, r) => $"Sounding {Written(b.Depth, r)}");

    /// <summary>One mark of the disc.</summary>
    public static readonly EntryKind<DiscMarkBody> DiscMark = new(
        "disc-mark", 1, "The disc lost, or seen again, at a mark of the line.", j => j.DiscMarkBody,
        (b, r) => $"Disc {(b.Event == DiscEvent.Disappeared ? "lost" : "seen again")} at {Written(b.Depth, r)}"
            + (b.Lowering > 1 || b.Observer is not null ? $" (reading {b.Lowering}{(b.Observer is null ? string.Empty : ", " + b.Observer)})" : string.Empty));

    /// <summary>A clarity reading that ended otherwise.</summary>
    public static readonly EntryKind<DiscOutcomeBody> DiscOutcome = new(
        "disc-outcome", 1, "The disc on the bottom, lost in plants or mud, or the reading not taken.", j => j.DiscOutcomeBody,
        (b, _) => b.Outcome switch
        {
            Clarity.DiscOutcome.OnBottom => "Disc on the bottom, in sight",
            Clarity.DiscOutcome.InPlants => "Disc lost in plants",
            Clarity.DiscOutcome.InMud => "Disc lost in stirred sediment",
            _ => "Clarity not taken",
        });

    /// <summary>A clarity without its marks.</summary>
    public static readonly EntryKind<ClarityStatedBody> ClarityStated = new(
        "clarity-stated", 1, "A clarity that an old table states, without its marks.", j => j.ClarityStatedBody, (b, r) => $"Clarity stated: {(b.OnBottom ? "> " : string.Empty)}{Written(b.Depth, r)}");

    /// <summary>How the disc was read.</summary>
    public static readonly EntryKind<DiscConditionsBody> DiscConditions = new(
        "disc-conditions", 1, "Side of the boat, tube, sunglasses, lean of the line.", j => j.DiscConditionsBody, (b, _) => DiscWords(b));

    /// <summary>Colour of the water.</summary>
    public static readonly EntryKind<ColourBody> Colour = new(
        "colour", 1, "Colour on the white quarter at half the clarity: one step of the chart, or two neighbours.", j => j.ColourBody, (b, _) => $"Colour {ColourChart.Words(b)}");

    /// <summary>What the sampler thinks of the water.</summary>
    public static readonly EntryKind<OpinionBody> Opinion = new(
        "opinion", 1, "An opinion from 1 (beautiful) to 5 (severe).", j => j.OpinionBody, (b, _) => $"Opinion, {b.Question}: {b.Answer} of 5");

    /// <summary>Calibration, display and depth sensor of the meter.</summary>
    public static readonly EntryKind<MeterCheckBody> MeterCheck = new(
        "meter-check", 1, "A meter calibrated, checked at the end, its display or its depth sensor looked at.", j => j.MeterCheckBody, (b, _) => MeterWords(b));

    /// <summary>One level of a profile.</summary>
    public static readonly EntryKind<LevelBody> Level = new(
        "level", 1, "What the meter showed at one depth.", j => j.LevelBody,
        (b, r) => string.Join(", ", new[] { $"At {Written(b.Depth, r)}", b.Temperature is { } t ? $"{t.Written} {(t.Unit == TemperatureUnit.Fahrenheit ? "°F" : "°C")}" : null, b.Oxygen is { } o ? $"{o.Written} {(o.Unit is { } unit ? OxygenUnits.Text(unit) : "in an unknown unit")}" : null, b.Salinity is { } s ? $"salinity {s}" : null }.OfType<string>()));

    /// <summary>A file of a meter's memory.</summary>
    public static readonly EntryKind<LoggedCastBody> LoggedCast = new(
        "logged-cast", 1, "A logged cast from which levels were made; struck, its levels fall with it.", j => j.LoggedCastBody,
        (b, _) => $"Logged cast {b.File}, {b.Used} of {b.Rows} rows");

    /// <summary>Levels read anew in another unit.</summary>
    public static readonly EntryKind<RereadBody> Reread = new(
        "reread", 1, "Levels whose numbers are read in another unit; what was written stays.", j => j.RereadBody,
        (b, _) => $"{b.Levels.Count} {(b.Levels.Count == 1 ? "level" : "levels")} reread as {b.As switch { RereadAs.OxygenPercent => "%", RereadAs.OxygenMgPerL => "mg/L", RereadAs.Fahrenheit => "°F", RereadAs.Celsius => "°C", _ => "a tenth" }}");

    /// <summary>A planned bottle depth moved.</summary>
    public static readonly EntryKind<BottleDepthBody> BottleDepth = new(
        "bottle-depth", 1, "A planned depth moved by the sampler.", j => j.BottleDepthBody, (b, r) => $"Bottle depth {b.Place} moved to {Written(b.Depth, r)}");

    /// <summary>One lowering of a bottle sampler.</summary>
    public static readonly EntryKind<CastBody> Cast = new(
        "cast", 1, "One lowering of a bottle sampler, and how it came up.", j => j.CastBody, CastChecks.Words);

    /// <summary>A bottle filled.</summary>
    public static readonly EntryKind<FillBody> Fill = new(
        "fill", 1, "A bottle filled: from where, how full, what was added.", j => j.FillBody, (b, _) => $"{b.Sample} {FillChecks.Words(b)}");

    /// <summary>One lowering of the composite sampler.</summary>
    public static readonly EntryKind<CompositeTryBody> CompositeTry = new(
        "composite-try", 2, "One lowering of the composite sampler, and how full it came up: by eye, or by the marks of its bottle.", j => j.CompositeTryBody, CompositePart.Words, older: (b, version) => b.OfVersion(version));

    /// <summary>A step left out.</summary>
    public static readonly EntryKind<StepSkippedBody> StepSkipped = new(
        "step-skipped", 1, "A step that is not done; `why` says the reason.", j => j.StepSkippedBody, (b, _) => $"Not done: {b.Step}");

    /// <summary>The steps in another order.</summary>
    public static readonly EntryKind<StepOrderBody> StepOrder = new(
        "step-order", 1, "The steps of the visit in the order in which the sampler takes them.", j => j.StepOrderBody, (b, _) => $"Order of work: {string.Join(", ", b.Steps)}");

    /// <summary>A sum done by hand.</summary>
    public static readonly EntryKind<WorkedByHandBody> WorkedByHand = new(
        "worked-by-hand", 1, "A mean, double or depth as it stands worked out on the sheet.", j => j.WorkedByHandBody,
        (b, r) => $"On the sheet, {b.Sum switch { HandSum.Clarity => "mean clarity", HandSum.Layer => "depth of the layer", _ => "depth of the composite" }}: {Written(b.Value, r)}");

    /// <summary>Something counted aboard.</summary>
    public static readonly EntryKind<AboardBody> Aboard = new(
        "aboard", 1, "Gear counted aboard on leaving.", j => j.AboardBody, (b, _) => $"{b.Thing} {(b.Aboard ? "aboard" : "missing")}");

    /// <summary>Another entry struck out, with nothing in its place.</summary>
    public static readonly EntryKind<EmptyBody> Strike = new(
        "strike", 1, "Strikes out another entry; `strikes` and `why` say which and for what reason.", j => j.EmptyBody, (_, _) => "Struck out");

    /// <summary>A sample or profile taken along.</summary>
    public static readonly EntryKind<TakenBody> Taken = new(
        "taken", 1, "A sample or a profile was taken along with this visit.", j => j.TakenBody, (b, _) => $"Taken: {b.Protocol.Words()}");

    /// <summary>A sample beside the plan.</summary>
    public static readonly EntryKind<SampleAddedBody> SampleAdded = new(
        "sample-added", 1, "A replicate, a part or a blank beside the plan.", j => j.SampleAddedBody, (b, _) => $"{b.Sample}, {b.Kin.ToString().ToLowerInvariant()} of {b.Of}");

    /// <summary>One filter.</summary>
    public static readonly EntryKind<FilterBody> Filter = new(
        "filter", 1, "Answers on one filter, from its bottle to its vial; an entry carries only what was answered with it.", j => j.FilterBody, (b, _) => FilterPart.Words(b));

    /// <summary>One fill pushed through a filter.</summary>
    public static readonly EntryKind<FilterFillBody> FilterFill = new(
        "filter-fill", 1, "One fill pushed through a filter: what went through, or where it began and what was left.", j => j.FilterFillBody, (b, _) => $"{b.Sample}: {FilterPart.Words(b)}");

    /// <summary>Labels looked at.</summary>
    public static readonly EntryKind<LabelledBody> Labelled = new(
        "labelled", 1, "Labels looked at, and what is not on them.", j => j.LabelledBody,
        (b, _) => $"{string.Join(", ", b.Samples)}: {(b.Missing is { Count: > 0 } missing ? $"label lacks {string.Join(", ", missing)}" : "label complete")}");

    /// <summary>What keeps samples was added.</summary>
    public static readonly EntryKind<PreservedBody> Preserved = new(
        "preserved", 1, "What keeps samples was added after they were filled.", j => j.PreservedBody, (b, _) => $"{string.Join(", ", b.Samples)}: {b.Added} added");

    /// <summary>Samples put away.</summary>
    public static readonly EntryKind<StoredBody> Stored = new(
        "stored", 1, "Samples put into freezer, refrigerator, cooler or cupboard.", j => j.StoredBody,
        (b, _) => $"{string.Join(", ", b.Samples)} into the {b.In.ToString().ToLowerInvariant()}{(b.Spot is { } spot ? $", {spot}" : string.Empty)}{(b.TemperatureC is { } c ? $", {c} °C" : string.Empty)}");

    /// <summary>Samples leave the group's hands.</summary>
    public static readonly EntryKind<HandedOverBody> HandedOver = new(
        "handed-over", 1, "Samples handed over with a manifest.", j => j.HandedOverBody, (b, _) => $"{string.Join(", ", b.Samples)} handed over to {b.To}, signed {b.Signature}");

    /// <summary>Samples lost.</summary>
    public static readonly EntryKind<SamplesBody> SampleLost = new(
        "sample-lost", 1, "Samples lost; `why` says how.", j => j.SamplesBody, (b, _) => $"{string.Join(", ", b.Samples)} lost");

    /// <summary>The laboratory takes samples in.</summary>
    public static readonly EntryKind<ReceivedBody> Received = new(
        "received", 1, "Samples taken in by the laboratory, and how they arrived.", j => j.ReceivedBody, (b, _) => $"{string.Join(", ", b.Samples)} received {b.As.ToString().ToLowerInvariant()}, signed {b.Signature}", EntryOwner.Laboratory);

    /// <summary>The laboratory rejects samples.</summary>
    public static readonly EntryKind<SamplesBody> SampleRejected = new(
        "sample-rejected", 1, "Samples rejected by the laboratory; `why` says the reason.", j => j.SamplesBody, (b, _) => $"{string.Join(", ", b.Samples)} rejected", EntryOwner.Laboratory);

    /// <summary>An extract measured.</summary>
    public static readonly EntryKind<MeasuredBody> Measured = new(
        "measured", 1, "What an instrument showed of a filter’s extract.", j => j.MeasuredBody, (b, _) => $"{b.Sample}: extract measured", EntryOwner.Laboratory);

    /// <summary>A result.</summary>
    public static readonly EntryKind<ResultBody> Result = new(
        "result", 1, "A result as the laboratory reports it.", j => j.ResultBody, (b, _) => $"{b.Sample}: {b.Analyte} {(b.Qualifier == Qualifier.Below ? "< " : string.Empty)}{b.Value} {b.Unit}", EntryOwner.Laboratory);

    /// <summary>A result without its sample.</summary>
    public static readonly EntryKind<ValueStatedBody> ValueStated = new(
        "value-stated", 1, "A result that an old table states, without its sample.", j => j.ValueStatedBody, (b, _) => $"{b.Analyte} stated: {(b.Qualifier == Qualifier.Below ? "< " : string.Empty)}{b.Value} {b.Unit}, {b.Depth}");

    /// <summary>Results released.</summary>
    public static readonly EntryKind<SamplesBody> Reported = new(
        "reported", 1, "Results worked out from measurements are released.", j => j.SamplesBody, (b, _) => $"{string.Join(", ", b.Samples)}: results released", EntryOwner.Laboratory);

    /// <summary>Flow of a stream.</summary>
    public static readonly EntryKind<FlowBody> Flow = new(
        "flow", 1, "Flow of the stream when a sample was taken, from which its load follows.", j => j.FlowBody, (b, _) => $"{b.Sample}: flow {b.Value} {b.Unit}");

    /// <summary>A finding answered.</summary>
    public static readonly EntryKind<KeptBody> Kept = new(
        "kept", 1, "A finding answered with a reason; the entries it spoke of stay as they are.", j => j.KeptBody, (b, _) => $"Kept in spite of {b.Finding}");

    /// <summary>A reviewer's question.</summary>
    public static readonly EntryKind<AskedBody> Asked = new(
        "asked", 1, "A reviewer asks whoever made the visit.", j => j.AskedBody, (b, _) => $"Asked: {b.Question}", EntryOwner.Reviewer);

    /// <summary>The answer to it.</summary>
    public static readonly EntryKind<AnsweredBody> Answered = new(
        "answered", 1, "The answer to a reviewer's question.", j => j.AnsweredBody, (b, _) => $"Answered: {b.Answer}");

    /// <summary>A reviewer vouches for the visit.</summary>
    public static readonly EntryKind<SignedOffBody> SignedOff = new(
        "signed-off", 1, "A reviewer vouches for what stands; it holds as long as just that stands.", j => j.SignedOffBody, (_, _) => "Signed off", EntryOwner.Reviewer);

    /// <summary>The visit ends.</summary>
    public static readonly EntryKind<EmptyBody> VisitClosed = new(
        "visit-closed", 1, "The visit ends. Striking this entry opens it again.", j => j.EmptyBody, (_, _) => "Visit ended");

    /// <summary>Every kind, by name.</summary>
    public static IReadOnlyDictionary<string, EntryKind> All { get; } =
        new EntryKind[]
        {
            VisitStarted, Fix, Landmarks, Conditions, Sounding, DiscMark, DiscOutcome, DiscConditions, Colour, Opinion, MeterCheck, Level, LoggedCast, Reread,
            BottleDepth, Cast, Fill, CompositeTry, Taken, StepSkipped, StepOrder, WorkedByHand, Aboard, Strike, Kept, VisitClosed,
            SampleAdded, Filter, FilterFill, Labelled, Preserved, Stored, HandedOver, SampleLost, Received, SampleRejected, Measured, Result, Reported, Flow, Asked, Answered, SignedOff,
            ClarityStated, ValueStated, VisitMoved,
        }.ToDictionary(k => k.Name, StringComparer.Ordinal);

    /// <summary>The entries that an answer to a finding speaks of; of other kinds none.</summary>
    public static IReadOnlyList<Guid> About(string kind, JsonElement body) => kind == Kept.Name ? Kept.Read(body)?.About ?? [] : [];

    private static string DiscWords(DiscConditionsBody b) => string.Join(", ", new[]
    {
        b.Side is { } side ? side == BoatSide.Shade ? "Disc read in the shade" : "Disc read in the sun" : null, b.Tube is { } tube ? tube ? "through a tube" : "without a tube" : null,
        b.Sunglasses is { } worn ? worn ? "sunglasses on" : "sunglasses off" : null, b.LineAngleDeg is { } angle ? $"line leans {Decimals.Text(angle)}°" : null,
        b.HeadingDeg is { } heading ? $"heading {Decimals.Text(heading)}°" : null, b.Disc is { } disc ? $"disc {disc}" : null,
    }.OfType<string>());

    private static string MeterWords(MeterCheckBody b) => string.Join(", ", new[]
    {
        b.Read is { } read ? $"{b.Meter} {(b.AtEnd ? "at the end" : "calibrated")}: read {read.Written}, should be {b.Expected?.Written}" : null,
        b.PressureKpa is { } pressure ? $"pressure {Decimals.Text(pressure)} kPa" : null, b.Display is { } display ? $"display on {OxygenUnits.Text(display)}" : null,
        b.AtSurface is { } zero ? $"shows {zero.Written} at the surface" : null,
    }.OfType<string>()) is { Length: > 0 } words ? words : $"Meter {b.Meter}";

    private static string Written(WrittenLength depth, ReaderUnit reader) =>
        depth.Read().Length is { } length ? LengthText.Show(length, reader) : $"“{depth.Written}”";
}
