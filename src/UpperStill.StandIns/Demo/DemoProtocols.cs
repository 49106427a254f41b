using System.Globalization;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.StandIns.Demo;

/// <summary>How each protocol is written down in the made-up district, with the blemishes of real days.</summary>
internal static class DemoProtocols
{
    private static readonly (double Tape, double Depth, double Speed)[] Inlet =
    [
        (0.6, 0.12, 0.12),
        (1.0, 0.24, 0.28),
        (1.3, 0.33, 0.40),
        (1.6, 0.36, 0.43),
        (1.9, 0.31, 0.37),
        (2.2, 0.22, 0.25),
        (2.6, 0.10, 0.10),
    ];

    private static readonly string[] Sides = ["bow", "stern", "left"];

    private static readonly Dictionary<string, Action<DemoWork>> Ways = new(StringComparer.Ordinal)
    {
        ["tributary"] = Tributary,
        ["bridge"] = Bridge,
        ["pond"] = Pond,
        ["grab"] = Grab,
        ["rake"] = Rake,
        ["mesh"] = Mesh,
        ["ultra-clean"] = UltraClean,
        ["surf"] = Surf,
        ["plastics"] = Plastics,
        ["dip"] = Dip,
        ["survey"] = Survey,
        ["seawater"] = Seawater,
        ["bloom"] = Bloom,
        ["audit"] = Audit,
        ["own-shore-birds"] = ShoreBirds,
    };

    // The lines of the audit as the tow of that day has them.
    private static readonly string[] Towed =
    [
        "net-tow.look",
        "net-tow.set.1",
        "net-tow.lower.1",
        "net-tow.haul.1",
        "net-tow.wash.1",
        "net-tow.wash.1.washes",
        "net-tow.jar",
        "net-tow.jar.cup-rinses",
    ];

    /// <summary>True where it is known how it is written.</summary>
    internal static bool Writes(Protocol protocol) => Ways.ContainsKey(protocol.Code);

    internal static void Write(DemoWork work)
    {
        if (Ways.TryGetValue(work.Current.Code, out var way))
        {
            way(work);
        }
    }

    private static void Dip(DemoWork work)
    {
        work.Tick("gloves", "gloves", "on", "whole");
        work.Yes("gloves", "rep", true);
        var phosphorus = 17 + (2 * work.Chance.Bell());
        foreach (var (sample, i) in work.Samples.Select((s, i) => (s, i)))
        {
            work.Count("rinse", "rinses", 2, N(i + 1));
            work.Number("fill", "depth", 12, "F0", "in", N(i + 1));
            work.Choose("fill", "came-in", "clear", N(i + 1));
            work.Fill(sample);
            work.Result(sample, "total-phosphorus", phosphorus + (0.8 * work.Chance.Bell()), "F1", "µg/L as P");
        }

        work.Choose("freeze", "put-away", "freezer");
    }

    private static void Survey(DemoWork work)
    {
        work.Put("colour", "colour", new ObservedValue { Choices = work.Day.Month > 7 ? ["9", "10"] : ["9"] }, "1");
        work.Yes("colour", "murky", work.Day.Month > 7, "1");
        var opinion = 2 + (work.Day.Month > 6 ? 1 : 0) + (work.Chance.Even() < 0.2 ? 1 : 0);
        work.Choose("algae", "algae", N(opinion), "1");
        work.Choose("recreation", "recreation", N(Math.Min(5, opinion + work.Chance.Whole(0, 1))), "1");
        work.Choose("around", "waves", N(work.Chance.Whole(1, 2)));
        work.Count("around", "boats", work.Chance.Whole(0, 4));
    }

    private static void Seawater(DemoWork work)
    {
        work.Tick("bucket", "drawn", "rinsed", "above");
        work.Put("bottle", "bottle", new ObservedValue { Written = $"SW{work.Day.DayNumber % 10000}" }, "1");
        work.Count("rinse", "rinses", 3, "1");
        work.Yes("fill", "bubbles", false, "1");
        foreach (var sample in work.Samples)
        {
            work.Fill(sample);
            work.Result(sample, "alkalinity", 2.28 + (0.03 * work.Chance.Bell()), "F2", "meq/L");
        }

        work.Number("warmth", "water", 8.5 + (7 * work.Summerly) + (0.3 * work.Chance.Bell()), "F1", "°C");
        work.Waited("warmth", "steady", 64);
        work.Choose("warmth", "thermometer-in", "bucket");
        work.Number("salinity", "salinity", Math.Round(31 - (work.Chance.Even() * 2)), "F0", "ppt");

        // Once somebody talked on the pier.
        if (work.Day == new DateOnly(2026, 7, 15))
        {
            work.Later(13);
        }

        work.Tick("fix", "gloves", "on", "whole");
        work.Count("fix", "drops", 1);
        work.Yes("cap", "fresh-cap", true);
        work.Count("cap", "turns", 5);
        work.Yes("dark", "dark", true);
    }

