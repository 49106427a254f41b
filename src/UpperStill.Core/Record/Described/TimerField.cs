using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Record.Described;

/// <summary>A time that is waited, with both moments kept.</summary>
internal sealed class TimerField(string code, string label, int leastS, string why) : Field(code, label)
{
    /// <summary>More seconds than these cannot be; null where there is no such limit.</summary>
    internal int? MostS { get; init; }

    /// <summary>What is said where it was ended too early; the common words where none are given.</summary>
    internal FindingWords? Short { get; init; }

    internal override FieldDescription Describe() =>
        new(Code, Label, FieldKind.Timer, Required, Least: leastS, Most: MostS) { Wanted = leastS };

    internal override bool Filled(ObservedValue value) => value is { At: not null, Until: not null };

    /// <summary>Seconds; null where it was not ended, or ended before it began.</summary>
    internal static decimal? Read(ObservedValue value) =>
        value is { At: { } from, Until: { } until } && until >= from ? (decimal)(until - from).TotalSeconds : null;

    internal override IEnumerable<Finding> Judge(ObservedValue value) =>
        Read(value) is not { } seconds
            ?
            [
                Finding.Stop(
                    "timer-backwards",
                    $"{Label} ended before it began.",
                    "A clock was set in between, or one of the two is mistyped.",
                    "Strike it and time it again."
                ),
            ]
        : seconds > MostS
            ?
            [
                CommonFindings.ValueImpossible.With(
                    ("value", $"{Decimals.Fixed(seconds, 0)} s"),
                    ("low", Decimals.Text(leastS)),
                    ("high", $"{MostS} s")
                ),
            ]
        : seconds < leastS
            ?
            [
                (Short ?? CommonFindings.TimerShort).With(
                    ("seconds", Decimals.Fixed(seconds, 0)),
                    ("asked", Decimals.Text(leastS)),
                    ("why", why)
                ),
            ]
        : [];

    internal override string Text(ObservedValue value) => Read(value) is { } seconds ? $"{Decimals.Fixed(seconds, 0)} s" : "not ended";
}
