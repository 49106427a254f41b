using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Rake;

/// <summary>What a programme may choose of a plant rake.</summary>
public static class RakeOptions
{
    /// <summary>At which depths.</summary>
    public static readonly Method Depths = Method.Of(
        MethodGroup.Other,
        "rake.depths",
        "The rake is thrown at",
        "The lit edge.",
        ["metres: the shore, 1, 2, 3 m", "half-metres: the shore, 0.5, 1, 1.5, 2, 3 m", "deep: the shore, 1, 2, 3, 4, 5 m"],
        breaks: true
    );

    /// <summary>How many throws at each depth.</summary>
    public static readonly Method Throws = Method.Of(
        MethodGroup.Other,
        "rake.throws",
        "Throws at each depth",
        "Time; four where frequency is reported.",
        ["one: one", "four: four, one to each side"]
    );

    /// <summary>How plants are judged.</summary>
    public static readonly Method Scale = Method.Of(
        MethodGroup.Other,
        "rake.scale",
        "Plants on the rake are judged",
        "It shows spreading.",
        ["grades: 0 none to 4 full", "presence: present or absent"],
        breaks: true
    );

    internal static IReadOnlyList<Method> Methods { get; } = [Depths, Throws, Scale];

    /// <summary>The throws of a visit.</summary>
    internal static IReadOnlyList<RepeatItem> Items(Programme programme, decimal? waterM) =>
        DepthItems.Of(
            programme.ChoiceOf(Depths) switch
            {
                "half-metres" => [0, 0.5m, 1, 1.5m, 2, 3],
                "deep" => [0, 1, 2, 3, 4, 5],
                _ => (decimal[])[0, 1, 2, 3],
            },
            programme.Chooses(Throws, "four") ? 4 : 1,
            "throw",
            waterM
        );

    internal static bool Grades(Programme programme) => programme.Chooses(Scale, "grades");

    internal static bool Asks(SheetDraft draft, Field field) =>
        field == RakeFields.Fullness || field == RakeFields.KindFullness
            ? Grades(draft.Context.Programme)
            : field != RakeFields.Present || !Grades(draft.Context.Programme);
}