    private static void Bloom(DemoWork work)
    {
        work.Choose("describe", "looks", "paint");
        work.Put("describe", "colour", new ObservedValue { Words = "blue-green" });
        work.Choose("describe", "extent", "bay");
        work.Put("describe", "seen-at", new ObservedValue { At = work.At });
        work.Put(
            "describe",
            "position",
            new ObservedValue
            {
                Position = new Position(work.Station.Station.LatitudeDeg, work.Station.Station.LongitudeDeg),
                AccuracyM = 8,
            }
        );
        work.Choose("describe", "wind-from", "sw");
        work.Put("tell", "told", new ObservedValue { Name = work.Coordinator });
        work.Put("tell", "told-at", new ObservedValue { At = work.At.AddMinutes(15) });
        work.Tick("wash", "washed", "hands", "gear");
    }

    private static void Audit(DemoWork work)
    {
        foreach (var line in Towed)
        {
            work.Choose("line", "answer", "yes", line);
        }

        work.Put("sign", "by", new ObservedValue { Name = work.People[^1] });
    }

    private static void ShoreBirds(DemoWork work)
    {
        foreach (var (spot, most) in new[] { ("reed-point", 30), ("old-jetty", 6), ("gravel-bar", 45) })
        {
            work.Number("count", "birds", Math.Round(most * (0.3 + (0.6 * work.Chance.Even()))), "F0", null, spot);
            work.Yes("count", "flushed", false, spot);
        }
    }

    private static string N(int n) => n.ToString(CultureInfo.InvariantCulture);

    private static void Tributary(DemoWork work)
    {
        // More water in spring, less in summer; the demo's July gauging is the example of the handbook.
        var share = work.Day is { Year: 2026, Month: 7 } ? 1 : 1.25 - (0.5 * work.Summerly) + (0.08 * work.Chance.Bell());
        work.Choose("look", "water-at", "knee");
        work.Number("look", "stage", 0.31 + (0.2 * (share - 1)), "F2", "m");
        work.Waited("stand", "wait", 64);
        work.Count("fill", "rinses", 3);
        work.Yes("fill", "sediment", false);
        foreach (var sample in work.Samples)
        {
            work.Fill(sample, sample.Type.Code == "stream" ? FilledFrom.Lake : FilledFrom.PlainBottle);
        }

        work.Number("temperature", "water", 7 + (9 * work.Summerly) + (0.5 * work.Chance.Bell()), "F1", "°C");
        work.Later(6);
        work.Number("tape", "edge-left", 0.2, "F1", "m");
        work.Number("tape", "edge-right", 3.0, "F1", "m");
        foreach (var ((tape, depth, speed), i) in Inlet.Select((v, i) => (v, i)))
        {
            work.Number("vertical", "tape", tape, "F1", "m", N(i + 1));
            work.Number("vertical", "depth", depth * Math.Sqrt(share), "F2", "m", N(i + 1));
            work.Waited("vertical", "held", 40, N(i + 1));
            work.Number("vertical", "v", speed * Math.Sqrt(share), "F2", "m/s", N(i + 1));
        }

        Report(work, work.Day is { Year: 2026, Month: 7 } ? 64 : 50 + (18 * share) + (5 * work.Chance.Bell()), 9 * share);
    }

    // Phosphorus from the acid bottle, solids from the plain one.
    private static void Report(DemoWork work, double phosphorus, double solids)
    {
        foreach (var sample in work.Samples)
        {
            if (sample.Type.Code == "acid-preserved")
            {
                work.Result(sample, "total-phosphorus", phosphorus, "F0", "µg/L as P");
            }
            else
            {
                work.Result(sample, "suspended-solids", solids, "F1", "mg/L");
            }
        }
    }

