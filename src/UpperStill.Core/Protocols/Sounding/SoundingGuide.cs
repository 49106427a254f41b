using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Protocols.Sounding;

/// <summary>Sounding a station.</summary>
internal static class SoundingGuide
{
    internal static IEnumerable<GuideLine> Lines { get; } =
    [
        new("Sound before any sampler or probe goes down.", "Touching bottom unawares stirs mud into the sample."),
        new("With a lead or the disc, go to the side away from the bottles, after the clean surface water.", "What it stirs drifts."),
        new("Write the depth as the finder or the line shows it, with its unit.", "Read, do not convert: both stay on record."),
        new(
            "Is it far from the known depth? Look round, read the stage, sound again.",
            "You may be off the deep spot, or the level has changed."
        ),
    ];
}
