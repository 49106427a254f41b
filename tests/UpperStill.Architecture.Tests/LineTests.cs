using System.Text.RegularExpressions;

namespace UpperStill.Architecture.Tests;

/// <summary>What is written here is read side by side: no line is wider than the formatters make it.</summary>
public partial class LineTests
{
    private const int Columns = 140;
    private static readonly string[] Kinds = [".cs", ".ts", ".tsx", ".mjs"];
    private static readonly string[] Rooms = ["src", "tests", "benchmarks", Path.Combine("web", "src")];
    private static readonly string[] Made = ["obj", "bin", "node_modules", "Migrations", "test-results", "earlier", "schema.d.ts"];

    [Fact]
    public void No_line_is_wider_than_140_columns_but_for_a_text_that_cannot_be_broken()
    {
        var root = ReferenceTests.Root();
        var wide =
            from room in Rooms
            from file in Directory.EnumerateFiles(Path.Combine(root, room), "*", SearchOption.AllDirectories)
            where Kinds.Contains(Path.GetExtension(file)) && !file[root.Length..].Split(Path.DirectorySeparatorChar).Any(Made.Contains)
            from line in File.ReadLines(file).Select((text, i) => (Text: text, Number: i + 1))
            where line.Text.Length > Columns && !HoldsText().IsMatch(line.Text)
            select $"{file[root.Length..]}:{line.Number}";
        Assert.True(!wide.Any(), string.Join("\n", wide));
    }

    // A text of thirty signs or more, outside a comment.
    [GeneratedRegex("""^(?!\s*(//|\*|/\*)).*(["'`]).{30,}\2""")]
    private static partial Regex HoldsText();
}
