using System.Globalization;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Grab;

/// <summary>What a programme may choose of a grab.</summary>
public static class GrabOptions
{
    /// <summary>At which depths.</summary>
    public static readonly Method Depths = Method.Of(
        MethodGroup.Other,
        "grab.depths",
        "The bottom is grabbed at",
        "Where animals change fastest.",
        ["half-metres: the shore, 0.5, 1, 1.5, 2, 3 m", "metres: the shore, 1, 2, 3 m", "three: 1, 2, 3 m"],
        breaks: true
    );

    /// <summary>How many grabs at each depth.</summary>
    public static readonly Method Count = Method.Of(
        MethodGroup.Other,
        "grab.count",
        "Grabs at each depth",
        "A jar takes hours to pick.",
        ["one: one", "three: three, a jar for each"]
    );

    /// <summary>Through which mesh.</summary>
    public static readonly Method Mesh = Method.Of(
        MethodGroup.Other,
        "sieve.mesh",
        "Bottom animals are sieved through",
        "500 µm washes quickly.",
        ["500: 500 µm", "250: 250 µm"],
        breaks: true
    );

    /// <summary>How far the depth of a grab may be off its target, m.</summary>
    public static readonly Threshold DepthOff = new(
        "checks.grab-depth-off",
        MethodGroup.Other,
        "A grab is off its depth by more than",
        "m",
        0.25m,
        0.05m,
        2
    );

    internal static IReadOnlyList<Method> Methods { get; } = [Depths, Count, Mesh, ContainerOptions.BottomAnimals];

    internal static IReadOnlyList<Threshold> Thresholds { get; } = [DepthOff];

    /// <summary>The depths, m, 0 for the shore; those that the water does not reach are left out.</summary>
    internal static IReadOnlyList<decimal> TargetsM(Programme programme, decimal? waterM) =>
        [
            .. (
                programme.ChoiceOf(Depths) switch
                {
                    "metres" => (decimal[])[0, 1, 2, 3],
                    "three" => [1, 2, 3],
                    _ => [0, 0.5m, 1, 1.5m, 2, 3],
                }
            ).Where(d => waterM is null || d <= waterM),
        ];

    internal static int Each(Programme programme) => programme.Chooses(Count, "three") ? 3 : 1;

    /// <summary>The grabs of a visit: each depth, once or three times.</summary>
    internal static IReadOnlyList<RepeatItem> Items(SheetDraft draft)
    {
        var each = Each(draft.Context.Programme);
        return
        [
            .. TargetsM(draft.Context.Programme, WaterDepth.M(draft))
                .SelectMany(d =>
                    Enumerable
                        .Range(1, each)
                        .Select(n => new RepeatItem(
                            each == 1 ? Code(d) : $"{Code(d)}-{n.ToString(CultureInfo.InvariantCulture)}",
                            $"{(d == 0 ? "at the shore" : $"{Decimals.Text(d)} m")}{(each == 1 ? string.Empty : $", grab {n}")}"
                        ))
                ),
        ];
    }

    /// <summary>The depth that an item is taken at, m; null where its code is none of ours.</summary>
    internal static decimal? TargetM(string item) => item.Split('-')[0] is "shore" ? 0 : NumberText.Read(item.Split('-')[0]).Value;

    private static string Code(decimal depthM) => depthM == 0 ? "shore" : Decimals.Text(depthM);
}
