using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Record.Fills;

/// <summary>What a programme may choose of containers, whatever they are filled by.</summary>
public static class FillOptions
{
    /// <summary>Sediment seen.</summary>
    public static readonly Method Sediment = Method.Of(
        MethodGroup.Bottles,
        "sample.sediment",
        "Sediment seen",
        "In rivers the solids are the sample.",
        ["again: empty, rinse, again", "little: a little sand accepted", "spurt: first spurt away", "keep: shake and keep, in rivers"]
    );
}
