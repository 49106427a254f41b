using System.Text.Json.Serialization;

namespace UpperStill.Core.Setup.People;

/// <summary>What a person does in the group.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<Role>))]
public enum Role
{
    /// <summary>Goes out and writes readings.</summary>
    [JsonStringEnumMemberName("sampler")]
    Sampler,

    /// <summary>Plans, sets up waters and stations, reviews.</summary>
    [JsonStringEnumMemberName("coordinator")]
    Coordinator,

    /// <summary>Receives samples and reports results.</summary>
    [JsonStringEnumMemberName("laboratory")]
    Laboratory,

    /// <summary>Reads the record.</summary>
    [JsonStringEnumMemberName("reader")]
    Reader,
}

/// <summary>A role and the waters it holds for.</summary>
/// <param name="Role">The role.</param>
/// <param name="Waters">Codes of waters; null for every water of the group, also those to come.</param>
public sealed record Grant(Role Role, IReadOnlyList<string>? Waters = null)
{
    /// <summary>True where the grant holds for a water.</summary>
    public bool Holds(string water) => Waters is null || Waters.Contains(water, StringComparer.Ordinal);
}
