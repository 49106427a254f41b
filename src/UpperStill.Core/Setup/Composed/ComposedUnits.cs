namespace UpperStill.Core.Setup.Composed;

/// <summary>The unit of what a composed protocol works out.</summary>
internal static class ComposedUnits
{
    /// <summary>Its unit; empty for a count.</summary>
    internal static string Of(ComposedProtocol protocol, ComposedSum sum) =>
        sum.Rule switch
        {
            ComposedRule.Count => string.Empty,
            ComposedRule.LineDepth => "m",
            ComposedRule.BucketFlow => "m³/s",
            ComposedRule.PerArea => "per m²",
            _ => protocol.Fields.FirstOrDefault(f => f.Code == sum.Field) is { } field
                ? field.Kind switch
                {
                    ComposedKind.Length => "m",
                    ComposedKind.Temperature => "°C",
                    _ => field.Unit ?? string.Empty,
                }
                : string.Empty,
        };

    /// <summary>What is missing where the boxes of an equation are not read in its units; null where they are.</summary>
    internal static string? Wrong(ComposedProtocol protocol, ComposedSum sum)
    {
        var (first, second) = (Find(protocol, sum.Field), Find(protocol, sum.Second));
        return sum.Rule switch
        {
            ComposedRule.LineDepth when first?.Kind != ComposedKind.Length || second?.Unit != "°" => "a length, and its lean in °",
            ComposedRule.BucketFlow when first?.Unit != "L" || !(second?.Unit == "s" || second?.Kind == ComposedKind.Timer) =>
                "litres in L, and seconds in s",
            ComposedRule.PerArea when !(first is { Kind: ComposedKind.Whole or ComposedKind.Counter }) || second?.Unit != "cm²" =>
                "a whole number, and an area in cm²",
            _ => null,
        };
    }

    private static ComposedField? Find(ComposedProtocol protocol, string? code) => protocol.Fields.FirstOrDefault(f => f.Code == code);
}
