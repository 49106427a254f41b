using System.Data.Common;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Storage;

namespace UpperStill.Store;

/// <summary>Writes many rows of a table by one prepared statement: ten times as fast as the unit of work, for imports that hold up
/// others.</summary>
internal static class BulkInsert
{
    /// <summary>Writes them within the running transaction. Their keys are their own; nothing is tracked.</summary>
    internal static async Task InsertAsync<T>(this FieldBook book, IEnumerable<T> rows, CancellationToken cancel)
        where T : class
    {
        var type = book.Model.FindEntityType(typeof(T))!;
        await using var command = book.Database.GetDbConnection().CreateCommand();
        command.Transaction = book.Database.CurrentTransaction!.GetDbTransaction();
        List<(DbParameter Parameter, Func<T, object?> Value)> columns = [];
        foreach (var property in type.GetProperties())
        {
            var mapping = property.GetRelationalTypeMapping();
            var parameter = mapping.CreateParameter(command, $"@p{columns.Count}", null, nullable: true);
            command.Parameters.Add(parameter);
            var (clr, converter) = (property.PropertyInfo!, mapping.Converter);
            columns.Add((parameter, row => clr.GetValue(row) is not { } value ? null : converter?.ConvertToProvider(value) ?? value));
        }

        command.CommandText =
            $"INSERT INTO \"{type.GetTableName()}\" "
            + $"({string.Join(", ", type.GetProperties().Select(p => $"\"{p.GetColumnName()}\""))}) VALUES "
            + $"({string.Join(", ", columns.Select(c => c.Parameter.ParameterName))})";
        await command.PrepareAsync(cancel);
        foreach (var row in rows)
        {
            foreach (var (parameter, value) in columns)
            {
                parameter.Value = value(row) ?? DBNull.Value;
            }

            await command.ExecuteNonQueryAsync(cancel);
        }
    }
}
