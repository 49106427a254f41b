using CsCheck;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Protocols.Results;
using UpperStill.Core.Setup.Labels;

namespace UpperStill.Core.Tests.Protocols.Results;

public sealed class ResultJoinTests
{
    private static readonly DateOnly Day = new(2026, 7, 1);
    private static readonly string[] Numbers = [.. new[] { "C1", "F1", "F2", "P1" }.Select(l => SampleNumber.Checked($"HAR-1-260701-{l}"))];

    private static readonly ILookup<string, NamedSample> Known = Numbers
        .Select(
            (n, i) =>
                new NamedSample(
                    n,
                    new Guid(i + 1, 0, 0, new byte[8]),
                    "HAR-1",
                    "harrowmere",
                    i == 0 ? SampleState.Filtered : SampleState.Received,
                    Day
                )
        )
        .ToLookup(s => SampleNumber.Body(s.Number));

    private static readonly Gen<ResultBody> AnyResult =
        from number in Gen.OneOfConst(Numbers)
        from analyte in Gen.OneOfConst("chlorophyll-a", "total-phosphorus")
        from value in Gen.OneOfConst("4.2", "4,2", "5.0", "<1")
        from method in Gen.OneOfConst<string?>(null, "A", "B")
        select new ResultBody(number, analyte, value, "µg/L", Method: method);

    [Fact]
    public void What_becomes_of_a_row_does_not_depend_on_the_order_of_the_file() =>
        Gen.Select(AnyResult.Array[0, 12], Gen.Int[0, 1_000_000])
            .Sample((rows, seed) => Assert.Equal(Outcome(Joined(rows, Nothing)), Outcome(Joined(Shuffled(rows, seed), Nothing))));

    [Fact]
    public void A_file_that_comes_again_brings_nothing_new() =>
        AnyResult
            .Array[0, 12]
            .Sample(rows =>
            {
                var first = Joined(rows, Nothing).Where(r => r.Entry is not null).ToList();
                var present = new PresentResults(
                    first.Select(r => r.Entry!.Value).ToHashSet(),
                    first.Select(r => r.Result!).ToLookup(ResultJoin.KeyOf)
                );
                Assert.DoesNotContain(Joined(rows, present), r => r.Entry is not null);
            });

    [Fact]
    public void Rows_that_contradict_each_other_are_all_held()
    {
        var joined = Joined(
            [
                new(Numbers[1], "chlorophyll-a", "4.2", "µg/L"),
                new(Numbers[1], "chlorophyll-a", "5.0", "µg/L"),
                new(Numbers[2], "chlorophyll-a", "5.0", "µg/L"),
            ],
            Nothing
        );
        Assert.Equal(["result-twice", "result-twice", null], joined.Select(r => r.Code));
    }

    [Fact]
    public void A_struck_result_does_not_come_back_and_another_value_than_the_standing_one_is_held()
    {
        var row = new ResultBody(Numbers[1], "chlorophyll-a", "4.2", "µg/L");
        var id = Joined([row], Nothing)[0].Entry!.Value;
        var none = Array.Empty<ResultBody>().ToLookup(ResultJoin.KeyOf);
        Assert.Null(Joined([row], new PresentResults(new HashSet<Guid> { id }, none))[0].Entry);

        var standing = new PresentResults(new HashSet<Guid> { id }, new[] { row }.ToLookup(ResultJoin.KeyOf));
        Assert.Equal("result-twice", Joined([row with { Value = "9" }], standing)[0].Code);
    }

    [Theory]
    [InlineData("HAR-1-260701-C1", "result-unmatched")] // its water was filtered: the filter has the result
    [InlineData("HAR-1-260701-F9", "result-unmatched")]
    public void A_row_that_finds_no_sample_is_held(string number, string code) =>
        Assert.Equal(code, Joined([new(SampleNumber.Checked(number), "chlorophyll-a", "4.2", "µg/L")], Nothing)[0].Code);

    [Fact]
    public void A_number_with_a_wrong_character_is_held_and_so_is_one_that_the_reporter_may_not_report()
    {
        var wrong = Numbers[1][..^1] + (Numbers[1][^1] == 'A' ? 'B' : 'A');
        Assert.NotNull(Joined([new(wrong, "chlorophyll-a", "4.2", "µg/L")], Nothing)[0].Code);
        Assert.Equal("role-missing", Joined([new(Numbers[1], "chlorophyll-a", "4.2", "µg/L")], Nothing, may: false)[0].Code);
    }

    private static PresentResults Nothing { get; } = new(new HashSet<Guid>(), Array.Empty<ResultBody>().ToLookup(ResultJoin.KeyOf));

    private static List<JoiningResult<int>> Joined(IReadOnlyList<ResultBody> rows, PresentResults present, bool may = true)
    {
        List<JoiningResult<int>> joining = [.. rows.Select((r, i) => new JoiningResult<int>(i, r.Sample, r))];
        ResultJoin.Match(joining, Known, _ => may);
        ResultJoin.Settle(joining, present);
        return joining;
    }

    // Which rows are held and why, and which entries there will be; a row that stands twice becomes one entry, whichever of the two.
    private static List<string> Outcome(List<JoiningResult<int>> joined) =>
        [
            .. joined
                .Select(j => $"{j.Result} {j.Code} {j.Why}")
                .Concat(joined.Select(j => j.Entry).OfType<Guid>().Select(e => e.ToString()))
                .Order(StringComparer.Ordinal),
        ];

    private static ResultBody[] Shuffled(ResultBody[] rows, int seed)
    {
        var copy = rows.ToArray();
        new Random(seed).Shuffle(copy);
        return copy;
    }
}
