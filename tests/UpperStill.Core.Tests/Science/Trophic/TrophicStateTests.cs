using UpperStill.Core.Science.Trophic;

namespace UpperStill.Core.Tests.Science.Trophic;

public sealed class TrophicStateTests
{
    // The table of Carlson 1977: each step of ten halves the clarity; chlorophyll and phosphorus as printed there.
    [Theory]
    [InlineData(64, 0.04, 0.75, 0)]
    [InlineData(16, 0.34, 3, 20)]
    [InlineData(4, 2.6, 12, 40)]
    [InlineData(2, 6.4, 24, 50)]
    [InlineData(1, 20, 48, 60)]
    [InlineData(0.25, 154, 192, 80)]
    public void The_table_of_1977(double clarity, double chlorophyll, double phosphorus, int index)
    {
        var result = TrophicState.Work(new TrophicRequest((decimal)clarity, (decimal)chlorophyll, (decimal)phosphorus));
        Assert.All(result.Indices, i => Assert.InRange(i.Index, index - 1.2m, index + 1.2m));
        Assert.Equal(3, result.Indices.Count);
    }

    [Fact]
    public void Worked_by_hand()
    {
        // 60 - 14.41 ln 4.7 = 37.7; 30.6 + 9.81 ln 5.9 = 48.0; 4.15 + 14.42 ln 17 = 45.0.
        var result = TrophicState.Work(new TrophicRequest(4.7m, 5.9m, 17m));
        Assert.Equal([37.7m, 48.0m, 45.0m], result.Indices.Select(i => i.Index));
        Assert.Equal(["oligotrophic", "mesotrophic", "mesotrophic"], result.Indices.Select(i => i.Class));
        Assert.Equal(
            ["Chlorophyll sits above clarity: large particles let light through.", "Chlorophyll and phosphorus agree."],
            result.Reading
        );
    }

    [Theory]
    [InlineData(1.0, 3, 10, "Chlorophyll sits below clarity: colour or mineral turbidity dims the water.")]
    [InlineData(3.0, 3, 60, "Chlorophyll sits below phosphorus: something other than phosphorus limits algae.")]
    public void Differences_are_read(double clarity, double chlorophyll, double phosphorus, string reading) =>
        Assert.Contains(
            reading,
            TrophicState.Work(new TrophicRequest((decimal)clarity, (decimal)chlorophyll, (decimal)phosphorus)).Reading
        );

    [Fact]
    public void Nothing_has_no_logarithm_and_what_is_missing_is_left_out()
    {
        var result = TrophicState.Work(new TrophicRequest(ClarityM: 0, PhosphorusUgL: 20));
        Assert.Equal(TrophicOf.Phosphorus, Assert.Single(result.Indices).Of);
        Assert.Equal("equation-range", Assert.Single(result.Findings).Code);
        Assert.Empty(result.Reading);
    }
}
