using System.Globalization;
using System.Text.Json;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Science.Stratification;
using UpperStill.Network;
using UpperStill.StandIns.Demo;
using UpperStill.StandIns.Lakes;
using UpperStill.Store;
using UpperStill.Store.Reference;

// Makes a database of a large made-up network, as the projections of its log would stand: dotnet run -- FOLDER [STATIONS SEASONS VISITS
// LEVELS].
var folder = args.Length > 0 ? args[0] : throw new ArgumentException("Name a folder for the database.");
int Size(int at, int usual) => args.Length > at ? int.Parse(args[at], CultureInfo.InvariantCulture) : usual;
var (stations, seasons, visits, levels) = (Size(1, 2000), Size(2, 30), Size(3, 10), Size(4, 25));

Directory.CreateDirectory(folder);
var file = Path.Combine(folder, "upper-still.db");
var scenario = DemoScenario.Load();
var programme = scenario.Programmes.First(p => p.Code == "layered-lake");
var model = scenario.Waters.First(w => w.Water.Code == "harrowmere").Drawn();
var options = new DbContextOptionsBuilder<FieldBook>();
FieldBookFactory.Configure(options, file);
await using (var book = new FieldBook(options.Options))
{
    await book.Database.MigrateAsync();
    book.Programmes.Add(
        new ProgrammeRow
        {
            Code = programme.Code,
            Version = programme.Version,
            Definition = JsonSerializer.Serialize(programme, CoreJson.Default.Programme),
        }
    );
    for (var i = 0; i < stations; i++)
    {
        var (water, code) = ($"water-{i / 4:0000}", $"N{i:0000}");
        var name = $"Made-up water {i / 4}";
        if (i % 4 == 0)
        {
            book.Waters.Add(
                new WaterRow
                {
                    Code = water,
                    Definition = JsonSerializer.Serialize(
                        model with
                        {
                            Code = water,
                            Name = name,
                            Outline = null,
                            Contours = null,
                        },
                        SetupJson.Default.Water
                    ),
                }
            );
        }

        var station = scenario.Stations.First(s => s.Station.Code == "HAR-2").Station with
        {
            Code = code,
            WaterCode = water,
            Water = name,
            Name = $"Station {i}",
            Transits = null,
            Bearings = null,
        };
        book.Stations.Add(
            new StationRow
            {
                Code = code,
                Water = water,
                Programme = programme.Code,
                Ordinal = i,
                Definition = JsonSerializer.Serialize(station, CoreJson.Default.Station),
            }
        );
    }

    await book.SaveChangesAsync();
}

await using var connection = new SqliteConnection($"Data Source={file}");
await connection.OpenAsync();
using (var fast = connection.CreateCommand())
{
    fast.CommandText = "PRAGMA synchronous = OFF;";
    fast.ExecuteNonQuery();
}

