using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Samples;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Application.Outings;

/// <summary>A station of an outing as the pack list needs it.</summary>
/// <param name="Station">The station.</param>
/// <param name="Programme">Its programme.</param>
/// <param name="Protocols">What is due.</param>
/// <param name="Samples">The samples it fills.</param>
/// <param name="Line">The code of the line proposed there.</param>
public sealed record PackStop(Station Station, Programme Programme, IReadOnlyList<Protocol> Protocols, IReadOnlyList<PlannedSample> Samples, string? Line);

/// <summary>The union of what the protocols need at the stations of an outing, counted, crate by crate.</summary>
public static class PackList
{
    /// <summary>The list.</summary>
    /// <param name="stops">The stations.</param>
    /// <param name="kit">The kit of the group.</param>
    /// <param name="day">The day.</param>
    public static IReadOnlyList<PackNeed> Of(IReadOnlyList<PackStop> stops, IReadOnlyList<KitItem> kit, DateOnly day)
    {
        ArgumentNullException.ThrowIfNull(stops);
        ArgumentNullException.ThrowIfNull(kit);
        return [.. new Packing(stops, kit, day).Needs().OrderBy(n => n.Crate)];
    }

    private sealed class Packing(IReadOnlyList<PackStop> stops, IReadOnlyList<KitItem> kit, DateOnly day)
    {
        private readonly List<PlannedSample> samples = [.. stops.SelectMany(s => s.Samples)];

        private bool Afloat => stops.Any(s => !s.Station.Shore);

        internal IEnumerable<PackNeed> Needs() => [.. Safety(), .. Clarity(), .. Profile(), .. Bottles(), .. Chlorophyll(), .. Paper(), .. Cold()];

        private bool Takes(Protocol protocol) => stops.Any(s => s.Protocols.Contains(protocol));

        private IEnumerable<PackNeed> Safety()
        {
            var people = (int)stops.Max(s => s.Programme.LimitOf(LimitBook.PeopleMin));
            if (Afloat)
            {
                yield return Plain("flotation", Crate.Safety, "flotation, worn", people, "going afloat", $"{people} people");
                yield return Plain("anchor", Crate.Safety, "anchor with spare line", 1, "holding the spot");
                yield return Plain("bailer", Crate.Safety, "bailer", 1, "going afloat");
            }
            else
            {
                yield return Plain("boots", Crate.Safety, "boots or waders, flotation near the edge", people, "standing at the water", $"{people} people");
            }

            yield return Plain("told", Crate.Safety, "someone ashore told where, and when back", 1, "going at all");
            yield return Plain("phone", Crate.Safety, "phone or radio, charged, kept dry", 1, "calling for help");
        }

        private IEnumerable<PackNeed> Clarity()
        {
            if (!Takes(Protocol.Clarity))
            {
                yield break;
            }

            yield return Of(KitKind.Disc, "disc", "a disc", "clarity");
            foreach (var line in stops.Select(s => s.Line).Distinct())
            {
                yield return Line(line, [.. stops.Where(s => s.Line == line)]);
            }

            yield return Plain("clips", Crate.Clarity, "clips for the line", 2, "marking where the disc was lost");
            yield return Plain("ruler", Crate.Clarity, "ruler or tape", 1, "reading between the marks");
            if (stops.Any(s => s.Programme.SchoolOf("clarity.side") == "sunny-tube"))
            {
                yield return Of(KitKind.ViewingTube, "tube", "a viewing tube", "clarity with the tube");
            }
        }

        private IEnumerable<PackNeed> Profile()
        {
            if (Takes(Protocol.Profile))
            {
                yield return Of(KitKind.Meter, "meter", "a meter with its calibration kit", "profile");
            }

            if (Takes(Protocol.Profile) || samples.Count > 0)
            {
                yield return Of(KitKind.Thermometer, "thermometer", "a thermometer", "temperatures");
            }

            if (Takes(Protocol.Seawater))
            {
                yield return Of(KitKind.Refractometer, "refractometer", "a refractometer, distilled water", "salinity");
            }
        }

        private IEnumerable<PackNeed> Bottles()
        {
            if (samples.Any(s => s.Depth != "surface" && !s.Depth.StartsWith("composite", StringComparison.Ordinal)) || stops.Any(s => Pools(s)) || Takes(Protocol.Seawater))
            {
                yield return Of(KitKind.BottleSampler, "bottle-sampler", "a bottle sampler with its messenger", "bottles at a depth");
            }

            foreach (var type in samples.Where(s => !SampleTypes.OnFilter(s.Type.Code)).GroupBy(s => s.Type))
            {
                yield return Counted(type, Crate.Bottles);
            }

            if (samples.Any(s => s.Type.Caution is not null || s.Type.Letter == "P"))
            {
                yield return Plain("gloves", Crate.Bottles, "gloves, eye protection", 2, "opening acid, fixative or lab bottles", "two pairs");
            }
        }

