using System.Text.Json.Serialization;

namespace UpperStill.Core.Setup.Programmes;

/// <summary>The parts of a programme's rules.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<MethodGroup>))]
public enum MethodGroup
{
    /// <summary>Place, time, people.</summary>
    [JsonStringEnumMemberName("visit")]
    Visit,

    /// <summary>Clarity.</summary>
    [JsonStringEnumMemberName("clarity")]
    Clarity,

    /// <summary>Temperature and profile.</summary>
    [JsonStringEnumMemberName("profile")]
    Profile,

    /// <summary>Bottles and composites.</summary>
    [JsonStringEnumMemberName("bottles")]
    Bottles,

    /// <summary>Containers, filters, labels.</summary>
    [JsonStringEnumMemberName("samples")]
    Samples,

    /// <summary>Season.</summary>
    [JsonStringEnumMemberName("season")]
    Season,

    /// <summary>Other sampling: nets, beaches and the like.</summary>
    [JsonStringEnumMemberName("other")]
    Other,
}

/// <summary>One accepted way to do a step.</summary>
/// <param name="Code">As it stands in a programme's file.</param>
/// <param name="Words">For people.</param>
public sealed record MethodChoice(string Code, string Words);

/// <summary>A step that is done in several accepted ways; a programme chooses one.</summary>
/// <param name="Setting">Its name in a programme's file, for example <c>clarity.side</c>.</param>
/// <param name="Group">The part of the rules it belongs to.</param>
/// <param name="Matter">What it is about.</param>
/// <param name="Options">The ways; the first is what is taken where nothing is chosen.</param>
/// <param name="Why">Why the first is the usual one.</param>
/// <param name="Breaks">True where another choice makes another series: readings before and after differ by more than the water.</param>
/// <param name="GuideOnly">True where it changes what the guide says and nothing else: no box, check or number reads it.</param>
public sealed record Method(
    string Setting,
    MethodGroup Group,
    string Matter,
    IReadOnlyList<MethodChoice> Options,
    string Why,
    bool Breaks = false,
    bool GuideOnly = false
)
{
    /// <summary>What is taken where nothing is chosen.</summary>
    public string Usual => Options[0].Code;

    /// <summary>A method whose options are written <c>code: words</c>.</summary>
    internal static Method Of(
        MethodGroup group,
        string setting,
        string matter,
        string why,
        string[] options,
        bool breaks = false,
        bool guideOnly = false
    ) =>
        new(
            setting,
            group,
            matter,
            [.. options.Select(o => o.Split(": ", 2)).Select(o => new MethodChoice(o[0], o[1]))],
            why,
            breaks,
            guideOnly
        );
}

/// <summary>A number that a programme may change: a threshold of a check, a count, a limit.</summary>
/// <param name="Setting">Its name in a programme's file.</param>
/// <param name="Group">The part of the rules it belongs to.</param>
/// <param name="Words">What it means.</param>
/// <param name="Unit">Its unit; empty for a count.</param>
/// <param name="Usual">What is taken where nothing is chosen.</param>
/// <param name="Least">Smallest that makes sense.</param>
/// <param name="Greatest">Largest that makes sense.</param>
public sealed record Threshold(
    string Setting,
    MethodGroup Group,
    string Words,
    string Unit,
    decimal Usual,
    decimal Least,
    decimal Greatest
);
