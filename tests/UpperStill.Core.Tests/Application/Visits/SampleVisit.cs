using System.Text.Json;
using System.Text.Json.Serialization.Metadata;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Arrival;
using UpperStill.Core.Protocols.Profile;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Science.Oxygen;
using UpperStill.Core.Science.Statistics;
using UpperStill.Core.Science.Stratification;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Tests.Application.Visits;

/// <summary>A visit written entry by entry, a minute apart, for the tests of the fold.</summary>
internal sealed class SampleVisit
{
    internal static readonly VisitContext Context = new(
        new Station("HAR-1", "harrowmere", "Harrowmere", "Aldwick", "Deep Hole", new WrittenLength("102", LengthUnit.FootInch), 54, -3),
        new Programme(
            "monthly",
            1,
            "Monthly composite",
            new HoursWindow(new TimeOnly(10, 0), new TimeOnly(16, 0)),
            new ClaritySettings(EndPoint.Mean, 1, ObserverMethod.Same, RoundingMethod.QuarterFoot),
            new CompositeSettings(
                CompositeDepthRule.Factor,
                2,
                new WrittenLength("3", LengthUnit.FootInch),
                CompositeMethod.WeightedBottle
            ),
            new SummarySettings(6, 9, 4),
            new CheckLimits()
        ),
        [
            new Line(
                "R-3",
                "rope",
                LengthUnit.FootInch,
                new WrittenLength("3", LengthUnit.Inch),
                new WrittenLength("110", LengthUnit.FootInch),
                [new LineCheck(new DateOnly(2026, 4, 11), [])]
            ),
        ],
        []
    );

    private readonly Guid visit = Guid.CreateVersion7();
    private DateTimeOffset clock = new(2026, 8, 12, 10, 22, 0, TimeSpan.FromHours(1));

    internal List<Entry> Entries { get; } = [];

    /// <summary>A lake of 12 m in metres at 112 m above the sea, with a meter and a sampler; everything is asked for.</summary>
    internal static readonly VisitContext Metric = new(
        new Station(
            "HAR-2",
            "harrowmere",
            "Harrowmere",
            "Aldwick",
            "North Arm",
            new WrittenLength("12.0", LengthUnit.Metre),
            51.9241,
            -11.4376
        )
        {
            Transits =
            [
                new Transit(new Landmark("gable", 51.93, -11.44), new Landmark("tower", 51.94, -11.44)),
                new Transit(new Landmark("post", 51.92, -11.43), new Landmark("edge", 51.92, -11.42)),
            ],
        },
        new Programme(
            "layered",
            1,
            "Layered lake",
            new HoursWindow(new TimeOnly(10, 0), new TimeOnly(16, 0)),
            new ClaritySettings(EndPoint.Disappear, 1, ObserverMethod.Same, RoundingMethod.TenthMetre),
            new CompositeSettings(CompositeDepthRule.Factor, 2, new WrittenLength("1", LengthUnit.Metre), CompositeMethod.WeightedBottle),
            new SummarySettings(6, 9, 4),
            new CheckLimits(),
            [
                new ProtocolPlan(Protocol.Clarity, Rhythm.Days, new(5, 1), new(10, 15), 14, 10, 18),
                new ProtocolPlan(Protocol.Profile, Rhythm.Monthly, new(5, 1), new(10, 15)),
                new ProtocolPlan(Protocol.Phosphorus, Rhythm.Monthly, new(5, 1), new(10, 15), HoldHours: 24),
                new ProtocolPlan(Protocol.Chlorophyll, Rhythm.Monthly, new(5, 1), new(10, 15)),
            ]
        ),
        [
            new Line(
                "R-5",
                "rope",
                LengthUnit.Metre,
                new WrittenLength("0.1", LengthUnit.Metre),
                new WrittenLength("40", LengthUnit.Metre),
                [new LineCheck(new DateOnly(2026, 4, 11), [])]
            ),
        ],
        [],
        new WaterFacts(WaterKind.Lake, 112, "Europe/London", [new AreaAtDepth(0, 1_000_000), new AreaAtDepth(12, 0)]),
        [new Gear("M-1", "meter", KitKind.Meter), new Gear("V-1", "sampler", KitKind.BottleSampler, 2.2m, 3)]
    );

    internal static Protocol[] Protocols { get; } =
    [Protocol.Clarity, Protocol.Chlorophyll, Protocol.Phosphorus, Protocol.Profile, Protocol.Seawater];

    internal static SampleVisit MetricBegun(params Protocol[] due)
    {
        var visit = new SampleVisit();
        visit.Write(VisitKinds.VisitStarted, new VisitStartedBody("HAR-2", "layered", 1, ["Asa"], "R-5", due));
        return visit;
    }

    internal static SampleVisit Begun(params string[] observers)
    {
        var visit = new SampleVisit();
        visit.Write(
            VisitKinds.VisitStarted,
            new VisitStartedBody("HAR-1", "monthly", 1, observers.Length > 0 ? observers : ["Asa"], "R-3")
        );
        return visit;
    }

