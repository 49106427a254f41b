using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.History;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.People;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Record.Parts;

/// <summary>What a visit is judged by, beside its own entries.</summary>
/// <param name="Station">Where.</param>
/// <param name="Programme">The version of the programme that the visit names.</param>
/// <param name="Lines">The lines that may be used there.</param>
/// <param name="History">The station's record.</param>
/// <param name="Water">The water.</param>
/// <param name="Gear">Meters, samplers and discs that may be used there.</param>
/// <param name="LastDay">The last visit before this one, where <paramref name="History"/> is only a part of the record.</param>
/// <param name="Temperatures">How cold and warm the water was here, month by month.</param>
/// <param name="WorkedBefore">How fast the composite sampler was raised when it last worked here.</param>
/// <param name="People">Everybody with an account here, by all the names the record knows them by.</param>
public sealed record VisitContext(
    Station Station,
    Programme Programme,
    IReadOnlyList<Line> Lines,
    IReadOnlyList<ClarityPoint> History,
    WaterFacts? Water = null,
    IReadOnlyList<Gear>? Gear = null,
    DateOnly? LastDay = null,
    IReadOnlyList<MonthTemperatures>? Temperatures = null,
    RiseThatWorked? WorkedBefore = null,
    IReadOnlyList<PersonNames>? People = null
)
{
    /// <summary>Other visits of the station, those of the day at least: their samples have their numbers already.</summary>
    public IReadOnlyList<OtherVisit>? Others { get; init; }
}

/// <summary>A visit to be folded.</summary>
/// <param name="Entries">All its entries, in any order; repeated ones do no harm.</param>
/// <param name="Context">What it is judged by.</param>
/// <param name="Reader">Unit for the words.</param>
public sealed record FoldRequest(IReadOnlyList<Entry> Entries, VisitContext Context, ReaderUnit Reader = ReaderUnit.AsRead);
