using Microsoft.Data.Sqlite;

namespace UpperStill.Store.Log;

/// <summary>What went wrong with the storage, and not with what was to be stored: nobody's entry is refused for it.</summary>
public enum StorageFault
{
    /// <summary>There is no room left.</summary>
    Full,

    /// <summary>Somebody else writes; it can be tried again.</summary>
    Busy,

    /// <summary>The disk or the file fails.</summary>
    Broken,
}

/// <summary>Tells faults of the storage from others.</summary>
public static class StorageFaults
{
    private const int NoSpaceLeft = 28;

    /// <summary>The fault of the storage that an exception, or one inside it, tells of; null where it is none.</summary>
    /// <param name="exception">The exception.</param>
    /// <returns>By the result codes of SQLite (sqlite.org/rescode.html) and ENOSPC of the system.</returns>
    public static StorageFault? Of(Exception? exception) =>
        exception switch
        {
            null => null,
            SqliteException { SqliteErrorCode: 13 } => StorageFault.Full,
            SqliteException { SqliteErrorCode: 5 or 6 } => StorageFault.Busy,

            // No memory, read-only, interrupted, input or output, corrupt, cannot be opened, locking protocol, not a database.
            SqliteException { SqliteErrorCode: 7 or 8 or 9 or 10 or 11 or 14 or 15 or 26 } => StorageFault.Broken,
            IOException { HResult: NoSpaceLeft } => StorageFault.Full,
            _ => Of(exception.InnerException),
        };
}