    internal Entry Sound(string written, Entry? strikes = null, string? why = null, string device = "phone") =>
        Write(SoundingKinds.Sounding, new SoundingBody(new WrittenLength(written, LengthUnit.FootInch)), strikes, why, device);

    internal Entry Lost(string written, int lowering = 1, Entry? strikes = null, string? why = null, string device = "phone") =>
        Mark(DiscEvent.Disappeared, written, lowering, strikes, why, device);

    internal Entry Seen(string written, int lowering = 1, Entry? strikes = null, string? why = null, string device = "phone") =>
        Mark(DiscEvent.Reappeared, written, lowering, strikes, why, device);

    internal Entry Outcome(DiscOutcome outcome, string? why = null) =>
        Write(SecchiKinds.DiscOutcome, new DiscOutcomeBody(outcome), null, why);

    internal Entry SoundMetres(string written, SoundedBy? by = null) =>
        Write(SoundingKinds.Sounding, new SoundingBody(new WrittenLength(written, LengthUnit.Metre), by));

    internal Entry LostMetres(string written) =>
        Write(SecchiKinds.DiscMark, new DiscMarkBody(1, DiscEvent.Disappeared, new WrittenLength(written, LengthUnit.Metre), "Asa"));

    internal Entry Level(
        string depth,
        string celsius,
        string? oxygen = null,
        OxygenUnit unit = OxygenUnit.MgPerL,
        bool? settled = null,
        string? conductivity = null,
        string? salinity = null,
        Entry? strikes = null,
        string? why = null
    ) =>
        Write(
            ProfileKinds.Level,
            new LevelBody(
                new WrittenLength(depth, LengthUnit.Metre),
                new WrittenTemperature(celsius, TemperatureUnit.Celsius),
                oxygen is null ? null : new WrittenOxygen(oxygen, unit),
                conductivity,
                null,
                salinity,
                settled
            ),
            strikes,
            why
        );

    internal Entry Calibrate(
        string read = "99.0",
        string expected = "100",
        OxygenUnit unit = OxygenUnit.Percent,
        bool atEnd = false,
        OxygenUnit? display = OxygenUnit.MgPerL
    ) =>
        Write(
            ProfileKinds.MeterCheck,
            new MeterCheckBody("M-1", atEnd, new WrittenOxygen(expected, unit), new WrittenOxygen(read, unit), Display: display)
        );

    internal Entry Conditions(ConditionsBody body, string device = "phone", int? version = null) =>
        Write(ArrivalKinds.Conditions, body, device: device, version: version);

    /// <summary>The next entries are written so much later.</summary>
    internal SampleVisit Later(TimeSpan by)
    {
        clock += by;
        return this;
    }

    internal Entry Strike(Entry entry, string why = "misread") => Write(VisitKinds.Strike, new EmptyBody(), entry, why);

    internal Entry Keep(string finding, string why, params Entry[] about) =>
        Write(VisitKinds.Kept, new KeptBody(finding, [.. about.Select(e => e.Id)]), null, why);

    internal Entry Close() => Write(VisitKinds.VisitClosed, new EmptyBody());

    /// <summary>What a repair writes, with one touch.</summary>
    internal Entry Write(RepairEntry repair)
    {
        clock = clock.AddMinutes(1);
        var entry = new Entry(
            Guid.CreateVersion7(clock),
            visit,
            repair.Kind,
            EntryKinds.All[repair.Kind].Version,
            repair.Body,
            clock,
            "Asa",
            "phone",
            repair.Strikes,
            repair.Why
        );
        Entries.Add(entry);
        return entry;
    }

    internal Entry Write<T>(
        EntryKind<T> kind,
        T body,
        Entry? strikes = null,
        string? why = null,
        string device = "phone",
        string by = "Asa",
        int? version = null
    )
        where T : class
    {
        clock = clock.AddMinutes(1);
        var entry = new Entry(
            Guid.CreateVersion7(clock),
            visit,
            kind.Name,
            version ?? kind.Version,
            JsonSerializer.SerializeToElement(body, (JsonTypeInfo<T>)kind.Body),
            clock,
            by,
            device,
            strikes?.Id,
            why
        );
        Entries.Add(entry);
        return entry;
    }

    internal FieldSheet Fold(VisitContext? context = null, ReaderUnit reader = ReaderUnit.AsRead) =>
        FieldSheet.Fold(new FoldRequest(Entries, context ?? Context, reader));

    internal static string Json(IEnumerable<Entry> entries) => Json(FieldSheet.Fold(new FoldRequest([.. entries], Context)));

    internal static string Json(FieldSheet sheet) => JsonSerializer.Serialize(sheet, CoreJson.Default.FieldSheet);

    private Entry Mark(DiscEvent seen, string written, int lowering, Entry? strikes, string? why, string device) =>
        Write(
            SecchiKinds.DiscMark,
            new DiscMarkBody(lowering, seen, new WrittenLength(written, LengthUnit.FootInch), "Asa"),
            strikes,
            why,
            device
        );
}
