using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Arrival;
using UpperStill.Core.Protocols.Bottles;
using UpperStill.Core.Protocols.Leaving;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Tests.Application.Visits;

/// <summary>For each finding a visit that raises it, and one that differs in the one thing that matters and does not.</summary>
public class VisitFindingsTests
{
    private sealed record Pair(
        FindingLevel Level,
        Beside Beside,
        Action<SampleVisit> Raises,
        Action<SampleVisit> Does,
        VisitContext? Under = null,
        VisitContext? Instead = null
    );

    private static readonly Dictionary<string, Pair> Pairs = new()
    {
        ["clarity-in-mud"] = new(FindingLevel.Check, Beside.Clarity, v => Ended(v, DiscOutcome.InMud), v => Lost(v)),
        ["clarity-in-plants"] = new(FindingLevel.Note, Beside.Clarity, v => Ended(v, DiscOutcome.InPlants), v => Lost(v)),
        ["clarity-on-bottom"] = new(FindingLevel.Note, Beside.Clarity, v => Ended(v, DiscOutcome.OnBottom), v => Lost(v)),
        ["clarity-below-bottom"] = new(FindingLevel.Stop, Beside.Clarity, v => Lost(v, "12.1"), v => Lost(v, "11.7")),
        ["clarity-at-bottom"] = new(FindingLevel.Check, Beside.Clarity, v => Lost(v, "11.9"), v => Lost(v, "11.7")),
        ["clarity-side-wrong"] = new(
            FindingLevel.Check,
            Beside.Clarity,
            v => Read(v, new(BoatSide.Sun, false)),
            v => Read(v, new(BoatSide.Sun, true))
        ),
        ["sunglasses-on"] = new(
            FindingLevel.Check,
            Beside.Clarity,
            v => Read(v, new(Sunglasses: true)),
            v => Read(v, new(Sunglasses: false))
        ),
        ["clarity-unconfirmed"] = new(
            FindingLevel.Check,
            Beside.Clarity,
            v => Read(v, new(BoatSide.Shade)),
            v => Read(v, new(BoatSide.Shade, Sunglasses: false))
        ),
        ["line-angle-large"] = new(
            FindingLevel.Check,
            Beside.Clarity,
            v => Read(v, new(LineAngleDeg: 45)),
            v => Read(v, new(LineAngleDeg: 0))
        ),
        ["sun-low"] = new(
            FindingLevel.Check,
            Beside.Clarity,
            v => Lost(v.Later(TimeSpan.FromHours(9))),
            v => Lost(v.Later(TimeSpan.FromHours(3)))
        ),
        ["waves-over-limit"] = new(FindingLevel.Check, Beside.Clarity, v => Weather(v, new(Waves: 4)), v => Weather(v, new(Waves: 3))),
        ["colour-between"] = new(FindingLevel.Note, Beside.Clarity, v => Colour(v, 7, 8), v => Colour(v, 7)),
        ["bloom-seen"] = new(FindingLevel.Check, Beside.Clarity, v => Opinion(v, 5), v => Opinion(v, 4)),
        ["clarity-reading-missing"] = new(FindingLevel.Stop, Beside.Leaving, v => v.SoundMetres("11.9"), v => Lost(v)),
        ["left-behind"] = new(FindingLevel.Check, Beside.Leaving, v => Aboard(v, false), v => Aboard(v, true)),
        ["line-unchecked"] = new(FindingLevel.Check, Beside.Header, _ => { }, _ => { }, Untaped),
        ["hours-outside"] = new(FindingLevel.Check, Beside.Header, _ => { }, _ => { }, From(11)),
        ["people-too-few"] = new(FindingLevel.Stop, Beside.Header, v => Weather(v, new(People: 1)), v => Weather(v, new(People: 2))),
        ["anchor-missing"] = new(
            FindingLevel.Check,
            Beside.Header,
            v => Weather(v, new(Anchored: false)),
            v => Weather(v, new(Anchored: true))
        ),
        ["weather-over-limit"] = new(
            FindingLevel.Stop,
            Beside.Header,
            v => Weather(v, new() { Thunder = true }),
            v => Weather(v, new() { Thunder = false })
        ),
        ["rain-heavy"] = new(FindingLevel.Note, Beside.Header, v => Weather(v, new(Rain24Mm: 26)), v => Weather(v, new(Rain24Mm: 25))),
        ["rain-unknown"] = new(FindingLevel.Check, Beside.Header, v => Lost(v), v => Weather(v, new(Rain24Mm: 0, Rain72Mm: 0))),
        ["landmarks-off"] = new(FindingLevel.Check, Beside.Header, v => Landmarks(v, false), v => Landmarks(v, true)),
        ["position-poor"] = new(FindingLevel.Note, Beside.Header, v => Fix(v, 51.9241, 31), v => Fix(v, 51.9241, 30)),
        ["position-far"] = new(FindingLevel.Check, Beside.Header, v => Fix(v, 51.9245, 5), v => Fix(v, 51.9243, 5)),
        ["sounding-differs"] = new(FindingLevel.Check, Beside.Sounding, v => v.SoundMetres("10.7"), v => v.SoundMetres("10.9")),
        ["unit-unlikely"] = new(FindingLevel.Check, Beside.Sounding, v => v.SoundMetres("39.4"), v => v.SoundMetres("12.1")),
        ["copied-later"] = new(FindingLevel.Note, Beside.Header, v => Copied(v, 16), v => Copied(v, 14)),
        ["bottle-too-deep"] = new(FindingLevel.Stop, Beside.Bottles, v => Deep(v, "11.0"), v => Deep(v, "10.5")),
        ["composite-no-preset"] = new(FindingLevel.Stop, Beside.Composite, v => Lost(v), v => Lost(v), Preset(null), Preset("5")),
        ["composite-clearance-unreadable"] = new(
            FindingLevel.Stop,
            Beside.Composite,
            v => Lost(v),
            v => Lost(v),
            Clearance("a boat’s length")
        ),
    };

