using System.Globalization;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Profile;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Science.Oxygen;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Waters;
using UpperStill.StandIns.Lakes;

namespace UpperStill.StandIns.Demo;

/// <summary>Writes the seasons of the demo as the entries that its samplers would have made, blemishes included.</summary>
public sealed class DemoSeasons
{
    private const int SeasonFrom = 5;
    private const int SeasonUntil = 10;
    private const double SpringsM = 1.6;
    private const int AlsoFrom = 2024;
    private static readonly DateOnly MissedSeawater = new(2026, 6, 24);
    private static readonly TimeSpan Summer = TimeSpan.FromHours(1);

    private readonly DemoScenario scenario;
    private readonly List<Entry> entries = [];

    private DemoSeasons(DemoScenario scenario) => this.scenario = scenario;

    /// <summary>All entries of all seasons before the demo's day. The same scenario gives the same entries, ids included.</summary>
    public static IReadOnlyList<Entry> Write(DemoScenario scenario)
    {
        ArgumentNullException.ThrowIfNull(scenario);
        var seasons = new DemoSeasons(scenario);
        for (var i = 0; i < scenario.Stations.Count; i++)
        {
            var station = scenario.Stations[i];
            if (DemoBeach.Is(scenario.ProgrammeOf(station)))
            {
                seasons.entries.AddRange(new DemoBeach(scenario, station).Write());
            }
            else if (DemoOther.Is(scenario.ProgrammeOf(station)))
            {
                seasons.entries.AddRange(new DemoOther(scenario, station).Write());
            }
            else
            {
                seasons.Station(station, new Chance(scenario.Seed + (ulong)i));
            }
        }

        return seasons.entries;
    }

    private void Station(DemoStation station, Chance chance)
    {
        var today = DateOnly.FromDateTime(scenario.Now.DateTime);
        for (var year = scenario.FirstYear; year < today.Year; year++)
        {
            var shift = chance.Bell();
            var day = new DateOnly(year, SeasonFrom, 1).AddDays(chance.Whole(2, 12));
            for (; day.Month <= SeasonUntil; day = day.AddDays(station.EveryDays + chance.Whole(-2, 2)))
            {
                // One visit in eighteen falls to the weather; two seasons lose a month and more to a broken engine.
                var missed =
                    chance.Even() < 1 / 18.0
                    || (year == scenario.FirstYear + 5 && day.Month is 7 or 8 && day.Year == scenario.FirstYear + 5);
                if (!missed)
                {
                    new DemoVisit(entries, scenario, station, day, shift, chance).Write();
                }
            }
        }

        var thisYear = chance.Bell();
        foreach (var day in station.ThisSeason)
        {
            new DemoVisit(entries, scenario, station, day, thisYear, chance).Write();
        }
    }

