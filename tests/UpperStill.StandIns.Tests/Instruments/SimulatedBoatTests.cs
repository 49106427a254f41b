using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Profile;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Science.Oxygen;
using UpperStill.Core.Setup.Waters;
using UpperStill.Formats.Instruments;
using UpperStill.StandIns.Instruments;
using UpperStill.StandIns.Lakes;

namespace UpperStill.StandIns.Tests.Instruments;

public class SimulatedBoatTests
{
    private static readonly BoatPlace Deep = new("HAR-1", 51.9141, -11.4462, 31, WaterKind.Lake, new DateOnly(2026, 8, 12));

    [Fact]
    public void Its_lines_are_read_by_the_same_readers_as_real_ones()
    {
        var lines = At(Deep, 60);
        var receiver = InstrumentLines.OfReceiver(string.Join('\n', lines.Receiver));
        var sonde = InstrumentLines.OfSonde(string.Join('\n', lines.Sonde), new SondeTable());

        Assert.Equal(60, sonde.Readings.Count);
        Assert.Empty(sonde.Refused);
        Assert.InRange(Number(receiver.Depth?.Written)!.Value, 30.7m, 31.3m);
        Assert.InRange(
            Shape.DistanceM(
                new Position(receiver.Fix!.LatitudeDeg, receiver.Fix.LongitudeDeg),
                new Position(Deep.LatitudeDeg, Deep.LongitudeDeg)
            ),
            2,
            20
        );
        Assert.Equal(["half a line: its checksum is missing"], receiver.Refused);
    }

    [Fact]
    public void A_lowered_probe_settles_at_its_depth_to_what_the_water_holds()
    {
        var boat = new SimulatedBoat();
        boat.Do(new BoatCommand(Deep, Seconds: 120));
        boat.Do(new BoatCommand(LowerToM: 12, Seconds: 20));
        var moving = Read(boat.Do(new BoatCommand(Seconds: 6)));
        var still = Read(boat.Do(new BoatCommand(Seconds: 60)));
        var water = new LakeColumn(31, false, Deep.Day);

        Assert.False(Settled(moving));
        Assert.True(Settled(still));
        Assert.InRange(still[^1].DepthM, 11.95m, 12.05m);
        Assert.Equal(water.TemperatureC(12), (double)Number(still[^1].Temperature?.Written)!.Value, 0.1);
        Assert.Equal(water.OxygenMgPerL(12), (double)Number(still[^1].Oxygen?.Written)!.Value, 0.15);
    }

    [Fact]
    public void Its_display_left_on_per_cent_shows_it_in_the_numbers_alone()
    {
        var boat = new SimulatedBoat();
        boat.Do(new BoatCommand(Deep, Percent: true));
        var reading = Read(boat.Do(new BoatCommand(Percent: true, Seconds: 90)))[^1];

        Assert.Null(reading.Oxygen!.Unit);
        Assert.InRange(Number(reading.Oxygen.Written)!.Value, 90, 120);
    }

    [Fact]
    public void A_pulled_cable_says_nothing_and_a_plugged_one_goes_on()
    {
        var boat = new SimulatedBoat();
        boat.Do(new BoatCommand(Deep));

        Assert.Empty(boat.Do(new BoatCommand(Silent: true, Seconds: 10)).Sonde);
        Assert.NotEmpty(boat.Do(new BoatCommand(Silent: false, Seconds: 2)).Sonde);
    }

    [Fact]
    public void The_probe_never_goes_below_the_bottom()
    {
        var boat = new SimulatedBoat();
        boat.Do(new BoatCommand(Deep));

        Assert.Equal(31, boat.Do(new BoatCommand(LowerToM: 50, Seconds: 120)).ProbeM);
    }

    [Fact]
    public void The_same_place_and_day_give_the_same_lines() => Assert.Equal(At(Deep, 30).Sonde, At(Deep, 30).Sonde);

    [Fact]
    public void The_sea_is_salt_and_says_so()
    {
        var reading = Read(At(Deep with { Kind = WaterKind.Sea, DepthM = 9 }, 5))[^1];

        Assert.InRange(Number(reading.Salinity)!.Value, 30, 35);
    }

    private static BoatLines At(BoatPlace place, int seconds) => new SimulatedBoat().Do(new BoatCommand(place, Seconds: seconds));

    private static readonly string Header = At(Deep, 1).Sonde[0];

    private static IReadOnlyList<SondeReading> Read(BoatLines lines) =>
        InstrumentLines
            .OfSonde(
                string.Join(
                    '\n',
                    lines.Sonde.Prepend(
                        Header.Replace(
                            "pH",
                            lines.Sonde.Any(l => l.Split(',').Length == 7) ? "pH,salinity" : "pH",
                            StringComparison.Ordinal
                        )
                    )
                ),
                new SondeTable()
            )
            .Readings;

    private static bool Settled(IReadOnlyList<SondeReading> readings) =>
        Settling
            .Work(
                new SettlingRequest(
                    [.. readings.Select(r => new SettlingReading(r.Seconds!.Value, r.DepthM, r.Temperature, r.Oxygen))],
                    OxygenUnit.MgPerL
                )
            )
            .Settled;

    private static decimal? Number(string? text) => NumberText.Read(text).Value;
}
