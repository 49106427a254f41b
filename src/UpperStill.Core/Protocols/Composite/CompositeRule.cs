using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Composite;

/// <summary>What the depth of a composite is worked out from.</summary>
/// <param name="Settings">The composite method.</param>
/// <param name="ClarityMeanM">Unrounded clarity, m; null where none was read or it is censored.</param>
/// <param name="ClarityCensored">True where the disc was seen on the bottom.</param>
/// <param name="Sounding">Today's sounding as read; null before it.</param>
/// <param name="Line">The line that will be marked; null where it is not known.</param>
/// <param name="Reader">Unit for the words.</param>
/// <param name="Day">Local day, which says which check of the line holds.</param>
/// <param name="Slow">True where the sampler goes down as slowly as it comes up.</param>
public sealed record CompositeRequest(
    CompositeSettings Settings,
    [property: Within(0, 100, "m")] decimal? ClarityMeanM = null,
    bool ClarityCensored = false,
    WrittenLength? Sounding = null,
    Line? Line = null,
    ReaderUnit Reader = ReaderUnit.AsRead,
    DateOnly? Day = null,
    bool Slow = false
);

/// <summary>The depth to which a composite is taken.</summary>
/// <param name="Findings">What stands in the way.</param>
/// <param name="LayerM">Factor × clarity, m; null where the rule does not use it or the clarity is censored.</param>
/// <param name="LayerText">The same for the reader.</param>
/// <param name="LayerWorking">How it came about.</param>
/// <param name="LimitM">Sounding less the clearance, m.</param>
/// <param name="LimitText">The same for the reader.</param>
/// <param name="TargetM">Depth asked for, m; null while it cannot be worked out.</param>
/// <param name="MarkM">True depth of the nearest mark of the line, m.</param>
/// <param name="Text">The depth to mark, as the line says it, for the reader.</param>
/// <param name="How">The work in short lines.</param>
public sealed record CompositeResult(
    IReadOnlyList<Finding> Findings,
    IReadOnlyList<string> How,
    decimal? LayerM = null,
    string? LayerText = null,
    Working? LayerWorking = null,
    decimal? LimitM = null,
    string? LimitText = null,
    decimal? TargetM = null,
    decimal? MarkM = null,
    string? Text = null
)
{
    /// <summary>The same as it is written down from the line.</summary>
    public WrittenLength? Mark { get; init; }

    /// <summary>How it came about.</summary>
    public Working? Working { get; init; }

    /// <summary>Depths of the whole-metre bottles, deepest first, where bottles are pooled; m.</summary>
    public IReadOnlyList<int>? Casts { get; init; }
}

/// <summary>Works out the composite depth: min(factor × clarity, sounding - clearance), to the nearest mark of the line.</summary>
/// <remarks>The lit layer from the disc: Poole &amp; Atkins 1929, Kd = 1.7 / SD, so 1 % light at 2.71 SD; volunteers use 2 × SD.</remarks>
public static class CompositeRule
{
    private const string LightSource = "Poole & Atkins 1929, J. Mar. Biol. Assoc. 16: 297–324 (Kd = 1.7 / SD; 1 % light at 2.71 SD)";

    // To this depth bottles from whole metres are pooled; beyond it the tube.
    private const decimal DeepestPoolM = 5.0m;

    /// <summary>The depth, or the findings that stand in its way. A censored clarity is never multiplied: the sounding less the clearance
    /// stands instead.</summary>
    public static CompositeResult Work(CompositeRequest request)
    {
        var work = new Arithmetic(request);
        if (work.WantedM is null && work.Missing is { } missing)
        {
            return work.Result([missing]);
        }

        if (work.Sounding is null)
        {
            return work.Result([
                At(Finding.Stop("sounding-missing", "Depth not yet measured.", "Touching bottom spoils the sample.", "Sound first.")),
            ]);
        }

        return work.LimitM is not { } limit
                ? work.Result([
                    At(
                        Finding.Stop(
                            "composite-clearance-unreadable",
                            $"The programme’s clearance “{request.Settings.Clearance.Written}” cannot be read.",
                            "Without it the sampler may touch bottom.",
                            "Ask the coordinator to set it."
                        )
                    ),
                ])
            : limit <= 0 ? work.Result([work.TooDeep()])
            : work.Marked(limit);
    }

