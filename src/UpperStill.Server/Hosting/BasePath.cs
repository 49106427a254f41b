using System.Text;
using System.Text.RegularExpressions;
using Microsoft.Net.Http.Headers;

namespace UpperStill.Server.Hosting;

/// <summary>
/// The folder of its name in which the application stands (<c>--base-path /upper-still</c>), whether the proxy before it passes the
/// folder on or takes it off; without it, the root.
/// </summary>
public static partial class BasePath
{
    /// <summary>What is before every path; empty at the root.</summary>
    /// <param name="configuration">The settings.</param>
    /// <exception cref="FormatException">The setting is no folder of an address.</exception>
    public static PathString Of(IConfiguration configuration) =>
        configuration["base-path"] is not { Length: > 0 } given || given == "/" ? PathString.Empty
        : Folder().IsMatch(given) ? given
        : throw new FormatException($"--base-path needs a folder such as /upper-still, not “{given}”.");

    internal static void UseBasePath(this WebApplication app, PathString folder)
    {
        if (!folder.HasValue)
        {
            return;
        }

        app.Use(
            (http, next) =>
            {
                http.Request.PathBase = folder;
                if (http.Request.Path.StartsWithSegments(folder, out var rest))
                {
                    // What works without a signal belongs to the folder, not to a page beside it.
                    if (!rest.HasValue)
                    {
                        http.Response.Redirect($"{folder}/{http.Request.QueryString}");
                        return Task.CompletedTask;
                    }

                    http.Request.Path = rest;
                }

                return next(http);
            }
        );

        // Otherwise the address would be looked for before the folder is off.
        app.UseRouting();
    }

    /// <summary>The page that loads the application, with what it names in this folder.</summary>
    internal static RequestDelegate Page(WebApplication app, PathString folder)
    {
        var page = new Lazy<byte[]>(() =>
        {
            using var file = new StreamReader(app.Environment.WebRootFileProvider.GetFileInfo("index.html").CreateReadStream());
            return Encoding.UTF8.GetBytes(Named().Replace(file.ReadToEnd(), $"$1{folder}/"));
        });
        return http =>
        {
            http.Response.ContentType = "text/html; charset=utf-8";
            http.Response.Headers[HeaderNames.CacheControl] = "no-cache";
            return http.Response.Body.WriteAsync(page.Value).AsTask();
        };
    }

    [GeneratedRegex(@"^(/(?!\.+(/|\z))[A-Za-z0-9._~-]+)+\z")]
    private static partial Regex Folder();

    [GeneratedRegex(@"((?:src|href)="")/(?!/)")]
    private static partial Regex Named();
}
