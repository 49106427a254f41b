using UpperStill.Core.Application.Outings;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Tests.Application.Outings;

/// <summary>The paper sheet asks what the pages ask.</summary>
public class PaperTests
{
    private static readonly Programme Layered = Presets.All.Single(p => p.Programme.Code == "layered-lake").Programme;

    public static TheoryData<string> Described => [.. VisitParts.Described.Select(p => p.Description.Code)];

    [Theory]
    [MemberData(nameof(Described))]
    public void Every_field_of_a_described_protocol_stands_on_its_sheet(string code)
    {
        var words = Words(Sheet(Layered, StationKind.Boat, new Protocol(code)));

        foreach (var field in VisitParts.Described.Single(p => p.Description.Code == code).Description.Steps.SelectMany(s => s.Fields))
        {
            var asked = field.Kind == FieldKind.Checklist ? field.Choices![0].Words : field.Label;
            Assert.Contains(words, w => w.StartsWith(asked, StringComparison.Ordinal));
        }
    }

    [Fact]
    public void What_is_repeated_at_depths_has_a_row_for_each_and_kinds_are_written_in()
    {
        var grab = Sheet(Layered, StationKind.Boat, new Protocol("grab"))
            .Single(p => p.Title.Contains("Find the depth", StringComparison.Ordinal));
        Assert.Equal(["at the shore", "0.5 m", "1 m", "1.5 m", "2 m", "3 m"], grab.Table!.Rows.Select(r => r[0]));
        var rake = Sheet(Layered, StationKind.Boat, new Protocol("rake"))
            .Single(p => p.Title.Contains("Spread and name", StringComparison.Ordinal));
        Assert.Equal("kind", rake.Table!.Heads[0]);
        Assert.True(rake.Table.Rows.Count > 5);
    }

    [Theory]
    [InlineData("marks", "lost, reading 1", "seen again, reading 1")]
    [InlineData("folded", "middle of the fold, reading 1")]
    public void The_marks_of_the_method_have_a_box_each(string midpoint, params string[] marks)
    {
        var programme = Layered with
        {
            Clarity = new ClaritySettings(EndPoint.Mean, 1, ObserverMethod.Same, RoundingMethod.HundredthMetre),
            Methods = new Dictionary<string, string> { [SecchiOptions.Midpoint.Setting] = midpoint },
        };
        var clarity = Assert.Single(Sheet(programme, StationKind.Boat, Protocol.Clarity), p =>
            p.Title.StartsWith("Clarity", StringComparison.Ordinal)
        );

        Assert.Equal(marks, clarity.Boxes.Select(b => b.Label).Where(l => l.Contains("reading", StringComparison.Ordinal)));
        Assert.All(clarity.Boxes.Take(marks.Length), b => Assert.Equal("ft in", b.Unit));
    }

    [Fact]
    public void Nothing_is_sounded_or_anchored_where_there_is_no_boat()
    {
        var afloat = Words(Sheet(Layered, StationKind.Boat, Protocol.Clarity));
        var pier = Words(Sheet(Layered, StationKind.Pier, Protocol.Clarity));

        Assert.Contains("Depth", afloat);
        Assert.Contains("Does the anchor hold?", afloat);
        Assert.DoesNotContain("Depth", pier);
        Assert.DoesNotContain("Does the anchor hold?", pier);
    }

    [Fact]
    public void The_pieces_stand_in_the_order_of_work_and_few_short_answers_are_ticked()
    {
        var sheet = Sheet(Layered, StationKind.Boat, [.. Layered.Season!.Select(p => p.Protocol)]);

        Assert.Equal("Arriving", sheet[0].Title);
        Assert.Equal(sheet.Select(p => p.Rank).Order(), sheet.Select(p => p.Rank));
        var boxes = sheet.SelectMany(p => p.Boxes).ToLookup(b => b.Label);
        Assert.Equal((true, 2), (boxes["Does the anchor hold?"].Single().Ticked, boxes["Does the anchor hold?"].Single().Answers!.Count));
        Assert.Equal((false, 7), (boxes["Wind"].Single().Ticked, boxes["Wind"].Single().Answers!.Count));
    }

    [Theory]
    [InlineData("named", true, true)]
    [InlineData("algae", true, false)]
    [InlineData("none", false, false)]
    public void Only_the_questions_of_the_programme_are_asked(string questions, bool algae, bool recreation)
    {
        var programme = Layered with
        {
            Methods = new Dictionary<string, string>
            {
                [SecchiOptions.Questions.Setting] = questions,
                [SecchiOptions.Glasses.Setting] = "unasked",
            },
        };
        var words = Words(Sheet(programme, StationKind.Boat, Protocol.Clarity));

        Assert.Equal(
            (algae, recreation, false),
            (
                words.Contains("Your opinion of the algae here"),
                words.Contains("Your opinion: would you swim and boat here?"),
                words.Contains("Sunglasses")
            )
        );
    }

    [Fact]
    public void A_line_that_is_not_of_the_kit_leaves_room_for_its_unit() =>
        Assert.Equal(
            ["____"],
            Sheet(Layered, StationKind.Boat, "R-9", Protocol.Clarity)
                .SelectMany(p => p.Boxes)
                .Where(b => b.Label == "Depth")
                .Select(b => b.Unit)
        );

    private static IReadOnlyList<PaperPiece> Sheet(Programme programme, StationKind kind, params Protocol[] due) =>
        Sheet(programme, kind, "R-5", due);

    private static IReadOnlyList<PaperPiece> Sheet(Programme programme, StationKind kind, string line, params Protocol[] due) =>
        Outing
            .Prepare(
                new OutingRequest(
                    new DateOnly(2026, 8, 12),
                    TimeSpan.FromHours(1),
                    [new OutingPlace(Deep with { Kind = kind }, programme, due, line)],
                    [new KitItem("R-5", "line of feet", KitKind.Line, Marks: new LineMarks(LengthUnit.FootInch, Feet("1"), Feet("120")))],
                    null,
                    null,
                    false,
                    []
                )
            )
            .Stops[0]
            .Paper;

    private static readonly Station Deep = new("HAR-1", "harrowmere", "Harrowmere", "Aldwick", "Deep Hole", Feet("102"), 51.9127, -11.4419);

    private static WrittenLength Feet(string written) => new(written, LengthUnit.Foot);

    private static List<string> Words(IEnumerable<PaperPiece> sheet) =>
        [
            .. sheet.SelectMany(p =>
                p.Boxes.Select(b => b.Label).Concat(p.Ticks).Concat(p.Table?.Heads ?? []).Concat(p.Table?.Rows.Select(r => r[0]) ?? [])
            ),
        ];
}
