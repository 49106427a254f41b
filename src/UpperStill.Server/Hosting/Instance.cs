namespace UpperStill.Server.Hosting;

/// <summary>How this instance was started.</summary>
/// <param name="DataFolder">Where the database is.</param>
/// <param name="Demo">True where the demo's district is shown, on the demo's day.</param>
public sealed record Instance(string DataFolder, bool Demo)
{
    /// <summary>The database file.</summary>
    public string DatabaseFile => Path.Combine(DataFolder, "upper-still.db");

    /// <summary>From <c>--data DIR</c> and <c>--demo true|false</c>.</summary>
    public static Instance From(IConfiguration configuration) => new(
        Path.GetFullPath(configuration["data"] ?? ".data"), configuration.GetValue("demo", false));
}
