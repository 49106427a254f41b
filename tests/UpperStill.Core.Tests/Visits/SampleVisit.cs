using System.Text.Json;
using System.Text.Json.Serialization.Metadata;
using UpperStill.Core.Clarity;
using UpperStill.Core.Composites;
using UpperStill.Core.Kit;
using UpperStill.Core.Operations;
using UpperStill.Core.Places;
using UpperStill.Core.Programmes;
using UpperStill.Core.Quantities;
using UpperStill.Core.Visits;

namespace UpperStill.Core.Tests.Visits;

/// <summary>A visit written entry by entry, a minute apart, for the tests of the fold.</summary>
internal sealed class SampleVisit
{
    internal static readonly VisitContext Context = new(
        new Station("HAR-1", "harrowmere", "Harrowmere", "Aldwick", "Deep Hole", new WrittenLength("102", LengthUnit.FootInch), 54, -3),
        new Programme(
            "monthly", 1, "Monthly composite", new HoursWindow(new TimeOnly(10, 0), new TimeOnly(16, 0)),
            new ClaritySettings(EndPoint.Mean, 1, ObserverSchool.Same, RoundingSchool.QuarterFoot),
            new CompositeSettings(CompositeDepthRule.Factor, 2, new WrittenLength("3", LengthUnit.FootInch), CompositeMethod.WeightedBottle),
            new SummarySettings(6, 9, 4), new CheckLimits()),
        [new Line("R-3", "rope", LengthUnit.FootInch, new WrittenLength("3", LengthUnit.Inch), new WrittenLength("110", LengthUnit.FootInch), new DateOnly(2026, 4, 11))],
        []);

    private readonly Guid visit = Guid.CreateVersion7();
    private DateTimeOffset clock = new(2026, 8, 12, 10, 22, 0, TimeSpan.FromHours(1));

    internal List<Entry> Entries { get; } = [];

    internal static SampleVisit Begun(params string[] observers)
    {
        var visit = new SampleVisit();
        visit.Write(EntryKinds.VisitStarted, new VisitStartedBody("HAR-1", "monthly", 1, observers.Length > 0 ? observers : ["Asa"], "R-3"));
        return visit;
    }

    internal Entry Sound(string written, Entry? strikes = null, string? why = null, string device = "phone") =>
        Write(EntryKinds.Sounding, new SoundingBody(new WrittenLength(written, LengthUnit.FootInch)), strikes, why, device);

    internal Entry Lost(string written, int lowering = 1, Entry? strikes = null, string? why = null, string device = "phone") =>
        Mark(DiscEvent.Disappeared, written, lowering, strikes, why, device);

    internal Entry Seen(string written, int lowering = 1, Entry? strikes = null, string? why = null, string device = "phone") =>
        Mark(DiscEvent.Reappeared, written, lowering, strikes, why, device);

    internal Entry Outcome(DiscOutcome outcome, string? why = null) => Write(EntryKinds.DiscOutcome, new DiscOutcomeBody(outcome), null, why);

    internal Entry Strike(Entry entry, string why = "misread") => Write(EntryKinds.Strike, new EmptyBody(), entry, why);

    internal Entry Keep(string finding, string why, params Entry[] about) =>
        Write(EntryKinds.Kept, new KeptBody(finding, [.. about.Select(e => e.Id)]), null, why);

    internal Entry Close() => Write(EntryKinds.VisitClosed, new EmptyBody());

    internal Entry Write<T>(EntryKind<T> kind, T body, Entry? strikes = null, string? why = null, string device = "phone")
        where T : class
    {
        clock = clock.AddMinutes(1);
        var entry = new Entry(
            Guid.CreateVersion7(clock), visit, kind.Name, kind.Version, JsonSerializer.SerializeToElement(body, (JsonTypeInfo<T>)kind.Body), clock, "Asa", device, strikes?.Id, why);
        Entries.Add(entry);
        return entry;
    }

    internal FieldSheet Fold(VisitContext? context = null, ReaderUnit reader = ReaderUnit.AsRead) => FieldSheet.Fold(new FoldRequest(Entries, context ?? Context, reader));

    internal static string Json(IEnumerable<Entry> entries) => Json(FieldSheet.Fold(new FoldRequest([.. entries], Context)));

    internal static string Json(FieldSheet sheet) => JsonSerializer.Serialize(sheet, CoreJson.Default.FieldSheet);

    private Entry Mark(DiscEvent seen, string written, int lowering, Entry? strikes, string? why, string device) =>
        Write(EntryKinds.DiscMark, new DiscMarkBody(lowering, seen, new WrittenLength(written, LengthUnit.FootInch), "Asa"), strikes, why, device);
}
