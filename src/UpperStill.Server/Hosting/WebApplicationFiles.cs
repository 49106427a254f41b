using System.Text.RegularExpressions;

namespace UpperStill.Server.Hosting;

/// <summary>Serves the web application.</summary>
internal static partial class WebApplicationFiles
{
    internal static void MapWebApplication(this WebApplication app, PathString folder)
    {
        app.Use(
            (http, next) =>
            {
                http.Response.OnStarting(() =>
                {
                    if (http.Response.StatusCode == StatusCodes.Status200OK && Hashed().IsMatch(http.Request.Path.Value ?? string.Empty))
                    {
                        http.Response.Headers.CacheControl = "public, max-age=31536000, immutable";
                    }

                    return Task.CompletedTask;
                });
                return next(http);
            }
        );
        if (folder.HasValue)
        {
            var page = BasePath.Page(app, folder);
            app.UseWhen(http => http.Request.Path == "/index.html", only => only.Run(page));
            app.MapStaticAssets();
            app.MapFallback(page);
            return;
        }

        app.MapStaticAssets();
        app.MapFallbackToFile(
            "index.html",
            new StaticFileOptions { OnPrepareResponse = file => file.Context.Response.Headers.CacheControl = "no-cache" }
        );
    }

    // Names that carry a hash of their content never change.
    [GeneratedRegex(@"^/(assets/.+-[\w-]{8}|core/_framework/.+\.[0-9a-z]{10})\.(js|css|woff2|wasm|dat)$")]
    private static partial Regex Hashed();
}
