using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Record.Described;

/// <summary>Three taps on upright passes of what swings: half the time from the first to the third is its beat.</summary>
internal sealed class BeatField(string code, string label) : Field(code, label)
{
    internal override FieldDescription Describe() => new(Code, Label, FieldKind.Beat, Required) { Wanted = 3 };

    internal override bool Filled(ObservedValue value) => value is { At: not null, Until: not null };

    /// <summary>Seconds from one upright pass to the next; null where the third tap does not lie after the first.</summary>
    internal static decimal? Read(ObservedValue value) =>
        value is { At: { } first, Until: { } third } && third > first ? (decimal)(third - first).TotalSeconds / 2 : null;

    internal override IEnumerable<Finding> Judge(ObservedValue value) => [];

    internal override string Text(ObservedValue value) => Read(value) is { } beat ? $"{Decimals.Fixed(beat, 1)} s" : "not timed";
}
