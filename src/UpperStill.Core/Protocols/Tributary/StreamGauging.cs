using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Streams;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Science.Hydraulics;
using static UpperStill.Core.Protocols.Tributary.TributaryFields;

namespace UpperStill.Core.Protocols.Tributary;

/// <summary>The flow of a stream, by whatever was done to find it; what is known in two ways is held against each other.</summary>
internal static class StreamGauging
{
    private static readonly TimeSpan Apart = TimeSpan.FromHours(1);

    internal static void Of(ProtocolRun run)
    {
        List<FoundFlow> found =
        [
            .. new[] { Posted(run), ByTable(run), VerticalsOfStream.Of(run), ByFloat(run), ByPail(run) }.OfType<FoundFlow>(),
        ];
        if (found.Count == 0)
        {
            if (!run.Programme.Chooses(TributaryOptions.FlowFrom, "none"))
            {
                run.Derive(new SheetDerived("flow", "Flow", $"waits for {Missing(run)}", null, "m³/s"));
            }

            return;
        }

        // What was measured here stands before what was posted.
        var best = found[^1];
        StreamReadings.Is(run, best.M3S, best.About, best.Method, best.Inputs, best.Steps, best.Rule, best.Source);
        if (found.Count > 1)
        {
            var other = found[0];
            var apart = best.M3S + other.M3S == 0 ? 0 : 200 * Math.Abs(best.M3S - other.M3S) / (best.M3S + other.M3S);
            if (apart > run.Programme.Of(TributaryOptions.FlowDiffers))
            {
                best.Attempt.Find(
                    TributaryFindings.FlowDiffers,
                    best.At,
                    ("a", $"{StreamReadings.Text(best.M3S)} ({best.Method})"),
                    ("b", $"{StreamReadings.Text(other.M3S)} ({other.Method})")
                );
            }
        }

        if (
            run.Containers.Fills is { Count: > 0 } fills
            && best.When is { } when
            && fills[0].Entry.At - when is var gap
            && (gap > Apart || gap < -Apart)
        )
        {
            best.Attempt.Find(TributaryFindings.TimeApart, best.At, ("gap", Hours(gap.Duration())));
        }
    }

    private static FoundFlow? Posted(ProtocolRun run) =>
        run.Once[Flow] is { } posted
            ? new(posted, "gauge", run.Once, Flow)
            {
                When = run.Once[ReadAt] ?? run.Once.WrittenAt(Flow),
                Inputs = [run.Once.Input(Flow)],
                Steps = [$"{Decimals.Text(Decimals.Published(posted))} m³/s"],
                Rule = "A gauge’s own figure, in its unit.",
                Source = "Posted by whoever keeps the gauge",
            }
            : null;

    private static FoundFlow? ByTable(ProtocolRun run)
    {
        if (!run.Programme.Chooses(TributaryOptions.FlowFrom, "table") || run.Once[Stage] is not { } stage)
        {
            return null;
        }

        if (run.Draft.Context.Station.StageTable is not { } table || !StageTable.Rises(table))
        {
            run.Once.Find(TributaryFindings.TableFalls, Stage);
            return null;
        }

        if (StageTable.Flow(table, stage.Metres) is not { } flow)
        {
            run.Once.Find(
                TributaryFindings.StageOutside,
                Stage,
                ("stage", LengthText.Write(stage)),
                ("low", $"{Decimals.Text(table[0].StageM)} m"),
                ("high", $"{Decimals.Text(table[^1].StageM)} m")
            );
            return null;
        }

        return new(flow, "table", run.Once, Stage)
        {
            When = run.Once.WrittenAt(Stage),
            Inputs = [run.Once.Input(Stage)],
            Steps = [$"Straight between the rows: {Decimals.Significant(flow, 4)} m³/s"],
            Rule = "Straight between the rows of the group’s table.",
            Source = "Linear interpolation",
        };
    }

    private static FoundFlow? ByFloat(ProtocolRun run)
    {
        List<Attempt> timed = [.. run.All(Runs).Where(r => r[Ran] > 0)];
        if (run.Once[Area] is not { } area || run.Once[Run] is not { } length || timed.Count == 0)
        {
            return null;
        }

        Few(timed, Ran);
        timed[^1].Find(TributaryFindings.Estimated, Ran);
        List<decimal> seconds = [.. timed.Select(r => r[Ran]!.Value)];
        var flow = StreamFlow.ByFloat(area, length, seconds);
        return new(flow, "float", timed[^1], Ran)
        {
            About = true,
            When = timed[^1].WrittenAt(Ran),
            Inputs = [run.Once.Input(Area), run.Once.Input(Run), .. timed.Select(r => r.Input(Ran))],
            Steps =
            [
                $"{Decimals.Text(area)} m² × 0.85 × {Decimals.Text(length)} m / {Decimals.Fixed(seconds.Average(), 1)} s = "
                    + $"{Decimals.Significant(flow, 3)} m³/s",
            ],
            Rule = "The mean speed of a stream is about 0.85 of that of its surface.",
            Source = "ISO 748, measurement by floats",
        };
    }

    private static FoundFlow? ByPail(ProtocolRun run)
    {
        List<Attempt> timed = [.. run.All(TributaryFields.Fills).Where(r => r[FilledIn] > 0)];
        if (run.Once[Litres] is not { } litres || timed.Count == 0)
        {
            return null;
        }

        Few(timed, FilledIn);
        List<decimal> seconds = [.. timed.Select(r => r[FilledIn]!.Value)];
        var flow = StreamFlow.ByPail(litres, seconds);
        return new(flow, "pail", timed[^1], FilledIn)
        {
            When = timed[^1].WrittenAt(FilledIn),
            Inputs = [run.Once.Input(Litres), .. timed.Select(r => r.Input(FilledIn))],
            Steps = [$"{Decimals.Text(litres)} L / {Decimals.Fixed(seconds.Average(), 2)} s = {Decimals.Significant(flow * 1000, 4)} L/s"],
            Rule = "All of the stream went into the pail.",
            Source = "Volumetric gauging",
        };
    }

    private static void Few(List<Attempt> timed, TimerField field)
    {
        if (timed.Count < 3)
        {
            timed[^1].Find(TributaryFindings.TimesFew, field, ("n", Decimals.Text(timed.Count)));
        }
    }

    private static string Missing(ProtocolRun run) =>
        run.Programme.ChoiceOf(TributaryOptions.FlowFrom) switch
        {
            "gauge" => "the gauge’s figure",
            "table" => "the stage",
            "velocity-area" => "both edges and a vertical",
            "float" => "area, run and a time",
            _ => "what the pail holds, and a time",
        };

    private static string Hours(TimeSpan gap) =>
        gap.Minutes == 0 ? $"{(int)gap.TotalHours} h" : $"{(int)gap.TotalHours} h {gap.Minutes} min";
}
