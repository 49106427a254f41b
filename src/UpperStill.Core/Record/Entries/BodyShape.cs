using System.Globalization;
using System.Text.Json;
using System.Text.Json.Serialization.Metadata;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Record.Entries;

/// <summary>How strictly a body is judged.</summary>
internal enum Judged
{
    /// <summary>The log holds it: earlier builds judged by less.</summary>
    Held,

    /// <summary>An operation is asked with it: a box may be empty still.</summary>
    Asked,

    /// <summary>It is written anew.</summary>
    Written,
}

/// <summary>
/// What a shape allows and nobody can mean: an empty place in a list, a number beyond all readings; and, of what is written
/// anew, a name that the shape does not know, a number for a choice, an empty text where something is asked, a year that none has.
/// What is only unlikely is kept, and the fold has a finding for it.
/// </summary>
internal static class BodyShape
{
    // Beyond it no reading lies, and sums of readings still fit into a decimal.
    private const double LargestNumber = 1e12;

    /// <summary>The first thing that is wrong, with its place; null where nothing is.</summary>
    /// <param name="value">What was sent.</param>
    /// <param name="shape">Its shape.</param>
    /// <param name="judged">How strictly.</param>
    internal static string? Fault(JsonElement value, JsonTypeInfo shape, Judged judged)
    {
        try
        {
            return Fault(value, shape, judged, string.Empty);
        }
        catch (InvalidOperationException)
        {
            return "a text in it is no Unicode";
        }
    }

    private static string? Fault(JsonElement value, JsonTypeInfo shape, Judged judged, string at) =>
        value.ValueKind switch
        {
            // Whether it may be missing, the reading itself has judged.
            JsonValueKind.Null => null,
            JsonValueKind.Object when shape.Kind == JsonTypeInfoKind.Object => InObject(value, shape, judged, at),
            JsonValueKind.Object when shape is { Kind: JsonTypeInfoKind.Dictionary, ElementType: { } of } => InMembers(
                value.EnumerateObject().Select(p => (p.Name, p.Value)),
                shape.Part(of),
                judged,
                at
            ),
            JsonValueKind.Array when shape is { Kind: JsonTypeInfoKind.Enumerable, ElementType: { } of } => InMembers(
                value.EnumerateArray().Select((v, i) => ($"{i + 1}", v)),
                shape.Part(of),
                judged,
                at
            ),
            JsonValueKind.Number => InNumber(value, shape, judged, at),
            JsonValueKind.String => InText(value.GetString()!, shape, judged, at),
            _ => null,
        };

    private static string? InObject(JsonElement value, JsonTypeInfo shape, Judged judged, string at)
    {
        HashSet<string> seen = new(StringComparer.Ordinal);
        foreach (var given in value.EnumerateObject())
        {
            var here = at.Length == 0 ? given.Name : $"{at}.{given.Name}";
            var property = shape.Properties.FirstOrDefault(p => p.Name == given.Name);
            if (property is null)
            {
                if (judged != Judged.Held)
                {
                    return $"“{here}” is not known";
                }

                continue;
            }

            if (judged != Judged.Held && !seen.Add(given.Name))
            {
                return $"“{here}” is there twice";
            }

            if (judged == Judged.Written && property.AssociatedParameter is { HasDefaultValue: false } && IsBlank(given.Value))
            {
                return $"“{here}” is empty";
            }

            if (Fault(given.Value, shape.Part(property.PropertyType), judged, here) is { } fault)
            {
                return fault;
            }
        }

        return null;
    }

    private static string? InMembers(IEnumerable<(string Name, JsonElement Value)> members, JsonTypeInfo shape, Judged judged, string at)
    {
        foreach (var (name, member) in members)
        {
            var here = $"{at}[{name}]";
            if (member.ValueKind == JsonValueKind.Null || (judged == Judged.Written && IsBlank(member)))
            {
                return $"“{here}” is empty";
            }

            if (Fault(member, shape, judged, here) is { } fault)
            {
                return fault;
            }
        }

        return null;
    }

    private static string? InNumber(JsonElement value, JsonTypeInfo shape, Judged judged, string at) =>
        Type(shape) switch
        {
            { IsEnum: true } choice when judged != Judged.Held || !value.TryGetInt32(out var number) || !Enum.IsDefined(choice, number) =>
                $"“{at}” is a number where a choice is named",
            { IsEnum: false } when Math.Abs(value.GetDouble()) > LargestNumber => $"“{at}” is beyond any reading",
            _ => null,
        };

    private static string? InText(string text, JsonTypeInfo shape, Judged judged, string at) =>
        Type(shape) switch
        {
            { IsEnum: true } => text.Length == 0
            || long.TryParse(text, NumberStyles.Integer, CultureInfo.InvariantCulture, out _)
            || text.Contains(',', StringComparison.Ordinal)
                ? $"“{at}” is no choice by its name"
                : null,
            _ when judged == Judged.Held => null,
            var type when type == typeof(DateOnly) || type == typeof(DateTimeOffset) => int.TryParse(
                text.AsSpan(0, Math.Min(4, text.Length)),
                out var year
            ) && PlausibleYear.Holds(year)
                ? null
                : $"“{at}” is in a year that none of us can mean",
            _ => text.Contains('\0', StringComparison.Ordinal) ? $"“{at}” holds a sign that cannot be written" : null,
        };

    private static bool IsBlank(JsonElement value) =>
        value.ValueKind == JsonValueKind.String && string.IsNullOrWhiteSpace(value.GetString());

    private static Type Type(JsonTypeInfo shape) => Nullable.GetUnderlyingType(shape.Type) ?? shape.Type;
}
