using UpperStill.Core.Record.Described;

namespace UpperStill.Core.Protocols.UltraClean;

/// <summary>The boxes of ultra-clean water.</summary>
internal static class UltraCleanFields
{
    internal static readonly DayField Told = new("told", "The laboratory was told on");
    internal static readonly ChecklistField Notice = new(
        "notice",
        "Before you go",
        new("expects", "the laboratory expects it"),
        new("weather", "steady weather"),
        new("carrier", "the carrier comes today")
    );
    internal static readonly DayField Companion = new("companion", "Companion sample taken on") { Required = false };
    internal static readonly ChoiceField Waded = new("waded", "Somebody has waded here today", new("no", "no"), new("yes", "yes"));
    internal static readonly TimeField WadedAt = new("waded-at", "They waded at") { Required = false };
    internal static readonly ChoiceField Site = new(
        "site",
        "The spot",
        new("lake", "lake, 1 m of water or more, no weed"),
        new("pool", "pool below a riffle, walked up to")
    );
    internal static readonly TimerField Wait = new("wait", "Waited until it is clear", 60, "Mud carries mercury.");
    internal static readonly RoleField Clean = new("clean", "Clean hands", "The inner bag and the bottle, nothing else. Never the phone.");
    internal static readonly RoleField Dirty = new("dirty", "Dirty hands", "Everything else, and the phone.");
    internal static readonly ChecklistField Bags = new(
        "bags",
        "Bags",
        new("outer", "dirty hands opened the outer bag"),
        new("inner", "clean hands took the bottle from the inner bag")
    );
    internal static readonly CounterField Rinses = new("rinses", "Bottle and cap rinsed", 3);
    internal static readonly ChoiceField Capped = new("capped", "Capped", new("under-water", "under water"), new("in-air", "in air"));
    internal static readonly YesNoField Sediment = new("sediment", "Sediment came into it");
    internal static readonly ChecklistField Closed = new(
        "closed",
        "Bags",
        new("inner", "clean hands closed the inner bag"),
        new("outer", "dirty hands closed the outer bag")
    );
    internal static readonly CodeField BottleCode = new("bottle-code", "Code of the bottle");
    internal static readonly ChecklistField Away = new(
        "away",
        "Put away",
        new("ice", "on ice, not dry ice"),
        new("gloves", "gloves in the rubbish bag")
    );
    internal static readonly ChoiceField Broken = new(
        "broken",
        "What happened",
        new("outer-bag", "clean hands touched the outer bag"),
        new("boat", "clean hands touched boat or clothes"),
        new("phone", "clean hands touched the phone"),
        new("bag-open", "a bag was left open"),
        new("glove-torn", "a glove tore")
    )
    {
        Required = false,
    };

    /// <summary>A bottle; whatever spoils it asks for another try.</summary>
    internal static readonly Repeat Water = new("water", "bottle", 1, 1);
}