using var transaction = connection.BeginTransaction();
var (visitRows, readingRows) = (
    new Table(
        connection,
        "Visits",
        "Visit",
        "Station",
        "Day",
        "StartedAt",
        "Closed",
        "LastSequence",
        "Took",
        "Observers",
        "Review",
        "FieldSigned",
        "ResultsSigned",
        "OpenFindings",
        "OpenQuestions"
    ),
    new Table(
        connection,
        "Readings",
        "Visit",
        "Protocol",
        "Parameter",
        "Item",
        "Station",
        "Day",
        "Depth",
        "Value",
        "Unit",
        "Censored",
        "Usable",
        "OfLaboratory",
        "SignedOff",
        "Method",
        "Text"
    )
);
var (levelRows, profileRows) = (
    new Table(connection, "Levels", "Visit", "Ordinal", "Station", "Day", "DepthM", "TemperatureC", "OxygenMgL"),
    new Table(
        connection,
        "Profiles",
        "Visit",
        "Station",
        "Day",
        "Usable",
        "SurfaceC",
        "BottomC",
        "ThermoclineM",
        "BottomOxygenMgL",
        "BottomM",
        "HypoxicM",
        "AnoxicM",
        "StabilityJM2",
        "AnoxicArea",
        "DeepOxygenMgL",
        "DeepThicknessM",
        "SignedOff"
    )
);
for (var i = 0; i < stations; i++)
{
    var chance = new Chance(scenario.Seed + (ulong)(7919 * i));
    var (code, depth, trend) = ($"N{i:0000}", 8 + (20 * chance.Even()), 0.06 * chance.Bell());
    for (var season = 0; season < seasons; season++)
    {
        var shift = chance.Bell();
        for (var v = 0; v < visits; v++)
        {
            var day = new DateOnly(2026 - seasons + season, 5, 10).AddDays((int)(150.0 / visits * v) + chance.Whole(0, 3));
            var at = new DateTimeOffset(day.ToDateTime(new TimeOnly(11, 0)), TimeSpan.FromHours(1));
            var visit = chance.Uuid(at).ToString().ToUpperInvariant();
            var text = day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);
            var clarity = Math.Max(0.4, 4.5 + (trend * season) + (0.3 * shift) + (0.4 * chance.Bell()))
                .ToString("F1", CultureInfo.InvariantCulture);
            visitRows.Add(
                visit,
                code,
                text,
                at.ToString("O", CultureInfo.InvariantCulture),
                1,
                i,
                "Clarity,Profile",
                "Asa",
                "SignedOff",
                1,
                1,
                0,
                0
            );
            readingRows.Add(
                visit,
                "clarity",
                "clarity",
                "",
                code,
                text,
                "",
                clarity,
                "m",
                "None",
                1,
                0,
                1,
                "disc seen again",
                $"{clarity} m"
            );
            var column = new LakeColumn(depth, false, day, shift);
            List<ProfileLevel> read = [];
            for (var level = 0; level < levels; level++)
            {
                var z = Math.Round(depth * level / (levels - 1.0), 1);
                var (celsius, oxygen) = (Math.Round(column.TemperatureC(z), 1), Math.Round(column.OxygenMgPerL(z), 1));
                levelRows.Add(visit, level, code, text, z, celsius, oxygen);
                read.Add(new ProfileLevel((decimal)z, (decimal)celsius, (decimal)oxygen));
            }

            var numbers = ProfileNumbers.Of(new ProfileRequest(read, model.Hypsography))!;
            profileRows.Add(
                visit,
                code,
                text,
                1,
                numbers.SurfaceC,
                numbers.BottomC,
                numbers.ThermoclineM,
                numbers.BottomOxygenMgL,
                numbers.BottomM,
                numbers.HypoxicM,
                numbers.AnoxicM,
                numbers.StabilityJM2,
                numbers.AnoxicArea,
                numbers.DeepOxygenMgL,
                numbers.DeepThicknessM,
                1
            );
            foreach (
                var (parameter, value, unit) in new[]
                {
                    ("surface-temperature", (double?)numbers.SurfaceC, "°C"),
                    ("bottom-oxygen", numbers.BottomOxygenMgL, "mg/L"),
                    ("thermocline", numbers.ThermoclineM, "m"),
                    ("stability", numbers.StabilityJM2, "J/m²"),
                }
            )
            {
                if (value is { } number)
                {
                    readingRows.Add(
                        visit,
                        "profile",
                        parameter,
                        "",
                        code,
                        text,
                        "",
                        decimal.Round((decimal)number, 3).ToString(CultureInfo.InvariantCulture),
                        unit,
                        "None",
                        1,
                        0,
                        1,
                        null,
                        null
                    );
                }
            }

            if (v % 2 == 0)
            {
                var chlorophyll = Math.Round(3 + Math.Abs(chance.Bell()), 2).ToString(CultureInfo.InvariantCulture);
                readingRows.Add(
                    visit,
                    "chlorophyll",
                    "chlorophyll-a",
                    "composite",
                    code,
                    text,
                    "0 to 6 m",
                    chlorophyll,
                    "µg/L",
                    "None",
                    1,
                    1,
                    1,
                    "monochromatic",
                    $"{chlorophyll} µg/L"
                );
            }
        }
    }
}

transaction.Commit();
Console.WriteLine(
    $"{stations} stations × {seasons} seasons × {visits} visits × {levels} levels in {file}, {new FileInfo(file).Length / 1_000_000} MB"
);
