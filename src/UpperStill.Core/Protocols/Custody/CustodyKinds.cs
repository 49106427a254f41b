using UpperStill.Core.Record.Entries;

namespace UpperStill.Core.Protocols.Custody;

/// <summary>Kinds of entry of what happens to samples after they are filled.</summary>
public static class CustodyKinds
{
    /// <summary>A sample beside the plan.</summary>
    public static readonly EntryKind<SampleAddedBody> SampleAdded = new(
        "sample-added",
        1,
        "A replicate, a part or a blank beside the plan.",
        () => CustodyJson.Default.SampleAddedBody,
        (b, _) => $"{b.Sample}, {b.Kin.ToString().ToLowerInvariant()} of {b.Of}"
    )
    {
        Vouched = Vouched.Results,
    };

    /// <summary>Labels looked at.</summary>
    public static readonly EntryKind<LabelledBody> Labelled = new(
        "labelled",
        1,
        "Labels looked at, and what is not on them.",
        () => CustodyJson.Default.LabelledBody,
        (b, _) =>
            $"{string.Join(", ", b.Samples)}: "
            + $"{(b.Missing is { Count: > 0 } missing ? $"label lacks {string.Join(", ", missing)}" : "label complete")}"
    )
    {
        Vouched = Vouched.Nothing,
    };

    /// <summary>Samples put away.</summary>
    public static readonly EntryKind<StoredBody> Stored = new(
        "stored",
        1,
        "Samples put into freezer, refrigerator, cooler or cupboard.",
        () => CustodyJson.Default.StoredBody,
        (b, _) =>
            $"{string.Join(", ", b.Samples)} into the "
            + $"{b.In.ToString().ToLowerInvariant()}{(b.Spot is { } spot ? $", {spot}" : string.Empty)}{(b.TemperatureC is { } c ? $", {c} °C" : string.Empty)}"
    )
    {
        Vouched = Vouched.Nothing,
    };

    /// <summary>Samples leave the group's hands.</summary>
    public static readonly EntryKind<HandedOverBody> HandedOver = new(
        "handed-over",
        1,
        "Samples handed over with a manifest.",
        () => CustodyJson.Default.HandedOverBody,
        (b, _) => $"{string.Join(", ", b.Samples)} handed over to {b.To}, signed {b.Signature}"
    )
    {
        Vouched = Vouched.Nothing,
    };

    /// <summary>Samples lost.</summary>
    public static readonly EntryKind<SamplesBody> SampleLost = new(
        "sample-lost",
        1,
        "Samples lost; `why` says how.",
        () => CustodyJson.Default.SamplesBody,
        (b, _) => $"{string.Join(", ", b.Samples)} lost"
    )
    {
        NeedsReason = true,
        Vouched = Vouched.Results,
    };

    /// <summary>The laboratory takes samples in.</summary>
    public static readonly EntryKind<ReceivedBody> Received = new(
        "received",
        1,
        "Samples taken in by the laboratory, and how they arrived.",
        () => CustodyJson.Default.ReceivedBody,
        (b, _) => $"{string.Join(", ", b.Samples)} received {b.As.ToString().ToLowerInvariant()}, signed {b.Signature}"
    )
    {
        Owner = EntryOwner.Laboratory,
        Vouched = Vouched.Nothing,
    };

    /// <summary>The laboratory rejects samples.</summary>
    public static readonly EntryKind<SamplesBody> SampleRejected = new(
        "sample-rejected",
        1,
        "Samples rejected by the laboratory; `why` says the reason.",
        () => CustodyJson.Default.SamplesBody,
        (b, _) => $"{string.Join(", ", b.Samples)} rejected"
    )
    {
        Owner = EntryOwner.Laboratory,
        NeedsReason = true,
        Vouched = Vouched.Results,
    };

    /// <summary>All of them.</summary>
    internal static IReadOnlyList<EntryKind> All { get; } =
    [SampleAdded, Labelled, Stored, HandedOver, SampleLost, Received, SampleRejected];
}