    private static Finding At(Finding finding) => finding with { Beside = Beside.Composite };

    /// <summary>One composite depth on its way: what is known, and the steps so far.</summary>
    private sealed class Arithmetic
    {
        private readonly CompositeRequest request;
        private readonly LengthUnit native;
        private readonly Length? clearance;
        private readonly LineCorrection? correction;

        internal Arithmetic(CompositeRequest request)
        {
            this.request = request;
            correction = request.Line?.CorrectionOn(request.Day ?? DateOnly.MaxValue);
            Sounding = request.Sounding?.Read().Length;
            clearance = request.Settings.Clearance.Read().Length;
            native = request.Line?.Unit ?? clearance?.Unit ?? Sounding?.Unit ?? LengthUnit.Metre;
            if (Sounding is { } z && clearance is { } c)
            {
                LimitM = z.Metres - c.Metres;
            }

            if (request.Settings.DepthRule == CompositeDepthRule.Preset)
            {
                WantedM = request.Settings.Preset?.Read().Length?.Metres;
                Missing = At(
                    Finding.Stop(
                        "composite-no-preset",
                        "The coordinator’s depth is not set.",
                        "This programme does not take it from the clarity.",
                        "Ask the coordinator."
                    )
                );
            }
            else if (!request.ClarityCensored)
            {
                WantedM = request.ClarityMeanM * request.Settings.Factor;
                Missing = At(
                    Finding.Stop("composite-no-clarity", "No clarity read yet.", "The depth comes from today’s clarity.", "Read it first.")
                );
            }
        }

        internal Length? Sounding { get; }

        internal decimal? LimitM { get; }

        internal decimal? WantedM { get; }

        internal Finding? Missing { get; }

        private bool ByFactor => request.Settings.DepthRule == CompositeDepthRule.Factor;

        internal CompositeResult Result(IReadOnlyList<Finding> findings)
        {
            var layer = ByFactor ? WantedM : null;
            return new CompositeResult(
                findings,
                [.. CompositeHow.Of(request.Settings.Method, request.Slow).Select(line => line.Do)],
                Publish(layer),
                layer is { } l ? Show(l) : null,
                LayerWorking(layer),
                Publish(LimitM),
                LimitM is { } limit ? Show(limit) : null
            );
        }

        internal CompositeResult Marked(decimal limit)
        {
            List<Finding> findings = [];
            if (ByFactor && request.ClarityCensored)
            {
                findings.Add(
                    At(
                        Finding.Note(
                            "composite-from-bottom",
                            "The disc lay in sight on the bottom.",
                            "A depth “greater than” cannot be multiplied.",
                            $"The depth is the sounding less {LengthText.Write(clearance!.Value)}."
                        )
                    )
                );
            }

            if (!ByFactor && WantedM > limit)
            {
                findings.Add(TooDeep());
            }

            var target = Math.Min(WantedM ?? limit, limit);
            var steps = new List<string>
            {
                WantedM is { } wanted
                    ? $"min({Show(wanted)}, {LengthText.Write(Sounding!.Value)} − {LengthText.Write(clearance!.Value)} = "
                        + $"{Show(limit)}) = {Show(target)} = {Metres(target)}"
                    : $"{LengthText.Write(Sounding!.Value)} − {LengthText.Write(clearance!.Value)} = {Show(target)} = {Metres(target)}",
            };
            var casts = Casts(target, steps);
            if (correction is not null)
            {
                steps.Add($"{correction.Words}: {Show(target)} of depth is {Show(ByMarks(target))} by the marks");
            }

            var mark = ToTheLine(ByMarks(target), ByMarks(limit), steps, findings);
            return Result(findings) with
            {
                TargetM = Publish(target),
                MarkM = Publish(correction?.TrueM(mark) ?? mark),
                Text = Show(mark),
                Mark = LengthText.Mark(mark, native),
                Casts = casts,
                Working = new Working(
                    "Depth to mark for the composite",
                    [.. Inputs()],
                    steps,
                    Rule(),
                    ByFactor ? LightSource : "The coordinator’s preset for this station"
                ),
            };
        }