    private static void Bridge(DemoWork work)
    {
        var low = work.Day.Month is 8 or 7;
        work.Tick("stand", "safe", "vest", "lookout", "place");
        work.Number("stage", "stage", (low ? 0.42 : 0.6) + (0.05 * work.Chance.Bell()), "F2", "m");
        work.Number("stage", "flow", (low ? 9 : 16) + work.Chance.Bell(), "F1", "ft³/s");
        work.Put("ready", "bottle-sampler", new ObservedValue { Choice = "V-1", Name = "Upright bottle sampler, 2.2 L" });
        work.Tick("ready", "ready", "clamps", "rope", "drain", "seals", "messenger");
        // At low stage the sampler bumped the bed once; the second cast counts.
        var bumped = work.Day is { Year: 2026, Month: 7 } && work.Day.Day > 15;
        for (var number = 1; number <= (bumped ? 2 : 1); number++)
        {
            Put("upstream", "debris", "none");
            work.Put("dip", "dips", new ObservedValue { Count = 3 }, "1", number);
            work.Put("lower", "depth", DemoEntry.Number(0.3, "F1", "m"), "1", number);
            work.Put("lower", "height", DemoEntry.Number(6.0, "F1", "m"), "1", number);
            work.Put("trip", "felt", new ObservedValue { Yes = true }, "1", number);
            Put("raise", "came-up", bumped && number == 1 ? "touched" : "closed");

            void Put(string step, string field, string choice) => work.Choose(step, field, choice, "1", number);
        }

        foreach (var (sample, i) in work.Samples.Select((s, i) => (s, i)))
        {
            work.Count("pour", "shakes", 1, N(i + 1));
            work.Yes("pour", "lip", false, N(i + 1));
            work.Fill(sample, sample.Type.Code == "bridge" ? FilledFrom.Sampler : FilledFrom.PlainBottle);
        }

        work.Number("temperature", "water", 8 + (9 * work.Summerly) + (0.5 * work.Chance.Bell()), "F1", "°C");
        Report(work, 85 - (10 * work.Summerly) + (6 * work.Chance.Bell()), 14 - (6 * work.Summerly));
    }

    private static void Pond(DemoWork work)
    {
        work.Choose("label", "use", "animals");
        work.Put("label", "sample-name", new ObservedValue { Words = "Fold watering place" });
        work.Put("spot", "spot", new ObservedValue { Position = Near(work, 0.00002), AccuracyM = 6 });
        work.Choose("spot", "by", "pole");
        work.Waited("stand", "wait", 65);
        work.Number("stand", "depth", 0.4, "F1", "m");
        work.Put("rinse", "rinses", new ObservedValue { Count = 3 }, "1");
        work.Number("fill", "taken", 20, "F0", "cm", "1");
        work.Choose("fill", "came-in", "clear", "1");
        work.Yes("cap", "form-same", true);
        work.Fill(work.Samples[0]);
        work.Result(work.Samples[0], "nitrate", 120 + (8 * work.Chance.Bell()), "F0", "mg/L as NO3");
    }

