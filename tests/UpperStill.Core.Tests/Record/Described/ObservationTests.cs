using CsCheck;
using UpperStill.Core.Application.Delivery;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Tests.Application.Visits;

namespace UpperStill.Core.Tests.Record.Described;

/// <summary>Whatever is recorded of a described protocol is kept and never without a word.</summary>
public class ObservationTests
{
    private static readonly Gen<ObservedValue> Values = Gen.OneOf(
        Gen.Select(
            Gen.OneOfConst("21", "1.016", "-3", "", "about 20", "1,234", "12 9", "1e9", "99999999"),
            Gen.OneOfConst<string?>("ppt", "m", "ft", "°C", "%", null),
            (w, u) => new ObservedValue { Written = w, Unit = u }
        ),
        Gen.Bool.Select(b => new ObservedValue { Yes = b }),
        Gen.OneOfConst("kept", "set", "elsewhere", "").Select(c => new ObservedValue { Choice = c }),
        Gen.Int[-5, 2_000_000].Select(n => new ObservedValue { Count = n }),
        Gen.Select(Gen.Int[-100, 100], Gen.Int[-100, 100], (a, b) =>
            new ObservedValue
            {
                At = DateTimeOffset.UnixEpoch.AddYears(56).AddSeconds(a),
                Until = DateTimeOffset.UnixEpoch.AddYears(56).AddSeconds(b),
            }
        ),
        Gen.Double[-200, 200].Select(d => new ObservedValue { Position = new Position(d, -d) }),
        Gen.Const(new ObservedValue()),
        Gen.Const(
            new ObservedValue
            {
                Ticked = [],
                Counts = new Dictionary<string, int>(),
                Choices = [],
            }
        )
    );

    [Fact]
    public void The_fold_never_throws_and_gives_the_same_in_any_order()
    {
        Box[] boxes =
        [
            .. VisitParts.Described.SelectMany(p =>
                p.Description.Steps.SelectMany(s => s.Fields.Select(f => new Box(p.Code, s.Code, f.Code)))
            ),
            new("refractometer", "read", "colour"),
        ];
        Gen.Select(
                Gen.OneOfConst(boxes),
                Values,
                Gen.OneOfConst<string?>(null, "1", "2", "x"),
                Gen.Int[1, 4],
                Gen.OneOfConst(1, 1, 1, 7),
                (box, value, item, number, version) => (box, value, item, number, version)
            )
            .Array[0, 25]
            .Sample(
                written =>
                {
                    foreach (var protocol in VisitParts.Described.Select(p => p.Code))
                    {
                        var visit = new ObservedVisit(protocol);
                        foreach (var (box, value, item, number, version) in written.Where(w => w.box.Protocol == protocol))
                        {
                            visit.Put(box.Step, box.Field, value, item, number, version);
                        }

                        var sheet = SampleVisit.Json(visit.Sheet);
                        visit.Visit.Entries.Reverse();
                        visit.Visit.Entries.AddRange([.. visit.Visit.Entries]);
                        Assert.Equal(sheet, SampleVisit.Json(visit.Sheet));
                    }
                },
                iter: 200
            );
    }

    [Theory]
    [InlineData("read", "colour", 1, "field-unknown")]
    [InlineData("nowhere", "salinity", 1, "field-unknown")]
    [InlineData("read", "salinity", 2, "protocol-unknown")]
    public void What_its_description_does_not_know_is_kept_and_said(string step, string field, int version, string code)
    {
        var visit = new ObservedVisit("refractometer").Put(
            step,
            field,
            new ObservedValue { Written = "21", Unit = "ppt" },
            "1",
            1,
            version
        );

        Assert.Null(EntryCheck.Refusal(visit.Last!));
        Assert.Equal([code], visit.Codes);
        Assert.Empty(visit.Protocol.Values);
    }

    [Fact]
    public void A_protocol_that_is_not_known_is_kept_and_said()
    {
        var visit = new ObservedVisit("moon-watch").Put("look", "phase", new ObservedValue { Words = "full" });

        Assert.Null(EntryCheck.Refusal(visit.Last!));
        Assert.Equal(Beside.Header, Assert.Single(visit.Sheet.Findings, f => f.Code == "protocol-unknown").Beside);
        Assert.Null(visit.Sheet.Protocols);
    }

