using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;
using static UpperStill.Core.Protocols.NetTow.NetTowFields;

namespace UpperStill.Core.Protocols.NetTow;

/// <summary>A plankton net: which drifting plants and animals, how many per litre.</summary>
public sealed class NetTowProtocol : DescribedProtocol
{
    internal const string Name = "net-tow";

    /// <summary>The tow itself, which may have to be made again.</summary>
    internal static readonly Repeat Tow = new("tow", "tow", 1, 1);

    /// <summary>Sub-samples at the bench.</summary>
    internal static readonly Repeat Sub = new("sub-sample", "sub-sample", 3, 5);

    /// <summary>One of it is enough.</summary>
    public NetTowProtocol()
        : base(
            new ProtocolScript
            {
                Code = Name,
                Title = "Plankton net",
                Purpose = "Which drifting plants and animals, how many per litre.",
                Rank = StepRank.Net,
                NeedsSounding = true,
                Overboard = "plankton net, its cup and weight",
                Steps =
                [
                    new("look", "Look the net over.", "A lost cup is a lost tow.", Look),
                    new("set", "Set the tow.", "It must not drag.", Net, Direction, From) { Repeat = Tow },
                    new("lower", "Move large animals aside; lower slowly on an upright line.", "A slant reads too deep.", LineOut, Angle)
                    {
                        Repeat = Tow,
                    },
                    new(
                        "haul",
                        "Haul without a stop.",
                        "Slow, they swim out; fast, water spills past.",
                        Haul,
                        Went,
                        Start,
                        End,
                        Turns,
                        Touched
                    )
                    {
                        Repeat = Tow,
                    },
                    new("wash", "Wash down from outside.", "What clings is not counted.", Washes, WashWater, Drained) { Repeat = Tow },
                    new(
                        "jar",
                        "Empty the cup into the jar, rinse the cup.",
                        "Half the catch hides there.",
                        StepScript.Gloves,
                        CupRinses,
                        CatchMl,
                        Alcohol,
                        AlcoholMl
                    )
                    {
                        Fills = true,
                        Cautions = [Caution.Alcohol],
                    },
                    new("label", "Label the jar, look at it.", "Colour tells of one kind in mass.", Colour),
                    new("make-up", "Make the jar up, stir.", "Settled jars give uneven drops.", MadeUpMl, SubMl)
                    {
                        Bench = true,
                        Cautions = [Caution.Alcohol],
                    },
                    new("count", "Draw a sub-sample, count by kind.", "Several small ones show whether the jar was stirred.", Counts)
                    {
                        Repeat = Sub,
                        Bench = true,
                    },
                ],
                Containers =
                [
                    new("plankton-preserved")
                    {
                        From = FilledFrom.Net,
                        When = (NetTowOptions.Keep, "preserved"),
                        CountedIn = Counts,
                    },
                    new("plankton-live")
                    {
                        From = FilledFrom.Net,
                        When = (NetTowOptions.Keep, "live"),
                        CountedIn = Counts,
                    },
                ],
                Pack = outing =>
                    [
                        outing.Of(KitKind.Net, "net", "a plankton net with cup, weight and clip", "the tow"),
                        Packing.Plain(
                            "wash-bottle",
                            Crate.Bottles,
                            outing.Stops.Any(s =>
                                s.Protocols.Contains(new Protocol(Name)) && s.Programme.Chooses(NetTowOptions.Wash, "filtered")
                            )
                                ? "wash bottle, filtered water"
                                : "wash bottle",
                            1,
                            "washing the net down"
                        ),
                    ],
                Parameters =
                [
                    new()
                    {
                        Code = new("plankton"),
                        Name = "plankton",
                        Unit = "per L",
                        Decimals = 1,
                        Summary = SeasonSummary.GeometricMean,
                        Log = true,
                        AskedPerDecade = 5,
                        Protocol = new(Name),
                    },
                ],
                Findings = NetTowFindings.All,
                Methods = NetTowOptions.Methods,
                Thresholds = NetTowOptions.Thresholds,
            }
        ) { }

    private protected override void Evaluate(ProtocolRun run)
    {
        foreach (var attempt in run.Tries(Tow, "1"))
        {
            TowChecks.Of(run, attempt);
        }

        TowProposals.Of(run);
        var volume = TowVolume.Of(run);
        TowCount.Of(run, volume);
    }
}
