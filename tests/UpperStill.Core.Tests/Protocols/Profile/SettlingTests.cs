using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Profile;
using UpperStill.Core.Science.Oxygen;

namespace UpperStill.Core.Tests.Protocols.Profile;

public class SettlingTests
{
    [Fact]
    public void It_has_settled_once_all_held_still_for_fifteen_seconds()
    {
        Assert.True(Settling.Work(new SettlingRequest(Still(16))).Settled);
        Assert.Equal(
            (false, 14m, "Holding still."),
            Settling.Work(new SettlingRequest(Still(15))) is var r ? (r.Settled, r.HeldS, r.Words) : default
        );
    }

    [Theory]
    [InlineData(3.0, 18.2, 8.6, "Temperature moved 0.2 °C.")]
    [InlineData(3.0, 18.0, 8.3, "Oxygen moved 0.3 mg/L.")]
    [InlineData(2.5, 18.0, 8.6, "The probe is on its way.")]
    public void What_still_moves_is_said(double depth, double celsius, double oxygen, string words)
    {
        var readings = Still(20);
        readings[12] = Shown(12, (decimal)depth, (decimal)celsius, (decimal)oxygen);

        var result = Settling.Work(new SettlingRequest(readings));

        Assert.Equal((false, 6m, words), (result.Settled, result.HeldS, result.Words));
    }

    [Fact]
    public void A_display_on_per_cent_may_move_ten_times_as_much()
    {
        var readings = Still(20);
        readings[12] = Shown(12, 3.0m, 18.0m, 9.4m);

        Assert.False(Settling.Work(new SettlingRequest(readings)).Settled);
        Assert.True(Settling.Work(new SettlingRequest(readings, OxygenUnit.Percent)).Settled);
    }

    [Fact]
    public void A_display_left_on_per_cent_is_known_by_its_numbers()
    {
        List<SettlingReading> readings = [.. Still(20).Select(r => Shown(r.Seconds, 3.0m, 18.0m, 98 + (r.Seconds % 2 * 0.4m)))];

        Assert.True(Settling.Work(new SettlingRequest(readings, OxygenUnit.MgPerL)).Settled);
    }

    [Fact]
    public void The_programme_sets_how_still_is_still()
    {
        var readings = Still(20);
        readings[12] = Shown(12, 3.0m, 18.05m, 8.6m);

        Assert.True(Settling.Work(new SettlingRequest(readings)).Settled);
        Assert.False(
            Settling
                .Work(new SettlingRequest(readings, Limits: new Dictionary<string, decimal> { ["checks.settled-temperature"] = 0.02m }))
                .Settled
        );
    }

    [Fact]
    public void Degrees_Fahrenheit_move_by_nine_fifths_of_what_the_limit_allows()
    {
        List<SettlingReading> At(TemperatureUnit unit) =>
            [.. Still(20).Select(r => r with { Temperature = new WrittenTemperature(r.Seconds == 12 ? "64.55" : "64.4", unit) })];

        Assert.True(Settling.Work(new SettlingRequest(At(TemperatureUnit.Fahrenheit))).Settled);
        Assert.False(Settling.Work(new SettlingRequest(At(TemperatureUnit.Celsius))).Settled);
    }

    [Fact]
    public void A_meter_without_oxygen_settles_by_its_temperature() =>
        Assert.True(Settling.Work(new SettlingRequest([.. Still(20).Select(r => r with { Oxygen = null })])).Settled);

    [Theory]
    [InlineData(3.05, true)]
    [InlineData(3.5, false)]
    public void The_level_that_is_asked_for_is_known_by_its_depth(double target, bool at) =>
        Assert.Equal(at, Settling.Work(new SettlingRequest(Still(2), TargetM: (decimal)target)).AtTarget);

    [Fact]
    public void Nothing_yet_is_no_answer() => Assert.False(Settling.Work(new SettlingRequest([])).Settled);

    private static List<SettlingReading> Still(int seconds) => [.. Enumerable.Range(0, seconds).Select(s => Shown(s, 3.0m, 18.0m, 8.6m))];

    private static SettlingReading Shown(decimal seconds, decimal depthM, decimal celsius, decimal oxygen) =>
        new(
            seconds,
            depthM,
            new WrittenTemperature(Decimals.Text(celsius), TemperatureUnit.Celsius),
            new WrittenOxygen(Decimals.Text(oxygen))
        );
}
