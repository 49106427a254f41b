using System.Globalization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;

namespace UpperStill.Core.Setup.Equipment;

/// <summary>What a check of an item gave.</summary>
/// <param name="Summary">In a few words, for the history.</param>
/// <param name="Findings">What is wrong; a stop keeps it from being kept.</param>
/// <param name="OffPercent">For a line or a meter: per cent by which it was off, signed.</param>
/// <param name="Working">How the figure came about.</param>
public sealed record KitCheckResult(
    string Summary,
    IReadOnlyList<FieldFinding> Findings,
    decimal? OffPercent = null,
    Working? Working = null
);

/// <summary>Judges checks of kit.</summary>
public static class KitCheckRule
{
    private const decimal StretchedPercent = 1;
    private const decimal NoRopeStretchesPercent = 10;
    private const decimal CalibrationPercent = 3;
    private const decimal DriftMgl = 0.3m;
    private const decimal ThermometerC = 0.5m;
    private const decimal FahrenheitPerCelsius = 1.8m;
    private const decimal IceF = 32;

    /// <summary>Judges one check of an item; the item's earlier checks say from when it holds.</summary>
    /// <param name="item">The item.</param>
    /// <param name="check">The check.</param>
    /// <param name="today">A check cannot lie after it.</param>
    public static KitCheckResult Judge(KitItem item, KitCheck check, DateOnly today)
    {
        ArgumentNullException.ThrowIfNull(item);
        ArgumentNullException.ThrowIfNull(check);
        return check.Day > today
                ? Refused(
                    "day",
                    "day-ahead",
                    $"{Words(check.Day)} is still to come.",
                    "Readings are corrected from the day of the check.",
                    "Write the day on which it was done."
                )
            : !KitRules.Of(item.Kind).Checks.Contains(check.Kind)
                ? Refused(
                    "kind",
                    "check-unfit",
                    $"A {KitRules.Of(item.Kind).Words} is not checked so.",
                    "It would say nothing of its readings.",
                    "Choose one of its own checks."
                )
            : check.Kind switch
            {
                KitCheckKind.Taped => Taped(item, check),
                KitCheckKind.Calibrated or KitCheckKind.EndCheck => Calibrated(item, check),
                KitCheckKind.IcePoint => IcePoint(item, check),
                KitCheckKind.Zeroed => Zeroed(item, check),
                KitCheckKind.Timed => Timed(item, check),
                KitCheckKind.Counted => Counted(item, check),
                _ => LookedOver(item, check),
            };
    }

    private static KitCheckResult Taped(KitItem item, KitCheck check)
    {
        if (check.Marks is null)
        {
            return Refused(
                "marks",
                "marks-missing",
                "No mark was laid along the tape.",
                "The factor is worked out from mark and tape.",
                "Write at least one mark, and what the tape says there."
            );
        }

        if (check.Marks.Count == 0)
        {
            return new KitCheckResult("taped; no mark is written down", [], 0);
        }

        List<(Length Mark, Length Tape)> read = [];
        foreach (var taped in check.Marks)
        {
            var ((mark, wrong), (tape, wrongTape)) = (taped.Mark.Read(), taped.Tape.Read());
            if (mark is not { Metres: > 0 } m || tape is not { Metres: > 0 } t)
            {
                return new KitCheckResult(
                    "not read",
                    [
                        (
                            wrong
                            ?? wrongTape
                            ?? Finding.Stop(
                                "length-zero",
                                "A length of nothing says nothing.",
                                "The factor is worked out from it.",
                                "Type mark and tape again."
                            )
                        ).At("marks"),
                    ]
                );
            }

            read.Add((m, t));
        }

        List<(Length Mark, Length Tape)> sorted = [.. read.OrderBy(r => r.Mark.Metres)];
        if (sorted.Zip(sorted.Skip(1)).Any(p => p.First.Mark.Metres == p.Second.Mark.Metres || p.First.Tape.Metres >= p.Second.Tape.Metres))
        {
            return Refused(
                "marks",
                "marks-order",
                "The tape does not grow with the marks.",
                "A mark further down lies further along the tape; one of them is misread.",
                "Read the tape again."
            );
        }

        if (sorted.FirstOrDefault(r => Math.Abs(Off(r)) > NoRopeStretchesPercent) is { Mark.Metres: > 0 } far)
        {
            return Refused(
                "marks",
                "factor-impossible",
                $"{LengthText.Write(far.Mark)} at {LengthText.Write(far.Tape)} is {Percent(Off(far))} off.",
                "No line stretches or shrinks so far; a unit or a number is misread.",
                "Tape it again. A line that is really so wrong gets new marks, not a factor."
            );
        }

        var worst = sorted.MaxBy(r => Math.Abs(Off(r)));
        var off = Off(worst);
        var words = off == 0 ? "every mark true" : $"{Percent(Math.Abs(off))} {(off > 0 ? "long: it read short" : "short: it read deep")}";
        var working = new Working(
            $"Factor of {item.Code}",
            [.. sorted.Select(r => new WorkingInput($"mark {LengthText.Write(r.Mark)}", LengthText.Write(r.Tape)))],
            [
                .. sorted.Select(r =>
                    $"{LengthText.Write(r.Tape)} / {LengthText.Write(r.Mark)} = "
                    + $"{Decimals.Text(decimal.Round(r.Tape.Metres / r.Mark.Metres, 5))}"
                ),
            ],
            sorted.Count == 1
                ? "True length / marked length, the same along the whole line."
                : "True length / marked length, straight between the marks, the last one’s beyond it.",
            "The line’s own check against a tape"
        );
        return new KitCheckResult(
            words,
            Math.Abs(off) <= StretchedPercent
                ? []
                :
                [
                    Finding
                        .Check(
                            "line-stretched",
                            $"{item.Code} reads {Percent(Math.Abs(off))} off.",
                            $"Readings since {Words(From(item, check))} are recomputed from the marks as read; the old stay visible.",
                            "Re-mark it in another colour; the new marks get their own name."
                        )
                        .At("marks"),
                ],
            decimal.Round(off, 2),
            working
        );
    }

