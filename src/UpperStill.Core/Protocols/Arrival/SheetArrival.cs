using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Protocols.Arrival;

/// <summary>One box of the head of the sheet that is filled.</summary>
/// <param name="Field">The box, as in <see cref="ConditionsBody"/>.</param>
/// <param name="Text">What stands in it.</param>
/// <param name="Entry">The entry it stands in.</param>
public sealed record ConditionBox(string Field, string Text, Guid Entry);

/// <summary>A fix beside the station.</summary>
/// <param name="LatitudeDeg">Decimal degrees.</param>
/// <param name="LongitudeDeg">Decimal degrees.</param>
/// <param name="DistanceM">To the station, m.</param>
/// <param name="Text">Distance, and in which direction the station lies.</param>
/// <param name="Source">Where it came from.</param>
/// <param name="Entry">The entry it stands in.</param>
public sealed record SheetFix(double LatitudeDeg, double LongitudeDeg, decimal DistanceM, string Text, FixSource Source, Guid Entry);

/// <summary>The sun over the station when the visit began.</summary>
/// <param name="AltitudeDeg">Above the horizon, degrees.</param>
/// <param name="AzimuthDeg">Clockwise from north, degrees.</param>
/// <param name="Text">For the reader.</param>
public sealed record SheetSun(decimal AltitudeDeg, decimal AzimuthDeg, string Text);

/// <summary>The head of the sheet: where, who, and what the day is like.</summary>
/// <param name="Boxes">The boxes that are filled, in the order of the sheet.</param>
/// <param name="Now">The same as one body.</param>
/// <param name="Landmarks">What was answered on the transits.</param>
/// <param name="Text">In a few words.</param>
/// <param name="Anchored">The fix of arrival.</param>
/// <param name="Latest">The newest fix, where there is another.</param>
/// <param name="Thermometers">The scale of the programme's thermometers, in which an empty box opens.</param>
/// <param name="Sun">The sun.</param>
public sealed record SheetArrival(
    IReadOnlyList<ConditionBox> Boxes,
    ConditionsBody Now,
    IReadOnlyList<LandmarksBody> Landmarks,
    string Text,
    TemperatureUnit Thermometers,
    SheetFix? Anchored = null,
    SheetFix? Latest = null,
    SheetSun? Sun = null
);
