using UpperStill.Core.Application.Visits;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Tests.Application.Visits;

namespace UpperStill.Core.Tests.Application.Options;

/// <summary>A choice that nothing reads is not there: each is taken in its example, and must be seen.</summary>
public class OptionTests
{
    private static readonly Programme Plain = SampleVisit.Metric.Programme with { Methods = null, Thresholds = null };

    // The example in which a setting shows: the first that it begins like.
    private static readonly (string Example, string Settings)[] Shown =
    [
        ("paper sheet", "visit.clock"),
        ("bottles", "visit.order"),
        ("station", "season.stations"),
        ("feet", "programme.units metres"),
        ("profile", "programme."),
        ("uncalibrated", "profile.calibrate"),
        ("composite", "sample.replicates; composite.lowering"),
        ("odd composite", "composite.; checks.composite-"),
        ("series", "bacteria.mean"),
        ("beach", "bacteria."),
        ("fixed depth", "bottle.deep-fixed"),
        ("mark of a tow", "tow.mark"),
        ("tow", "tow.; checks.tow-"),
        ("count", "checks.count-low"),
        ("drops", "refractometer."),
        ("grab", "grab.; sieve.; checks.grab-"),
        ("rake", "rake."),
        ("stream", "flow.; tributary.; checks.flow-"),
        ("surf", "surf."),
        ("sea", "seawater.; checks.fix-"),
        ("traces", "mercury.; checks.notice-; checks.companion-"),
        ("pond", "pond."),
        ("sand", "plastics."),
        ("scum", "bloom."),
        ("opinions", "opinion.each; bridge."),
        ("audit", "audit."),
        ("disc", "clarity.; colour.; opinion.; checks.sun-low"),
        ("sonde", "checks.settled-"),
        ("forecast", "checks.cold-water; checks.thunder; checks.visibility"),
        (
            "odd arrival",
            "checks.copied-later; checks.fahrenheit; checks.line-angle-large; checks.rain-heavy; checks.thermometers-disagree; "
                + "checks.working-differs"
        ),
        ("odd bench", "checks.filter-in-light; checks.replicate; checks.thawed; checks.volume-low; filter.within"),
        ("bench", "filter."),
        ("profile", "profile.; checks.add-level-temperature"),
        ("odd profile", "checks.add-level-oxygen; checks.barometer; checks.calibration-; checks.density-falls; checks.oxygen-"),
        ("arrival", "station.; visit.; temperature."),
        ("bottles", "bottle.; sampler.; sample.; container.; preservative.; label.; protocol.gloves; checks.water-short"),
    ];

    public static TheoryData<string, string> Choices =>
        [.. VisitParts.Options.Methods.SelectMany(m => m.Options.Skip(1).Select(o => (m.Setting, o.Code)))];

    public static TheoryData<string> Settings => [.. VisitParts.Options.Methods.Select(m => m.Setting)];

    [Theory]
    [MemberData(nameof(Choices))]
    public void A_choice_changes_something_that_people_see(string setting, string choice)
    {
        var (guides, elsewhere) = Flip(setting, choice);
        Assert.True(guides || elsewhere, "nothing changes");
    }

    [Theory]
    [MemberData(nameof(Settings))]
    public void A_method_says_whether_it_changes_the_words_of_the_guide_alone(string setting)
    {
        var method = VisitParts.Options.Method(setting)!;
        Assert.Equal(method.GuideOnly, !method.Options.Skip(1).Any(o => Flip(setting, o.Code).Elsewhere));
    }

    public static TheoryData<string> Numbers => [.. VisitParts.Options.Thresholds.Select(t => t.Setting)];

    [Theory]
    [MemberData(nameof(Numbers))]
    public void A_threshold_changes_something_that_people_see(string setting)
    {
        var threshold = VisitParts.Options.Threshold(setting)!;
        var show = Example(setting);
        Assert.Contains(new[] { threshold.Least, threshold.Greatest }, n =>
            show(Plain with { Thresholds = new Dictionary<string, decimal> { [setting] = n } }) != show(Plain)
        );
    }

    [Fact]
    public void What_is_no_choice_changes_nothing() => Assert.All(OptionExamples.All.Values, show =>
        {
            Assert.Equal(
                show(Plain),
                show(
                    Plain with
                    {
                        Methods = new Dictionary<string, string> { ["clarity.hat"] = "red" },
                        Thresholds = new Dictionary<string, decimal> { ["clarity.hat"] = 3 },
                    }
                )
            );
            Assert.Equal(
                show(Plain),
                show(Plain with { Methods = new Dictionary<string, string> { ["clarity.side"] = "as-it-was-once" } })
            );
        });

    private static (bool Guides, bool Elsewhere) Flip(string setting, string choice)
    {
        var show = Example($"{setting} {choice}");
        var (usual, other) = (show(Plain), show(Plain with { Methods = new Dictionary<string, string> { [setting] = choice } }));
        return (usual.Guides != other.Guides, usual.Elsewhere != other.Elsewhere);
    }

    private static Func<Programme, Seen> Example(string setting)
    {
        if (setting.StartsWith("hold.", StringComparison.Ordinal))
        {
            return ThresholdExamples.Held(setting["hold.".Length..]);
        }

        var name = Shown.First(s => s.Settings.Split("; ").Any(begin => setting.StartsWith(begin, StringComparison.Ordinal))).Example;
        return OptionExamples.All.GetValueOrDefault(name) ?? ThresholdExamples.All[name];
    }
}
