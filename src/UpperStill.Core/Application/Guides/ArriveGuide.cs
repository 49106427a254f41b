namespace UpperStill.Core.Application.Guides;

/// <summary>Coming to a station, sounding it, and leaving it.</summary>
internal static class ArriveGuide
{
    internal static IEnumerable<GuideLine> Lines(ChosenSchools schools, bool shore)
    {
        yield return new GuideLine("Come to the position, and see that the landmarks are in line.", "Depth and water differ from place to place; each proof fails alone.");
        if (!shore && !schools.Is("visit.anchor", "unasked"))
        {
            yield return ChosenSchools.Line("visit.anchor", "Anchor with spare line, and wait until the boat lies still.");
        }

        if (schools.Is("temperature.order", "air-first"))
        {
            yield return ChosenSchools.Line("temperature.order", "Read the air first, in shade, before the thermometer is wet.");
        }

        if (schools.Is("visit.rain", "recorded"))
        {
            yield return ChosenSchools.Line("visit.rain", "Write down the rain of the last 24 and 72 h; a guess marked as such will do.");
        }

        if (schools.Is("visit.sky", "sun"))
        {
            yield return ChosenSchools.Line("visit.sky", "In broken cloud wait for a gap.");
        }

        yield return new GuideLine("Whoever reads calls the number; whoever writes reads it back digit by digit.", "A misheard number looks like any other.");
    }

    internal static IEnumerable<GuideLine> Sounding() =>
    [
        new("Sound before any sampler or probe goes down.", "Touching bottom unawares stirs mud into the sample."),
        new("With a lead or the disc, go to the side away from the bottles, after the clean surface water.", "What it stirs drifts."),
        new("Write the depth as the finder or the line shows it, with its unit.", "Read, do not convert: both stay on record."),
        new("Is it far from the known depth? Look round, read the stage, sound again.", "You may be off the deep spot, or the level has changed."),
    ];

    internal static IEnumerable<GuideLine> Leaving() =>
    [
        new("Fill every box, or say why not.", "It cannot be fetched back from shore."),
        new("Count gear and bottles aboard.", "What lies in the lake is lost to the next visit, and harms."),
        new("Clean, drain and dry everything before another water.", "Hitch-hikers move on wet gear."),
        new("Tell whoever waits ashore that you are off the water.", "Else somebody will look for you."),
    ];
}
