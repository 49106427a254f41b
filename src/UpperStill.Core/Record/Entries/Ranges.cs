using System.Text.Json;
using System.Text.Json.Serialization.Metadata;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Record.Entries;

/// <summary>A number that a shape holds, with what it may be.</summary>
/// <param name="Path">Where it stands, such as <c>points[].value</c>.</param>
/// <param name="Least">The least.</param>
/// <param name="Most">The most.</param>
/// <param name="Unit">The unit; empty for a count.</param>
public sealed record DeclaredRange(string Path, double Least, double Most, string Unit);

/// <summary>Walks a shape by what is declared at its numbers with <see cref="WithinAttribute"/>.</summary>
public static class Ranges
{
    /// <summary>Every number of a shape with its range, each place once.</summary>
    /// <param name="shape">The shape.</param>
    public static IReadOnlyList<DeclaredRange> Of(JsonTypeInfo shape)
    {
        List<DeclaredRange> found = [];
        Collect(shape, string.Empty, [], found);
        return found;
    }

    /// <summary>The first number outside its range: where it stands, how it is written, what it may be; null where there is none.</summary>
    internal static (string At, string Seen, WithinAttribute Range)? Outside(JsonElement value, JsonTypeInfo shape, string at = "")
    {
        switch (value.ValueKind)
        {
            case JsonValueKind.Object when shape.Kind == JsonTypeInfoKind.Object:
                foreach (var given in value.EnumerateObject())
                {
                    if (shape.Properties.FirstOrDefault(p => p.Name == given.Name) is not { } property)
                    {
                        continue;
                    }

                    var here = at.Length == 0 ? given.Name : $"{at}.{given.Name}";
                    if (WithinAttribute.Of(property) is { } range)
                    {
                        if (range.Outside(given.Value) is { } seen)
                        {
                            return (here, seen, range);
                        }
                    }
                    else if (Outside(given.Value, shape.Part(property.PropertyType), here) is { } inside)
                    {
                        return inside;
                    }
                }

                return null;
            case JsonValueKind.Object when shape is { Kind: JsonTypeInfoKind.Dictionary, ElementType: { } of }:
                return value
                    .EnumerateObject()
                    .Select(p => Outside(p.Value, shape.Part(of), $"{at}[{p.Name}]"))
                    .FirstOrDefault(f => f is not null);
            case JsonValueKind.Array when shape is { Kind: JsonTypeInfoKind.Enumerable, ElementType: { } of }:
                return value
                    .EnumerateArray()
                    .Select((v, i) => Outside(v, shape.Part(of), $"{at}[{i + 1}]"))
                    .FirstOrDefault(f => f is not null);
            default:
                return null;
        }
    }

    private static void Collect(JsonTypeInfo shape, string at, HashSet<Type> within, List<DeclaredRange> found)
    {
        if (shape is { Kind: JsonTypeInfoKind.Enumerable or JsonTypeInfoKind.Dictionary, ElementType: { } of })
        {
            Collect(shape.Part(of), at + "[]", within, found);
        }
        else if (shape.Kind == JsonTypeInfoKind.Object && within.Add(shape.Type))
        {
            foreach (var property in shape.Properties)
            {
                var here = at.Length == 0 ? property.Name : $"{at}.{property.Name}";
                if (WithinAttribute.Of(property) is { } range)
                {
                    found.Add(new DeclaredRange(here, range.Least, range.Most, range.Unit));
                }
                else
                {
                    Collect(shape.Part(property.PropertyType), here, within, found);
                }
            }

            within.Remove(shape.Type);
        }
    }
}
