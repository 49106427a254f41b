using System.Text.RegularExpressions;

namespace UpperStill.Architecture.Tests;

/// <summary>The folders of Core stand in layers; each uses only what lies below it, and no two use each other.</summary>
public sealed partial class LayerTests
{
    private static readonly string[] Layers = ["Basis", "Science", "Setup", "Record", "Protocols", "Application"];

    [Fact]
    public void Every_file_lies_in_a_folder_of_a_layer_and_is_named_after_it() => Assert.All(CoreGraph.Files, file =>
        {
            var folder = CoreGraph.Folder(file);
            Assert.Contains(folder.Split('/')[0], Layers);
            Assert.Equal(2, folder.Split('/').Length);
            Assert.Equal("UpperStill.Core." + folder.Replace('/', '.'), Namespace().Match(File.ReadAllText(file)).Groups[1].Value);
        });

    [Fact]
    public void The_code_is_read() =>
        Assert.Contains(("Protocols/Secchi", "Basis/Findings"), CoreGraph.Of.Arrows.Select(a => (a.From, a.To)));

    [Fact]
    public void No_folder_uses_one_of_a_layer_above() =>
        Assert.Empty(CoreGraph.Of.Arrows.Where(a => Rank(a.From) < Rank(a.To)).Select(a => $"{a.From} uses {a.To}: {a.Example}"));

    [Fact]
    public void No_two_folders_use_each_other_not_even_through_others() =>
        Assert.Empty(
            CoreGraph.Of.Arrows.Where(a => CoreGraph.Of.Reached(a.To).Contains(a.From)).Select(a => $"{a.From} uses {a.To}: {a.Example}")
        );

    [Fact]
    public void A_protocol_that_describes_itself_is_named_by_the_one_list_alone()
    {
        var described = CoreGraph
            .Files.Where(f => File.ReadAllText(f).Contains(": DescribedProtocol", StringComparison.Ordinal))
            .Select(CoreGraph.Folder)
            .ToList();

        Assert.NotEmpty(described);
        Assert.Empty(
            CoreGraph
                .Of.Arrows.Where(a => described.Contains(a.To) && a.From != "Application/Visits")
                .Select(a => $"{a.From} uses {a.To}: {a.Example}")
        );
        Assert.Empty(
            from file in Directory.EnumerateFiles(Path.Combine(ReferenceTests.Root(), "src"), "*.cs", SearchOption.AllDirectories)
            where !file.StartsWith(CoreGraph.Source + Path.DirectorySeparatorChar, StringComparison.Ordinal)
            from folder in described
            where File.ReadAllText(file).Contains("UpperStill.Core." + folder.Replace('/', '.'), StringComparison.Ordinal)
            select $"{file} uses {folder}"
        );
    }

    private static int Rank(string folder) => Array.IndexOf(Layers, folder.Split('/')[0]);

    [GeneratedRegex(@"^namespace ([\w.]+);", RegexOptions.Multiline)]
    private static partial Regex Namespace();
}
