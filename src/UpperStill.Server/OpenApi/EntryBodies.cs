using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;
using UpperStill.Core.Visits;

namespace UpperStill.Server.OpenApi;

/// <summary>Adds the body of every kind of entry to the description, so that clients have their types.</summary>
internal sealed class EntryBodies : IOpenApiDocumentTransformer
{
    public async Task TransformAsync(OpenApiDocument document, OpenApiDocumentTransformerContext context, CancellationToken cancellationToken)
    {
        foreach (var type in EntryKinds.All.Values.Select(k => k.Body.Type).Distinct())
        {
            document.AddComponent(type.Name, await context.GetOrCreateSchemaAsync(type, cancellationToken: cancellationToken));
        }
    }
}
