namespace UpperStill.Server.Hosting;

/// <summary>One server for one data folder, and none while it is restored. The system lets go of it when the process ends, however it
/// ends.</summary>
internal static class DataFolderLock
{
    /// <summary>Takes it; null where another holds it.</summary>
    internal static IDisposable? Take(Instance instance)
    {
        try
        {
            return new FileStream(Path.Combine(instance.DataFolder, "in-use"), FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None);
        }
        catch (IOException)
        {
            return null;
        }
    }
}
