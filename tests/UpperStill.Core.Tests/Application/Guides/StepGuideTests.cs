using UpperStill.Core.Application.Guides;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Tests.Application.Visits;

namespace UpperStill.Core.Tests.Application.Guides;

public class StepGuideTests
{
    private static readonly string[] Steps = ["arrive", "sounding", "surface", "clarity", "profile", "bottles", "composite", "leave"];
    private static readonly Programme Plain = SampleVisit.Metric.Programme;

    public static TheoryData<string> EveryStep => [.. Steps];

    [Theory]
    [MemberData(nameof(EveryStep))]
    public void Whatever_the_methods_each_line_says_what_and_why(string step)
    {
        foreach (var method in VisitParts.Options.Methods)
        {
            foreach (var option in method.Options)
            {
                var guide = Of(step, Plain with { Methods = new Dictionary<string, string> { [method.Setting] = option.Code } });

                Assert.InRange(guide.Lines.Count, 3, 14);
                Assert.All(guide.Lines, l => Assert.Matches(@"^[A-Z].*\.$", l.Do));
                Assert.All(guide.Lines, l => Assert.Matches(@"^[A-Z].*\.$", l.Why));
                Assert.Equal(guide.Lines.Count, guide.Lines.Select(l => l.Do).Distinct().Count());
            }
        }
    }

    [Theory]
    [InlineData(EndPoint.Disappear, "That mark is read.", "Both marks are read.")]
    [InlineData(EndPoint.Mean, "Both marks are read.", "black and white can be told apart")]
    [InlineData(EndPoint.Reappear, "black and white can be told apart", "Both marks are read.")]
    public void The_disc_is_read_by_the_end_point_of_the_programme(EndPoint endPoint, string said, string unsaid)
    {
        var words = Words("clarity", Plain with { Clarity = Plain.Clarity with { EndPoint = endPoint } });

        Assert.Contains(said, words, StringComparison.Ordinal);
        Assert.DoesNotContain(unsaid, words, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("clarity", "clarity.side", "sunny-tube", "Read on the sunny side, through the viewing tube")]
    [InlineData("clarity", "clarity.overshoot", "feet", "Lower several feet past it.")]
    [InlineData("profile", "profile.depth-from", "marks", "Count the marks of the cable aloud")]
    [InlineData("profile", "profile.levels", "1-ft", "Go down level by level: each foot.")]
    [InlineData("bottles", "sampler.messenger", "at-depth", "Messenger put on the line at depth.")]
    [InlineData("bottles", "bottle.touch-bottom", "allowed", "If it touches, raise it a little")]
    [InlineData("surface", "bottle.surface-depth", "knee", "Depth: knee-deep water.")]
    [InlineData("arrive", "visit.sky", "sun", "In broken cloud wait for a gap.")]
    public void A_method_is_said_where_it_is_chosen_and_not_where_it_is_not(string step, string setting, string option, string said)
    {
        var mean = Plain with { Clarity = Plain.Clarity with { EndPoint = EndPoint.Mean } };

        Assert.Contains(
            said,
            Words(step, mean with { Methods = new Dictionary<string, string> { [setting] = option } }),
            StringComparison.Ordinal
        );
        Assert.DoesNotContain(said, Words(step, mean), StringComparison.Ordinal);
    }

    [Fact]
    public void Two_observers_swap_and_one_does_not()
    {
        Assert.Contains(
            "without knowing the first number",
            Words("clarity", Plain with { Clarity = Plain.Clarity with { Observers = ObserverMethod.Swap } }),
            StringComparison.Ordinal
        );
        Assert.DoesNotContain("without knowing the first number", Words("clarity", Plain), StringComparison.Ordinal);
    }

    [Fact]
    public void Pooled_water_is_mixed_in_a_bucket() =>
        Assert.Contains(
            "rinsed bucket",
            Words("composite", Plain with { Composite = Plain.Composite with { Method = CompositeMethod.PooledOrTube } }),
            StringComparison.Ordinal
        );

    [Fact]
    public void Ashore_nobody_anchors_and_the_cautions_are_those_of_the_edge()
    {
        var ashore = StepGuide.Work(new StepGuideRequest("arrive", Plain, Shore: true));

        Assert.DoesNotContain(ashore.Lines, l => l.Do.Contains("Anchor", StringComparison.Ordinal));
        Assert.Contains("rising tide", ashore.Cautions[0], StringComparison.Ordinal);
        Assert.Contains("Flotation is worn", Of("arrive", Plain).Cautions[0], StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("arrive")]
    [InlineData("surface")]
    [InlineData("bottles")]
    public void Where_the_work_can_hurt_it_is_said_and_local_rules_come_first(string step) =>
        Assert.StartsWith("Local law, permits", Of(step, Plain).Cautions[^1], StringComparison.Ordinal);

    [Fact]
    public void A_step_that_is_not_known_has_no_guide() => Assert.Empty(Of("dredge", Plain).Lines);

    private static StepGuideResult Of(string step, Programme programme) => StepGuide.Work(new StepGuideRequest(step, programme));

    private static string Words(string step, Programme programme) => string.Join(' ', Of(step, programme).Lines.Select(l => l.Do));
}
