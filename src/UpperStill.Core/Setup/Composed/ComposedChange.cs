using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Setup.Composed;

/// <summary>A change to a composed protocol against the versions before it.</summary>
public static class ComposedChange
{
    /// <summary>A box once read keeps its code, its sort and its unit: else numbers of two units would stand in one series.</summary>
    /// <param name="earlier">Every version that was published.</param>
    /// <param name="now">As it is to be published.</param>
    /// <param name="readings">How often a box was filled, by its code.</param>
    public static IReadOnlyList<FieldFinding> Findings(
        IEnumerable<ComposedProtocol> earlier,
        ComposedProtocol now,
        Func<string, int> readings
    )
    {
        ArgumentNullException.ThrowIfNull(earlier);
        ArgumentNullException.ThrowIfNull(now);
        ArgumentNullException.ThrowIfNull(readings);
        var before = earlier.SelectMany(e => e.Fields).ToLookup(f => f.Code);
        return
        [
            .. now
                .Fields.Where(f => before[f.Code].Any(b => b.Kind != f.Kind || b.Unit != f.Unit))
                .Select(f => (Field: f, Count: readings(f.Code)))
                .Where(f => f.Count > 0)
                .Select(f =>
                    Finding
                        .Stop(
                            "protocol-field-fixed",
                            $"“{f.Field.Label}” has {Decimals.Text(f.Count)} {(f.Count == 1 ? "reading" : "readings")}, in another unit or of another sort.",
                            "Numbers of two units would stand in one series.",
                            "Make a new box, and take this one out."
                        )
                        .At($"field/{f.Field.Code}")
                ),
        ];
    }
}
