namespace UpperStill.Core.Setup.People;

/// <summary>What a person may see and change, from their roles. A stranger has no grants and may do nothing.</summary>
/// <param name="Grants">The roles and their waters.</param>
public sealed record Permissions(IReadOnlyList<Grant> Grants)
{
    /// <summary>A stranger's: nothing.</summary>
    public static Permissions None { get; } = new([]);

    /// <summary>May see a water, its stations and its record: every role.</summary>
    public bool Sees(string water) => Grants.Any(g => g.Holds(water));

    /// <summary>May write readings there: samplers and coordinators.</summary>
    public bool Samples(string water) => Grants.Any(g => g.Role is Role.Sampler or Role.Coordinator && g.Holds(water));

    /// <summary>May take samples in and report their results there: laboratories and coordinators.</summary>
    public bool Reports(string water) => Grants.Any(g => g.Role is Role.Laboratory or Role.Coordinator && g.Holds(water));

    /// <summary>May write entries at all: everybody but readers.</summary>
    public bool Writes => Grants.Any(g => g.Role is not Role.Reader);

    /// <summary>May set up the water and its stations, move its dates and review its record: coordinators.</summary>
    public bool Coordinates(string water) => Grants.Any(g => g.Role == Role.Coordinator && g.Holds(water));

    /// <summary>May change what belongs to the whole group: programmes, people and new waters.</summary>
    public bool CoordinatesAll => Grants.Any(g => g is { Role: Role.Coordinator, Waters: null });

    /// <summary>May see kit, people's names and the season: anyone with a role that goes out or plans.</summary>
    public bool Works => Grants.Any(g => g.Role is Role.Sampler or Role.Coordinator);
}
