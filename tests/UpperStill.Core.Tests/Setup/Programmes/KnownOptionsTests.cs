using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Protocols.Arrival;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Tests.Setup.Programmes;

public class KnownOptionsTests
{
    private static readonly Programme Town = Presets.All.Single(p => p.Programme.Code == "town-lakes").Programme with { Methods = null };

    [Fact]
    public void Every_method_is_explained_and_has_ways_to_choose_from()
    {
        Assert.Equal(VisitParts.Options.Methods.Count, VisitParts.Options.Methods.Select(s => s.Setting).Distinct().Count());
        Assert.All(VisitParts.Options.Methods, s =>
        {
            Assert.True(s.Options.Count >= 2, s.Setting);
            Assert.Equal(s.Options.Count, s.Options.Select(o => o.Code).Distinct().Count());
            Assert.All(s.Options, o => Assert.False(string.IsNullOrWhiteSpace(o.Words)));
            Assert.EndsWith(".", s.Why, StringComparison.Ordinal);
        });
    }

    [Fact]
    public void Every_limit_s_usual_value_is_one_it_may_have()
    {
        Assert.Equal(VisitParts.Options.Thresholds.Count, VisitParts.Options.Thresholds.Select(l => l.Setting).Distinct().Count());
        Assert.All(VisitParts.Options.Thresholds, l => Assert.InRange(l.Usual, l.Least, l.Greatest));
    }

    [Fact]
    public void What_is_not_chosen_is_the_usual()
    {
        Assert.Equal(("shaded", 8m), (Town.ChoiceOf(SecchiOptions.Side), Town.Of(ArrivalOptions.Wind)));
        Assert.Null(VisitParts.Options.Method("clarity.colour-of-hat"));
        Assert.Null(VisitParts.Options.Threshold("clarity.colour-of-hat"));
    }

    [Theory]
    [InlineData("clarity.side", "sunny-tube", null)]
    [InlineData("clarity.side", "upside-down", "option-unknown")]
    [InlineData("clarity.hat", "on", "setting-unknown")]
    public void A_method_that_nobody_could_follow_is_refused(string setting, string option, string? code) =>
        Assert.Equal(
            code,
            ProgrammeCheck
                .Findings(Town with { Methods = new Dictionary<string, string> { [setting] = option } }, VisitParts.Options)
                .SingleOrDefault()
                ?.Finding.Code
        );

    [Theory]
    [InlineData("visit.wind-limit", 6, null)]
    [InlineData("visit.wind-limit", 60, "limit-range")]
    [InlineData("visit.hat-limit", 1, "setting-unknown")]
    public void A_limit_beyond_reason_is_refused(string setting, int value, string? code)
    {
        var finding = ProgrammeCheck
            .Findings(Town with { Thresholds = new Dictionary<string, decimal> { [setting] = value } }, VisitParts.Options)
            .SingleOrDefault()
            ?.Finding;

        Assert.Equal(code, finding?.Code);
        Assert.True(finding is null || finding.Level == FindingLevel.Stop);
    }

    [Fact]
    public void Every_preset_can_be_kept_and_names_only_what_differs_from_the_usual() => Assert.All(Presets.All, p =>
        {
            Assert.Empty(ProgrammeCheck.Findings(p.Programme, VisitParts.Options));
            Assert.All(p.Programme.Methods ?? new Dictionary<string, string>(), s =>
                Assert.NotEqual(VisitParts.Options.Method(s.Key)!.Usual, s.Value)
            );
        });

    [Theory]
    [InlineData("chlorophyll-filter", 1, null)]
    [InlineData("soup", 1, "sample-unknown")]
    [InlineData("chlorophyll-filter", 20, "replicates-range")]
    public void Bottles_that_could_not_be_labelled_are_refused(string type, int replicates, string? code) =>
        Assert.Equal(
            code,
            ProgrammeCheck
                .Findings(
                    Town with
                    {
                        Season =
                        [
                            .. Town.Season!.Select(
                                (p, i) => i == 0 ? p : p with { Bottles = [new BottlePlan(type, SampleFrom.Surface, replicates)] }
                            ),
                        ],
                    },
                    VisitParts.Options
                )
                .SingleOrDefault()
                ?.Finding.Code
        );

    [Fact]
    public void A_change_that_makes_another_series_is_said_and_one_that_does_not_is_not()
    {
        Assert.Equal(
            ["side of the boat: it was “shaded”, it would be “sunny, with a viewing tube”"],
            ProgrammeCheck.Breaks(
                Town,
                Town with
                {
                    Methods = new Dictionary<string, string> { ["clarity.side"] = "sunny-tube", ["label.tool"] = "pencil" },
                },
                VisitParts.Options
            )
        );
        Assert.Empty(
            ProgrammeCheck.Breaks(
                Town,
                Town with
                {
                    Methods = new Dictionary<string, string> { ["clarity.side"] = "shaded" },
                },
                VisitParts.Options
            )
        );
    }
}
