using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Entries;

namespace UpperStill.Core.Protocols.Secchi;

/// <summary>Kinds of entry of the disc, and of what the eye says of the water.</summary>
public static class SecchiKinds
{
    /// <summary>One mark of the disc.</summary>
    public static readonly EntryKind<DiscMarkBody> DiscMark = new(
        "disc-mark",
        1,
        "The disc lost, or seen again, at a mark of the line; or the middle between the two, where the line is folded.",
        () => SecchiJson.Default.DiscMarkBody,
        (b, r) =>
            $"Disc {DiscMethod.Words(b.Event)} at {LengthText.AsRead(b.Depth, r)}"
            + (
                b.Lowering > 1 || b.Observer is not null
                    ? $" (reading {b.Lowering}{(b.Observer is null ? string.Empty : ", " + b.Observer)})"
                    : string.Empty
            )
    )
    {
        NumbersBeside = Beside.Clarity,
    };

    /// <summary>A clarity reading that ended otherwise.</summary>
    public static readonly EntryKind<DiscOutcomeBody> DiscOutcome = new(
        "disc-outcome",
        1,
        "The disc on the bottom, lost in plants or mud, or the reading not taken.",
        () => SecchiJson.Default.DiscOutcomeBody,
        (b, _) =>
            b.Outcome switch
            {
                Secchi.DiscOutcome.OnBottom => "Disc on the bottom, in sight",
                Secchi.DiscOutcome.InPlants => "Disc lost in plants",
                Secchi.DiscOutcome.InMud => "Disc lost in stirred sediment",
                _ => "Clarity not taken",
            }
    );

    /// <summary>A clarity without its marks.</summary>
    public static readonly EntryKind<ClarityStatedBody> ClarityStated = new(
        "clarity-stated",
        1,
        "A clarity that an old table states, without its marks.",
        () => SecchiJson.Default.ClarityStatedBody,
        (b, r) => $"Clarity stated: {(b.OnBottom ? "> " : string.Empty)}{LengthText.AsRead(b.Depth, r)}"
    );

    /// <summary>How the disc was read.</summary>
    public static readonly EntryKind<DiscConditionsBody> DiscConditions = new(
        "disc-conditions",
        1,
        "Side of the boat, tube, sunglasses, lean of the line.",
        () => SecchiJson.Default.DiscConditionsBody,
        (b, _) => DiscWords(b)
    )
    {
        NumbersBeside = Beside.Clarity,
    };

    /// <summary>Colour of the water.</summary>
    public static readonly EntryKind<ColourBody> Colour = new(
        "colour",
        1,
        "Colour on the white quarter at half the clarity: one step of the chart, or two neighbours.",
        () => SecchiJson.Default.ColourBody,
        (b, _) => $"Colour {ColourChart.Words(b)}"
    )
    {
        NumbersBeside = Beside.Clarity,
    };

    /// <summary>What the sampler thinks of the water.</summary>
    public static readonly EntryKind<OpinionBody> Opinion = new(
        "opinion",
        1,
        "An opinion from 1 (beautiful) to 5 (severe), or in words.",
        () => SecchiJson.Default.OpinionBody,
        (b, _) => $"Opinion, {b.Question}: {(b.Answer is { } answer ? $"{answer} of 5" : b.Words)}"
    )
    {
        NumbersBeside = Beside.Clarity,
    };

    /// <summary>All of them.</summary>
    internal static IReadOnlyList<EntryKind> All { get; } = [DiscMark, DiscOutcome, ClarityStated, DiscConditions, Colour, Opinion];

    private static string DiscWords(DiscConditionsBody b) =>
        string.Join(
            ", ",
            new[]
            {
                b.Side is { } side
                    ? side == BoatSide.Shade
                        ? "Disc read in the shade"
                        : "Disc read in the sun"
                    : null,
                b.Tube is { } tube
                    ? tube
                        ? "through a tube"
                        : "without a tube"
                    : null,
                b.Sunglasses is { } worn
                    ? worn
                        ? "sunglasses on"
                        : "sunglasses off"
                    : null,
                b.LineAngleDeg is { } angle ? $"line leans {Decimals.Text(angle)}°" : null,
                b.HeadingDeg is { } heading ? $"heading {Decimals.Text(heading)}°" : null,
                b.Disc is { } disc ? $"disc {disc}" : null,
            }.OfType<string>()
        );
}