    private static void Grab(DemoWork work)
    {
        work.Put("look", "grab", new ObservedValue { Choice = "G-1", Name = "Bottom grab, 225 cm²" });
        work.Put("look", "sieve", new ObservedValue { Choice = "U-1", Name = "Sieve bucket, 500 µm" });
        work.Tick("look", "look", "safety-pin", "spring-pin", "hinges", "knot");
        (string Item, double Depth)[] depths = [("shore", 0.2), ("0.5", 0.5), ("1", 1.1), ("1.5", 1.4), ("2", 2.0)];
        foreach (var ((item, depth), i) in depths.Select((d, i) => (d, i)))
        {
            work.Number("depth", "depth", depth, "F1", "m", item);
            // Once wood holds the jaws open; the second try counts.
            var wood = item == "1" && work.Day is { Year: 2026, Month: 7 };
            if (wood)
            {
                work.Choose("lower", "jaws", "held-open", item);
                work.Put("depth", "depth", DemoEntry.Number(1.1, "F1", "m"), item, 2);
            }

            var number = wood ? 2 : 1;
            work.Choose("lower", "jaws", "closed", item, number);
            work.Choose("lower", "fullness", "full", item, number);
            work.Put("sieve", "bottom", new ObservedValue { Choices = i < 2 ? ["sand", "plants"] : ["mud"] }, item, number);
            work.Choose("sieve", "smell", i > 3 ? "sulphide" : "none", item, number);
            work.Put("wash", "over-rim", new ObservedValue { Yes = false }, item, number);
            work.Put("jar", "gloves", new ObservedValue { Ticked = ["on", "whole"] }, item, number);
            work.Jar(work.Samples[i], preserved: true);
            if (work.Old)
            {
                work.Choose("pick", "share", i == 1 ? "quarter" : "all", item, number);
                var dense = 1.4 - (0.25 * i);
                work.Put(
                    "pick",
                    "counts",
                    new ObservedValue
                    {
                        Counts = new Dictionary<string, int>
                        {
                            ["worms"] = Some(10 * dense),
                            ["midges"] = Some(18 * dense),
                            ["snails"] = Some(5 * dense),
                            ["mayflies"] = Some(4 * dense),
                        },
                    },
                    item,
                    number
                );
            }
        }

        work.Tick("clean", "clean", "clean", "drain", "dry");

        int Some(double mean) => Math.Max(0, (int)Math.Round(mean + (Math.Sqrt(mean) * work.Chance.Bell())));
    }

    private static void Rake(DemoWork work)
    {
        (string Item, double Depth, string Full, (string Kind, string How)[] Kinds)[] throws =
        [
            ("shore", 0.3, "2", [("pondweed-broad", "2")]),
            ("1", 1.0, "4", [("stonewort", "3"), ("milfoil", "1")]),
            ("2", 2.0, "3", [("stonewort", "3"), ("listed-invader", "1")]),
        ];
        foreach (var ((item, depth, full, kinds), i) in throws.Select((t, i) => (t, i)))
        {
            work.Choose("side", "side", Sides[i], item);
            work.Number("depth", "depth", depth, "F1", "m", item);
            work.Choose("throw", "outcome", "good", item);
            work.Choose("judge", "fullness", full, item);
            foreach (var (kind, how) in kinds.Where(k => k.Kind != "listed-invader" || work.Day.Year == 2026))
            {
                work.Choose("name", "kind-fullness", how, $"{item}+{kind}");
                work.Choose("name", "state", "live", $"{item}+{kind}");
            }
        }

        work.Tick("clean", "clean", "clean", "drain", "dry");
    }

    private static void Mesh(DemoWork work)
    {
        work.DiscOnBottom();
        work.Put("date", "dated", new ObservedValue { Day = work.Day });
        work.Put("jar", "jar-lot", new ObservedValue { Choice = "J-100", Name = "Mesh jars, 100 mL" });
        work.Count("jar", "jar-rinses", 2);
        work.Choose("jar", "through", "filtered");
        work.Number("lower", "line-out", 1, "F0", "m", "1");
        work.Yes("lower", "touched", false, "1");
        work.Yes("lower", "enough", true, "1");
        work.Choose("pour", "mesh", "whole", "1");
        foreach (var (sample, i) in work.Samples.Select((s, i) => (s, i)))
        {
            work.Count("tube", "tube-rinses", 2, N(i + 1));
            work.Choose("tube", "tube-water", "filtered", N(i + 1));
            work.Fill(sample);
            work.Result(sample, "total-phosphorus", 22 + (6 * work.Summerly) + (1.5 * work.Chance.Bell()), "F1", "µg/L as P");
        }
    }

    private static void UltraClean(DemoWork work)
    {
        work.Put("notice", "told", new ObservedValue { Day = work.Day.AddDays(-15) });
        work.Tick("notice", "notice", "expects", "weather", "carrier");
        work.Choose("waded", "waded", "no");
        work.Choose("spot", "site", "pool");
        work.Waited("spot", "wait", 70);
        work.Put("gloves", "clean", new ObservedValue { Name = work.People[0] });
        work.Put("gloves", "dirty", new ObservedValue { Name = work.People[^1] });
        work.Tick("gloves", "gloves", "on", "whole");
        work.Put("bags", "bags", new ObservedValue { Ticked = ["outer", "inner"] }, "1");
        work.Count("rinse", "rinses", 3, "1");
        work.Choose("fill", "capped", "under-water", "1");
        work.Yes("fill", "sediment", false, "1");
        work.Fill(work.Samples[0]);
        work.Put("close", "closed", new ObservedValue { Ticked = ["inner", "outer"] }, "1");
        work.Put("scan", "bottle-code", new ObservedValue { Written = $"MB{work.Day.DayNumber % 10000}" }, "1");
        work.Put("scan", "away", new ObservedValue { Ticked = ["ice", "gloves"] }, "1");
    }

