using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Tests.Application.Visits;

namespace UpperStill.Core.Tests.Setup.Programmes;

/// <summary>Each thing that keeps a programme from being saved, by the one setting that is wrong.</summary>
public class ProgrammeFindingsTests
{
    private static readonly Programme Sound = SampleVisit.Metric.Programme;

    private static readonly Dictionary<string, (string Field, Programme Wrong)> Faults = new()
    {
        ["code-format"] = ("code", Sound with { Code = "a b" }),
        ["name-missing"] = ("name", Sound with { Name = " " }),
        ["hours-order"] = ("hours", Sound with { Hours = new HoursWindow(new TimeOnly(16, 0), new TimeOnly(10, 0)) }),
        ["readings-range"] = ("readings", Sound with { Clarity = Sound.Clarity with { Readings = 4 } }),
        ["factor-range"] = ("factor", Sound with { Composite = Sound.Composite with { Factor = 5.1m } }),
        ["preset-missing"] = (
            "preset",
            Sound with
            {
                Composite = Sound.Composite with { DepthRule = CompositeDepthRule.Preset, Preset = null },
            }
        ),
        ["summary-range"] = ("summary", Sound with { Summary = Sound.Summary with { FromMonth = 0, UntilMonth = 5 } }),
        ["season-twice"] = ("season", Sound with { Season = [.. Sound.Season!, Sound.Season![1]] }),
        ["hold-none"] = ("season", Sound with { Season = [Sound.Season![2] with { HoldHours = 0 }] }),
        ["season-window"] = ("season", Sound with { Season = [Sound.Season![0] with { From = new(13, 1) }] }),
        ["season-gaps"] = ("season", Sound with { Season = [Sound.Season![0] with { LeastGapDays = 19 }] }),
        ["setting-unknown"] = ("limits", Sound with { Thresholds = new Dictionary<string, decimal> { ["checks.of-the-moon"] = 1 } }),
        ["limit-range"] = ("limits", Sound with { Thresholds = new Dictionary<string, decimal> { ["checks.sun-low"] = 81 } }),
        ["option-unknown"] = ("schools", Sound with { Methods = new Dictionary<string, string> { ["visit.clock"] = "sundial" } }),
    };

    public static TheoryData<string> Codes => [.. Faults.Keys];

    [Fact]
    public void A_sound_programme_has_nothing_against_it() => Assert.Empty(ProgrammeCheck.Findings(Sound, VisitParts.Options));

    [Theory]
    [MemberData(nameof(Codes))]
    public void One_wrong_setting_stops_beside_its_field(string code)
    {
        var (field, wrong) = Faults[code];

        var fault = Assert.Single(ProgrammeCheck.Findings(wrong, VisitParts.Options));

        Assert.Equal((field, code, FindingLevel.Stop), (fault.Field, fault.Finding.Code, fault.Finding.Level));
    }
}
