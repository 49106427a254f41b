using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Server.OpenApi;

/// <summary>Protocols, parameters and places are written as their codes; what writes them says nothing of that by itself.</summary>
internal sealed class OpenCodes : IOpenApiSchemaTransformer
{
    // Old tables gave a depth instead.
    private const string Place = "Where in the water, by its code.";

    private static readonly Dictionary<Type, string> Words = new()
    {
        [typeof(Protocol)] = "A protocol by its code; the operation protocols describes them.",
        [typeof(SamplePlace)] = Place,
        [typeof(Parameter)] = "What is measured, by its code; the operation protocols lists them.",
    };

    public Task TransformAsync(OpenApiSchema schema, OpenApiSchemaTransformerContext context, CancellationToken cancellationToken)
    {
        if (Of(context.JsonTypeInfo.Type) is { } words)
        {
            Code(schema, words);
        }
        else if (Of(context.JsonTypeInfo.ElementType) is { } item)
        {
            var of = new OpenApiSchema();
            Code(of, item);
            schema.Items = of;
        }

        return Task.CompletedTask;
    }

    private static string? Of(Type? type) => type is null ? null : Words.GetValueOrDefault(Nullable.GetUnderlyingType(type) ?? type);

    private static void Code(OpenApiSchema schema, string words) =>
        (schema.Type, schema.Pattern, schema.Description) = (
            JsonSchemaType.String,
            words == Place ? null : "^[a-z][a-z0-9-]{0,39}$",
            words
        );
}
