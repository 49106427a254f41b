using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Setup.Equipment;
using static UpperStill.Core.Protocols.Rake.RakeFields;

namespace UpperStill.Core.Protocols.Rake;

/// <summary>A plant rake: which plants, how often, how deep.</summary>
public sealed class RakeProtocol : DescribedProtocol
{
    internal const string Name = "rake";

    /// <summary>One for each depth and throw.</summary>
    internal static readonly Repeat Throw = new("throw", "throw", 1, 60)
    {
        Asked = Items,
        OnPaper = stop => RakeOptions.Items(stop.Programme, stop.Station.KnownDepth.Read().Length?.Metres),
    };

    /// <summary>Each kind of a throw.</summary>
    internal static readonly Repeat Kind = new("kind", "kind", 0, 30) { In = Throw, Kinds = Plants };

    /// <summary>One of it is enough.</summary>
    public RakeProtocol()
        : base(
            new ProtocolScript
            {
                Code = Name,
                Title = "Plant rake",
                Purpose = "Which plants, how often, how deep.",
                Rank = StepRank.Rake,
                Stirs = true,
                Overboard = "rake and rope",
                Steps =
                [
                    new(
                        "ready",
                        "Lay out rake, rope, tray and plant guide.",
                        "What is missing is missed with wet hands.",
                        Item,
                        Thrower,
                        Recorder
                    ),
                    new("side", "Choose the side before looking.", "The eye goes to the thickest.", Side)
                    {
                        Repeat = Throw,
                        Role = Recorder,
                    },
                    new("depth", "Read the depth.", "The record is by depth.", Depth) { Repeat = Throw, Role = Recorder },
                    new("throw", "Lay the rope clear, throw, let it sink, drag.", "On the bottom it gathers.", Outcome)
                    {
                        Repeat = Throw,
                        Role = Thrower,
                        Stirs = true,
                        Cautions = [Caution.Rope],
                    },
                    new(
                        "judge",
                        "Lift, dunk gently; judge the rake before sorting.",
                        "Hard washing loses plants; sorted, it cannot be judged.",
                        Fullness,
                        Present
                    )
                    {
                        Repeat = Throw,
                        Role = Recorder,
                        Asks = RakeOptions.Asks,
                    },
                    new("name", "Spread and name.", "Dead is noted, not counted.", KindFullness, State, Looks, Photo)
                    {
                        Repeat = Kind,
                        Role = Recorder,
                        Asks = RakeOptions.Asks,
                    },
                    new(
                        "clean",
                        "Clean the gear, return the plants; invaders as the coordinator says.",
                        "A fragment starts a stand.",
                        CleanGear.List
                    ),
                ],
                Pack = outing =>
                    [
                        outing.Of(KitKind.Rake, "rake", "a double-headed rake on a rope marked in metres", "plants"),
                        Packing.Plain("plant-tray", Crate.Bottles, "tray, plant guide, numbered bags", 1, "naming the plants"),
                    ],
                Parameters =
                [
                    new()
                    {
                        Code = new("deepest-plants"),
                        Name = "deepest plants",
                        Unit = "m",
                        Hanging = true,
                        Better = BetterWhen.Higher,
                        Protocol = new(Name),
                    },
                    new()
                    {
                        Code = new("plant-kinds"),
                        Name = "kinds of plants",
                        Unit = string.Empty,
                        Decimals = 0,
                        Protocol = new(Name),
                    },
                    new()
                    {
                        Code = new("plant-frequency"),
                        Name = "frequency of plants",
                        Unit = "%",
                        Decimals = 0,
                        AskedPerDecade = 10,
                        Protocol = new(Name),
                    },
                ],
                Findings = RakeFindings.All,
                Methods = RakeOptions.Methods,
            }
        ) { }

    /// <summary>The throws of a visit.</summary>
    internal static IReadOnlyList<RepeatItem> Items(SheetDraft draft) => RakeOptions.Items(draft.Context.Programme, WaterDepth.M(draft));

    private protected override void Evaluate(ProtocolRun run)
    {
        RakeChecks.Of(run);
        RakeResults.Of(run);
    }
}
