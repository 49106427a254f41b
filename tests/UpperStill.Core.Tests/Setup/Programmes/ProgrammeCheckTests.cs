using System.Text.Json;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Seasons;

namespace UpperStill.Core.Tests.Setup.Programmes;

public class ProgrammeCheckTests
{
    public static TheoryData<string> Codes => [.. Presets.All.Select(p => p.Programme.Code)];

    private static Programme Sound => Presets.All[1].Programme;

    [Theory]
    [MemberData(nameof(Codes))]
    public void Every_preset_is_sound_and_gives_a_season(string code)
    {
        var preset = Presets.All.Single(p => p.Programme.Code == code);
        var station = new StationSeason("X-1", preset.Programme.Season!, preset.Programme.Hours, []);
        var plan = SeasonPlanner.Work(new SeasonRequest(2026, new DateOnly(2026, 1, 1), [station], Seasons.SampleSeason.Lab)).Stations[0];

        Assert.Empty(ProgrammeCheck.Findings(preset.Programme, VisitParts.Options));
        Assert.DoesNotContain(plan.Findings, f => f.Level != FindingLevel.Note);
        Assert.All(plan.Counts, c => Assert.True(c.Planned >= c.Least, $"{c.Protocol}: {c.Planned} of {c.Least}"));
    }

    [Theory]
    [MemberData(nameof(Codes))]
    public void A_programme_goes_to_a_file_and_comes_back_the_same(string code)
    {
        var programme = Presets.All.Single(p => p.Programme.Code == code).Programme;
        var file = JsonSerializer.Serialize(programme, CoreJson.Default.Programme);

        Assert.Equal(
            file,
            JsonSerializer.Serialize(JsonSerializer.Deserialize(file, CoreJson.Default.Programme)!, CoreJson.Default.Programme)
        );
    }

    [Fact]
    public void What_cannot_be_worked_by_is_refused_beside_its_field()
    {
        (string Field, Programme Programme)[] broken =
        [
            ("code", Sound with { Code = "two words" }),
            ("name", Sound with { Name = " " }),
            ("hours", Sound with { Hours = new(new TimeOnly(16, 0), new TimeOnly(10, 0)) }),
            ("readings", Sound with { Clarity = Sound.Clarity with { Readings = 0 } }),
            ("factor", Sound with { Composite = Sound.Composite with { Factor = 0 } }),
            ("preset", Sound with { Composite = Sound.Composite with { DepthRule = CompositeDepthRule.Preset } }),
            ("clearance", Sound with { Composite = Sound.Composite with { Clearance = new WrittenLength("a bit", LengthUnit.Metre) } }),
            ("summary", Sound with { Summary = new(9, 13, 4) }),
            ("season", Sound with { Season = [Sound.Season![0] with { LeastGapDays = 20 }] }),
            ("season", Sound with { Season = [Sound.Season![0], Sound.Season[0]] }),
        ];

        Assert.All(broken, b =>
            Assert.Contains(ProgrammeCheck.Findings(b.Programme, VisitParts.Options), f =>
                f.Field == b.Field && f.Finding.Level == FindingLevel.Stop
            )
        );
    }

    [Fact]
    public void A_change_of_method_breaks_a_series_and_a_change_of_dates_does_not()
    {
        Assert.Empty(
            ProgrammeCheck.Breaks(
                Sound,
                Sound with
                {
                    Name = "Another",
                    Season = [],
                    Checks = new CheckLimits(PairApartM: 0.5m),
                },
                VisitParts.Options
            )
        );
        Assert.Contains(
            "end point",
            Assert.Single(
                ProgrammeCheck.Breaks(
                    Sound,
                    Sound with
                    {
                        Clarity = Sound.Clarity with { EndPoint = EndPoint.Disappear },
                    },
                    VisitParts.Options
                )
            ),
            StringComparison.Ordinal
        );
        Assert.Contains(
            "another layer",
            Assert.Single(ProgrammeCheck.Breaks(Sound, Sound with { Composite = Sound.Composite with { Factor = 1 } }, VisitParts.Options)),
            StringComparison.Ordinal
        );
        Assert.Contains(
            "light differs",
            Assert.Single(
                ProgrammeCheck.Breaks(Sound, Sound with { Hours = new(new TimeOnly(8, 0), new TimeOnly(12, 0)) }, VisitParts.Options)
            ),
            StringComparison.Ordinal
        );
    }
}
