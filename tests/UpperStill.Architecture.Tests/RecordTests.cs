using Microsoft.CodeAnalysis.CSharp;
using Microsoft.CodeAnalysis.CSharp.Syntax;

namespace UpperStill.Architecture.Tests;

/// <summary>What has many members is made by their names: in a row of thirty values two change places unseen.</summary>
public class RecordTests
{
    private const int Most = 10;

    [Fact]
    public void No_record_has_more_than_ten_positional_members()
    {
        var longer =
            from file in Directory.EnumerateFiles(Path.Combine(ReferenceTests.Root(), "src"), "*.cs", SearchOption.AllDirectories)
            where !file.Contains($"{Path.DirectorySeparatorChar}obj{Path.DirectorySeparatorChar}", StringComparison.Ordinal)
            from record in CSharpSyntaxTree.ParseText(File.ReadAllText(file)).GetRoot().DescendantNodes().OfType<RecordDeclarationSyntax>()
            where record.ParameterList?.Parameters.Count > Most
            select $"{record.Identifier.Text} has {record.ParameterList!.Parameters.Count}";
        Assert.Empty(longer);
    }
}
