using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.History;
using UpperStill.Core.Setup.People;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Record.Entries;

/// <summary>Body of the entry <c>visit-started</c>.</summary>
/// <param name="Station">The station's code.</param>
/// <param name="Programme">The programme's code.</param>
/// <param name="ProgrammeVersion">The version the visit is made under.</param>
/// <param name="Observers">Who reads, in order; the first is also the recorder unless said otherwise.</param>
/// <param name="Line">The line's code; null where none is used.</param>
/// <param name="Due">What is to be taken today; null in visits of before that was asked, and then only sounding and clarity are.</param>
/// <param name="Paper">True where it is typed from a sheet: then times are those of the sheet, and an entry's id says when it was
/// typed.</param>
/// <param name="Half">The half of the day ticked on the sheet, where it has such a box.</param>
/// <param name="TimeEstimated">True where the sheet had no time and this is the best estimate.</param>
/// <param name="Import">The old table that it was brought in from.</param>
public sealed record VisitStartedBody(
    string Station,
    string Programme,
    [property: Within(1, 1000000)] int ProgrammeVersion,
    IReadOnlyList<string> Observers,
    string? Line = null,
    IReadOnlyList<Protocol>? Due = null,
    bool? Paper = null,
    HalfDay? Half = null,
    bool? TimeEstimated = null,
    ImportedFrom? Import = null
)
{
    /// <summary>Who they are, in the same order: the id of an account, or one made on the device for people without; null in
    /// entries of earlier builds.</summary>
    public IReadOnlyList<Guid>? ObserverIds { get; init; }

    /// <summary>Its letter among the visits of its day and station, in the numbers of its samples; null for the first. See
    /// <see cref="VisitSeries"/>.</summary>
    public string? Series { get; init; }

    /// <summary>Who reads, in order.</summary>
    [JsonIgnore]
    public IEnumerable<NamedPerson> People =>
        Observers.Select((name, i) => new NamedPerson(ObserverIds is { } ids && i < ids.Count ? ids[i] : null, name));
}

/// <summary>Body of the entry <c>visit-moved</c>: the visit was begun at the wrong station and lies at this one; the reason stands in the
/// envelope's <c>why</c>.</summary>
/// <param name="Station">The code of the station at which it was made.</param>
public sealed record VisitMovedBody(string Station);

/// <summary>Where a visit of an old table comes from.</summary>
/// <param name="Id">The import; all its visits can be taken back together.</param>
/// <param name="File">The file's name.</param>
/// <param name="Line">The line in it, from 1.</param>
public sealed record ImportedFrom(Guid Id, string File, [property: Within(1, 1e9)] int Line);

/// <summary>Body of the entry <c>step-skipped</c>: a step of the sheet that is not done; the reason stands in the envelope's
/// <c>why</c>.</summary>
/// <param name="Step">The step.</param>
public sealed record StepSkippedBody(string Step);

/// <summary>Body of the entry <c>taken</c>: something was taken along with the visit, said by the sampler.</summary>
/// <param name="Protocol">What was taken.</param>
public sealed record TakenBody(Protocol Protocol);

/// <summary>Body of the entries that carry no more than their envelope: <c>strike</c> and <c>visit-closed</c>.</summary>
public sealed record EmptyBody;

/// <summary>Body of the entry <c>kept</c>: a finding answered with a reason, which stands in the envelope's <c>why</c>.</summary>
/// <param name="Finding">The finding's code.</param>
/// <param name="About">The entries it spoke of; the answer holds only for these.</param>
public sealed record KeptBody(string Finding, IReadOnlyList<Guid> About);

/// <summary>Body of the entry <c>step-order</c>: the steps in the order in which the sampler means to take them.</summary>
/// <param name="Steps">Names of steps; those not named keep their place behind them.</param>
public sealed record StepOrderBody(IReadOnlyList<string> Steps);
