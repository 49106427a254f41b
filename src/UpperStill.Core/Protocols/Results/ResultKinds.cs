using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Setup.Laboratories;

namespace UpperStill.Core.Protocols.Results;

/// <summary>Kinds of entry of measurements and results.</summary>
public static class ResultKinds
{
    /// <summary>An extract measured.</summary>
    public static readonly EntryKind<MeasuredBody> Measured = new(
        "measured",
        1,
        "What an instrument showed of a filter’s extract.",
        () => ResultJson.Default.MeasuredBody,
        (b, _) => $"{b.Sample}: extract measured"
    )
    {
        Owner = EntryOwner.Laboratory,
        Vouched = Vouched.Results,
    };

    /// <summary>A result.</summary>
    public static readonly EntryKind<ResultBody> Result = new(
        "result",
        1,
        "A result as the laboratory reports it.",
        () => ResultJson.Default.ResultBody,
        (b, _) => $"{b.Sample}: {b.Analyte} {(b.Qualifier == Qualifier.Below ? "< " : string.Empty)}{b.Value} {b.Unit}"
    )
    {
        Owner = EntryOwner.Laboratory,
        Vouched = Vouched.Results,
    };

    /// <summary>A result without its sample.</summary>
    public static readonly EntryKind<ValueStatedBody> ValueStated = new(
        "value-stated",
        1,
        "A result that an old table states, without its sample.",
        () => ResultJson.Default.ValueStatedBody,
        (b, _) => $"{b.Analyte} stated: {(b.Qualifier == Qualifier.Below ? "< " : string.Empty)}{b.Value} {b.Unit}, {b.Depth}"
    )
    {
        Vouched = Vouched.Results,
    };

    /// <summary>Results released.</summary>
    public static readonly EntryKind<SamplesBody> Reported = new(
        "reported",
        1,
        "Results worked out from measurements are released.",
        () => ResultJson.Default.SamplesBody,
        (b, _) => $"{string.Join(", ", b.Samples)}: results released"
    )
    {
        Owner = EntryOwner.Laboratory,
        Vouched = Vouched.Results,
    };

    /// <summary>Flow of a stream.</summary>
    public static readonly EntryKind<FlowBody> Flow = new(
        "flow",
        1,
        "Flow of the stream when a sample was taken, from which its load follows.",
        () => ResultJson.Default.FlowBody,
        (b, _) => $"{b.Sample}: flow {b.Value} {b.Unit}"
    )
    {
        Vouched = Vouched.Results,
    };

    /// <summary>All of them.</summary>
    internal static IReadOnlyList<EntryKind> All { get; } = [Measured, Result, ValueStated, Reported, Flow];
}
