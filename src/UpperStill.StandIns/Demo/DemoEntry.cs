using System.Globalization;
using System.Text.Json;
using System.Text.Json.Serialization.Metadata;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Entries;
using UpperStill.StandIns.Lakes;

namespace UpperStill.StandIns.Demo;

/// <summary>An entry as somebody of the demo wrote it.</summary>
/// <param name="By">Who.</param>
/// <param name="On">On what.</param>
internal sealed record DemoEntry(string By, string On = "field book")
{
    /// <summary>A number as somebody writes it.</summary>
    internal static ObservedValue Number(double value, string format, string? unit = null) =>
        new() { Written = value.ToString(format, CultureInfo.InvariantCulture), Unit = unit };

    /// <summary>The entry; its id follows from chance and time.</summary>
    internal Entry Of<T>(Chance chance, Guid visit, EntryKind<T> kind, T body, DateTimeOffset at, Entry? strikes = null, string? why = null)
        where T : class =>
        new(
            chance.Uuid(at),
            visit,
            kind.Name,
            kind.Version,
            JsonSerializer.SerializeToElement(body, (JsonTypeInfo<T>)kind.Body),
            at,
            By,
            On,
            strikes?.Id,
            why
        );
}