    private static void Surf(DemoWork work)
    {
        var water = 7.5 + (7 * work.Summerly) + (0.4 * work.Chance.Bell());
        var air = water + 1 + (2 * work.Chance.Bell());
        work.Number("air", "air", air, "F1", "°C");
        work.Number("air", "air2", air + 0.2, "F1", "°C");
        work.Choose("crossing", "crossing", work.Summerly > 0.4 ? "ankle" : "knee");
        work.Waited("watch", "watch", 305);
        work.Choose("fit", "holds", "jar", "1");
        work.Waited("catch", "held", 62, "1");
        work.Number("catch", "water", water, "F1", "°C", "1");
        work.Number("catch", "water2", water - 0.1, "F1", "°C", "1");
        work.Choose("ashore", "sand", "little", "1");
        work.Fill(work.Samples[0]);
        work.Result(work.Samples[0], "e-coli", Math.Exp(2.8 + (0.6 * work.Chance.Bell())), "F0", "per 100 mL");
    }

    private static void Plastics(DemoWork work)
    {
        work.Tick("ready", "ready", "jars", "general", "markers", "spoon");
        work.Put("ready", "low-water", new ObservedValue { At = work.At.AddMinutes(40) });
        foreach (var band in new[] { "band-1", "band-2", "band-3" })
        {
            work.Choose("band", band, "between");
        }

        work.Put("fix", "north", new ObservedValue { Position = new Position(51.83600, -11.61500), AccuracyM = 6 });
        work.Put("fix", "south", new ObservedValue { Position = new Position(51.83545, -11.61500), AccuracyM = 5 });
        work.Put("tools", "quadrat", new ObservedValue { Choice = "Q-1", Name = "Quadrat, 25 cm" });
        work.Put("tools", "jar-lot", new ObservedValue { Choice = "J-15", Name = "Jars, 1.5 L" });
        for (var n = 1; n <= 3; n++)
        {
            work.Put(
                "pick",
                "debris",
                new ObservedValue
                {
                    Counts = new Dictionary<string, int>
                    {
                        ["hard"] = work.Chance.Whole(0, 3),
                        ["film"] = work.Chance.Whole(0, 3),
                        ["line"] = work.Chance.Whole(0, 2),
                        ["filter"] = work.Chance.Whole(0, 2),
                    },
                },
                N(n)
            );
            work.Jar(work.Samples[n - 1]);
            work.Put(
                "measure",
                "depths",
                new ObservedValue { Listed = [.. Enumerable.Range(0, 5).Select(_ => N(20 + work.Chance.Whole(-2, 2)))], Unit = "mm" },
                N(n)
            );
        }

        for (var n = 1; n <= 3; n++)
        {
            work.Number("wade", "off", n, "F0", null, N(n));
            work.Number("wade", "depth", 0.5, "F1", "m", N(n));
            work.Waited("wade", "wait", 61, N(n));
            work.Choose("wade", "current", "left", N(n));
            work.Count("sink", "rinses", 3, N(n));
            work.Choose("sink", "capped", "under-water", N(n));
            work.Choose("sink", "holds", "clear", N(n));
            work.Jar(work.Samples[n + 2]);
        }

        work.Tick("back", "back", "markers", "jars", "tools", "rubbish");
        if (work.Old)
        {
            for (var n = 1; n <= 3; n++)
            {
                work.Number("count-sand", "sand-items", work.Chance.Whole(22, 40), "F0", null, N(n));
                work.Number("count-water", "water-items", work.Chance.Whole(5, 12), "F0", null, N(n));
                work.Number("count-water", "water-volume", 0.95, "F2", "L", N(n));
            }
        }
    }

    private static Position Near(DemoWork work, double degrees) =>
        new(
            work.Station.Station.LatitudeDeg + (degrees * work.Chance.Bell()),
            work.Station.Station.LongitudeDeg + (degrees * work.Chance.Bell())
        );
}
