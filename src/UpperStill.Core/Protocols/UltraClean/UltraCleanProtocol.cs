using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;
using static UpperStill.Core.Protocols.UltraClean.UltraCleanFields;

namespace UpperStill.Core.Protocols.UltraClean;

/// <summary>Ultra-clean water: mercury at traces, by clean hands and dirty hands.</summary>
public sealed class UltraCleanProtocol : DescribedProtocol
{
    /// <summary>Where the bottle is capped.</summary>
    public static readonly Method Cap = Method.Of(
        MethodGroup.Other,
        "mercury.cap",
        "Ultra-clean bottles are capped",
        "Air carries dust.",
        ["under-water: under water", "in-air: in air"]
    );

    /// <summary>Notice that the laboratory needs, days.</summary>
    public static readonly Threshold Notice = new(
        "checks.notice-short",
        MethodGroup.Other,
        "A laboratory of traces is told before",
        "d",
        14,
        0,
        90
    );

    /// <summary>Days between the water and its companion.</summary>
    public static readonly Threshold CompanionDays = new(
        "checks.companion-window",
        MethodGroup.Other,
        "Water and its companion are apart at most",
        "d",
        14,
        0,
        90
    );

    /// <summary>The days on which it is collected: it is with the laboratory before the week ends.</summary>
    internal static readonly DayOfWeek[] Weekdays = [DayOfWeek.Monday, DayOfWeek.Tuesday, DayOfWeek.Wednesday];

    /// <summary>One of it is enough.</summary>
    public UltraCleanProtocol()
        : base(
            new ProtocolScript
            {
                Code = "ultra-clean",
                Title = "Ultra-clean water",
                Purpose = "Mercury at traces. Before anybody enters; companions after it.",
                Rank = StepRank.UltraClean,
                Apart = [Clean, Dirty],
                Day = programme =>
                    new(new("ultra-clean"))
                    {
                        Weekdays = Weekdays,
                        NoticeDays = (int)programme.Of(Notice),
                        CompanionDays = (int)programme.Of(CompanionDays),
                    },
                Steps =
                [
                    new(
                        "notice",
                        "Check notice, day, steady weather.",
                        "The lab must be there.",
                        UltraCleanFields.Told,
                        UltraCleanFields.Notice,
                        Companion
                    )
                    {
                        Role = Dirty,
                    },
                    new("waded", "Has anybody waded?", "Mud carries mercury.", Waded, WadedAt) { Role = Dirty },
                    new("spot", "Choose the spot, wait until it is clear.", "What was stirred must settle.", Site, Wait)
                    {
                        Role = Dirty,
                        Cautions = [Caution.Wading, Caution.Fast],
                    },
                    new(
                        "gloves",
                        "Dirty hands opens the glove bag; clean hands draws gloves by the wrist; then dirty hands.",
                        "Palms touch the bottle.",
                        Clean,
                        Dirty,
                        StepScript.Gloves
                    )
                    {
                        Role = Dirty,
                    },
                    new(
                        "bags",
                        "Dirty hands opens the outer bag; clean hands the inner, and takes the bottle to the spot.",
                        "What touched the boat never touches the bottle.",
                        Bags
                    )
                    {
                        Repeat = Water,
                        Role = Dirty,
                    },
                    new(
                        "rinse",
                        "Clean hands rinses bottle and cap, a little each, filled upstream, emptied downstream (from a boat on the other "
                            + "side); dirty hands counts.",
                        "Rinsings must not come back.",
                        Rinses
                    )
                    {
                        Repeat = Water,
                        Role = Clean,
                    },
                    new("fill", "Clean hands fills it to the brim and caps it under water.", "Air carries dust.", Capped, Sediment)
                    {
                        Repeat = Water,
                        Role = Clean,
                        Fills = true,
                    },
                    new("close", "Clean hands closes the inner bag; dirty hands the outer.", "Closed at once, it stays clean.", Closed)
                    {
                        Repeat = Water,
                        Role = Clean,
                    },
                    new("scan", "Scan, time, ice; gloves into the rubbish.", "Copied codes slip.", BottleCode, Away)
                    {
                        Repeat = Water,
                        Role = Dirty,
                    },
                    new("broken", "Clean hands broken", "Contaminated from here on.", Broken)
                    {
                        Repeat = Water,
                        Role = Dirty,
                        Always = true,
                    },
                ],
                Containers = [new("mercury") { RinsesCounted = true }],
                Pack = _ =>
                    [
                        Packing.Plain(
                            "powder-free",
                            Crate.Bottles,
                            "powder-free gloves, two pairs and spares",
                            4,
                            "clean hands",
                            "four pairs"
                        ),
                        Packing.Plain("double-bag", Crate.Bottles, "double-bagged bottle and a spare", 2, "ultra-clean water"),
                        Packing.Plain("shipping", Crate.Paper, "shipping label, tape, rubbish bag", 1, "shipping within 24 h"),
                        Packing.Plain("cooler-ice", Crate.Bottles, "cooler with ice, no dry ice", 1, "keeping it"),
                    ],
                Findings = UltraCleanFindings.All,
                Methods = [Cap],
                Thresholds = [Notice, CompanionDays],
            }
        ) { }

    private protected override void Evaluate(ProtocolRun run) => UltraCleanChecks.Of(run);
}
