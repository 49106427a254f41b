using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Setup.Equipment;

namespace UpperStill.Core.Record.Parts;

/// <summary>One line of the pack list.</summary>
/// <param name="Key">Identity within the outing: a tick is kept under it.</param>
/// <param name="Crate">Where it is packed.</param>
/// <param name="Words">What it is.</param>
/// <param name="Count">How many.</param>
/// <param name="Stops">The step that it would stop if it were missing.</param>
/// <param name="Counted">How the count came about; null where it is one or plain.</param>
/// <param name="Item">The item of the kit it is; null where any will do.</param>
/// <param name="LookAt">What to look at before leaving.</param>
/// <param name="Findings">What is due or wrong with the item.</param>
public sealed record PackNeed(
    string Key,
    Crate Crate,
    string Words,
    int Count,
    string Stops,
    string? Counted,
    string? Item,
    IReadOnlyList<string> LookAt,
    IReadOnlyList<Finding> Findings
);