    private static KitCheckResult Calibrated(KitItem item, KitCheck check)
    {
        if (check is not { Expected: > 0 and { } expected, Read: { } read } || string.IsNullOrWhiteSpace(check.Unit))
        {
            return Refused(
                "expected",
                "calibration-figures",
                "What it should read, what it read, or the unit is missing.",
                "Drift is the difference of the two.",
                "Write both, and the unit on the display."
            );
        }

        var off = (read - expected) / expected * 100;
        var drifted = Math.Abs(off) > CalibrationPercent || (check.Unit == "mg/L" && Math.Abs(read - expected) > DriftMgl);
        var words = $"read {Decimals.Text(read)}, should be {Decimals.Text(expected)} {check.Unit}";
        List<FieldFinding> findings = !drifted
            ? []
            :
            [
                (
                    check.Kind == KitCheckKind.EndCheck
                        ? Finding.Check(
                            "calibration-drift",
                            $"{item.Code}: {Percent(Math.Abs(off))} since the start.",
                            "Every profile of the outing is marked.",
                            "Calibrate again before the next station."
                        )
                        : Finding.Check(
                            "calibration-off",
                            $"{item.Code} {words}.",
                            "More than 3 % off before it was set: what it measured since the last time is in doubt.",
                            "Look at the membrane or cap, wipe off drops, repeat."
                        )
                ).At("read"),
            ];
        return new KitCheckResult(
            words,
            findings,
            decimal.Round(off, 2),
            new Working(
                $"Drift of {item.Code}",
                [
                    new WorkingInput("should read", $"{Decimals.Text(expected)} {check.Unit}"),
                    new WorkingInput("read, before it was set", $"{Decimals.Text(read)} {check.Unit}"),
                ],
                [$"({Decimals.Text(read)} − {Decimals.Text(expected)}) / {Decimals.Text(expected)} × 100 = {Percent(off)}"],
                "Drift since the last calibration, per cent of the standard.",
                "The meter’s own standard"
            )
        );
    }

    private static KitCheckResult IcePoint(KitItem item, KitCheck check)
    {
        if (check.Read is not { } read || check.Unit is not ("°C" or "°F"))
        {
            return Refused(
                "read",
                "ice-point-figures",
                "What it read in melting ice, or its unit, is missing.",
                "The difference from 0 °C is its error.",
                "Wait until it is steady, then write the reading."
            );
        }

        var off = check.Unit == "°F" ? (read - IceF) / FahrenheitPerCelsius : read;
        return new KitCheckResult(
            $"{Decimals.Text(read)} {check.Unit} in melting ice",
            Math.Abs(off) <= ThermometerC
                ? []
                :
                [
                    Finding
                        .Check(
                            "thermometer-off",
                            $"{item.Code} reads {Decimals.Text(decimal.Round(off, 2))} °C in melting ice.",
                            "Every temperature is off by that.",
                            "Crushed ice and a little water, well stirred, once more; else take another."
                        )
                        .At("read"),
                ]
        );
    }

