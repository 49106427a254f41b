using System.Text.Json.Serialization;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Setup.Waters;
using UpperStill.StandIns.Lakes;

namespace UpperStill.StandIns.Instruments;

/// <summary>Where the simulated boat lies.</summary>
/// <param name="Station">The station's code.</param>
/// <param name="LatitudeDeg">The station's latitude.</param>
/// <param name="LongitudeDeg">The station's longitude.</param>
/// <param name="DepthM">Depth of the water there, m.</param>
/// <param name="Kind">Lake, reservoir or sea.</param>
/// <param name="Day">The day.</param>
public sealed record BoatPlace(string Station, double LatitudeDeg, double LongitudeDeg, double DepthM, WaterKind Kind, DateOnly Day);

/// <summary>What is done with the simulated boat; what is null stays as it is.</summary>
/// <param name="Place">It goes to another place, its instruments just switched on; to the place where it lies, nothing happens.</param>
/// <param name="LowerToM">The probe is lowered or raised to this depth, m.</param>
/// <param name="Percent">The sonde's display is put on per cent, or back.</param>
/// <param name="Silent">The sonde's cable drops out, or holds again.</param>
/// <param name="Pace">Seconds of the boat for each second, 1–30.</param>
/// <param name="Seconds">Seconds of the boat that go by now, at most 120; the stand-in behind the network minds the time by itself.</param>
public sealed record BoatCommand(
    BoatPlace? Place = null,
    double? LowerToM = null,
    bool? Percent = null,
    bool? Silent = null,
    int? Pace = null,
    int? Seconds = null
);

/// <summary>What the simulated instruments sent, and how they stand.</summary>
/// <param name="Receiver">Lines of the receiver and sounder.</param>
/// <param name="Sonde">Lines of the sonde.</param>
/// <param name="ProbeM">Where the probe hangs, m.</param>
/// <param name="Percent">True while the sonde's display shows per cent.</param>
/// <param name="Silent">True while its cable is out.</param>
/// <param name="Pace">Seconds of the boat for each second.</param>
public sealed record BoatLines(
    IReadOnlyList<string> Receiver,
    IReadOnlyList<string> Sonde,
    double ProbeM,
    bool Percent,
    bool Silent,
    int Pace
);

/// <summary>The stand-in for a boat with its instruments, the same on the device and behind the network. Not for two threads at
/// once.</summary>
public sealed class SimulatedBoat
{
    private const int MostSeconds = 120;
    private const int Morning = 10 * 3600;

    // As a volunteer's boat lies: near the mark, not on it.
    private const double OffM = 9;

    private BoatPlace? place;
    private SimulatedReceiver? receiver;
    private SimulatedSonde? sonde;
    private int clock = Morning;

    /// <summary>Seconds of the boat for each second.</summary>
    public int Pace { get; private set; } = 1;

    /// <summary>Does what is asked, then lets time go by.</summary>
    public BoatLines Do(BoatCommand command)
    {
        ArgumentNullException.ThrowIfNull(command);
        if (command.Place is { } to && to != place)
        {
            GoTo(to);
        }

        if (sonde is not null)
        {
            sonde.TargetM = command.LowerToM ?? sonde.TargetM;
            sonde.Percent = command.Percent ?? sonde.Percent;
            sonde.Silent = command.Silent ?? sonde.Silent;
        }

        Pace = Math.Clamp(command.Pace ?? Pace, 1, 30);
        List<string> ofReceiver = [];
        List<string> ofSonde = [];
        for (var i = 0; i < Math.Min(MostSeconds, command.Seconds ?? 0); i++)
        {
            clock++;
            ofReceiver.AddRange(receiver?.Second(clock) ?? []);
            ofSonde.AddRange(sonde?.Second(clock) ?? []);
        }

        return new BoatLines(ofReceiver, ofSonde, Math.Round(sonde?.DepthM ?? 0, 2), sonde?.Percent ?? false, sonde?.Silent ?? false, Pace);
    }

    private void GoTo(BoatPlace to)
    {
        place = to;
        var seed = (ulong)to.Day.DayNumber;
        foreach (var letter in to.Station)
        {
            seed = (seed * 31) + letter;
        }

        var depth = Math.Clamp(to.DepthM, 0.5, 12_000);
        receiver = new SimulatedReceiver(Shape.FromPlane(new Position(to.LatitudeDeg, to.LongitudeDeg), OffM, -OffM / 3), depth, seed);
        sonde = new SimulatedSonde(new LakeColumn(depth, to.Kind == WaterKind.Sea, to.Day), seed);
        clock = Morning;
    }
}

/// <summary>JSON of the simulated boat.</summary>
[JsonSourceGenerationOptions(
    GenerationMode = JsonSourceGenerationMode.Metadata,
    PropertyNamingPolicy = JsonKnownNamingPolicy.CamelCase,
    DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull
)]
[JsonSerializable(typeof(BoatCommand))]
[JsonSerializable(typeof(BoatLines), GenerationMode = JsonSourceGenerationMode.Serialization)]
public sealed partial class BoatJson : JsonSerializerContext;
