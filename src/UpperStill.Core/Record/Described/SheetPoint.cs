using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Record.Described;

/// <summary>A point of a beach, as it is drawn.</summary>
/// <param name="Name">For people.</param>
/// <param name="InWater">False in the sand.</param>
/// <param name="Place">Its place along the beach, from the north, from 1.</param>
/// <param name="Done">True once it is taken.</param>
/// <param name="Off">The place in the sand that a point in the water is written to lie off; null while that is not written.</param>
public sealed record SheetPoint(
    string Name,
    bool InWater,
    [property: Within(1, 99)] int Place,
    bool Done,
    [property: Within(0, 99)] int? Off = null
);
