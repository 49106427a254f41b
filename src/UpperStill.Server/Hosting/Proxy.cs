using System.Net;
using Microsoft.AspNetCore.HttpOverrides;

namespace UpperStill.Server.Hosting;

/// <summary>
/// Behind a proxy (<c>--behind-proxy ADDRESS[,ADDRESS]</c>) a caller's address and whether they came by TLS stand in headers; they are
/// believed of these proxies only, or anybody could borrow another's address.
/// </summary>
internal static class Proxy
{
    internal static void UseProxy(this WebApplication app)
    {
        if (app.Configuration["behind-proxy"] is not { Length: > 0 } given)
        {
            return;
        }

        var options = new ForwardedHeadersOptions
        {
            ForwardedHeaders = ForwardedHeaders.XForwardedFor | ForwardedHeaders.XForwardedProto | ForwardedHeaders.XForwardedHost,
        };
        options.KnownProxies.Clear();
        options.KnownIPNetworks.Clear();
        foreach (var address in given.Split(',', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries))
        {
            options.KnownProxies.Add(
                IPAddress.TryParse(address, out var proxy)
                    ? proxy
                    : throw new FormatException($"--behind-proxy needs addresses such as 127.0.0.1, not “{address}”.")
            );
        }

        app.UseForwardedHeaders(options);
    }
}
