using UpperStill.Core.Basis.Boxes;
using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Protocols.Secchi;

/// <summary>The boxes beside the marks of the disc that are answered with one touch.</summary>
internal static class SecchiBoxes
{
    internal static readonly Box Side = Box.Names(
        "disc-conditions.side",
        "The disc was read",
        ("shade", "in the shade"),
        ("sun", "in the sun")
    );

    internal static readonly Box Sunglasses = new(
        "disc-conditions.sunglasses",
        "Sunglasses",
        [new BoxChoice("off", Yes: false), new BoxChoice("on", Yes: true)]
    );

    internal static readonly Box Tube = new(
        "disc-conditions.tube",
        "Viewing tube",
        [new BoxChoice("without", Yes: false), new BoxChoice("through a tube", Yes: true)]
    );

    internal static readonly Box LineHung = LineLean.Asked("disc-conditions.lineAngleDeg", "The line hung");

    internal static readonly Box Outcome = Box.Names(
        "disc-outcome.outcome",
        "The disc was not lost in open water",
        ("on-bottom", "On the bottom, still in sight"),
        ("in-plants", "Lost in plants"),
        ("in-mud", "Lost in stirred mud")
    );

    internal static readonly Box Murky = new(
        "colour.murky",
        "The water is",
        [new BoxChoice("clear", Yes: false), new BoxChoice("murky", Yes: true)]
    );

    internal static readonly Box Algae = Box.Numbers(
        "opinion.algae",
        "Your opinion of the algae here",
        (1, "1 beautiful"),
        (2, "2 very slight"),
        (3, "3 some green"),
        (4, "4 a lot"),
        (5, "5 severe scum")
    ) with
    {
        Hint = "An opinion stays labelled so.",
    };

    internal static readonly Box Recreation = Box.Numbers(
        "opinion.recreation",
        "Your opinion: would you swim and boat here?",
        (1, "1 could not be nicer"),
        (2, "2 slight"),
        (3, "3 impaired"),
        (4, "4 much reduced"),
        (5, "5 none possible")
    );

    public static readonly IReadOnlyList<Box> All = [Side, Sunglasses, Tube, LineHung, Outcome, Murky, Algae, Recreation];
}
