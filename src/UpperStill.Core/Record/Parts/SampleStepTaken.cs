using UpperStill.Core.Record.Entries;
using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Record.Parts;

/// <summary>A step in the life of samples, written in an entry.</summary>
/// <param name="Entry">The entry.</param>
/// <param name="Step">The step.</param>
/// <param name="Numbers">The samples.</param>
/// <param name="Text">In words.</param>
internal sealed record SampleStepTaken(Entry Entry, SampleStep Step, IReadOnlyList<string> Numbers, string Text)
{
    /// <summary>Where they then are, in words.</summary>
    internal string? Where { get; init; }

    /// <summary>What a thermometer showed, °C, as read.</summary>
    internal string? TemperatureC { get; init; }

    /// <summary>When their water was taken; null where the step does not say.</summary>
    internal DateTimeOffset? CollectedAt { get; init; }

    /// <summary>What was added.</summary>
    internal string? Added { get; init; }

    /// <summary>True where the label was found complete, false where something lacks.</summary>
    internal bool? Labelled { get; init; }

    /// <summary>Where they were put away.</summary>
    internal StoredIn? Stored { get; init; }

    /// <summary>With what they went, and to whom.</summary>
    internal SentWith? Sent { get; init; }
}

/// <summary>Where samples stand.</summary>
/// <param name="In">In what.</param>
/// <param name="Spot">Where in it.</param>
/// <param name="Foil">True where they are wrapped; null where that was not said.</param>
internal sealed record StoredIn(StorePlace In, string? Spot, bool? Foil);

/// <summary>How samples left.</summary>
/// <param name="Manifest">The paper they went with.</param>
/// <param name="To">Who has them.</param>
internal sealed record SentWith(Guid Manifest, string To);
