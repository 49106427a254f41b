using UpperStill.Server.Hosting;
using UpperStill.Server.People;

namespace UpperStill.Server.Endpoints;

/// <summary>What a device should know about this instance.</summary>
/// <param name="Demo">True where the demo's district is shown on the demo's day.</param>
/// <param name="Now">The instance's clock, with its offset from UTC.</param>
public sealed record InstanceInfo(bool Demo, DateTimeOffset Now);

/// <summary>About this instance.</summary>
internal static class MetaEndpoints
{
    internal static void MapMeta(this IEndpointRouteBuilder app) =>
        app.MapGet("/api/instance", (Instance instance, TimeProvider clock) => new InstanceInfo(instance.Demo, clock.GetLocalNow()))
            .For(AccessLevel.Anyone)
            .WithName("instance")
            .WithTags("instance")
            .WithSummary("Whether this is the demo, and what time it is here.");
}
