using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Application.Guides;

/// <summary>Asks how a step of a visit is done.</summary>
/// <param name="Step">The step: arrive, sounding, surface, clarity, profile, bottles, composite or leave.</param>
/// <param name="Programme">The programme, whose schools say how.</param>
/// <param name="Shore">True where nobody goes afloat.</param>
public sealed record StepGuideRequest(string Step, Programme Programme, bool Shore = false);

/// <summary>One thing to do.</summary>
/// <param name="Do">What.</param>
/// <param name="Why">Why it is done so.</param>
public sealed record GuideLine(string Do, string Why);

/// <summary>How a step is done, and what can hurt.</summary>
/// <param name="Lines">In the order in which they are done; none for a step that is not known.</param>
/// <param name="Cautions">What can hurt. Local law, the programme's safety plan and the substance's safety sheet come first.</param>
public sealed record StepGuideResult(IReadOnlyList<GuideLine> Lines, IReadOnlyList<string> Cautions);

/// <summary>How each step is done by the schools of a programme, with the reasons.</summary>
public static class StepGuide
{
    /// <summary>The guide of one step.</summary>
    public static StepGuideResult Work(StepGuideRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var schools = new ChosenSchools(request.Programme);
        return request.Step switch
        {
            "arrive" => Of(ArriveGuide.Lines(schools, request.Shore), Caution.Of(request.Shore), Caution.Bloom),
            "sounding" => Of(ArriveGuide.Sounding()),
            "clarity" => Of(ClarityGuide.Lines(schools, request.Programme.Clarity)),
            "profile" => Of(ProfileGuide.Lines(schools)),
            "surface" => Of(BottleGuide.ByHand(schools), Caution.Acid, Caution.Bloom),
            "bottles" => Of(BottleGuide.AtDepth(schools), Caution.Caps, Caution.Acid),
            "composite" => Of(BottleGuide.Composite(schools, request.Programme.Composite.Method)),
            "leave" => Of(ArriveGuide.Leaving()),
            _ => new StepGuideResult([], []),
        };
    }

    private static StepGuideResult Of(IEnumerable<GuideLine> lines, params string[] cautions) =>
        new([.. lines], cautions.Length == 0 ? [] : [.. cautions, Caution.Law]);
}
