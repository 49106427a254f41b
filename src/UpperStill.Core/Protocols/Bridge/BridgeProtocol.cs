using UpperStill.Core.Protocols.Streams;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;
using static UpperStill.Core.Protocols.Bridge.BridgeFields;

namespace UpperStill.Core.Protocols.Bridge;

/// <summary>A bottle sampler from a bridge: river water with its solids, for loads.</summary>
public sealed class BridgeProtocol : DescribedProtocol
{
    internal const string Name = "bridge";

    /// <summary>Each lowering of the sampler.</summary>
    internal static readonly Repeat Cast = new("cast", "cast", 1, 12);

    /// <summary>Each bottle that is poured.</summary>
    internal static readonly Repeat Pour = new("bottle", "bottle", 1, 30)
    {
        Asked = draft =>
            [
                .. draft
                    .Planned.Where(p => p.FilledBy?.Code == Name)
                    .Select((p, i) => new RepeatItem((i + 1).ToString(System.Globalization.CultureInfo.InvariantCulture), p.Number)),
            ],
    };

    /// <summary>From which side.</summary>
    public static readonly Method Side = Method.Of(
        MethodGroup.Other,
        "bridge.side",
        "From a bridge the sampler goes over",
        "Upstream, debris is seen.",
        ["upstream: the upstream rail", "downstream: the downstream rail, where the rope is swept under"],
        guideOnly: true
    );

    /// <summary>One of it is enough.</summary>
    public BridgeProtocol()
        : base(
            new ProtocolScript
            {
                Code = Name,
                Title = "Sampler from a bridge",
                Purpose = "River water with its solids, for loads.",
                Rank = StepRank.Bottles,
                Overboard = "sampler, rope and messenger",
                Steps =
                [
                    new("stand", "Vest, lookout, place to stand.", "Drivers do not expect you.", Safe, Sampler, Lookout)
                    {
                        Cautions = [Caution.Traffic, Caution.Alone],
                    },
                    new("stage", "Read the staff; write the flow if it is posted.", "Load needs flow.", Stage, Flow) { Role = Lookout },
                    new("ready", "Clamps, rope at the trip, drain tube, seals, messenger.", "A loose clamp costs the cast.", Bottle, Ready)
                    {
                        Role = Sampler,
                    },
                    new("upstream", "Look upstream.", "Wood takes the sampler.", Debris) { Repeat = Cast, Role = Lookout },
                    new("dip", "Lower it clear of the rail, messenger in the hand; dip.", "Last water out.", Dips)
                    {
                        Repeat = Cast,
                        Role = Sampler,
                    },
                    new("lower", "Lower to 0.3 m (1 ft) under.", "Below the film, above the bed.", Depth, Height)
                    {
                        Repeat = Cast,
                        Role = Sampler,
                    },
                    new(
                        "trip",
                        "Let the swing die, or tap three upright passes and let go when told; feel it.",
                        "Swinging, it shuts at another depth.",
                        Beat,
                        Trip,
                        Felt
                    )
                    {
                        Repeat = Cast,
                        Role = Sampler,
                    },
                    new("raise", "Raise slowly.", "Jerks break the seal.", CameUp) { Repeat = Cast, Role = Sampler },
                    new(
                        "pour",
                        "Stand it upright, steady stream, tube off the lip; shake between bottles. A bottle is never topped up from "
                            + "another cast.",
                        "Solids settle in minutes.",
                        Shakes,
                        Lip
                    )
                    {
                        Repeat = Pour,
                        Role = Sampler,
                        Fills = true,
                        Cautions = [Caution.Acid],
                    },
                    new("temperature", "Temperature of what is left.", "Never in a bottle.", Water),
                ],
                Containers =
                [
                    new("bridge")
                    {
                        From = FilledFrom.Sampler,
                        Of = (_, i) => (i + 1).ToString(System.Globalization.CultureInfo.InvariantCulture),
                    },
                    new("acid-preserved") { From = FilledFrom.PlainBottle, Of = (draft, i) => AcidItem(draft, i) },
                ],
                Pack = outing =>
                    [
                        outing.Of(KitKind.BottleSampler, "bridge-sampler", "a bottle sampler with rope and messenger", "the river"),
                        Packing.Plain("vests", Crate.Safety, "bright vests", 2, "standing on the bridge", "two"),
                        outing.Of(KitKind.Thermometer, "thermometer", "a thermometer", "temperatures"),
                    ],
                Parameters = [StreamReadings.Stage(Name), StreamReadings.Flow(Name)],
                Findings = BridgeFindings.All,
                Methods = [Side],
            }
        ) { }

    // Acid bottles stand after the plain ones.
    private static string AcidItem(SheetDraft draft, int i) =>
        (draft.Planned.Count(p => p.FilledBy?.Code == Name && p.Type.Code == "bridge") + i + 1).ToString(
            System.Globalization.CultureInfo.InvariantCulture
        );

    private protected override void Evaluate(ProtocolRun run)
    {
        CastOfBridge.Of(run);
        PourOfBridge.Of(run);
        StreamReadings.Staff(run, Stage);
        StreamReadings.Posted(run, Flow);
    }
}
