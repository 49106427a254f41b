using Microsoft.Data.Sqlite;

namespace UpperStill.Network;

/// <summary>Writes rows of a table as fast as can be.</summary>
internal sealed class Table
{
    private readonly SqliteCommand command;
    private readonly SqliteParameter[] parameters;

    internal Table(SqliteConnection connection, string name, params string[] columns)
    {
        command = connection.CreateCommand();
        command.CommandText =
            $"INSERT INTO \"{name}\" ({string.Join(", ", columns.Select(c => $"\"{c}\""))}) VALUES "
            + $"({string.Join(", ", columns.Select((_, i) => $"$p{i}"))})";
        parameters = [.. columns.Select((_, i) => command.Parameters.Add(new SqliteParameter($"$p{i}", null)))];
    }

    /// <summary>Adds a row, its fields in the order of the columns.</summary>
    internal void Add(params object?[] fields)
    {
        for (var i = 0; i < parameters.Length; i++)
        {
            parameters[i].Value = fields[i] ?? DBNull.Value;
        }

        command.ExecuteNonQuery();
    }
}
