using UpperStill.Core.Application.Trends;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Statistics;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Tests.Application.Trends;

/// <summary>Stations beside each other, none made one number with another.</summary>
public sealed class SideBySideTests
{
    [Fact]
    public void The_year_is_the_newest_with_enough_values_unless_another_is_asked_for()
    {
        StationSaid[] stations = [Said("A", "lake", Years(2018, 2024, least: 1)), Said("B", "lake", Years(2020, 2026, least: 2))];
        var beside = SideBySide.Of(Parameter.Clarity, stations);
        Assert.Equal((2024, 2026, 2018), (beside.Year, beside.Years[0], beside.Years[^1]));
        Assert.Equal([("A", "4.0 m"), ("B", "1 of 2")], beside.Stations.Select(s => (s.Name, s.Beside!.Text)));
        Assert.Null(SideBySide.Of(Parameter.Clarity, stations, 2019).Stations[1].Beside);
        StationSaid waits = Said("C", "lake", Years(2018, 2026, least: 1, signedOff: false));
        Assert.Equal(2024, SideBySide.Of(Parameter.Clarity, [.. stations, waits]).Year);
        Assert.True(SideBySide.Of(Parameter.Clarity, [.. stations, waits]).Stations[2].Beside!.Provisional);
        Assert.Equal((0, 0), (SideBySide.Of(Parameter.Clarity, []).Year, SideBySide.Of(Parameter.Clarity, []).Stations.Count));
    }

    [Fact]
    public void Of_many_stations_of_a_programme_only_the_first_are_drawn_and_all_have_their_numbers()
    {
        var answer = Years(2018, 2024, least: 1);
        var beside = SideBySide.Of(
            Parameter.Clarity,
            [.. Enumerable.Range(1, 70).Select(i => Said($"S{i}", "lake", answer)), Said("T", "coast", answer)]
        );
        Assert.Equal(SideBySide.MostDrawn + 1, beside.Stations.Count(s => s.Years is not null));
        Assert.NotNull(beside.Stations[^1].Years);
        Assert.All(beside.Stations, s => Assert.Equal(4, s.Beside!.Value));
        Assert.Equal(["lake", "coast"], beside.Programmes.Keys);
    }

    private static StationSaid Said(string name, string programme, SeriesAnswer answer) =>
        new(
            new Station(name, "harrowmere", "Harrowmere", "Aldwick", name, new WrittenLength("14.5", LengthUnit.Metre), 51.8, -21.4),
            programme,
            programme,
            answer
        );

    private static SeriesAnswer Years(int from, int until, int least, bool signedOff = true) =>
        TrendRule.Answer(
            new TrendRequest(
                Parameter.Clarity,
                [
                    .. Enumerable
                        .Range(from, until - from + 1)
                        .Select(y => new SeriesPoint(Guid.CreateVersion7(), new DateOnly(y, 7, 1), 4, SignedOff: signedOff)),
                ],
                new SummarySettings(6, 9, least)
            )
        );
}
