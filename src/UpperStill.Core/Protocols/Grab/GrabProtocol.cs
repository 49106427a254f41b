using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Samples;
using static UpperStill.Core.Protocols.Grab.GrabFields;

namespace UpperStill.Core.Protocols.Grab;

/// <summary>A bottom grab: animals of the bottom by depth, how many on a square metre.</summary>
public sealed class GrabProtocol : DescribedProtocol
{
    internal const string Name = "grab";

    /// <summary>One for each depth and grab.</summary>
    internal static readonly Repeat Grab = new("grab", "grab", 1, 60)
    {
        Asked = Items,
        OnPaper = stop => GrabOptions.Items(stop.Programme, stop.Station.KnownDepth.Read().Length?.Metres),
    };

    /// <summary>One of it is enough.</summary>
    public GrabProtocol()
        : base(
            new ProtocolScript
            {
                Code = Name,
                Title = "Bottom grab",
                Purpose = "Animals of the bottom by depth, how many on a square metre.",
                Rank = StepRank.Grab,
                Stirs = true,
                NeedsSounding = true,
                Overboard = "grab with both pins",
                Steps =
                [
                    new("look", "Look over pins, hinges, knot.", "A lost pin ends the day.", GrabItem, Sieve, Look, LineHand, SieveHand)
                    {
                        Cautions = [Caution.Jaws],
                    },
                    new("depth", "Find the depth.", "Animals change within half a metre.", Depth)
                    {
                        Repeat = Grab,
                        Cautions = [Caution.Wading],
                    },
                    new(
                        "lower",
                        "Cock it, swing it out, only then pull the safety pin. Lower, the last half metre slowly; slack frees the "
                            + "spring pin; haul straight. Look at the jaws.",
                        "A fast fall blows fine mud away; open jaws wash the catch out.",
                        Jaws,
                        Fullness
                    )
                    {
                        Repeat = Grab,
                        Role = LineHand,
                        Stirs = true,
                        Cautions = [Caution.Jaws],
                    },
                    new("sieve", "Empty it into the sieve, describe the bottom.", "The bottom decides who lives there.", Bottom, Smell)
                    {
                        Repeat = Grab,
                        Role = SieveHand,
                    },
                    new(
                        "wash",
                        "Dip and swirl at the surface, tap to one side, spoon into the jar.",
                        "Over the rim they are gone.",
                        OverRim
                    )
                    {
                        Repeat = Grab,
                        Role = SieveHand,
                    },
                    new(
                        "jar",
                        "Alcohol twice the residue, or live on ice; label; rinse grab and sieve.",
                        "Leftovers join the next depth.",
                        StepScript.Gloves
                    )
                    {
                        Repeat = Grab,
                        Role = SieveHand,
                        Fills = true,
                        Cautions = [Caution.Alcohol],
                    },
                    new("clean", "Clean, drain, dry.", "Hitch-hikers move on wet gear.", CleanGear.List),
                    new("pick", "Pick and count by group.", "A rich jar may be split.", Share, Counts)
                    {
                        Repeat = Grab,
                        Bench = true,
                        Cautions = [Caution.Alcohol],
                    },
                ],
                Containers =
                [
                    new(SampleTypes.BottomAnimals)
                    {
                        Count = p => GrabOptions.Items(p, null).Count,
                        Needed = draft => Items(draft).Count,
                        Of = (draft, i) => Items(draft).ElementAtOrDefault(i)?.Code,
                        CountedIn = Counts,
                    },
                ],
                Pack = outing =>
                    [
                        outing.Of(KitKind.Grab, "grab", "a bottom grab with safety and spring pin, and its line", "the grab"),
                        outing.Of(KitKind.Sieve, "sieve", "a sieve bucket", "washing what the grab brings"),
                        Packing.Plain("spoon", Crate.Bottles, "spoon, tray, wash bottle", 1, "getting the catch into its jar"),
                    ],
                Parameters =
                [
                    new()
                    {
                        Code = new("bottom-animals"),
                        Name = "bottom animals",
                        Unit = "per m²",
                        Decimals = 0,
                        Summary = SeasonSummary.Mean,
                        AskedPerDecade = 500,
                        Protocol = new(Name),
                    },
                ],
                Findings = GrabFindings.All,
                Methods = GrabOptions.Methods,
                Thresholds = GrabOptions.Thresholds,
            }
        ) { }

    private static IReadOnlyList<RepeatItem> Items(SheetDraft draft) => GrabOptions.Items(draft.Context.Programme, WaterDepth.M(draft));

    private protected override void Evaluate(ProtocolRun run)
    {
        GrabChecks.Of(run);
        GrabCount.Of(run);
    }
}
