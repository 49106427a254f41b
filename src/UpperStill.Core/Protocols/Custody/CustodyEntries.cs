using System.Text.Json.Serialization;
using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Protocols.Custody;

/// <summary>How samples travel.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<TravelBy>))]
public enum TravelBy
{
    /// <summary>Brought to the door.</summary>
    [JsonStringEnumMemberName("hand")]
    Hand,

    /// <summary>By a carrier or the post.</summary>
    [JsonStringEnumMemberName("carrier")]
    Carrier,
}

/// <summary>What keeps samples cold on the road.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<TravelOn>))]
public enum TravelOn
{
    /// <summary>Ice.</summary>
    [JsonStringEnumMemberName("ice")]
    Ice,

    /// <summary>Frozen packs around frozen samples.</summary>
    [JsonStringEnumMemberName("frozen-packs")]
    FrozenPacks,

    /// <summary>Dry ice.</summary>
    [JsonStringEnumMemberName("dry-ice")]
    DryIce,

    /// <summary>Nothing: they need none.</summary>
    [JsonStringEnumMemberName("nothing")]
    Nothing,
}

/// <summary>How a sample arrived.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<ArrivedAs>))]
public enum ArrivedAs
{
    /// <summary>As it should be.</summary>
    [JsonStringEnumMemberName("good")]
    Good,

    /// <summary>Thawed.</summary>
    [JsonStringEnumMemberName("thawed")]
    Thawed,

    /// <summary>Warm.</summary>
    [JsonStringEnumMemberName("warm")]
    Warm,

    /// <summary>Leaking or broken.</summary>
    [JsonStringEnumMemberName("leaking")]
    Leaking,

    /// <summary>Not wrapped in foil.</summary>
    [JsonStringEnumMemberName("unwrapped")]
    Unwrapped,

    /// <summary>Without a label, or one that cannot be read.</summary>
    [JsonStringEnumMemberName("unlabelled")]
    Unlabelled,
}

/// <summary>What a sample is to another.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<SampleKin>))]
public enum SampleKin
{
    /// <summary>A further bottle or filter of the same water.</summary>
    [JsonStringEnumMemberName("replicate")]
    Replicate,

    /// <summary>A part of it.</summary>
    [JsonStringEnumMemberName("split")]
    Split,

    /// <summary>Lab water treated as the sample.</summary>
    [JsonStringEnumMemberName("blank")]
    Blank,
}

/// <summary>Body of the entry <c>sample-added</c>: a sample beside the plan.</summary>
/// <param name="Sample">Its number.</param>
/// <param name="Type">Its sample type.</param>
/// <param name="Kin">What it is to the other.</param>
/// <param name="Of">The other.</param>
public sealed record SampleAddedBody(string Sample, string Type, SampleKin Kin, string Of);

/// <summary>Body of the entry <c>labelled</c>: labels looked at.</summary>
/// <param name="Samples">The samples.</param>
/// <param name="Missing">What is not on them or cannot be read.</param>
public sealed record LabelledBody(IReadOnlyList<string> Samples, IReadOnlyList<string>? Missing = null);

/// <summary>Body of the entry <c>stored</c>: samples put away.</summary>
/// <param name="Samples">The samples.</param>
/// <param name="In">Where.</param>
/// <param name="Spot">Which box and place in it.</param>
/// <param name="TemperatureC">What its thermometer shows, °C, as read.</param>
/// <param name="Foil">True where each is wholly in foil.</param>
public sealed record StoredBody(
    IReadOnlyList<string> Samples,
    StorePlace In,
    string? Spot = null,
    string? TemperatureC = null,
    bool? Foil = null
);

/// <summary>Body of the entry <c>handed-over</c>: samples leave the group's hands. One manifest may hold samples of several visits; each
/// has its own entry.</summary>
/// <param name="Manifest">The manifest.</param>
/// <param name="Samples">The samples of this visit.</param>
/// <param name="To">To whom: the laboratory.</param>
/// <param name="By">How they travel.</param>
/// <param name="On">On what.</param>
/// <param name="Signature">Who hands over.</param>
/// <param name="Waybill">The carrier's number.</param>
/// <param name="RecipientTold">True where somebody there expects it.</param>
/// <param name="SheetInside">True where a copy of the manifest is in its own bag inside.</param>
/// <param name="Seal">The seal's number.</param>
public sealed record HandedOverBody(
    Guid Manifest,
    IReadOnlyList<string> Samples,
    string To,
    TravelBy By,
    TravelOn On,
    string Signature,
    string? Waybill = null,
    bool? RecipientTold = null,
    bool? SheetInside = null,
    string? Seal = null
)
{
    /// <summary>In the box on leaving, °C, as read.</summary>
    public string? TemperatureC { get; init; }

    /// <summary>Samples that should be frozen and are not.</summary>
    public IReadOnlyList<string>? NotFrozen { get; init; }
}

/// <summary>Body of the entry <c>received</c>: the laboratory takes samples in.</summary>
/// <param name="Samples">The samples of this visit that arrived so.</param>
/// <param name="As">How they arrived.</param>
/// <param name="Signature">Who takes them in.</param>
/// <param name="Manifest">The manifest they came with; null where there was none.</param>
/// <param name="TemperatureC">In the box on arrival, °C, as read.</param>
/// <param name="SealWhole">Whether the seal was whole.</param>
public sealed record ReceivedBody(
    IReadOnlyList<string> Samples,
    ArrivedAs As,
    string Signature,
    Guid? Manifest = null,
    string? TemperatureC = null,
    bool? SealWhole = null
);

/// <summary>Body of the entries <c>sample-lost</c> and <c>sample-rejected</c>; the entry says why.</summary>
/// <param name="Samples">The samples.</param>
public sealed record SamplesBody(IReadOnlyList<string> Samples);