    private static KitCheckResult Zeroed(KitItem item, KitCheck check) =>
        check.Read is not { } read
            ? Refused(
                "read",
                "zero-missing",
                "What it read in distilled water is missing.",
                "It should be 0.",
                "Write the reading before you turn the screw."
            )
            : new KitCheckResult(
                $"{Decimals.Text(read)} ppt in distilled water",
                read == 0
                    ? []
                    :
                    [
                        Finding
                            .Check(
                                "refractometer-off",
                                $"{item.Code} reads {Decimals.Text(read)} ppt in distilled water.",
                                "Every salinity is off by that.",
                                "Clean the glass, take another drop; set it to 0 with its screw and write a second check."
                            )
                            .At("read"),
                    ]
            );

    private static KitCheckResult Timed(KitItem item, KitCheck check)
    {
        if (check is not { Expected: > 0 and { } metres, Read: > 0 and { } seconds })
        {
            return Refused(
                "expected",
                "fall-figures",
                "Line out or seconds are missing.",
                "The fall speed tells when the trip is to be felt.",
                "Write both, each above 0."
            );
        }

        var speed = metres / seconds;
        return new KitCheckResult(
            $"{Decimals.Text(decimal.Round(speed, 2))} m/s",
            [],
            Working: new Working(
                $"Fall speed of the messenger of {item.Code}",
                [new WorkingInput("line out", $"{Decimals.Text(metres)} m"), new WorkingInput("time", $"{Decimals.Text(seconds)} s")],
                [$"{Decimals.Text(metres)} m / {Decimals.Text(seconds)} s = {Decimals.Text(decimal.Round(speed, 3))} m/s"],
                "Fall speed = line out / time.",
                "Timed on the line"
            )
        );
    }

    private static KitCheckResult Counted(KitItem item, KitCheck check) =>
        item.Parts is not { } parts || check.Counted is not { } counted
            ? Refused(
                "counted",
                "parts-unknown",
                "How many parts it has, or how many are there, is missing.",
                "Somebody loses one every year.",
                "Write on the item how many it has, then count."
            )
            : new KitCheckResult(
                $"{counted} of {parts} parts",
                counted >= parts
                    ? []
                    :
                    [
                        Finding
                            .Check(
                                "parts-missing",
                                $"{counted} of {parts} parts of {item.Code}.",
                                "It does not work without them.",
                                "Look in the boat; spares from the coordinator."
                            )
                            .At("counted"),
                    ]
            );

    private static KitCheckResult LookedOver(KitItem item, KitCheck check)
    {
        List<string> left = [.. KitRules.Of(item.Kind).LookAt.Except(check.Ticked ?? [])];
        return new KitCheckResult(
            left.Count == 0 ? "everything well" : $"not well: {string.Join(", ", left)}",
            left.Count == 0
                ? []
                :
                [
                    Finding
                        .Check(
                            "sampler-unready",
                            $"Not ticked: {string.Join(", ", left)}.",
                            "What is worn fails on the water.",
                            "Mend it, or let it stay ashore: set it to “mending”."
                        )
                        .At("ticked"),
                ]
        );
    }

    // The day from which readings are corrected by this check; see Line.CorrectionOn.
    private static DateOnly From(KitItem item, KitCheck check) =>
        item.Standing.Any(c => c.Kind == KitCheckKind.Taped && c.Id != check.Id && c.Day.Year == check.Day.Year && c.Day < check.Day)
            ? check.Day
            : new DateOnly(check.Day.Year, 1, 1);

    private static KitCheckResult Refused(string field, string code, string seen, string why, string act) =>
        new("not kept", [Finding.Stop(code, seen, why, act).At(field)]);

    private static decimal Off((Length Mark, Length Tape) taped) => ((taped.Tape.Metres / taped.Mark.Metres) - 1) * 100;

    private static string Percent(decimal percent) => $"{Decimals.Text(decimal.Round(percent, 1, MidpointRounding.AwayFromZero))} %";

    private static string Words(DateOnly day) => day.ToString("d MMM yyyy", CultureInfo.InvariantCulture);
}
