using UpperStill.Core.Application.Visits;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Application.Guides;

/// <summary>Asks how a step of a visit is done.</summary>
/// <param name="Step">The step: arrive, sounding, surface, clarity, profile, bottles, composite or leave.</param>
/// <param name="Programme">The programme, whose methods say how.</param>
/// <param name="Shore">True where nobody goes afloat.</param>
public sealed record StepGuideRequest(string Step, Programme Programme, bool Shore = false);

/// <summary>How each step is done by the methods of a programme, with the reasons.</summary>
public static class StepGuide
{
    /// <summary>The guide of one step; empty for a step that no part has.</summary>
    public static StepGuideResult Work(StepGuideRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var methods = new ChosenMethods(request.Programme, request.Shore);
        return VisitParts.Of(request.Programme).Select(p => p.Guide(request.Step, methods)).FirstOrDefault(g => g is not null)
            ?? new StepGuideResult([], []);
    }
}
