using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Laboratories;
using UpperStill.StandIns.Services;

namespace UpperStill.StandIns.Tests.Services;

public class SimulatedLaboratoryTests
{
    private static readonly DateTimeOffset Left = new(2026, 8, 12, 10, 0, 0, TimeSpan.FromHours(1));
    private static readonly Guid Manifest = new("019ff547-8458-71e6-9596-75956a7521f4");

    [Fact]
    public async Task It_works_for_a_while_and_then_answers_the_same_to_everybody()
    {
        var clock = new StoppedClock { Now = Left.AddSeconds(59) };
        var lab = new SimulatedLaboratory(clock, TimeSpan.FromMinutes(1));
        var early = await Ask(lab, 2);
        clock.Now = Left.AddSeconds(61);

        Assert.Equal((null, Left.AddMinutes(1)), (early.File, early.ReadyAt));
        Assert.Equal((await Ask(lab, 2)).File, (await Ask(new SimulatedLaboratory(clock, TimeSpan.FromMinutes(1)), 2)).File);
    }

    [Fact]
    public async Task Chlorophyll_is_that_of_the_lake()
    {
        var answer = await Ask(Done(), 4);

        var values = answer
            .File!.Split("\r\n")
            .Where(l => l.Contains("CHL a", StringComparison.Ordinal))
            .Select(l => double.Parse(l.Split(';')[3].Replace(',', '.'), System.Globalization.CultureInfo.InvariantCulture))
            .ToList();
        Assert.Equal(4, values.Count);
        Assert.All(values, v => Assert.InRange(v, 1, 6)); // Deep Hole is clear to 3 to 5 m in August
    }

    [Fact]
    public async Task Among_many_vials_some_are_rejected_late_or_garbled_and_each_is_accounted_for()
    {
        List<LabItem> items = [.. Items(200)];
        var clock = new StoppedClock { Now = Left.AddSeconds(61) };
        var lab = new SimulatedLaboratory(clock, TimeSpan.FromMinutes(1));
        var first = await lab.AskAsync(Manifest, Left, items, CancellationToken.None);
        clock.Now = Left.AddSeconds(121);
        var last = await lab.AskAsync(Manifest, Left, items, CancellationToken.None);

        Assert.True(first.More && !last.More);
        Assert.InRange(last.Rejected.Count, 2, 30);
        Assert.Contains(" - ", last.File!, StringComparison.Ordinal);
        Assert.True(Rows(first) < Rows(last));
        Assert.Equal(200 - last.Rejected.Count, Rows(last));

        static int Rows(LabAnswer answer) => answer.File!.Split("\r\n").Count(l => l.Contains("CHL a", StringComparison.Ordinal));
    }

    private static SimulatedLaboratory Done() => new(new StoppedClock { Now = Left.AddMinutes(5) }, TimeSpan.FromMinutes(1));

    private static Task<LabAnswer> Ask(SimulatedLaboratory lab, int items) =>
        lab.AskAsync(Manifest, Left, [.. Items(items)], CancellationToken.None);

    private static IEnumerable<LabItem> Items(int count) =>
        Enumerable
            .Range(1, count)
            .Select(n => new LabItem(
                SampleNumber.Checked($"HAR-1-260812-F{n}"),
                "HAR-1",
                new DateOnly(2026, 8, 12),
                "chlorophyll-filter",
                100
            ));

    private sealed class StoppedClock : TimeProvider
    {
        internal DateTimeOffset Now { get; set; }

        public override DateTimeOffset GetUtcNow() => Now;
    }
}
