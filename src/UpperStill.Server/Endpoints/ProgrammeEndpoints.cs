using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Operations;
using UpperStill.Core.Programmes;
using UpperStill.Server.People;
using UpperStill.Store;

namespace UpperStill.Server.Endpoints;

/// <summary>Programmes and their versions.</summary>
internal static class ProgrammeEndpoints
{
    internal static void MapProgrammes(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/programmes").WithTags("programmes").For(AccessLevel.SignedIn);
        group.MapGet("/", async (FieldBook book, CancellationToken cancel) =>
                (await book.Programmes.AsNoTracking().ToListAsync(cancel)).GroupBy(p => p.Code, StringComparer.Ordinal).OrderBy(g => g.Key, StringComparer.Ordinal)
                    .Select(g => JsonSerializer.Deserialize(g.MaxBy(p => p.Version)!.Definition, CoreJson.Default.Programme)!))
            .WithName("programmes").WithSummary("The newest version of every programme.").Produces<IReadOnlyList<Programme>>();
    }
}