    public static TheoryData<string> Codes => [.. Pairs.Keys];

    [Theory]
    [MemberData(nameof(Codes))]
    public void It_is_raised_where_it_should_be_and_stands_beside_what_it_speaks_of(string code)
    {
        var pair = Pairs[code];

        var finding = Assert.Single(Fold(pair.Raises, pair.Under).Findings, f => f.Code == code);

        Assert.Equal((pair.Level, pair.Beside), (finding.Level, finding.Beside));
        Assert.All([finding.Seen, finding.Why, finding.Act], words => Assert.Matches(@"^\S.*[.?]$", words));
    }

    [Theory]
    [MemberData(nameof(Codes))]
    public void It_is_silent_where_the_one_thing_is_otherwise(string code) =>
        Assert.DoesNotContain(Fold(Pairs[code].Does, Pairs[code].Instead).Findings, f => f.Code == code);

    private static FieldSheet Fold(Action<SampleVisit> written, VisitContext? context)
    {
        var visit = SampleVisit.MetricBegun(Protocol.Clarity, Protocol.Chlorophyll, Protocol.Phosphorus);
        written(visit);
        return visit.Fold(context ?? SampleVisit.Metric);
    }

    private static void Lost(SampleVisit visit, string mark = "3.4")
    {
        visit.SoundMetres("11.9");
        visit.LostMetres(mark);
    }

    private static void Ended(SampleVisit visit, DiscOutcome outcome)
    {
        visit.SoundMetres("11.9");
        visit.Outcome(outcome);
    }

    private static void Read(SampleVisit visit, DiscConditionsBody how)
    {
        Lost(visit);
        visit.Write(SecchiKinds.DiscConditions, how);
    }

    private static void Weather(SampleVisit visit, ConditionsBody conditions)
    {
        visit.Conditions(conditions);
        Lost(visit);
    }

    private static void Colour(SampleVisit visit, params int[] steps)
    {
        Lost(visit);
        visit.Write(SecchiKinds.Colour, new ColourBody(steps));
    }

    private static void Opinion(SampleVisit visit, int answer)
    {
        Lost(visit);
        visit.Write(SecchiKinds.Opinion, new OpinionBody("algae", answer));
    }

    private static void Aboard(SampleVisit visit, bool aboard) => visit.Write(LeavingKinds.Aboard, new AboardBody("sounding lead", aboard));

    private static void Landmarks(SampleVisit visit, bool inLine) => visit.Write(ArrivalKinds.Landmarks, new LandmarksBody(0, inLine));

    // A ten-thousandth of a degree of latitude is 11 m; the station lies at 51.9241.
    private static void Fix(SampleVisit visit, double latitude, decimal accuracy) =>
        visit.Write(ArrivalKinds.Fix, new FixBody(latitude, -11.4376, FixSource.Device, accuracy));

    private static void Copied(SampleVisit visit, int minutes)
    {
        Lost(visit);
        visit.Entries[^1] = visit.Entries[^1] with { At = visit.Entries[^1].At.AddMinutes(-minutes) };
    }

    // 11.9 m less a metre of clearance.
    private static void Deep(SampleVisit visit, string depth)
    {
        Lost(visit);
        visit.Write(BottleKinds.BottleDepth, new BottleDepthBody(new("layer-3"), new WrittenLength(depth, LengthUnit.Metre)));
    }

    private static VisitContext Untaped => SampleVisit.Metric with { Lines = [SampleVisit.Metric.Lines[0] with { Checks = [] }] };

    private static VisitContext From(int hour) =>
        SampleVisit.Metric with
        {
            Programme = SampleVisit.Metric.Programme with { Hours = new HoursWindow(new TimeOnly(hour, 0), new TimeOnly(16, 0)) },
        };

    private static VisitContext Preset(string? metres) =>
        Composing(c =>
            c with
            {
                DepthRule = CompositeDepthRule.Preset,
                Preset = metres is null ? null : new WrittenLength(metres, LengthUnit.Metre),
            }
        );

    private static VisitContext Clearance(string written) =>
        Composing(c => c with { Clearance = new WrittenLength(written, LengthUnit.Metre) });

    private static VisitContext Composing(Func<CompositeSettings, CompositeSettings> change) =>
        SampleVisit.Metric with
        {
            Programme = SampleVisit.Metric.Programme with { Composite = change(SampleVisit.Metric.Programme.Composite) },
        };
}
