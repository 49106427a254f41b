using System.Text.RegularExpressions;

namespace UpperStill.Architecture.Tests;

/// <summary>What docs/methods.md says of code and tests is there.</summary>
public sealed partial class MethodsTests
{
    private static readonly string[] Rows =
    [
        .. File.ReadLines(Path.Combine(ReferenceTests.Root(), "docs", "methods.md"))
            .Where(l => l.StartsWith("| ", StringComparison.Ordinal) && !l.StartsWith("| what", StringComparison.Ordinal)),
    ];

    [Fact]
    public void Every_place_in_Core_that_a_method_names_is_there() =>
        Assert.All(Rows.SelectMany(r => Place().Matches(r)).Select(m => m.Groups[1].Value), place =>
            Assert.True(
                File.Exists(Path.Combine(ReferenceTests.Root(), "src", "UpperStill.Core", place + ".cs"))
                    || Directory.Exists(Path.Combine(ReferenceTests.Root(), "src", "UpperStill.Core", place)),
                place
            )
        );

    [Fact]
    public void Every_test_that_a_method_names_is_there()
    {
        var tests = Directory
            .EnumerateFiles(Path.Combine(ReferenceTests.Root(), "tests"), "*Tests.cs", SearchOption.AllDirectories)
            .Select(p => Path.GetFileNameWithoutExtension(p)!)
            .ToHashSet();
        Assert.All(Rows.SelectMany(r => Test().Matches(r)).Select(m => m.Value), test => Assert.Contains(test, tests));
    }

    [Fact]
    public void Every_method_names_its_test() =>
        Assert.All(Rows, row => Assert.True(Test().IsMatch(row) || row.Contains("| the same |", StringComparison.Ordinal), row));

    [GeneratedRegex("`([A-Z][A-Za-z]+(?:/[A-Z][A-Za-z]+){0,2})`")]
    private static partial Regex Place();

    [GeneratedRegex("[A-Z][A-Za-z]+Tests\\b")]
    private static partial Regex Test();
}
