using System.Buffers.Binary;
using System.Globalization;
using System.Text;
using UpperStill.Core.Setup.Laboratories;
using UpperStill.StandIns.Demo;
using UpperStill.StandIns.Lakes;

namespace UpperStill.StandIns.Services;

/// <summary>
/// A made-up laboratory: it takes a manifest, works for a while and answers with a file in its own layout, from what the simulated lakes
/// would hold. Now and then it rejects a vial, breaks a
/// row, or sends a result later. The same manifest always has the same answer.
/// </summary>
/// <param name="clock">Tells how long it has worked.</param>
/// <param name="works">How long it works on a manifest, and again on what is late.</param>
public sealed class SimulatedLaboratory(TimeProvider clock, TimeSpan works) : ILaboratoryLink
{
    private const double DetectionUgL = 0.5;
    private const double UnknownUgL = 4;
    private const int OneInRejected = 24;
    private const int OneInLate = 9;
    private const int OneInBroken = 14;
    private const int FewestForTrouble = 5;
    private readonly DemoScenario scenario = DemoScenario.Load();

    /// <inheritdoc/>
    public bool Simulated => true;

    /// <inheritdoc/>
    public Task<LabAnswer> AskAsync(Guid manifest, DateTimeOffset leftAt, IReadOnlyList<LabItem> items, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(items);
        cancel.ThrowIfCancellationRequested();
        var now = clock.GetUtcNow();
        var seed = BinaryPrimitives.ReadUInt64BigEndian(manifest.ToByteArray(bigEndian: true).AsSpan(8));
        var chance = items
            .OrderBy(i => i.Number, StringComparer.Ordinal)
            .Select((item, i) => (Item: item, Chance: new Chance(seed + (ulong)i)))
            .Select(c => (c.Item, Fate: FateOf(c.Chance, items.Count), c.Chance))
            .ToList();
        List<LabRejection> rejected =
        [
            .. chance
                .Where(c => c.Fate == Fate.Rejected)
                .Select(c => new LabRejection(c.Item.Number, "the vial came open, and the filter had dried on its wall")),
        ];
        if (now < leftAt + works)
        {
            return Task.FromResult(new LabAnswer([], null, null, true, leftAt + works));
        }

        var late = chance.Exists(c => c.Fate == Fate.Late);
        var all = now >= leftAt + (2 * works);
        var analysed = DateOnly.FromDateTime((leftAt + works).DateTime);
        var rows = chance
            .Where(c => c.Fate != Fate.Rejected && (all || c.Fate != Fate.Late))
            .SelectMany(c => Rows(c.Item, c.Fate, c.Chance, analysed));
        var text = new StringBuilder("Lab no;Sample ID;Parameter;Result;Units;MDL;Method;Analysed\r\n");
        var count = 0;
        foreach (var row in rows)
        {
            text.Append(CultureInfo.InvariantCulture, $"{++count};{row}\r\n");
        }

        return Task.FromResult(
            new LabAnswer(
                rejected,
                $"results-{manifest.ToString()[^6..]}{(all && late ? "-complete" : string.Empty)}.csv",
                text.ToString(),
                late && !all,
                late && !all ? leftAt + (2 * works) : null
            )
        );
    }

    private IEnumerable<string> Rows(LabItem item, Fate fate, Chance chance, DateOnly analysed)
    {
        var number = fate == Fate.Broken ? item.Number.Replace("-", " - ", StringComparison.Ordinal) + "?" : item.Number;
        var date = analysed.ToString("dd.MM.yyyy", CultureInfo.InvariantCulture);
        if (item.Type.StartsWith("phosphorus", StringComparison.Ordinal))
        {
            yield return $"{number};TP;{Comma(item.Blank ? 0.8 : Chlorophyll(item) * 3.1 * (1 + (0.06 * chance.Bell())))};ug/L;2,0;persulphate, ascorbic acid;{date}";
        }
        else if (item.Type.StartsWith("chlorophyll", StringComparison.Ordinal))
        {
            var a = item.Blank ? 0.1 : Chlorophyll(item) * (1 + (0.06 * chance.Bell()));
            yield return $"{number};CHL a;{(a < DetectionUgL ? "<0,5" : Comma(a))};ug/L;0,5;monochromatic;{date}";
            yield return $"{number};Pheo a;{Comma(a * (0.12 + (0.03 * chance.Bell())))};ug/L;0,5;monochromatic;{date}";
        }
        else if (item.Type.StartsWith("layer", StringComparison.Ordinal))
        {
            yield return $"{number};Nitrate;{Comma(0.4 + (0.05 * chance.Bell()))};mg N/L;0,01;ion chromatography;{date}";
        }
        else if (item.Type == "bacteria")
        {
            yield return $"{number};E. coli;{(item.Blank ? "<10" : chance.Whole(10, 90).ToString(CultureInfo.InvariantCulture))};MPN/100mL;10;most probable number;{date}";
        }
        else
        {
            yield return $"{number};Conductivity;{Comma(210 + (3 * chance.Bell()))};uS/cm;;cell at 25 °C;{date}";
        }
    }

    // What the lake's clarity stands for where both indices of Carlson 1977 agree.
    private double Chlorophyll(LabItem item)
    {
        if (scenario.Stations.FirstOrDefault(s => s.Station.Code == item.Station) is not { } station)
        {
            return UnknownUgL;
        }

        var clarity = station.Lake.Clarity(item.Day, scenario.FirstYear, 0, new Chance((ulong)item.Day.DayNumber + scenario.Seed));
        return Math.Exp((29.4 - (14.41 * Math.Log(clarity))) / 9.81);
    }

    // A small manifest comes through whole: one vial in four lost would teach the wrong thing.
    private static Fate FateOf(Chance chance, int count)
    {
        var (rejected, late, broken) = (
            chance.Whole(1, OneInRejected) == 1,
            chance.Whole(1, OneInLate) == 1,
            chance.Whole(1, OneInBroken) == 1
        );
        return count < FewestForTrouble ? Fate.Good
            : rejected ? Fate.Rejected
            : late ? Fate.Late
            : broken ? Fate.Broken
            : Fate.Good;
    }

    private static string Comma(double value) => Math.Max(0, value).ToString("0.00", CultureInfo.InvariantCulture).Replace('.', ',');

    private enum Fate
    {
        Good,
        Rejected,
        Late,
        Broken,
    }
}