    [Theory]
    [InlineData("21", null, "unit-missing")]
    [InlineData("21", "%", "unit-unknown")]
    [InlineData("140", "ppt", "value-impossible")]
    [InlineData("1,234", "ppt", "number-comma")]
    [InlineData("about 20", "ppt", "number-unreadable")]
    public void What_cannot_be_used_is_kept_as_written_beside_its_address(string written, string? unit, string code)
    {
        var visit = new ObservedVisit("refractometer").Put("read", "salinity", new ObservedValue { Written = written, Unit = unit }, "1");

        var finding = Assert.Single(visit.Sheet.Findings, f => f.Code == code);
        Assert.Equal((FindingLevel.Stop, "refractometer/read/1/1/salinity"), (finding.Level, finding.At));
        Assert.Equal([visit.Last!.Id], finding.About);
        Assert.Null(visit.Protocol.Derived[0].Value);
    }

    [Fact]
    public void A_value_that_is_struck_is_gone_and_its_finding_with_it()
    {
        var visit = new ObservedVisit("refractometer").Number("read", "salinity", "140 ppt", "1");
        visit.Visit.Strike(visit.Last!);

        Assert.Empty(visit.Codes);
        Assert.Empty(visit.Protocol.Values);
    }

    [Fact]
    public void Two_values_of_one_address_are_said_and_the_later_stands()
    {
        var visit = new ObservedVisit("refractometer").Number("read", "salinity", "21 ppt", "1").Number("read", "salinity", "27 ppt", "1");

        Assert.Contains("number-called-twice", visit.Codes);
        Assert.Equal("27 ppt", Assert.Single(visit.Protocol.Values).Text);
    }

    [Fact]
    public void Whatever_is_said_has_an_address_on_the_page_of_its_protocol()
    {
        var visit = new ObservedVisit("refractometer")
            .Number("read", "salinity", "21 ppt", "1")
            .Number("read", "salinity", "27 ppt", "1")
            .Put("read", "colour", new ObservedValue { Words = "red" }, "1");
        for (var number = 1; number <= 3; number++)
        {
            visit.Yes("drop", "bubbles", true, "2", number);
        }

        Assert.Subset(
            visit.Codes.ToHashSet(),
            new HashSet<string> { "number-called-twice", "field-unknown", "drop-bubbles", "tries-many" }
        );
        Assert.All(visit.Sheet.Findings.Where(f => f.Beside == Beside.Observation), f =>
            Assert.StartsWith("refractometer", f.At, StringComparison.Ordinal)
        );
        Assert.Equal("refractometer/drop/2/3/", visit.Sheet.Findings.Single(f => f.Code == "tries-many").At);
    }

    [Fact]
    public void A_step_with_an_open_stop_is_not_done()
    {
        var visit = new ObservedVisit("refractometer")
            .Number("zero", "zero", "0 ppt")
            .Count("drop", "drops", 1, "1")
            .Yes("drop", "bubbles", false, "1")
            .Waited("wait", "wait", 30, "1")
            .Number("read", "salinity", "140 ppt", "1");
        Assert.NotEqual(StepState.Done, visit.Sheet.Steps.Single(s => s.Name == "refractometer").State);

        visit.Visit.Strike(visit.Last!);
        visit.Number("read", "salinity", "14 ppt", "1");
        Assert.Equal(StepState.Done, visit.Sheet.Steps.Single(s => s.Name == "refractometer").State);
    }

    [Fact]
    public void A_timer_that_was_short_says_why_it_is_waited()
    {
        var visit = new ObservedVisit("refractometer").Waited("wait", "wait", 12, "1");

        Assert.Equal("12 of 30 s.", Assert.Single(visit.Sheet.Findings, f => f.Code == "timer-short").Seen);
        Assert.Contains("timer-backwards", new ObservedVisit("refractometer").Waited("wait", "wait", -3, "1").Codes);
    }

    [Fact]
    public void Every_description_can_be_filled_in_and_is_published_as_it_is()
    {
        var published = DescribedProtocols.Work(new ProtocolsRequest());

        Assert.Equal(VisitParts.Described.Select(p => p.Code).Order(), published.Protocols.Select(p => p.Code).Order());
        Assert.All(published.Protocols, p =>
        {
            Assert.Equal(
                p.Steps.SelectMany(s => s.Fields).Count(),
                p.Steps.SelectMany(s => s.Fields).Select(f => f.Code).Distinct().Count()
            );
            Assert.All(p.Steps, s => Assert.EndsWith(".", s.Why, StringComparison.Ordinal));
            Assert.All(p.Steps.SelectMany(s => s.Fields), f =>
            {
                Assert.True(
                    f.Kind is not (FieldKind.OneOf or FieldKind.SomeOf or FieldKind.Checklist) || f.Choices is { Count: > 1 },
                    f.Code
                );
                Assert.True(f.UsualLeast is null || (f.UsualLeast >= f.Least && f.UsualMost <= f.Most), f.Code);
                Assert.True(f.Units is null || f.Units[0].Factor == 1, f.Code);
            });
        });
    }

    private sealed record Box(string Protocol, string Step, string Field);
}
