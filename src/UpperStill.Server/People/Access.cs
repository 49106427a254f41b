using UpperStill.Server.Hosting;

namespace UpperStill.Server.People;

/// <summary>Who may use an address at all; what they may see or change through it is judged by water.</summary>
public enum AccessLevel
{
    /// <summary>Anyone, also without signing in: nothing of the group is told.</summary>
    Anyone,

    /// <summary>Whoever is signed in.</summary>
    SignedIn,

    /// <summary>Laboratories, samplers and coordinators.</summary>
    Writes,

    /// <summary>Samplers and coordinators.</summary>
    Works,

    /// <summary>Coordinators of the whole group.</summary>
    CoordinatesAll,
}

/// <summary>Stands on every address under <c>/api</c>; the gate refuses one without it.</summary>
/// <param name="Level">Who may use it.</param>
/// <param name="Form">True where a write must show this session's token, so that no other site can make it.</param>
public sealed record Access(AccessLevel Level, bool Form = true);

internal static class AccessExtensions
{
    /// <summary>Says who may use an address.</summary>
    internal static TBuilder For<TBuilder>(this TBuilder endpoint, AccessLevel level, bool form = true)
        where TBuilder : IEndpointConventionBuilder => endpoint.WithMetadata(new Access(level, form)).Plain();
}
