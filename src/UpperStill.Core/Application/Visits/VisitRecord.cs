using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Stratification;

namespace UpperStill.Core.Application.Visits;

/// <summary>What a visit gives to the record by what was read on the water.</summary>
/// <param name="Readings">Its numbers.</param>
/// <param name="Profile">The numbers of its profile; null where there is none.</param>
/// <param name="ProfileUsable">False where a stop on the profile stands open.</param>
public sealed record VisitRecord(IReadOnlyList<Reading> Readings, ProfileNumbers? Profile, bool ProfileUsable);
