using UpperStill.Core.Programmes;
using UpperStill.Core.Quantities;

namespace UpperStill.Core.Visits;

/// <summary>Body of the entry <c>visit-started</c>.</summary>
/// <param name="Station">The station's code.</param>
/// <param name="Programme">The programme's code.</param>
/// <param name="ProgrammeVersion">The version the visit is made under.</param>
/// <param name="Observers">Who reads, in order; the first is also the recorder unless said otherwise.</param>
/// <param name="Line">The line's code; null where none is used.</param>
public sealed record VisitStartedBody(
    string Station, string Programme, int ProgrammeVersion, IReadOnlyList<string> Observers, string? Line = null);

/// <summary>Body of the entry <c>sounding</c>.</summary>
/// <param name="Depth">The depth of the water as read.</param>
public sealed record SoundingBody(WrittenLength Depth);

/// <summary>Body of the entry <c>taken</c>: something was taken along with the visit, said by the sampler.</summary>
/// <param name="Protocol">What was taken.</param>
public sealed record TakenBody(Protocol Protocol);

/// <summary>Body of the entries that carry no more than their envelope: <c>strike</c> and <c>visit-closed</c>.</summary>
public sealed record EmptyBody;

/// <summary>Body of the entry <c>kept</c>: a finding answered with a reason, which stands in the envelope's <c>why</c>.</summary>
/// <param name="Finding">The finding's code.</param>
/// <param name="About">The entries it spoke of; the answer holds only for these.</param>
public sealed record KeptBody(string Finding, IReadOnlyList<Guid> About);