        private IEnumerable<PackNeed> Chlorophyll()
        {
            if (!samples.Any(s => s.Depth.StartsWith("composite", StringComparison.Ordinal)))
            {
                yield break;
            }

            if (stops.Any(s => !Pools(s)))
            {
                yield return Of(KitKind.CompositeSampler, "composite-sampler", "a composite sampler", "composite");
            }
            else
            {
                yield return Plain("bucket", Crate.Chlorophyll, "clean bucket to pool in", 1, "composite");
            }

            foreach (var type in samples.Where(s => SampleTypes.OnFilter(s.Type.Code)).GroupBy(s => s.Type))
            {
                yield return Counted(type, Crate.Chlorophyll);
                yield return Of(KitKind.Filters, "filters", "filters, not only separators", "filtering") with { Count = type.Count() + 1, Counted = $"{type.Count()} and one spare" };
                yield return Plain("filter-kit", Crate.Chlorophyll, "filter holder, screen, O-ring, syringe, tubing, tweezers, pin, foil", 1, "filtering");
            }

            if (samples.Any(s => s.Type.Added?.Contains("MgCO3", StringComparison.Ordinal) == true))
            {
                yield return Of(KitKind.Reagent, "preservative", "MgCO3 suspension, shaken before use", "chlorophyll that keeps");
            }
        }

        private IEnumerable<PackNeed> Paper()
        {
            yield return Plain("sheets", Crate.Paper, "field sheet, even with a phone", stops.Count, "going on when the phone fails", "one for each station");
            if (samples.Count > 0)
            {
                yield return Plain("labels", Crate.Paper, "labels, dry, on their bottles", samples.Count, "telling one bottle from another", $"{samples.Count} bottles and vials");
            }

            yield return Plain("pencils", Crate.Paper, "pencils", 2, "writing on wet labels");
            yield return Plain("map", Crate.Paper, "station map and protocol", 1, "finding the spot");
        }

        private IEnumerable<PackNeed> Cold()
        {
            var cold = samples.Count(s => s.Type.Keep != Keeping.Room);
            if (cold > 0)
            {
                yield return Plain("cooler", Crate.Cold, "cooler large enough for all, dark", 1, "keeping samples", $"for {cold} bottles and vials");
                yield return Plain("ice", Crate.Cold, "plenty of ice, not dry ice", 1, "keeping samples");
            }
        }

        private static bool Pools(PackStop stop) => stop.Protocols.Contains(Protocol.Chlorophyll) && stop.Programme.Composite.Method == CompositeMethod.PooledOrTube;

        private static PackNeed Plain(string key, Crate crate, string words, int count, string stops, string? counted = null) => new(key, crate, words, count, stops, counted, null, [], []);

        private static PackNeed Counted(IGrouping<SampleType, PlannedSample> bottles, Crate crate)
        {
            var (type, count) = (bottles.Key, bottles.Count());
            return new PackNeed(
                $"type-{type.Code}", crate, $"{type.Container}, {type.Measures}", count + 1, type.Measures, $"{count} and one spare", null, [$"fill: {type.Fill}", $"rinse: {type.Rinse}"],
                type.Caution is null ? [] : [Finding.Note("caution", type.Caution, "It hurts whoever opens it unprotected.", "Follow the lab’s instructions and local rules.")]);
        }

        // The item that is not overdue comes first; what no item of the kit is stands as a plain line.
        private PackNeed Of(KitKind kind, string key, string plain, string stops)
        {
            var rule = KitRules.Of(kind);
            var item = kit.Where(i => i.Kind == kind && i.Condition == Condition.InUse).OrderBy(i => KitDue.Of(i, day)?.Overdue == true).ThenBy(i => i.Code, StringComparer.Ordinal).FirstOrDefault();
            return item is null
                ? new PackNeed(key, rule.Crate, plain, 1, stops, null, null, rule.LookAt, [])
                : new PackNeed(key, rule.Crate, item.Name, 1, stops, item.Parts is { } parts ? $"{parts} parts" : null, item.Code, rule.LookAt, Due(item));
        }

        private PackNeed Line(string? code, IReadOnlyList<PackStop> here)
        {
            var rule = KitRules.Of(KitKind.Line);
            if (kit.FirstOrDefault(i => i.Code == code && i.Kind == KitKind.Line) is not { } item)
            {
                return new PackNeed("line", Crate.Clarity, "a line with marks", 1, "clarity and composite", null, null, rule.LookAt, []);
            }

            List<Finding> findings = [.. Due(item)];
            if (item.AsLine()?.UsableM is { } usable)
            {
                findings.AddRange(here.Where(s => s.Station.KnownDepth.Read().Length is { } depth && depth.Metres > usable).Select(s => Finding.Check(
                    "line-too-short", $"{s.Station.Code} is {LengthText.Write(s.Station.KnownDepth.Read().Length!.Value)} deep; {item.Code} reaches {LengthText.Write(item.Marks!.Usable.Read().Length!.Value)}.",
                    "A deep target would be beyond its end.", "Take a longer line, or take the deepest it reaches and say so.")));
            }

            return new PackNeed($"line-{item.Code}", Crate.Clarity, item.Name, 1, "clarity and composite", null, item.Code, rule.LookAt, findings);
        }

        private List<Finding> Due(KitItem item)
        {
            List<Finding> findings = KitDue.Of(item, day)?.Finding is { } due ? [due] : [];
            if (findings.All(f => f.Code != "line-stretched") && item.Standing.Where(c => c.Kind == KitCheckKind.Taped).OrderBy(c => c.Day).LastOrDefault() is { } last && KitCheckRule.Judge(item, last, day).Findings.FirstOrDefault(f => f.Finding.Code == "line-stretched") is { } stretched)
            {
                findings.Add(stretched.Finding);
            }

            return findings;
        }
    }
}
