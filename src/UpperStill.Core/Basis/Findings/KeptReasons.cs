namespace UpperStill.Core.Basis.Findings;

/// <summary>Reasons commonly given for going on in spite of a finding, by what it speaks of: one touch each, beside words of one's
/// own.</summary>
public static class KeptReasons
{
    private static readonly string[] Usual = ["looked again, it is so", "seen by both of us"];

    // By the beginning of the code, the longest that fits.
    private static readonly (string Code, string[] Reasons)[] Table =
    [
        ("acid-bottle", ["the lab was told", "no other bottle aboard"]),
        ("air-", ["dried and read again, it is so"]),
        ("anchor-missing", ["tied to a buoy", "held over the spot by oars or motor"]),
        ("barometer", ["read at the station, it is so", "no other barometer"]),
        ("bloom-seen", ["nobody touches the water", "the coordinator was told"]),
        ("bottle-never-rinsed", ["no other bottle aboard", "the lab was told"]),
        ("calibration-", ["repeated, it is so", "no other meter aboard"]),
        ("clarity-", ["read twice, it is so", "swell", "seen by both of us"]),
        ("clarity-reading-missing", ["the weather turned", "no time before the lab closes", "one of us could not read it"]),
        ("clarity-same-observer", ["the other cannot see the marks", "alone aboard"]),
        ("clarity-unconfirmed", ["not noted"]),
        ("clock-off", ["the times on paper are right", "the device was set since"]),
        ("composite-", ["tried three times", "too shallow for another try"]),
        ("deep-sample", ["the sampler failed", "no time before the lab closes", "the weather turned"]),
        ("density-falls", ["read twice, it is so", "a spring or an inflow is here"]),
        ("depth-not-zeroed", ["zeroed since", "the offset is taken off"]),
        ("field-empty", ["the weather turned", "gear left ashore", "no time before the lab closes"]),
        ("drifted", ["moved back since", "the wind would not let up"]),
        ("fill-wrong", ["no more water of that cast", "the lab was told"]),
        ("filter-", ["noted for the lab", "no other filter"]),
        ("hold-", ["the lab was told", "no courier that day"]),
        ("hours-outside", ["the weather allowed no other hour", "the light was good"]),
        ("label-", ["written by hand since", "the lab was told"]),
        ("landmarks-off", ["moved back since", "haze hides them"]),
        ("left-behind", ["fetched since", "someone else has it"]),
        ("line-angle", ["no more weight aboard", "the wind would not let up"]),
        ("line-too-short", ["no other line aboard"]),
        ("line-unchecked", ["will be taped ashore", "taped, not yet written down"]),
        ("meter-uncalibrated", ["calibrated ashore this morning", "no time for the chamber", "the chamber was dry"]),
        ("meter-unit", ["it shows mg/L"]),
        ("not-settled", ["the current would not let it", "held for a minute"]),
        ("order-broken", ["moved away from it first", "waited until it was clear"]),
        ("oxygen-", ["read twice, it is so", "a thick bloom", "another meter says so, too"]),
        ("people-too-few", ["from the shore today", "a second boat is with us"]),
        ("position-far", ["moved back since", "the receiver has a poor sky"]),
        ("preservative-", ["none aboard; on ice at once", "the lab was told"]),
        ("probe-in-mud", ["lifted and read again, it is so"]),
        ("profile-below-bottom", ["the boat swung over deeper water", "the line leaned"]),
        ("profile-level", ["counted again, it is so", "no time to go back"]),
        ("rain-", ["the lake looks undisturbed", "no other day this month"]),
        ("replicate", ["not enough water", "no other bottle aboard"]),
        ("rinses-short", ["not enough water", "rinsed ashore"]),
        ("salinity-", ["rinsed and read again, it is so", "after rain"]),
        ("sample-has-", ["tried three times", "the water is like that today"]),
        ("sampler-", ["the sampler failed again", "no other sampler aboard"]),
        ("sounding-", ["sounded twice, it is so", "the water is low", "the water is high"]),
        ("stored-", ["no other place", "moved since"]),
        ("sun-", ["no other hour was possible"]),
        ("sunglasses-on", ["prescription glasses"]),
        ("temperature-", ["read twice, it is so", "two thermometers agree"]),
        ("thawed", ["still frozen inside", "the lab was told"]),
        ("thermometer", ["read twice, it is so"]),
        ("trip-unfelt", ["came up closed", "a loose line hides it"]),
        ("unit-unlikely", ["looked again, it is so", "the water is low", "the water is high"]),
        ("volume-", ["the filter clogged", "the lab was told"]),
        ("waves-over-limit", ["the lee of the boat was calm", "no other day this month"]),
        ("weather-over-limit", ["it has calmed since", "in shelter here"]),
    ];

    /// <summary>The reasons offered for a finding, the commonest first.</summary>
    /// <param name="code">The finding's code.</param>
    public static IReadOnlyList<string> For(string code) =>
        Table
            .Where(t => code.StartsWith(t.Code, StringComparison.Ordinal))
            .OrderByDescending(t => t.Code.Length)
            .Select(t => t.Reasons)
            .FirstOrDefault(Usual);
}
