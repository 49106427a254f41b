using UpperStill.Core.Protocols.Streams;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;
using static UpperStill.Core.Protocols.Tributary.TributaryFields;

namespace UpperStill.Core.Protocols.Tributary;

/// <summary>A tributary: what a stream brings in, by a bottle and its flow.</summary>
public sealed class TributaryProtocol : DescribedProtocol
{
    internal const string Name = "tributary";

    /// <summary>One of it is enough.</summary>
    public TributaryProtocol()
        : base(
            new ProtocolScript
            {
                Code = Name,
                Title = "Tributary",
                Purpose = "What a stream brings in. Lowest station first, going up; bottles before gauging.",
                Rank = StepRank.Streams,
                Stirs = true,
                Steps =
                [
                    new("look", "Look before entering.", "No sample is worth a swim.", WaterAt, Stage)
                    {
                        Cautions = [Caution.Wading, Caution.Fast, Caution.Alone],
                    },
                    new("stand", "Stand below the spot, face upstream, in the main flow, wait until it is clear.", "Your feet stir.", Wait),
                    new(
                        "fill",
                        "Rinse the plain bottle behind you; fill it at mid-depth, mouth upstream; pour the acid bottle from it.",
                        "The main flow carries the load.",
                        Rinses,
                        Sediment
                    )
                    {
                        Fills = true,
                        Cautions = [Caution.Acid],
                    },
                    new("temperature", "Thermometer in the stream.", "It needs no bottle.", Water),
                    new("gauge", "Read the gauge, with its unit and its time.", "No flow, no load.", Flow, ReadAt)
                    {
                        Asks = (draft, _) => By(draft, "gauge"),
                        OnlyAsked = true,
                    },
                    new(
                        "tape",
                        "Tape across at right angles; read it at both edges of the water.",
                        "Panels end where the water ends.",
                        Meter,
                        EdgeLeft,
                        EdgeRight
                    )
                    {
                        Asks = (draft, _) => By(draft, "velocity-area"),
                        OnlyAsked = true,
                        Stirs = true,
                    },
                    new(
                        "vertical",
                        "A vertical: tape, depth, and the speed at 0.6 of the depth from the surface; from 0.75 m on at 0.2 and 0.8. A "
                            + "wall with depth is a vertical at the edge.",
                        "Each stands for the water half-way to its neighbours.",
                        Tape,
                        Depth,
                        Held,
                        Speed,
                        SpeedHigh,
                        SpeedLow
                    )
                    {
                        Repeat = Vertical,
                        Asks = (draft, _) => By(draft, "velocity-area"),
                        OnlyAsked = true,
                        Stirs = true,
                        Cautions = [Caution.Fast],
                    },
                    new("float", "Depths across, and how far the float runs.", "The float sees only the surface.", Area, Run)
                    {
                        Asks = (draft, _) => By(draft, "float"),
                        OnlyAsked = true,
                        Stirs = true,
                    },
                    new("run", "Time the float over the run.", "Three runs show how even it is.", Ran)
                    {
                        Repeat = Runs,
                        Asks = (draft, _) => By(draft, "float"),
                        OnlyAsked = true,
                    },
                    new("pail", "A pail under the whole stream.", "Whatever goes beside it is missing.", Litres)
                    {
                        Asks = (draft, _) => By(draft, "pail"),
                        OnlyAsked = true,
                    },
                    new("pail-fill", "Time the pail until it is full.", "Three fills show how even it is.", FilledIn)
                    {
                        Repeat = TributaryFields.Fills,
                        Asks = (draft, _) => By(draft, "pail"),
                        OnlyAsked = true,
                    },
                ],
                Containers = [new("stream"), new("acid-preserved") { From = FilledFrom.PlainBottle }],
                Pack = outing =>
                    [
                        outing.Of(KitKind.Staff, "staff", "a wading staff", "standing in a stream"),
                        outing.Of(KitKind.Thermometer, "thermometer", "a thermometer", "temperatures"),
                        .. outing.Stops.Any(s =>
                            s.Takes(new Protocol(Name)) && s.Programme.Chooses(TributaryOptions.FlowFrom, "velocity-area")
                        )
                            ? new[] { outing.Of(KitKind.CurrentMeter, "current-meter", "a current meter, rod and tape", "gauging") }
                            : [],
                    ],
                Parameters = [StreamReadings.Stage(Name), StreamReadings.Flow(Name)],
                Findings = TributaryFindings.All,
                Methods = TributaryOptions.Methods,
                Thresholds = TributaryOptions.Thresholds,
            }
        ) { }

    private protected override void Evaluate(ProtocolRun run)
    {
        var once = run.Once;
        if (once[WaterAt] == "above")
        {
            once.Find(TributaryFindings.WadingFast, WaterAt, ("depth", "Above the knee"), ("speed", "any speed"));
        }

        if (once[Sediment] == true)
        {
            once.Fail(CommonFindings.SampleHasSediment, Sediment, ("what", "Sediment is"));
        }

        StreamReadings.Staff(run, Stage);
        StreamGauging.Of(run);
    }
}
