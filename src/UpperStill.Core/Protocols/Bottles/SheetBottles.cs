using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Labels;

namespace UpperStill.Core.Protocols.Bottles;

/// <summary>One lowering of the sampler.</summary>
/// <param name="Entry">The entry.</param>
/// <param name="Text">In words.</param>
/// <param name="Good">True where its water can be used.</param>
/// <param name="DepthM">True depth, m; null where it could not be read.</param>
public sealed record SheetCast(Guid Entry, string Text, bool Good, decimal? DepthM = null);

/// <summary>A depth at which bottles are filled.</summary>
/// <param name="Place">Where in the water.</param>
/// <param name="Title">For the reader.</param>
/// <param name="Bottles">The bottles.</param>
/// <param name="Casts">Lowerings so far.</param>
/// <param name="Done">True where every bottle is full.</param>
/// <param name="CastsNeeded">Lowerings that the water needs.</param>
/// <param name="Budget">Water needed against the sampler, in words.</param>
/// <param name="Order">The order in which the bottles are filled, and why.</param>
/// <param name="Sampler">True where a sampler is lowered; false where bottles are dipped by hand.</param>
/// <param name="Needless">True where this water has no such depth today.</param>
public sealed record SheetPlace(
    SamplePlace Place,
    string Title,
    IReadOnlyList<SheetBottle> Bottles,
    IReadOnlyList<SheetCast> Casts,
    bool Done,
    int CastsNeeded,
    string? Budget,
    IReadOnlyList<string> Order,
    bool Sampler,
    bool Needless = false
)
{
    /// <summary>True depth, m; null while it waits.</summary>
    public decimal? DepthM { get; init; }

    /// <summary>The depth for the reader.</summary>
    public string? Text { get; init; }

    /// <summary>The mark to lower to.</summary>
    public string? MarkText { get; init; }

    /// <summary>The same as it is written down.</summary>
    public WrittenLength? Mark { get; init; }

    /// <summary>Seconds the messenger takes, for a line that hangs straight.</summary>
    public decimal? MessengerS { get; init; }

    /// <summary>Seconds after which it should have tripped by now.</summary>
    public decimal? MessengerLateS => MessengerS * 2;

    /// <summary>What the depth waits for.</summary>
    public string? Waits { get; init; }

    /// <summary>How the depth came about.</summary>
    public Working? Working { get; init; }
}

/// <summary>The bottles of the visit.</summary>
/// <param name="Places">Depths in the order of the work.</param>
/// <param name="Samplers">Samplers that may be used.</param>
/// <param name="Ready">What is looked at before a cast.</param>
public sealed record SheetBottles(IReadOnlyList<SheetPlace> Places, IReadOnlyList<Gear> Samplers, IReadOnlyList<string> Ready);
