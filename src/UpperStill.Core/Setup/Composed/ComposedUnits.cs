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
            _ => protocol.Field(sum.Field) is { } field ? Of(field) : string.Empty,
        };

    /// <summary>Decimals of a value of a series for the reader.</summary>
    internal static int Decimals(ComposedProtocol protocol, ComposedSum sum) =>
        sum.Rule switch
        {
            ComposedRule.Count => 0,
            ComposedRule.BucketFlow => 3,
            ComposedRule.Sum
            or ComposedRule.Least
            or ComposedRule.Greatest when protocol.Field(sum.Field)?.Kind is ComposedKind.Whole or ComposedKind.Counter => 0,
            _ => 1,
        };

    /// <summary>What is missing where the boxes of an equation are not read in its units; null where they are.</summary>
    internal static string? Wrong(ComposedProtocol protocol, ComposedSum sum)
    {
        var (first, second) = (protocol.Field(sum.Field), protocol.Field(sum.Second));
        return sum.Rule switch
        {
            ComposedRule.LineDepth when first?.Kind != ComposedKind.Length || second?.Unit != "°" => "a length, and its lean in °",
            ComposedRule.BucketFlow when first?.Unit != "L" || (second is null || Of(second) != "s") => "litres in L, and seconds in s",
            ComposedRule.PerArea when !(first is { Kind: ComposedKind.Whole or ComposedKind.Counter }) || second?.Unit != "cm²" =>
                "a whole number, and an area in cm²",
            _ => null,
        };
    }

    private static string Of(ComposedField field) =>
        field.Kind switch
        {
            ComposedKind.Length => "m",
            ComposedKind.Temperature => "°C",
            ComposedKind.Timer => "s",
            _ => field.Unit ?? string.Empty,
        };
}
