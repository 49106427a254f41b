using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Record.Readings;

namespace UpperStill.Core.Protocols.Streams;

/// <summary>Stage and flow of a stream, as several protocols give them to the record.</summary>
internal static class StreamReadings
{
    private const string FlowCode = "flow";

    internal static ParameterDescription Stage(string protocol) =>
        new()
        {
            Code = new("stage"),
            Name = "stage",
            Unit = "m",
            Decimals = 2,
            AskedPerDecade = 0.2m,
            Protocol = new(protocol),
        };

    internal static ParameterDescription Flow(string protocol) =>
        new()
        {
            Code = new(FlowCode),
            Name = "flow",
            Unit = "m³/s",
            Decimals = 3,
            Summary = SeasonSummary.GeometricMean,
            Log = true,
            AskedPerDecade = 0.1m,
            Protocol = new(protocol),
        };

    /// <summary>What the staff shows.</summary>
    internal static void Staff(ProtocolRun run, LengthField stage)
    {
        if (run.Once[stage] is { } read)
        {
            run.Derive(new SheetDerived("stage", "Stage", LengthText.Write(read), Decimals.Published(read.Metres), "m"));
        }
    }

    /// <summary>What was posted.</summary>
    internal static void Posted(ProtocolRun run, NumberField flow)
    {
        var once = run.Once;
        if (once[flow] is { } posted)
        {
            Is(run, posted, false, "posted", [once.Input(flow)], [$"{Decimals.Text(posted)} m³/s"]);
        }
    }

    /// <summary>What flowed when a protocol was taken, m³/s; null where it did not say.</summary>
    internal static decimal? Today(SheetDraft draft, string protocol) =>
        draft.Described().Find(p => p.Protocol == protocol)?.Derived.FirstOrDefault(d => d.Parameter == FlowCode)?.Value;

    /// <summary>Says what flows: for the record, and for the loads of what was filled.</summary>
    internal static void Is(
        ProtocolRun run,
        decimal m3s,
        bool about,
        string method,
        IReadOnlyList<WorkingInput> inputs,
        IReadOnlyList<string> steps,
        string rule = "A gauge’s own figure, in its unit.",
        string source = "Posted by whoever keeps the gauge"
    )
    {
        run.Derive(
            new SheetDerived(
                FlowCode,
                "Flow",
                Text(m3s),
                Decimals.Published(m3s),
                "m³/s",
                About: about,
                Working: new Working("Flow", inputs, steps, rule, source)
            )
            {
                Method = method,
            }
        );
    }

    /// <summary>Flow for the reader.</summary>
    internal static string Text(decimal m3s) =>
        m3s is > -0.01m and < 0.01m ? $"{Decimals.Significant(m3s * 1000, 3)} L/s" : $"{Decimals.Significant(m3s, 3)} m³/s";
}
