namespace UpperStill.Server.Backups;

/// <summary>Files that are on the disk before anything rests on them, readable by their owner only.</summary>
internal static class Durable
{
    private const UnixFileMode OwnersFile = UnixFileMode.UserRead | UnixFileMode.UserWrite;
    private const UnixFileMode OwnersFolder = OwnersFile | UnixFileMode.UserExecute;

    internal static void Folder(string path)
    {
        if (OperatingSystem.IsWindows())
        {
            Directory.CreateDirectory(path);
        }
        else
        {
            Directory.CreateDirectory(path, OwnersFolder);
        }
    }

    internal static void Write(string path, byte[] bytes)
    {
        using (var file = File.Create(path))
        {
            file.Write(bytes);
            file.Flush(flushToDisk: true);
        }

        Own(path);
    }

    internal static void Copy(string from, string to)
    {
        Folder(Path.GetDirectoryName(to)!);
        File.Copy(from, to);
        Settle(to);
    }

    // A file that another library wrote.
    internal static void Settle(string path)
    {
        using (var file = new FileStream(path, FileMode.Open, FileAccess.ReadWrite, FileShare.ReadWrite))
        {
            file.Flush(flushToDisk: true);
        }

        Own(path);
    }

    internal static void Own(string path)
    {
        if (!OperatingSystem.IsWindows())
        {
            File.SetUnixFileMode(path, OwnersFile);
        }
    }

    internal static void OwnFolder(string path)
    {
        if (!OperatingSystem.IsWindows())
        {
            File.SetUnixFileMode(path, OwnersFolder);
        }
    }
}
