using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Record.Readings;

/// <summary>A geometric mean of the last results, by which a place is judged.</summary>
/// <param name="Count">How many results it goes over.</param>
/// <param name="WithinDays">Within how many days they must lie, as a programme has it; null for any.</param>
public sealed record RunningMean(int Count, Func<Programme, int?> WithinDays);