        internal Finding TooDeep()
        {
            var left = Show(Math.Max(0, Sounding!.Value.Metres - (WantedM ?? Sounding.Value.Metres)));
            return LimitM > 0
                ? At(
                    Finding.Stop(
                        "composite-too-deep",
                        $"{Show(WantedM!.Value)} comes within {left} of the bottom.",
                        "It would stir mud.",
                        $"Set {Show(LimitM.Value)}."
                    )
                )
                : At(
                    Finding.Stop(
                        "composite-too-deep",
                        $"{Show(Sounding.Value)} of water leaves nothing above the clearance of {LengthText.Write(clearance!.Value)}.",
                        "Any depth would stir mud.",
                        "No composite here today; say so on leaving."
                    )
                );
        }

        // What the line's marks say at a true depth.
        private decimal ByMarks(decimal depth) => correction?.MarkM(depth) ?? depth;

        private decimal ToTheLine(decimal target, decimal limit, List<string> steps, List<Finding> findings)
        {
            if (request.Line?.UsableM is { } usable && target > usable)
            {
                findings.Add(
                    At(
                        Finding.Stop(
                            "line-too-short",
                            $"{Show(target)} is beyond the {Show(usable)} of {request.Line.Code}.",
                            "The lowest layer would not be in it.",
                            "Use another line, or take the deepest it reaches and say so."
                        )
                    )
                );
                steps.Add($"{request.Line.Code} reaches {Show(usable)}");
                target = usable;
            }

            if (request.Line?.MarkEveryM is not { } every || every <= 0)
            {
                return target;
            }

            if (NearestMark.Of(target, limit, every) is not { } mark)
            {
                steps.Add($"Above the first mark of {request.Line.Code}: measure it with a rule");
                return target;
            }

            steps.Add(
                $"Nearest mark of {request.Line.Code} (every {LengthText.Write(request.Line.MarkEvery.Read().Length!.Value)}), "
                    + $"never past the clearance: {Show(mark)} = {Metres(mark)}"
            );
            return mark;
        }

        private int[]? Casts(decimal target, List<string> steps)
        {
            if (request.Settings.Method != CompositeMethod.PooledOrTube)
            {
                return null;
            }

            if (target > DeepestPoolM)
            {
                steps.Add("Deeper than 5.0 m: the integrated tube");
                return [];
            }

            int[] casts = [.. Enumerable.Range(1, (int)decimal.Floor(target)).Reverse()];
            steps.Add($"To 5.0 m bottles are pooled: {casts.Length} casts, from {casts.FirstOrDefault()} m up to 1 m");
            return casts;
        }

        private Working? LayerWorking(decimal? layer) =>
            layer is null
                ? null
                : new Working(
                    $"{Decimals.Text(request.Settings.Factor)} × clarity",
                    [new WorkingInput("clarity, unrounded", $"{Show(request.ClarityMeanM!.Value)} = {Metres(request.ClarityMeanM.Value)}")],
                    [
                        $"{Decimals.Text(request.Settings.Factor)} × {Show(request.ClarityMeanM.Value)} = {Show(layer.Value)} = "
                            + $"{Metres(layer.Value)}",
                    ],
                    "The lit layer from the unrounded clarity; a rounded or censored number is never multiplied.",
                    LightSource
                );

        private IEnumerable<WorkingInput> Inputs()
        {
            if (WantedM is { } wanted)
            {
                yield return new WorkingInput(ByFactor ? $"{Decimals.Text(request.Settings.Factor)} × clarity" : "preset", Show(wanted));
            }

            yield return new WorkingInput("sounding", LengthText.Write(Sounding!.Value));
            yield return new WorkingInput("clearance", LengthText.Write(clearance!.Value));
        }

        private string Rule() =>
            (ByFactor ? $"{Decimals.Text(request.Settings.Factor)} × clarity" : "Preset depth")
            + ", but never deeper than the sounding less the clearance; then to the nearest mark of the line, a tie to the shallower.";

        private string Show(decimal metres) => LengthText.Show(metres, native, request.Reader);

        private string Show(Length length) => LengthText.Show(length, request.Reader);

        private static string Metres(decimal metres) => $"{Decimals.Text(Decimals.Published(metres))} m";

        private static decimal? Publish(decimal? metres) => metres is { } m ? Decimals.Published(m) : null;
    }
}
