using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Science.Hydraulics;
using static UpperStill.Core.Protocols.Tributary.TributaryFields;

namespace UpperStill.Core.Protocols.Tributary;

/// <summary>Flow by verticals across the stream, panel by panel.</summary>
internal static class VerticalsOfStream
{
    // m²/s: depth times speed that takes a person’s feet.
    private const decimal TakesFeet = 0.6m;

    internal static FoundFlow? Of(ProtocolRun run)
    {
        var once = run.Once;
        List<(Attempt Attempt, Vertical Vertical)> read = [];
        foreach (var vertical in run.All(TributaryFields.Vertical))
        {
            var speed = SpeedOf(run, vertical);
            if (vertical[Depth] is { } depth && speed is { } v)
            {
                if (depth.Metres * Math.Abs(v) > TakesFeet)
                {
                    vertical.Find(
                        TributaryFindings.WadingFast,
                        Depth,
                        ("depth", LengthText.Write(depth)),
                        ("speed", $"{Decimals.Text(v)} m/s")
                    );
                }

                if (vertical[Tape] is { } tape && Inside(run, vertical, tape.Metres))
                {
                    read.Add((vertical, new Vertical(tape.Metres, depth.Metres, v)));
                }
            }
        }

        if (once[EdgeLeft] is not { } left || once[EdgeRight] is not { } right || read.Count == 0)
        {
            return null;
        }

        var panels = MidSection.Panels(left.Metres, right.Metres, read.Select(r => r.Vertical));
        var flow = panels.Sum(p => p.FlowM3S);
        var last = read.MaxBy(r => r.Attempt.LastAt).Attempt;
        var asked = MidSection.Asked(Math.Abs(right.Metres - left.Metres));
        if (panels.Count < asked)
        {
            last.Find(TributaryFindings.VerticalsFew, Tape, ("n", Decimals.Text(panels.Count)), ("needed", Decimals.Text(asked)));
        }

        if (flow > 0 && panels.MaxBy(p => p.FlowM3S) is { } largest && largest.FlowM3S / flow > 2m / panels.Count)
        {
            read.First(r => r.Vertical.TapeM == largest.TapeM)
                .Attempt.Find(
                    TributaryFindings.PanelLarge,
                    Tape,
                    ("percent", Decimals.Fixed(100 * largest.FlowM3S / flow, 0)),
                    ("tape", $"{Decimals.Text(largest.TapeM)} m")
                );
        }

        run.Section(SheetSection.Of(left.Metres, right.Metres, panels));
        return new(flow, "velocity-area", last, Tape)
        {
            When = last.LastAt,
            Inputs =
            [
                once.Input(EdgeLeft),
                once.Input(EdgeRight),
                .. read.SelectMany(r =>
                    new Field[] { Tape, Depth, Speed, SpeedHigh, SpeedLow }
                        .Where(r.Attempt.Has)
                        .Select(r.Attempt.Input)
                ),
            ],
            Steps =
            [
                .. panels.Select(p =>
                    $"{Decimals.Text(p.TapeM)} m: {Decimals.Text(p.VelocityMs)} m/s × {Decimals.Text(p.DepthM)} m × "
                    + $"{Decimals.Text(p.ToM - p.FromM)} m = {Decimals.Fixed(p.FlowM3S, 5)} m³/s"
                ),
                $"Σ = {Decimals.Fixed(flow, 5)} m³/s",
            ],
            Rule =
                "Each vertical stands for the water half-way to its neighbours; the first and last reach half-way to the edge, and the triangle "
                + "beyond is left out, as the standard has it.",
            Source = "ISO 748, mid-section method",
        };
    }

    // From 0.75 m on one speed alone is used as the mean, and said.
    private static decimal? SpeedOf(ProtocolRun run, Attempt vertical)
    {
        Range(run, vertical, Speed);
        Range(run, vertical, SpeedHigh);
        Range(run, vertical, SpeedLow);
        var deep = vertical[Depth]?.Metres >= MidSection.TwoPointsFromM;
        if (vertical[SpeedHigh] is { } high && vertical[SpeedLow] is { } low)
        {
            return (high + low) / 2;
        }

        var one = vertical[Speed] ?? vertical[SpeedHigh] ?? vertical[SpeedLow];
        if (deep && one is not null)
        {
            vertical.Find(TributaryFindings.SpeedTwice, Depth, ("depth", LengthText.Write(vertical[Depth]!.Value)));
        }

        return one;
    }

    private static void Range(ProtocolRun run, Attempt vertical, NumberField field)
    {
        var meter = run.Gear(run.Once, Meter);
        if (
            vertical[field] is { } speed
            && meter?.Figure("speed-min-ms") is { } least
            && meter.Figure("speed-max-ms") is { } most
            && (Math.Abs(speed) < least || Math.Abs(speed) > most)
        )
        {
            vertical.Find(
                TributaryFindings.MeterRange,
                field,
                ("value", $"{Decimals.Text(speed)} m/s"),
                ("low", Decimals.Text(least)),
                ("high", $"{Decimals.Text(most)} m/s")
            );
        }
    }

    private static bool Inside(ProtocolRun run, Attempt vertical, decimal tape)
    {
        if (
            run.Once[EdgeLeft]?.Metres is not { } left
            || run.Once[EdgeRight]?.Metres is not { } right
            || (tape >= Math.Min(left, right) && tape <= Math.Max(left, right))
        )
        {
            return true;
        }

        vertical.Find(
            TributaryFindings.Outside,
            Tape,
            ("tape", $"{Decimals.Text(tape)} m"),
            ("low", $"{Decimals.Text(Math.Min(left, right))} m"),
            ("high", $"{Decimals.Text(Math.Max(left, right))} m")
        );
        return false;
    }
}
