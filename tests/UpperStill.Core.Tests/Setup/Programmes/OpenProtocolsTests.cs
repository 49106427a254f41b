using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Tests.Setup.Programmes;

public class OpenProtocolsTests
{
    private static readonly Programme Plain = Presets.All[0].Programme;
    private static readonly ProtocolPlan[] Season =
    [
        new(Protocol.Clarity, Rhythm.Days, new(5, 1), new(9, 30)),
        new(Protocol.Chlorophyll, Rhythm.Monthly, new(5, 1), new(9, 30)),
        new(Protocol.Phosphorus, Rhythm.Once, new(3, 15), new(5, 31)),
        new(Protocol.Phosphorus, Rhythm.Once, new(8, 15), new(9, 15)),
    ];

    [Theory]
    [InlineData("2026-08-14", new[] { "clarity", "chlorophyll" })]
    [InlineData("2026-08-15", new[] { "clarity", "chlorophyll", "phosphorus" })]
    [InlineData("2026-09-15", new[] { "clarity", "chlorophyll", "phosphorus" })]
    [InlineData("2026-12-24", new[] { "clarity" })] // the disc may go down on any day
    public void What_is_open_follows_the_windows_both_ends_in(string day, string[] open) =>
        Assert.Equal(
            open,
            OpenProtocols
                .Work(
                    new OpenProtocolsRequest(
                        Plain with
                        {
                            Season = Season,
                        },
                        DateOnly.Parse(day, System.Globalization.CultureInfo.InvariantCulture)
                    )
                )
                .Open.Select(p => p.Code)
        );

    [Fact]
    public void On_a_beach_the_disc_may_go_down_but_nobody_is_asked_for_it()
    {
        ProtocolPlan beach = new(new("bacteria"), Rhythm.Days, new(5, 15), new(9, 30));
        var open = OpenProtocols.Work(new OpenProtocolsRequest(Plain with { Season = [beach] }, new DateOnly(2026, 8, 12)));
        Assert.Equal([beach.Protocol], open.Open);
        Assert.Equal([Protocol.Clarity, beach.Protocol], open.Every);
    }

    [Fact]
    public void Without_a_season_there_is_the_disc() =>
        Assert.Equal([Protocol.Clarity], OpenProtocols.Work(new OpenProtocolsRequest(Plain with { Season = null }, default)).Every);
}
