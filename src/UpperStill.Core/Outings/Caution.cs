namespace UpperStill.Core.Outings;

/// <summary>What can hurt on an outing. Local law, the programme's safety plan and the substance's safety sheet come before anything here.</summary>
internal static class Caution
{
    internal static IReadOnlyList<string> For(bool shore, IReadOnlyList<OutingStop> stops)
    {
        List<string> cautions = [];
        if (shore)
        {
            cautions.Add("Slippery ramps and rungs, deep mud, rising tide and surf: never with your back to the water.");
        }
        else
        {
            cautions.Add("Cold shock, capsize, lightning; keep the anchor line clear of the propeller. Flotation is worn, not stowed.");
        }

        cautions.AddRange(stops.SelectMany(s => s.Samples).Select(s => s.Type.Caution).OfType<string>().Distinct());
        cautions.Add("Clean, drain and dry all gear before another water: hitch-hikers move on wet gear.");
        cautions.Add("Local law, permits, the rules of the boat and your programme’s safety plan come first.");
        return cautions;
    }
}
