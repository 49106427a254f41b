using System.Xml.Linq;

namespace UpperStill.Architecture.Tests;

/// <summary>Dependencies point one way: Core ← Formats, Store, StandIns ← Server; Core, Formats, StandIns ← Browser.</summary>
public class ReferenceTests
{
    private static readonly string Source = Path.Combine(Root(), "src");

    private static readonly Dictionary<string, string[]> Allowed = new()
    {
        ["UpperStill.Core"] = [],
        ["UpperStill.Formats"] = ["UpperStill.Core"],
        ["UpperStill.StandIns"] = ["UpperStill.Core"],
        ["UpperStill.Store"] = ["UpperStill.Core"],
        ["UpperStill.Browser"] = ["UpperStill.Core", "UpperStill.Formats", "UpperStill.StandIns"],
        ["UpperStill.Server"] = ["UpperStill.Core", "UpperStill.Formats", "UpperStill.StandIns", "UpperStill.Store"],
    };

    public static TheoryData<string> Projects => [.. Directory.GetDirectories(Source).Select(d => Path.GetFileName(d)!)];

    [Theory]
    [MemberData(nameof(Projects))]
    public void A_project_refers_only_downward(string project)
    {
        Assert.True(Allowed.ContainsKey(project), $"{project} has no place in the order of the projects.");
        Assert.Subset(
            Allowed[project].ToHashSet(),
            References(project, "ProjectReference").Select(p => Path.GetFileNameWithoutExtension(p)).ToHashSet()
        );
    }

    [Fact]
    public void Core_refers_to_no_package_and_no_framework()
    {
        Assert.Empty(References("UpperStill.Core", "PackageReference"));
        Assert.Empty(References("UpperStill.Core", "FrameworkReference"));
    }

    [Theory]
    [InlineData("DateTime.Now")]
    [InlineData("DateTime.UtcNow")]
    [InlineData("DateTimeOffset.Now")]
    [InlineData("DateTimeOffset.UtcNow")]
    [InlineData("TimeProvider")]
    [InlineData("System.IO")]
    [InlineData("System.Net")]
    [InlineData("Console.")]
    [InlineData("Random")]
    [InlineData("Guid.NewGuid")]
    [InlineData("Guid.CreateVersion7")]
    public void Core_has_no_clock_no_chance_and_no_input_or_output(string name) =>
        Assert.DoesNotContain(
            Directory
                .EnumerateFiles(Path.Combine(Source, "UpperStill.Core"), "*.cs", SearchOption.AllDirectories)
                .Where(f => !f.Contains($"{Path.DirectorySeparatorChar}obj{Path.DirectorySeparatorChar}", StringComparison.Ordinal)),
            file => File.ReadAllText(file).Contains(name, StringComparison.Ordinal)
        );

    private static string[] References(string project, string kind) =>
        [
            .. XDocument
                .Load(Path.Combine(Source, project, project + ".csproj"))
                .Descendants(kind)
                .Select(r => r.Attribute("Include")!.Value.Replace('\\', '/')),
        ];

    internal static string Root()
    {
        var folder = AppContext.BaseDirectory;
        while (!File.Exists(Path.Combine(folder, "global.json")))
        {
            folder = Path.GetDirectoryName(folder)!;
        }

        return folder;
    }
}
