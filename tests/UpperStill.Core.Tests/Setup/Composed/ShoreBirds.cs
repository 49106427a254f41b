using UpperStill.Core.Setup.Composed;
using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Tests.Setup.Composed;

/// <summary>A protocol as a coordinator composes it: birds at three spots of the shore.</summary>
internal static class ShoreBirds
{
    internal static readonly ComposedField Birds = new("birds", "Birds", ComposedKind.Whole) { Most = 400, UsualMost = 60 };

    internal static readonly ComposedField Flushed = new("flushed", "They flew before you had counted", ComposedKind.YesNo)
    {
        FailsOn = ["yes"],
    };

    internal static readonly ComposedField Wind = new("wind", "Wind", ComposedKind.Number, Required: false)
    {
        Unit = "m/s",
        Least = 0,
        Most = 40,
        UsualMost = 10,
    };

    internal static ComposedProtocol Composed { get; } =
        new(
            "own-shore-birds",
            1,
            "Shore birds",
            "How many birds rest at three spots of the shore.",
            35,
            [
                new("look", "Stand still and look.", "Birds that see you move leave.", [Wind])
                {
                    Cautions = ["W"],
                    OwnCaution = "Keep dogs on the lead.",
                },
                new("count", "Count what rests between the marks.", "The same stretch each time.", [Birds, Flushed]) { Repeated = true },
            ]
        )
        {
            Repeat = new ComposedRepeat("spot", ["Reed point", "Old jetty", "Gravel bar"]),
            Pack = ["field glasses"],
            Sums =
            [
                new("total", "shore birds", ComposedRule.Sum, "birds"),
                new("most", "most shore birds at a spot", ComposedRule.Greatest, "birds"),
            ],
        };

    internal static ComposedProtocol With(ComposedField field) =>
        Composed with
        {
            Steps = [Composed.Steps[0] with { Fields = [field] }, Composed.Steps[1]],
        };

    internal static ComposedSample Feathers { get; } =
        new("feathers", "paper bag", "one handful", 0, Keeping.Room) { HoldHours = 48, LabelAlso = ["spot"] };
}
