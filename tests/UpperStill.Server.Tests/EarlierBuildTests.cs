using System.IO.Compression;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Microsoft.Extensions.DependencyInjection;
using UpperStill.Store;
using UpperStill.Store.Projections;

namespace UpperStill.Server.Tests;

/// <summary>A database as an earlier build left it; see tests/earlier.</summary>
public class EarlierServer() : RunningServer(false)
{
    /// <summary>The password of its accounts.</summary>
    public const string Password = "eight hundred geese";

    /// <summary>Where the files of that build lie.</summary>
    public static string Kept { get; } = Path.Combine(AppContext.BaseDirectory, "earlier", "2026-11-29");

    /// <summary>What that build answered, by address.</summary>
    public static JsonObject Answers()
    {
        using var packed = new GZipStream(File.OpenRead(Path.Combine(Kept, "answers.json.gz")), CompressionMode.Decompress);
        return JsonNode.Parse(packed)!.AsObject();
    }

    protected override void Prepare(string folder)
    {
        using var packed = new GZipStream(File.OpenRead(Path.Combine(Kept, "upper-still.db.gz")), CompressionMode.Decompress);
        using var database = File.Create(Path.Combine(folder, "upper-still.db"));
        packed.CopyTo(database);
    }
}

/// <summary>What an earlier build kept opens in this one, and reads the same.</summary>
public sealed class EarlierBuildTests(EarlierServer earlier) : IClassFixture<EarlierServer>
{
    // What later builds say otherwise on purpose; everything else reads as it did.
    private static readonly (string At, string Why)[] Otherwise =
    [
        (@"\.wouldKnow(\.(scatter|text|years))?: ", "the scatter of single years is without bias, and the years to know are a range"),
        (@"\.paragraphs\[\d\]: .*With this scatter", "the report says the same"),
        (@"\.line\[\d+\]\.(low|high): ", "the band of a trend rests on the same scatter"),
        (@"\.trend\.seasonal\.", "both tests speak of the same years: months of years with too few values are left out"),
        (@"\.trend\.working\.steps: was \[""S ", "tau, N′, C, the ranks and χ² stand in the working"),
        (
            @"^/api/reviews\[0\]\.(openFindings: was 16, is 15$|seen\[[12]\]: )",
            "a preservative that was added later ends the stop that it was missing"
        ),
        (@"^/api/reviews\[1\]\.openFindings: was 4, is 7$", "wind of −3 m/s, 9000 people and 0 kPa are not kept without a word"),
        (@"series\[2\]\.trend\.(heldBack\[2\]: was ""1 value has an open stop|points: )", "the visit with 216 °C, see below"),
        (
            @"^/api/stations/HAR-2\.context\.temperatures\[52\]\.highC: was 216, is 21\.8$",
            "216 °C, with its stop open, is no warmth of that month"
        ),
        (@"^/api/stations/HAR-2\.profiles\[0\]\.levels\[3\]\.celsius: was 216, is $", "nor is it drawn in the record"),
        (
            @"^/api/stations/HAR-2\.series\[[2-5]\]\.points: ",
            "without it the visit of that level has bottom oxygen, warmth, thermocline and stability: not usable while the stop is open"
        ),
    ];

    [Fact]
    public async Task A_database_of_an_earlier_build_reads_the_same()
    {
        using var http = await earlier.AsAsync("coordinator", EarlierServer.Password);
        List<string> differs = [];
        foreach (var (address, then) in EarlierServer.Answers())
        {
            differs.AddRange(Differences(address, then, await http.GetFromJsonAsync<JsonNode>(address)));
        }

        AssertOnlyOtherwise(differs);

        // A reason that nothing needs any more is taken out.
        Assert.All(Otherwise, o => Assert.Contains(differs, d => Regex.IsMatch(d, o.At)));
    }

    [Fact]
    public async Task A_package_of_an_earlier_build_becomes_the_same_record()
    {
        using var empty = new EmptyServer();
        using var http = await empty.FirstAsync();
        await using var package = File.OpenRead(Path.Combine(EarlierServer.Kept, "package.zip"));
        using var content = new StreamContent(package);
        content.Headers.ContentType = new("application/octet-stream");
        var answer = (await (await http.PostAsync("/api/import/package", content)).Content.ReadFromJsonAsync<JsonObject>())!;
        Assert.True((bool)answer["done"]!, answer.ToJsonString());

        List<string> differs = [];
        foreach (
            var (address, then) in EarlierServer
                .Answers()
                .Where(a =>
                    a.Key.StartsWith("/api/stations/", StringComparison.Ordinal)
                    || a.Key.StartsWith("/api/record", StringComparison.Ordinal)
                    || a.Key.EndsWith("/answers", StringComparison.Ordinal)
                )
        )
        {
            differs.AddRange(Differences(address, then, await http.GetFromJsonAsync<JsonNode>(address)));
        }

        AssertOnlyOtherwise(differs);
    }

    [Fact]
    public async Task Rebuilding_its_projections_changes_no_published_value()
    {
        using var scope = earlier.Services.CreateScope();
        Assert.Empty(await scope.ServiceProvider.GetRequiredService<FieldBook>().RebuildAsync(TestContext.Current.CancellationToken));
    }

    private static void AssertOnlyOtherwise(List<string> differs)
    {
        List<string> unsaid = [.. differs.Where(d => !Otherwise.Any(o => Regex.IsMatch(d, o.At)))];
        Assert.True(unsaid.Count == 0, string.Join(Environment.NewLine, unsaid));
    }

    // All that was said then is said now; a later build may say more beside it.
    private static IEnumerable<string> Differences(string at, JsonNode? then, JsonNode? now)
    {
        switch (then, now)
        {
            case (JsonObject was, JsonObject given):
                return was.SelectMany(p => Differences($"{at}.{p.Key}", p.Value, given[p.Key]));
            case (JsonArray was, JsonArray given) when was.Count == given.Count:
                return was.Zip(given).SelectMany((pair, i) => Differences($"{at}[{i}]", pair.First, pair.Second));
            default:
                return JsonNode.DeepEquals(then, now) ? [] : [$"{at}: was {then?.ToJsonString()}, is {now?.ToJsonString()}"];
        }
    }
}
