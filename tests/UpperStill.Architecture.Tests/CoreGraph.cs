using Microsoft.CodeAnalysis;
using Microsoft.CodeAnalysis.CSharp;
using Microsoft.CodeAnalysis.CSharp.Syntax;

namespace UpperStill.Architecture.Tests;

/// <summary>Which folder of Core uses which, read from the code as the compiler understands it: constants, strings put together and
/// references in comments included.</summary>
internal sealed class CoreGraph
{
    private static readonly Lazy<CoreGraph> Read = new(() => new CoreGraph());
    private readonly Dictionary<(string From, string To), SortedSet<string>> arrows = [];

    private CoreGraph()
    {
        var options = new CSharpParseOptions(LanguageVersion.Latest, DocumentationMode.Parse);
        var trees = Files.Select(f => CSharpSyntaxTree.ParseText(File.ReadAllText(f), options, f)).ToList();
        var implicitUsings = CSharpSyntaxTree.ParseText(
            "global using System; global using System.Collections.Generic; global using System.IO; global using System.Linq; global "
                + "using System.Threading; global using System.Threading.Tasks;",
            options
        );
        var references = ((string)AppContext.GetData("TRUSTED_PLATFORM_ASSEMBLIES")!)
            .Split(Path.PathSeparator)
            .Where(p => !Path.GetFileName(p).StartsWith("UpperStill.", StringComparison.Ordinal))
            .Select(p => MetadataReference.CreateFromFile(p));
        var code = CSharpCompilation.Create(
            "Core",
            [.. trees, implicitUsings],
            references,
            new CSharpCompilationOptions(OutputKind.DynamicallyLinkedLibrary)
        );
        foreach (var tree in trees)
        {
            var model = code.GetSemanticModel(tree);
            foreach (var name in tree.GetRoot().DescendantNodes(descendIntoTrivia: true).OfType<SimpleNameSyntax>())
            {
                Add(tree.FilePath, model.GetSymbolInfo(name));
            }
        }
    }

    internal static CoreGraph Of => Read.Value;

    internal static string Source { get; } = Path.Combine(ReferenceTests.Root(), "src", "UpperStill.Core");

    /// <summary>Every file of Core.</summary>
    internal static IReadOnlyList<string> Files { get; } =
    [
        .. Directory
            .EnumerateFiles(Source, "*.cs", SearchOption.AllDirectories)
            .Where(f =>
                Folder(f) is not "bin" and not "obj"
                && !Folder(f).StartsWith("bin/", StringComparison.Ordinal)
                && !Folder(f).StartsWith("obj/", StringComparison.Ordinal)
            )
            .Order(StringComparer.Ordinal),
    ];

    /// <summary>Every arrow from one folder to another, with an example of what draws it.</summary>
    internal IEnumerable<(string From, string To, string Example)> Arrows => arrows.Select(a => (a.Key.From, a.Key.To, a.Value.First()));

    /// <summary>The folders that can be reached from a folder.</summary>
    internal HashSet<string> Reached(string from)
    {
        HashSet<string> seen = [];
        Stack<string> next = new([from]);
        while (next.TryPop(out var folder))
        {
            foreach (var (_, to) in arrows.Keys.Where(a => a.From == folder && seen.Add(a.To)))
            {
                next.Push(to);
            }
        }

        return seen;
    }

    /// <summary>The folder of a file, such as <c>Science/Oxygen</c>.</summary>
    internal static string Folder(string file) => Path.GetDirectoryName(Path.GetRelativePath(Source, file))!.Replace('\\', '/');

    private void Add(string file, SymbolInfo found)
    {
        foreach (var symbol in found.Symbol is { } one ? [one] : found.CandidateSymbols)
        {
            var type = symbol as INamedTypeSymbol ?? symbol.ContainingType;
            while (type?.ContainingType is { } outer)
            {
                type = outer;
            }

            var (from, to) = (
                Folder(file),
                type?.OriginalDefinition.DeclaringSyntaxReferences.FirstOrDefault()?.SyntaxTree.FilePath is { Length: > 0 } declared
                    ? Folder(declared)
                    : null
            );
            if (to is null || from == to)
            {
                continue;
            }

            if (!arrows.TryGetValue((from, to), out var examples))
            {
                arrows[(from, to)] = examples = new(StringComparer.Ordinal);
            }

            examples.Add($"{Path.GetFileName(file)} uses {type!.Name}");
        }
    }
}
