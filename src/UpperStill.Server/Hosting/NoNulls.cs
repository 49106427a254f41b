using System.Collections;
using System.Reflection;
using System.Text.Json;
using System.Text.Json.Serialization.Metadata;

namespace UpperStill.Server.Hosting;

/// <summary>Refuses a null inside a list whose elements are never null: the serializer itself looks only at properties.</summary>
internal static class NoNulls
{
    internal static void Refuse(JsonTypeInfo type)
    {
        var lists =
            type.Kind == JsonTypeInfoKind.Object
                ? type
                    .Properties.Where(p => p.Get is not null && p.AttributeProvider is PropertyInfo property && IsOfNoNulls(property))
                    .ToList()
                : [];
        if (lists.Count == 0)
        {
            return;
        }

        var before = type.OnDeserialized;
        type.OnDeserialized = read =>
        {
            before?.Invoke(read);
            if (lists.Find(p => p.Get!(read) is IEnumerable all && all.Cast<object?>().Any(one => one is null)) is { } list)
            {
                throw new JsonException($"“{list.Name}” holds a null.");
            }
        };
    }

    private static bool IsOfNoNulls(PropertyInfo property)
    {
        if (property.PropertyType == typeof(string) || !typeof(IEnumerable).IsAssignableFrom(property.PropertyType))
        {
            return false;
        }

        var info = new NullabilityInfoContext().Create(property);
        return (info.ElementType ?? info.GenericTypeArguments.FirstOrDefault()) is { } element
            && !element.Type.IsValueType
            && element.ReadState == NullabilityState.NotNull;
    }
}
