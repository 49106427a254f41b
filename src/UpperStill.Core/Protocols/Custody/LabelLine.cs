using System.Globalization;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Protocols.Custody;

/// <summary>A field of a filter's label.</summary>
/// <param name="Name">What it is.</param>
/// <param name="Words">What stands there.</param>
/// <param name="Strong">True where a mistake in it loses the sample.</param>
public sealed record LabelLine(string Name, string Words, bool Strong = false)
{
    internal static IReadOnlyList<LabelLine> Of(LedgerSample sample) =>
        [
            new("number", sample.Number),
            new("water", $"{sample.Water}, {sample.District}"),
            new("station", sample.Station),
            new(
                "date and time",
                (sample.CollectedAt is { } at ? at.DateTime : sample.Day.ToDateTime(default)).ToString(
                    sample.CollectedAt is null ? "ddd d MMM yyyy" : "ddd d MMM yyyy HH:mm",
                    CultureInfo.InvariantCulture
                )
            ),
            new("depth", sample.Depth),
            new("analyte", sample.Measures),
            new("volume", $"{Decimals.Text(sample.VolumeMl ?? 0)} mL filtered", Strong: true),
            .. sample.Added is { } added ? [new LabelLine("what was added", added)] : Array.Empty<LabelLine>(),
            .. sample.Kin == SampleKin.Replicate
                ? [new LabelLine("REP", "REP, it is the replicate", Strong: true)]
                : Array.Empty<LabelLine>(),
            new("initials", "your initials"),
        ];
}
