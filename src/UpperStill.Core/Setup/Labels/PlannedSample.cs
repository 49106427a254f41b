using System.Globalization;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Samples;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Setup.Labels;

/// <summary>A bottle, vial or jar that an outing will fill, with what stands on its label before it is wet.</summary>
/// <param name="Number">Its number, unique in the group; see <see cref="SampleNumber"/>.</param>
/// <param name="Station">The station's code.</param>
/// <param name="Water">Water.</param>
/// <param name="District">District.</param>
/// <param name="Day">The day.</param>
/// <param name="Type">The sample type.</param>
/// <param name="Replicate">0 for the sample, 1 and on for its replicates.</param>
/// <param name="Place">Where in the water.</param>
public sealed record PlannedSample(
    string Number,
    string Station,
    string Water,
    string District,
    DateOnly Day,
    SampleType Type,
    int Replicate,
    SamplePlace Place
)
{
    /// <summary>The protocol that fills it, where it takes it in its own way; null for water of a place of the plan.</summary>
    public Protocol? FilledBy { get; init; }

    /// <summary>Depth or interval as far as it is known before: the rest is written by hand.</summary>
    public string Depth => Place.Before;

    /// <summary>True where the depth is written by hand after it.</summary>
    public bool DepthOpen => Place.DepthOpen;
}

/// <summary>Counts the samples of an outing.</summary>
public static class PlannedSamples
{
    /// <summary>The samples of a station on a day, in the order in which they are filled.</summary>
    /// <param name="station">Where.</param>
    /// <param name="programme">By which rules.</param>
    /// <param name="protocols">What is due.</param>
    /// <param name="day">When.</param>
    /// <param name="bottles">Which bottles a protocol fills.</param>
    /// <param name="series">The letter of the visit among those of the day; null for the first.</param>
    public static IReadOnlyList<PlannedSample> Of(
        Station station,
        Programme programme,
        IReadOnlyCollection<Protocol> protocols,
        DateOnly day,
        BottlesOf bottles,
        string? series = null
    )
    {
        ArgumentNullException.ThrowIfNull(station);
        ArgumentNullException.ThrowIfNull(programme);
        ArgumentNullException.ThrowIfNull(bottles);
        var counts = new Dictionary<string, int>();
        List<PlannedSample> samples = [];
        var plans = (programme.Season ?? []).Where(p => protocols.Contains(p.Protocol)).DistinctBy(p => p.Protocol);
        foreach (var (plan, bottle) in plans.SelectMany(plan => bottles(plan, programme).Select(b => (plan, b))))
        {
            if (programme.TypeOf(bottle.Type) is not { } type)
            {
                continue;
            }

            foreach (var (i, place) in SamplePlace.Of(bottle.From, plan.Protocol).Index())
            {
                var count = counts[type.Letter] = counts.GetValueOrDefault(type.Letter) + 1;
                var further = bottle.OnlyFirst && i > 0 ? 0 : bottle.Replicates;
                for (var replicate = 0; replicate <= further; replicate++)
                {
                    samples.Add(
                        new PlannedSample(
                            Number(station.Code, day, series, type.Letter, count, replicate),
                            station.Code,
                            station.Water,
                            station.District,
                            day,
                            type,
                            replicate,
                            place
                        )
                        {
                            FilledBy = bottle.Own || bottle.From == SampleFrom.Protocol ? plan.Protocol : null,
                        }
                    );
                }
            }
        }

        return samples;
    }

    /// <summary>The number of a sample.</summary>
    internal static string Number(string station, DateOnly day, string? series, string letter, int count, int replicate) =>
        SampleNumber.Checked(
            $"{station}-{day.ToString("yyMMdd", CultureInfo.InvariantCulture)}{series}-{letter}{count}"
                + (
                    replicate == 0 ? string.Empty
                    : replicate == 1 ? "R"
                    : $"R{replicate}"
                )
        );
}
