using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Entries;

namespace UpperStill.Core.Protocols.Sounding;

/// <summary>Kinds of entry of the sounding.</summary>
public static class SoundingKinds
{
    /// <summary>The depth of the water.</summary>
    public static readonly EntryKind<SoundingBody> Sounding = new(
        "sounding",
        1,
        "The depth of the water as read.",
        () => SoundingJson.Default.SoundingBody,
        (b, r) => $"Sounding {LengthText.AsRead(b.Depth, r)}"
    );

    /// <summary>All of them.</summary>
    internal static IReadOnlyList<EntryKind> All { get; } = [Sounding];
}
