using System.Globalization;

namespace UpperStill.Formats;

/// <summary>Text that stays text when a spreadsheet opens it.</summary>
public static class SpreadsheetText
{
    /// <summary>The field, with an apostrophe before it where a spreadsheet would take it for a formula; a number stays as it is.</summary>
    /// <param name="field">The field.</param>
    public static string? Harmless(string? field) =>
        field is { Length: > 0 }
        && field[0] is '=' or '+' or '-' or '@' or '\t' or '\r'
        && !decimal.TryParse(field, NumberStyles.Number, CultureInfo.InvariantCulture, out _)
            ? "'" + field
            : field;
}
