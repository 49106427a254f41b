using System.Text.Json.Serialization.Metadata;

namespace UpperStill.Core.Record.Entries;

/// <summary>The parts of a shape.</summary>
public static class ShapeParts
{
    /// <summary>The shape of a part; of a place or another value that may be missing, that of what it is when it is there.</summary>
    /// <param name="shape">The whole.</param>
    /// <param name="part">The part's type.</param>
    public static JsonTypeInfo Part(this JsonTypeInfo shape, Type part)
    {
        ArgumentNullException.ThrowIfNull(shape);
        ArgumentNullException.ThrowIfNull(part);
        return
            Nullable.GetUnderlyingType(part) is { IsEnum: false, IsPrimitive: false } inner
            && shape.Options.TryGetTypeInfo(inner, out var there)
            && there.Kind == JsonTypeInfoKind.Object
            ? there
            : shape.Options.GetTypeInfo(part);
    }
}
