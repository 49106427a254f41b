using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Setup.Samples;

/// <summary>How a container is rinsed before it is filled.</summary>
/// <param name="Times">Rinses it needs; 0 where none is counted.</param>
/// <param name="Words">How, and with what.</param>
public sealed record RinseRule([property: Within(0, 20)] int Times, string Words);

/// <summary>How full a container is filled.</summary>
/// <param name="Words">To where.</param>
/// <param name="NoBubbles">True where no bubble may stay in it: it would trade gas with the sample.</param>
public sealed record FillLevel(string Words, bool NoBubbles = false);

/// <summary>What keeps a sample.</summary>
/// <param name="Name">The substance.</param>
/// <param name="Words">The same with its amount, and how it is added.</param>
/// <param name="Drops">Drops; null where they are not counted.</param>
/// <param name="Inside">True where the container holds it before it is filled: it is never rinsed, and never dipped.</param>
public sealed record Preservative(string Name, string Words, [property: Within(0, 500)] int? Drops = null, bool Inside = false)
{
    /// <summary>Acid in the bottle.</summary>
    public static Preservative Acid { get; } = new("acid", "acid", Inside: true);
}
