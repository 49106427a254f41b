namespace UpperStill.Server.Hosting;

/// <summary>How this instance was started.</summary>
/// <param name="DataFolder">Where the database is.</param>
/// <param name="Demo">True where the demo's district is shown, on the demo's day.</param>
public sealed record Instance(string DataFolder, bool Demo)
{
    /// <summary>The database's name in the data folder, and in a backup.</summary>
    public const string Database = "upper-still.db";

    /// <summary>The folder of the files of meters.</summary>
    public const string Casts = "casts";

    /// <summary>The folder of the keys of sessions and links.</summary>
    public const string Keys = "keys";

    /// <summary>The database file.</summary>
    public string DatabaseFile => Path.Combine(DataFolder, Database);

    /// <summary>Where the file of a logged cast is kept; null for a name that is no SHA-256.</summary>
    /// <param name="sha256">SHA-256 of its bytes, in lower-case hexadecimal.</param>
    public string? CastFile(string sha256) =>
        sha256 is { Length: 64 } && sha256.All(char.IsAsciiHexDigitLower) ? Path.Combine(DataFolder, Casts, sha256) : null;

    /// <summary>From <c>--data DIR</c> and <c>--demo true|false</c>.</summary>
    public static Instance From(IConfiguration configuration) =>
        new(Path.GetFullPath(configuration["data"] ?? ".data"), configuration.GetValue("demo", false));
}
