using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.Data.Sqlite;

namespace UpperStill.Server.Tests;

/// <summary>The real server on a real port, with the demo in a real database file.</summary>
public sealed class RunningServer : WebApplicationFactory<Program>
{
    private readonly string folder = Directory.CreateTempSubdirectory("upper-still-").FullName;

    public RunningServer()
    {
        UseKestrel(0);
        StartServer();
    }

    protected override void ConfigureWebHost(IWebHostBuilder builder)
    {
        ArgumentNullException.ThrowIfNull(builder);
        builder.UseSetting("data", folder);
        builder.UseSetting("demo", "true");
    }

    protected override void Dispose(bool disposing)
    {
        base.Dispose(disposing);
        SqliteConnection.ClearAllPools();
        if (disposing && Directory.Exists(folder))
        {
            Directory.Delete(folder, true);
        }
    }
}