    /// <summary>One visit being written.</summary>
    private sealed class DemoVisit(
        List<Entry> entries,
        DemoScenario scenario,
        DemoStation station,
        DateOnly day,
        double yearShift,
        Chance chance
    )
    {
        private readonly Programme programme = scenario.ProgrammeOf(station);
        private readonly LengthUnit unit = scenario.Kit.First(l => l.Code == station.Line).Marks!.Unit;
        private DateTimeOffset clock = new(day.ToDateTime(new TimeOnly(10 + chance.Whole(0, 2), chance.Whole(0, 59))), Summer);
        private Guid visit;

        // Once the pier was visited near low water of springs: there is no room for the usual tow.
        private bool LowOfSprings => station.Station.Code == "SKA-1" && day is { Year: 2026, Month: 7, Day: 1 };

        internal void Write()
        {
            visit = chance.Uuid(clock);
            Add(
                VisitKinds.VisitStarted,
                new VisitStartedBody(station.Station.Code, station.Programme, programme.Version, station.Observers, station.Line)
            );
            var depth = station.Lake.Depth(day) + (0.01 * chance.Bell() * station.Lake.DepthM / 3) - (LowOfSprings ? SpringsM : 0);
            Add(SoundingKinds.Sounding, new SoundingBody(Read(depth, station.SoundsInFeet ? LengthUnit.Foot : LengthUnit.Metre, 1)));
            var clarity = station.Lake.Clarity(day, scenario.FirstYear, yearShift, chance);
            if (clarity >= depth - 0.05)
            {
                Add(SecchiKinds.DiscOutcome, new DiscOutcomeBody(DiscOutcome.OnBottom));
            }
            else if (station.Lake.DepthM < 5 && day.Month is 7 or 8 && chance.Even() < 0.06)
            {
                Add(SecchiKinds.DiscOutcome, new DiscOutcomeBody(DiscOutcome.InPlants));
            }
            else
            {
                Lowerings(clarity);
            }

            HowItWasRead();
            DemoSamples? samples = null;
            foreach (var protocol in (programme.Season ?? []).Where(TakenAlong))
            {
                if (protocol.Protocol == Protocol.Profile)
                {
                    Profile(depth);
                }
                else if (protocol.Protocol.Code == "refractometer")
                {
                    Refractometer();
                }
                else if (protocol.Protocol.Code == "net-tow")
                {
                    new DemoTow(scenario, station, day, visit, clock).Write(entries);
                }
                else if (DemoProtocols.Writes(protocol.Protocol))
                {
                    Also(protocol.Protocol);
                }
                else
                {
                    Add(VisitKinds.Taken, new TakenBody(protocol.Protocol));
                    if (protocol.Protocol == Protocol.Chlorophyll)
                    {
                        samples = new DemoSamples(scenario, station, visit, clock, clarity);
                    }
                }
            }

            if (BloomSeen)
            {
                Also(new Protocol("bloom"));
            }

            if (Audited)
            {
                Also(new Protocol("audit"));
            }

            Add(VisitKinds.VisitClosed, new EmptyBody());
            entries.AddRange(samples?.Write(programme) ?? []);
        }

        // Paint along the shore of the tarn, one summer.
        private bool BloomSeen => station.Station.Code == "PEL-1" && day is { Year: 2024, Month: 7, Day: > 15 };

        // Whoever counted two rinses answers for three.
        private bool Audited => station.Station.Code == "HAR-2" && day is { Year: 2026, Month: 7 };

        // Of the last seasons, with its own chance: everything else stays as it was. One week of sea water was missed.
        private void Also(Protocol protocol)
        {
            if (day.Year < AlsoFrom || (protocol == Protocol.Seawater && day == MissedSeawater))
            {
                return;
            }

            var own = new Chance(scenario.Seed ^ ((ulong)day.DayNumber * 611953) ^ ((ulong)protocol.Code[0] * 104651));
            var work = new DemoWork(scenario, station, programme, day, [protocol], own, visit, clock) { Current = protocol };
            DemoProtocols.Write(work);
            work.Deliver();
            entries.AddRange(work.Entries);
        }

        // Its own chance, so that everything else stays as it was. Rain of autumn and spring makes the sound fresher.
        private void Refractometer()
        {
            var (own, at) = (new Chance(scenario.Seed ^ ((ulong)day.DayNumber * 224737)), clock);
            var ppt = Math.Round(23 + (3 * Math.Sin((day.DayOfYear - 105) / 365.0 * 2 * Math.PI)) + (1.2 * own.Bell()), 0);
            Observe("zero", "zero", new ObservedValue { Written = "0", Unit = "ppt" }, null);
            Observe("drop", "drops", new ObservedValue { Count = 1 }, "1");
            Observe("drop", "bubbles", new ObservedValue { Yes = false }, "1");
            Observe("wait", "wait", new ObservedValue { At = at.AddSeconds(90), Until = at.AddSeconds(122) }, "1");
            Observe("read", "salinity", new ObservedValue { Written = ppt.ToString(CultureInfo.InvariantCulture), Unit = "ppt" }, "1");

            void Observe(string step, string field, ObservedValue value, string? item) =>
                entries.Add(
                    Made(
                        own,
                        ObservationKinds.Observation,
                        new ObservationBody(new Protocol("refractometer"), 1, step, field, value, item),
                        at = at.AddSeconds(40),
                        null,
                        null
                    )
                );
        }

        // The pier was given a viewing tube in 2020. Its own chance, so that everything else stays as it was.
        private void HowItWasRead()
        {
            var own = new Chance(scenario.Seed ^ ((ulong)day.DayNumber * 104729) ^ (ulong)station.Station.Code[0]);
            var tube = station.Station.Code == "SKA-1" && day.Year >= 2020;
            entries.Add(
                Made(
                    own,
                    SecchiKinds.DiscConditions,
                    new DiscConditionsBody(tube ? BoatSide.Sun : BoatSide.Shade, tube, Sunglasses: false, Disc: "D-1"),
                    clock.AddSeconds(own.Whole(5, 20)),
                    null,
                    null
                )
            );
        }

        // Monthly samples go with the first visit of a month; what has its own rhythm goes with every visit.
        private bool TakenAlong(ProtocolPlan protocol) =>
            protocol.Protocol != Protocol.Clarity
            && day >= protocol.From.In(day.Year)
            && day <= protocol.Until.In(day.Year)
            && (
                protocol.Rhythm == Rhythm.Days
                || (
                    protocol.Rhythm is Rhythm.Monthly or Rhythm.Once
                    && !entries.Any(e =>
                        e.By == station.Observers[0]
                        && e.At.Year == day.Year
                        && (protocol.Rhythm == Rhythm.Once || e.At.Month == day.Month)
                        && (
                            protocol.Protocol == Protocol.Profile
                                ? e.Kind == ProfileKinds.Level.Name
                                : (e.Kind == VisitKinds.Taken.Name || e.Kind == ObservationKinds.Observation.Name)
                                    && e.Body.GetProperty("protocol").GetString() == protocol.Protocol.Code
                        )
                    )
                )
            );

        // Its own chance and clock: what else was read that day stays as it is, with or without a profile.
        private void Profile(double depth)
        {
            var (own, at) = (new Chance(scenario.Seed ^ ((ulong)day.DayNumber * 7919)), clock);
            var water = new LakeColumn(
                depth,
                scenario.Waters.First(w => w.Water.Code == station.Station.WaterCode).Water.Kind == WaterKind.Sea,
                day,
                yearShift
            );
            var meter = scenario.Kit.First(k => k.Kind == KitKind.Meter).Code;

            // The meter was left on per cent once, and nobody saw it.
            var percent = !water.Sea && day is { Year: 2019, Month: 8 };
            Write(
                ProfileKinds.MeterCheck,
                new MeterCheckBody(
                    meter,
                    Expected: new WrittenOxygen("100", OxygenUnit.Percent),
                    Read: new WrittenOxygen(Tenth(98.6 + own.Bell()), OxygenUnit.Percent),
                    Display: OxygenUnit.MgPerL
                )
            );
            foreach (
                var level in PlannedLevels.Of(
                    programme.ChoiceOf(ProfileOptions.Levels),
                    new Length((decimal)Math.Round(depth, 1), station.SoundsInFeet ? LengthUnit.Foot : LengthUnit.Metre, 0.1m)
                )
            )
            {
                var z = (double)level.Metres;
                var (celsius, oxygen) = (
                    water.TemperatureC(z) + (0.04 * own.Bell()),
                    Math.Max(0.1, water.OxygenMgPerL(z) + (0.05 * own.Bell()))
                );
                var shown = percent ? oxygen * 100 / Solubility.AtPressure(celsius, 0, LakeColumn.AirKpa) : oxygen;
                Write(
                    ProfileKinds.Level,
                    new LevelBody(
                        new WrittenLength(Decimals.Text(level.Value), level.Unit),
                        new WrittenTemperature(Tenth(celsius), TemperatureUnit.Celsius),
                        new WrittenOxygen(Tenth(shown), OxygenUnit.MgPerL),
                        Salinity: water.Sea ? Tenth(water.Salinity(z) + (0.1 * own.Bell())) : null
                    )
                );
            }

            void Write<T>(EntryKind<T> kind, T body)
                where T : class
            {
                at = at.AddSeconds(own.Whole(15, 30));
                entries.Add(Made(own, kind, body, at, null, null));
            }

            static string Tenth(double value) => value.ToString("F1", CultureInfo.InvariantCulture);
        }

        private void Lowerings(double clarity)
        {
            var lowerings = programme.Clarity.Observers == ObserverMethod.Swap ? 2 : programme.Clarity.Readings;
            for (var lowering = 1; lowering <= lowerings; lowering++)
            {
                var observer = station.Observers[
                    programme.Clarity.Observers == ObserverMethod.Swap ? (lowering - 1) % station.Observers.Count : 0
                ];

                // One observer reads short throughout 2021: eyes differ, and the swap shows it.
                var eye = observer == station.Observers[^1] && station.Observers.Count > 1 && day.Year == 2021 ? 0.9 : 1;
                var lost = clarity * eye * (1.02 + (0.012 * chance.Bell()));
                var seen = Math.Min(lost, clarity * eye * (0.97 + (0.012 * chance.Bell())));
                if (programme.Clarity.EndPoint != EndPoint.Reappear)
                {
                    Lost(lowering, observer, lost);
                }

                if (programme.Clarity.EndPoint != EndPoint.Disappear)
                {
                    Mark(lowering, DiscEvent.Reappeared, observer, Read(seen, unit, 1));
                }
            }
        }

        private void Lost(int lowering, string observer, double depth)
        {
            var misread = chance.Even() < 0.03;
            var first = misread
                ? Mark(lowering, DiscEvent.Disappeared, observer, Read(depth + (unit == LengthUnit.FootInch ? 3.048 : 1), unit, 1))
                : null;
            Mark(lowering, DiscEvent.Disappeared, observer, Read(depth, unit, 1), first, misread ? "misheard, read back" : null);
        }

        private Entry Mark(int lowering, DiscEvent seen, string observer, WrittenLength depth, Entry? strikes = null, string? why = null) =>
            Add(SecchiKinds.DiscMark, new DiscMarkBody(lowering, seen, depth, observer), strikes, why);

        private Entry Add<T>(EntryKind<T> kind, T body, Entry? strikes = null, string? why = null)
            where T : class
        {
            clock = clock.AddSeconds(chance.Whole(40, 200));
            var entry = Made(chance, kind, body, clock, strikes, why);
            entries.Add(entry);
            return entry;
        }

        private Entry Made<T>(Chance by, EntryKind<T> kind, T body, DateTimeOffset at, Entry? strikes, string? why)
            where T : class => new DemoEntry(station.Observers[0]).Of(by, visit, kind, body, at, strikes, why);

        private static WrittenLength Read(double metres, LengthUnit unit, int decimals) =>
            unit switch
            {
                LengthUnit.FootInch => new WrittenLength(
                    $"{(int)Math.Round(metres / 0.0254) / 12} {(int)Math.Round(metres / 0.0254) % 12}",
                    unit
                ),
                LengthUnit.Foot => new WrittenLength(Math.Round(metres / 0.3048, 0).ToString("F0", CultureInfo.InvariantCulture), unit),
                _ => new WrittenLength(
                    metres.ToString("F" + (decimals == 1 && metres < 10 ? "2" : "1"), CultureInfo.InvariantCulture),
                    unit
                ),
            };
    }
}
