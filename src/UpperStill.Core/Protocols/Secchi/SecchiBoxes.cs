using UpperStill.Core.Basis.Boxes;
using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Protocols.Secchi;

/// <summary>The boxes beside the marks of the disc that are answered with one touch.</summary>
internal static class SecchiBoxes
{
    public static readonly IReadOnlyList<Box> All =
    [
        Box.Names("disc-conditions.side", "The disc was read", ("shade", "in the shade"), ("sun", "in the sun")),
        new("disc-conditions.sunglasses", "Sunglasses", [new BoxChoice("off", Yes: false), new BoxChoice("on", Yes: true)]),
        new("disc-conditions.tube", "Viewing tube", [new BoxChoice("without", Yes: false), new BoxChoice("through a tube", Yes: true)]),
        LineLean.Asked("disc-conditions.lineAngleDeg", "The line hung"),
        Box.Names(
            "disc-outcome.outcome",
            "The disc was not lost in open water",
            ("on-bottom", "On the bottom, still in sight"),
            ("in-plants", "Lost in plants"),
            ("in-mud", "Lost in stirred mud")
        ),
        new("colour.murky", "The water is", [new BoxChoice("clear", Yes: false), new BoxChoice("murky", Yes: true)]),
        Box.Numbers(
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
        },
        Box.Numbers(
            "opinion.recreation",
            "Your opinion: would you swim and boat here?",
            (1, "1 could not be nicer"),
            (2, "2 slight"),
            (3, "3 impaired"),
            (4, "4 much reduced"),
            (5, "5 none possible")
        ),
    ];
}
