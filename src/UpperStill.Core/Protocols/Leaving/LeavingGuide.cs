using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Protocols.Leaving;

/// <summary>Leaving a station.</summary>
internal static class LeavingGuide
{
    internal static IEnumerable<GuideLine> Lines { get; } =
    [
        new("Fill every box, or say why not.", "It cannot be fetched back from shore."),
        new("Count gear and bottles aboard.", "What lies in the lake is lost to the next visit, and harms."),
        new("Clean, drain and dry everything before another water.", "Hitch-hikers move on wet gear."),
        new("Tell whoever waits ashore that you are off the water.", "Else somebody will look for you."),
    ];
}
