using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Server.OpenApi;

/// <summary>Protocols, parameters and places are written as their codes; what writes them says nothing of that by itself.</summary>
internal sealed class OpenCodes : IOpenApiSchemaTransformer
{
    private const string Code = "^[a-z][a-z0-9-]{0,39}$";

    private static readonly Dictionary<Type, (string Words, string? Pattern)> Known = new()
    {
        [typeof(Protocol)] = ("A protocol by its code; the operation protocols describes them.", Code),
        // Old tables gave a depth instead.
        [typeof(SamplePlace)] = ("Where in the water, by its code.", null),
        [typeof(Parameter)] = ("What is measured, by its code; the operation protocols lists them.", Code),
    };

    public Task TransformAsync(OpenApiSchema schema, OpenApiSchemaTransformerContext context, CancellationToken cancellationToken)
    {
        if (Of(context.JsonTypeInfo.Type) is { } one)
        {
            Write(schema, one);
        }
        else if (Of(context.JsonTypeInfo.ElementType) is { } each)
        {
            var item = new OpenApiSchema();
            Write(item, each);
            schema.Items = item;
        }

        return Task.CompletedTask;
    }

    private static (string Words, string? Pattern)? Of(Type? type) =>
        type is not null && Known.TryGetValue(Nullable.GetUnderlyingType(type) ?? type, out var known) ? known : null;

    private static void Write(OpenApiSchema schema, (string Words, string? Pattern) known) =>
        (schema.Type, schema.Pattern, schema.Description) = (JsonSchemaType.String, known.Pattern, known.Words);
}
