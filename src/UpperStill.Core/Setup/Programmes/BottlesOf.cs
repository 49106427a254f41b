namespace UpperStill.Core.Setup.Programmes;

/// <summary>The bottles that a protocol fills: those of its plan, else those that its part of the visit usually fills. Whoever plans is
/// given it, because the parts stand above.</summary>
/// <param name="plan">The plan.</param>
/// <param name="programme">By which rules.</param>
public delegate IReadOnlyList<BottlePlan> BottlesOf(ProtocolPlan plan, Programme programme);
