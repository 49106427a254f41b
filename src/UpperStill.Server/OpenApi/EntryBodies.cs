using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;
using UpperStill.Core.Application.Visits;
using UpperStill.Formats.Casts;
using UpperStill.Formats.Instruments;
using UpperStill.StandIns.Instruments;

namespace UpperStill.Server.OpenApi;

/// <summary>Adds to the description, so that clients have their types, the body of every kind of entry, and what passes through the
/// device's own door.</summary>
internal sealed class EntryBodies : IOpenApiDocumentTransformer
{
    private static readonly Type[] OfDoor =
    [
        typeof(CastLayout),
        typeof(CastColumn),
        typeof(CastQuantity),
        typeof(CastRequest),
        typeof(CastResult),
        typeof(CastLevel),
        typeof(InstrumentLines),
        typeof(NmeaFix),
        typeof(SondeReading),
        typeof(BoatCommand),
        typeof(BoatPlace),
        typeof(BoatLines),
    ];

    public async Task TransformAsync(
        OpenApiDocument document,
        OpenApiDocumentTransformerContext context,
        CancellationToken cancellationToken
    )
    {
        foreach (var type in EntryKinds.All.Values.Select(k => k.Body.Type).Concat(OfDoor).Distinct())
        {
            document.AddComponent(type.Name, await context.GetOrCreateSchemaAsync(type, cancellationToken: cancellationToken));
        }
    }
}
