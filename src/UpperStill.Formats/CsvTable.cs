using System.Globalization;
using CsvHelper;
using CsvHelper.Configuration;

namespace UpperStill.Formats;

/// <summary>Opens tables as people save them from a spreadsheet: a head, columns parted by comma, semicolon or tab (RFC 4180).</summary>
internal static class CsvTable
{
    /// <summary>Opens one.</summary>
    /// <param name="text">The file; it stays open.</param>
    /// <param name="longestField">A longer field is refused with a <see cref="CsvHelperException"/>, before it fills the memory.</param>
    internal static CsvReader Open(TextReader text, int longestField) =>
        new(
            text,
            new CsvConfiguration(CultureInfo.InvariantCulture)
            {
                DetectDelimiter = true,
                DetectDelimiterValues = [",", ";", "\t"],
                BadDataFound = null,
                MissingFieldFound = null,
                IgnoreBlankLines = true,
                TrimOptions = TrimOptions.Trim,
                MaxFieldSize = longestField,
            },
            leaveOpen: true
        );
}
