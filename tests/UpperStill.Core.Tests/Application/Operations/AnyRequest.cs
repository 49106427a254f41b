using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization.Metadata;
using UpperStill.Core.Application.Trends;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Tests.Application.Visits;

namespace UpperStill.Core.Tests.Application.Operations;

/// <summary>Requests of a shape with every number within its range, or with one of them outside.</summary>
internal sealed class AnyRequest(Random random, string? outsideAt = null, double outside = 0)
{
    private static readonly string[] Texts =
    [
        "3.85",
        "12 9",
        "-3",
        "8,6",
        "x",
        "MAR",
        "2026-07-14",
        "composite",
        "deep",
        "1.5-m",
        "0.01",
        "18",
    ];
    private static readonly string[] Zones = ["Europe/Oslo", "UTC", "Pacific/Auckland"];

    /// <summary>A request; the place outside is always there.</summary>
    internal JsonNode? Of(JsonTypeInfo shape, string at = "", int deep = 0)
    {
        var type = Nullable.GetUnderlyingType(shape.Type) ?? shape.Type;
        if (type == typeof(JsonElement))
        {
            return new JsonObject();
        }

        if (shape is { Kind: JsonTypeInfoKind.Enumerable, ElementType: { } of })
        {
            return new JsonArray([
                .. Enumerable.Range(0, On(at) ? 1 : random.Next(deep > 5 ? 1 : 5)).Select(_ => Of(shape.Part(of), at + "[]", deep + 1)),
            ]);
        }

        if (shape is { Kind: JsonTypeInfoKind.Dictionary, ElementType: { } member })
        {
            return new JsonObject([KeyValuePair.Create("a", Of(shape.Part(member), at + "[]", deep + 1))]);
        }

        return shape.Kind == JsonTypeInfoKind.Object ? Members(shape, at, deep) : One(type, at);
    }

    private JsonObject Members(JsonTypeInfo shape, string at, int deep)
    {
        JsonObject made = [];
        foreach (var property in shape.Properties.Where(p => p.AssociatedParameter is not null || p.Set is not null))
        {
            var here = at.Length == 0 ? property.Name : $"{at}.{property.Name}";
            var optional =
                property.AssociatedParameter is { HasDefaultValue: true } || (property.AssociatedParameter is null && !property.IsRequired);
            if (!On(here) && optional && random.Next(deep > 4 ? 1 : 2) == 0)
            {
                continue;
            }

            var part = shape.Part(property.PropertyType);
            made[property.Name] =
                WithinAttribute.Of(property) is not { } range ? Of(part, here, deep + 1)
                : part.Kind == JsonTypeInfoKind.Enumerable ? new JsonArray(Number(part.ElementType!, range, here))
                : part.Kind == JsonTypeInfoKind.Dictionary
                    ? new JsonObject([KeyValuePair.Create("a", (JsonNode?)Number(part.ElementType!, range, here))])
                : Number(part.Type, range, here);
        }

        return made;
    }

    private bool On(string at) => outsideAt?.StartsWith(at, StringComparison.Ordinal) == true;

    private JsonValue Number(Type type, WithinAttribute range, string at)
    {
        if (at == outsideAt)
        {
            return Is<int>(type) || Is<long>(type) ? JsonValue.Create((long)outside) : JsonValue.Create((decimal)outside);
        }

        // The ends, nothing, and what is usual: small numbers.
        var number = random.Next(5) switch
        {
            0 => range.Least,
            1 => range.Most,
            2 => Math.Clamp(0, range.Least, range.Most),
            3 => Math.Clamp(random.Next(1, 20), range.Least, range.Most),
            _ => range.Least + (random.NextDouble() * (range.Most - range.Least)),
        };
        return Is<int>(type) || Is<long>(type) ? JsonValue.Create((long)number) : JsonValue.Create(decimal.Round((decimal)number, 4));
    }

    private static bool Is<T>(Type type) => (Nullable.GetUnderlyingType(type) ?? type) == typeof(T);

    private JsonNode? One(Type type, string at) =>
        type switch
        {
            _ when type == typeof(string) => at.EndsWith("imeZone", StringComparison.Ordinal)
            || at.EndsWith("zone", StringComparison.Ordinal)
                ? Zones[random.Next(Zones.Length)]
                : Texts[random.Next(Texts.Length)],
            _ when type == typeof(bool) => random.Next(2) == 0,
            _ when type == typeof(SamplePlace) => SamplePlace.Closed[random.Next(SamplePlace.Closed.Count)].Code,
            _ when type == typeof(Protocol) => SampleVisit.Protocols[random.Next(SampleVisit.Protocols.Length)].Code,
            _ when type == typeof(Parameter) => Subjects.Measured[random.Next(Subjects.Measured.Count)].Code,
            _ when type == typeof(Guid) => Guid.CreateVersion7(),
            _ when type == typeof(DateOnly) => JsonValue.Create(
                new DateOnly(2026, 7, 1).AddDays(random.Next(-400, 5)).ToString("yyyy-MM-dd", null)
            ),
            _ when type == typeof(TimeOnly) => JsonValue.Create($"{random.Next(24):00}:30:00"),
            _ when type == typeof(DateTime) => JsonValue.Create(
                new DateTime(2026, 7, 1, 9, 0, 0).AddHours(random.Next(5000)).ToString("s", null)
            ),
            _ when type == typeof(DateTimeOffset) => JsonValue.Create(
                new DateTimeOffset(2026, 7, 1, 9, 0, 0, TimeSpan.FromHours(2)).AddHours(random.Next(5000)).ToString("o", null)
            ),
            { IsEnum: true } => JsonSerializer.SerializeToNode(
                Enum.GetValues(type).GetValue(random.Next(Enum.GetValues(type).Length))!,
                type
            ),
            _ => throw new NotSupportedException($"{type} at {at}"),
        };
}
