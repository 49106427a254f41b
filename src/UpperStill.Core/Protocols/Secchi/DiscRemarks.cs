using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Protocols.Secchi;

/// <summary>On which side of the boat or pier the disc was read.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<BoatSide>))]
public enum BoatSide
{
    /// <summary>In the shade.</summary>
    [JsonStringEnumMemberName("shade")]
    Shade,

    /// <summary>In the sun.</summary>
    [JsonStringEnumMemberName("sun")]
    Sun,
}

/// <summary>Body of the entry <c>disc-conditions</c>: how the disc was read; an entry carries only what was answered with it.</summary>
/// <param name="Side">Side of the boat.</param>
/// <param name="Tube">True through a viewing tube: another method.</param>
/// <param name="Sunglasses">True where they were worn.</param>
/// <param name="LineAngleDeg">Lean of the line from the vertical, degrees.</param>
/// <param name="HeadingDeg">Heading of the boat, degrees from north.</param>
/// <param name="Disc">The disc's code.</param>
public sealed record DiscConditionsBody(
    BoatSide? Side = null,
    bool? Tube = null,
    bool? Sunglasses = null,
    [property: Within(0, 180, "°")] decimal? LineAngleDeg = null,
    [property: Within(0, 360, "°")] decimal? HeadingDeg = null,
    string? Disc = null
);

/// <summary>Body of the entry <c>colour</c>: the white quarter at half the clarity, beside the chart.</summary>
/// <param name="Steps">One step of the chart, or two neighbours where it lies between.</param>
/// <param name="Murky">True where the water is murky.</param>
/// <param name="Remark">In words, where the programme uses no chart.</param>
public sealed record ColourBody([property: Within(1, 21)] IReadOnlyList<int>? Steps = null, bool? Murky = null, string? Remark = null);

/// <summary>Body of the entry <c>opinion</c>: what the sampler thinks of the water; an opinion stays labelled so.</summary>
/// <param name="Question">algae, recreation, remark, or a question of the programme.</param>
/// <param name="Answer">1 (beautiful) to 5 (severe); null where it is answered in words.</param>
/// <param name="Words">In words, where the programme asks for a remark.</param>
public sealed record OpinionBody(string Question, [property: Within(1, 5)] int? Answer = null, string? Words = null);

/// <summary>A step of the colour chart.</summary>
/// <param name="Step">1–11.</param>
/// <param name="Name">In words.</param>
/// <param name="Hex">For the screen.</param>
public sealed record ColourStep(int Step, string Name, string Hex);

/// <summary>A colour in words, and the chart, for whoever draws it.</summary>
/// <param name="Text">The colour in words; empty where none is given.</param>
/// <param name="Chart">Every step.</param>
/// <param name="Words">The words for the colour at one foot, where a programme uses no chart.</param>
public sealed record ColourResult(string Text, IReadOnlyList<ColourStep> Chart, IReadOnlyList<string> Words);

/// <summary>The colour chart: from blue-green over green to brown, in our own words.</summary>
public static class ColourChart
{
    /// <summary>Every step.</summary>
    public static IReadOnlyList<ColourStep> All { get; } =
    [
        new(1, "deep blue", "#2d6f9e"),
        new(2, "blue", "#3b86a3"),
        new(3, "blue-green", "#4a979a"),
        new(4, "sea green", "#5b9f84"),
        new(5, "green", "#6d9f68"),
        new(6, "leaf green", "#829a52"),
        new(7, "moss", "#929345"),
        new(8, "straw", "#a0893f"),
        new(9, "tea", "#9a7437"),
        new(10, "brown", "#83592d"),
        new(11, "bog", "#5f3f24"),
    ];

    /// <summary>The words for the colour at one foot.</summary>
    public static IReadOnlyList<string> AtOneFoot { get; } =
    ["colourless", "blue", "green", "yellow-green", "yellow", "brown", "red", "grey"];

    /// <summary>A colour in words, and the chart.</summary>
    public static ColourResult Work(ColourBody colour)
    {
        ArgumentNullException.ThrowIfNull(colour);
        return new ColourResult(Words(colour), All, AtOneFoot);
    }

    /// <summary>A colour in words: "moss", "between moss and straw".</summary>
    internal static string Words(ColourBody colour)
    {
        var names = (colour.Steps ?? []).Order().Select(s => All.FirstOrDefault(c => c.Step == s)?.Name ?? $"step {s}").ToList();
        var chart = names.Count switch
        {
            0 => colour.Remark ?? string.Empty,
            1 => names[0],
            _ => $"between {names[0]} and {names[^1]}",
        };
        return chart
            + (colour.Murky is { } murky ? $"{(chart.Length > 0 ? ", " : string.Empty)}{(murky ? "murky" : "clear")}" : string.Empty);
    }
}
