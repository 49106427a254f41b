using System.Text.Json;
using Microsoft.AspNetCore.Http.Features;

namespace UpperStill.Server.Endpoints;

/// <summary>Files that come as the whole body of a request, with what is said of them beside it in JSON.</summary>
internal static class RawBody
{
    /// <summary>The whole file. On disk, so that a long one fills no memory; gone when it is closed.</summary>
    /// <param name="http">The request.</param>
    /// <param name="most">The longest that is taken, bytes; a longer one is answered with 413.</param>
    /// <param name="cancel">Gives up.</param>
    internal static async Task<FileStream> WholeAsync(HttpContext http, long most, CancellationToken cancel)
    {
        if (http.Features.Get<IHttpMaxRequestBodySizeFeature>() is { IsReadOnly: false } limit)
        {
            limit.MaxRequestBodySize = most;
        }

        var file = new FileStream(
            Path.Combine(Path.GetTempPath(), $"upper-still-{Guid.NewGuid():N}"),
            FileMode.CreateNew,
            FileAccess.ReadWrite,
            FileShare.None,
            81920,
            FileOptions.DeleteOnClose | FileOptions.Asynchronous
        );
        await http.Request.Body.CopyToAsync(file, cancel);
        file.Position = 0;
        return file;
    }

    /// <summary>What is said of it; null where it is too long or cannot be read.</summary>
    internal static T? Beside<T>(string json, int longest)
        where T : class
    {
        try
        {
            return json.Length > longest ? null : JsonSerializer.Deserialize<T>(json, JsonSerializerOptions.Web);
        }
        catch (JsonException)
        {
            return null;
        }
    }
}
