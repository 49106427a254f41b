using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Server.OpenApi;

/// <summary>A protocol is written as its code; what writes it says nothing of that by itself.</summary>
internal sealed class ProtocolCodes : IOpenApiSchemaTransformer
{
    public Task TransformAsync(OpenApiSchema schema, OpenApiSchemaTransformerContext context, CancellationToken cancellationToken)
    {
        if (context.JsonTypeInfo.Type == typeof(Protocol))
        {
            Code(schema);
        }
        else if (context.JsonTypeInfo.ElementType == typeof(Protocol))
        {
            var item = new OpenApiSchema();
            Code(item);
            schema.Items = item;
        }

        return Task.CompletedTask;
    }

    private static void Code(OpenApiSchema schema) =>
        (schema.Type, schema.Pattern, schema.Description) = (JsonSchemaType.String, "^[a-z][a-z0-9-]{0,39}$", "A protocol by its code; the operation protocols describes them.");
}
