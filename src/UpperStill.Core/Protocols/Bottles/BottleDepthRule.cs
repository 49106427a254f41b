using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Science.Stratification;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Labels;

namespace UpperStill.Core.Protocols.Bottles;

/// <summary>What the depth of a bottle is worked out from.</summary>
/// <param name="Place">Where a sampler is closed.</param>
/// <param name="SurfaceSchool">An option of <c>bottle.surface-depth</c>.</param>
/// <param name="DeepSchool">An option of <c>bottle.deep-rule</c>.</param>
/// <param name="ByHand">True where the bottle itself is dipped.</param>
/// <param name="Sounding">The depth of the water as read; null before it.</param>
/// <param name="ClearanceM">How far a sampler keeps off the bottom, m.</param>
/// <param name="DeepLeastM">In shallower water there is no deep bottle, m.</param>
/// <param name="DeepFixedM">The coordinator’s great depth of the method <c>fixed</c>, m.</param>
/// <param name="ThermoclineM">Today's, m; null where none was found or no profile read.</param>
/// <param name="Reader">Unit for the words.</param>
public sealed record BottleDepthRequest(
    SamplePlace Place,
    string SurfaceSchool = "1.5-m",
    string DeepSchool = "whole-metre",
    bool ByHand = false,
    WrittenLength? Sounding = null,
    [property: Within(0, 100, "m")] decimal ClearanceM = 1,
    [property: Within(0, 11000, "m")] decimal DeepLeastM = 5,
    [property: Within(0, 11000, "m")] decimal DeepFixedM = 10,
    [property: Within(0, 11000, "m")] decimal? ThermoclineM = null,
    ReaderUnit Reader = ReaderUnit.AsRead
)
{
    /// <summary>Top of the metalimnion, m.</summary>
    [Within(0, 11000, "m")]
    public decimal? TopM { get; init; }

    /// <summary>Its bottom, m.</summary>
    [Within(0, 11000, "m")]
    public decimal? BottomM { get; init; }

    /// <summary>True where a profile was read today.</summary>
    public bool ProfileRead { get; init; }

    /// <summary>The line.</summary>
    public Line? Line { get; init; }

    /// <summary>A depth chosen by the sampler in its place.</summary>
    public WrittenLength? Moved { get; init; }

    /// <summary>Local day, which says which check of the line holds.</summary>
    public DateOnly? Day { get; init; }

    /// <summary>What showed the layers.</summary>
    public LayersBy LayersBy { get; init; }
}

/// <summary>The depth of a bottle.</summary>
/// <param name="Findings">What stands in the way.</param>
/// <param name="DepthM">True depth, m; null while it cannot be worked out.</param>
/// <param name="Text">The depth for the reader.</param>
/// <param name="MarkText">The mark of the line to lower to, for the reader.</param>
/// <param name="Mark">The same as it is written down.</param>
/// <param name="Needless">True where this water has no such depth today.</param>
/// <param name="Waits">What it waits for, or why there is none.</param>
/// <param name="Working">How it came about.</param>
public sealed record BottleDepthResult(
    IReadOnlyList<Finding> Findings,
    decimal? DepthM = null,
    string? Text = null,
    string? MarkText = null,
    WrittenLength? Mark = null,
    bool Needless = false,
    string? Waits = null,
    Working? Working = null
);

/// <summary>Works out how deep a bottle is closed: by the method, never within the clearance of the bottom, to the nearest mark of the
/// line.</summary>
public static class BottleDepthRule
{
    private const string Source = "The programme’s method; 1 ft = 0.3048 m exactly (1959 agreement)";
    private const decimal SurfaceM = 1.5m;
    private const decimal SurfaceFt = 5;
    private const decimal HandM = 0.3m;

    /// <summary>The depth, or what it waits for.</summary>
    /// <exception cref="ArgumentOutOfRangeException">A place or method that nobody knows, or a depth below 0.</exception>
    public static BottleDepthResult Work(BottleDepthRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        if (!SamplePlace.Closed.Contains(request.Place))
        {
            throw new ArgumentOutOfRangeException(
                nameof(request),
                $"“{request.Place}” is no place of a bottle; they are {string.Join(", ", SamplePlace.Closed)}."
            );
        }

        if (
            new[]
            {
                request.ClearanceM,
                request.DeepLeastM,
                request.DeepFixedM,
                request.ThermoclineM ?? 0,
                request.TopM ?? 0,
                request.BottomM ?? 0,
            }.Any(m => m < 0)
        )
        {
            throw new ArgumentOutOfRangeException(nameof(request), "A depth or clearance is below 0 m.");
        }

        var sounding = request.Sounding?.Read().Length;
        var native = request.Line?.Unit ?? sounding?.Unit ?? LengthUnit.Metre;
        if (request.Moved?.Read().Length is { } moved)
        {
            return Set(request, native, sounding, moved.Metres, [$"Moved by hand to {LengthText.Write(moved)}"]);
        }

        if (request.Place == SamplePlace.Surface)
        {
            var (surface, words) = Surface(request, Length.IsFootBased(native));
            return Set(request, native, sounding, surface, [$"{words}: {Show(surface, native, request)}"]);
        }

        return sounding is not { } z ? new BottleDepthResult([], Waits: "waits for the sounding")
            : request.Place == SamplePlace.Deep ? Deep(request, native, z)
            : LayerOf(request, native, z);
    }

    private static (decimal Metres, string Words) Surface(BottleDepthRequest request, bool feet) =>
        request.SurfaceSchool switch
        {
            "zero" => (0, "At the surface"),
            "hand" => (0.1m, "Just under, by hand"),
            "6-12-in" => (9 * Length.MetresPerInch, "6–12 in"),
            "one-foot" => (Length.MetresPerFoot, "One foot"),
            "arm" => (0.4m, "Arm’s length"),
            "knee" => (0.25m, "Half of knee-deep water"),
            not "1.5-m" => throw new ArgumentOutOfRangeException(
                nameof(request),
                $"“{request.SurfaceSchool}” is no method of the surface depth."
            ),
            _ => request.ByHand ? (feet ? Length.MetresPerFoot : HandM, "By hand, under the film")
            : feet ? (SurfaceFt * Length.MetresPerFoot, "5 ft, under the film")
            : (SurfaceM, "1.5 m, under the film"),
        };

    private static BottleDepthResult Deep(BottleDepthRequest request, LengthUnit native, Length sounding)
    {
        var z = sounding.Metres;
        if (z < request.DeepLeastM)
        {
            return new BottleDepthResult(
                [
                    At(
                        Finding.Note(
                            "deep-sample-needless",
                            $"In {Show(z, native, request)} the bottom water is the surface water.",
                            "A deep bottle would say the same twice.",
                            "Not asked for here."
                        )
                    ),
                ],
                Needless: true,
                Waits: $"not in less than {Show(request.DeepLeastM, native, request)} of water"
            );
        }

        var limit = z - request.ClearanceM;
        if (limit <= 0)
        {
            return NoWater(request, native, z);
        }

        // The method’s own metre off the bottom, or the programme’s clearance where that is more.
        var off = Math.Max(1, request.ClearanceM);
        var whole = Math.Max(0, decimal.Floor(z - off));
        return request.DeepSchool switch
        {
            "layers" => LayerOf(request with { Place = SamplePlace.Lower }, native, sounding),
            "fixed" => Set(
                request,
                native,
                sounding,
                Math.Min(request.DeepFixedM, limit),
                [
                    $"The fixed depth {Show(request.DeepFixedM, native, request)}, at most {LengthText.Write(sounding)} − "
                        + $"{Decimals.Text(request.ClearanceM)} m = {Show(limit, native, request)}",
                ]
            ),
            "marks" or "touch" => Set(
                request,
                native,
                sounding,
                limit,
                [$"{LengthText.Write(sounding)} − {Decimals.Text(request.ClearanceM)} m = {Show(limit, native, request)}"]
            ),
            "whole-metre" => Set(
                request,
                native,
                sounding,
                whole,
                [
                    $"floor({Decimals.Text(Decimals.Published(z))} m − {Decimals.Text(off)} m) = {Decimals.Text(whole)} m, the "
                        + "whole metre above the clearance",
                ]
            ),
            _ => throw new ArgumentOutOfRangeException(nameof(request), $"“{request.DeepSchool}” is no method of the deep bottle."),
        };
    }

    private static BottleDepthResult LayerOf(BottleDepthRequest request, LengthUnit native, Length sounding)
    {
        if (request.ThermoclineM is not { } thermocline || request.TopM is not { } top || request.BottomM is not { } bottom)
        {
            return new BottleDepthResult(
                [],
                Needless: request.ProfileRead,
                Waits: request.ProfileRead ? "no layers today: the water is mixed" : "waits for the profile"
            );
        }

        var limit = sounding.Metres - request.ClearanceM;
        var (depth, step) =
            request.Place == SamplePlace.Upper
                ? (top / 2, $"Middle of the upper layer, 0 to {Show(top, native, request)}: {Show(top / 2, native, request)}")
            : request.Place == SamplePlace.AtThermocline
                ? (
                    thermocline,
                    $"Thermocline by {(request.LayersBy == LayersBy.Degree ? "warmth" : "density")}: {Show(thermocline, native, request)}"
                )
            : (
                (bottom + sounding.Metres) / 2,
                $"Middle of the lower layer, {Show(bottom, native, request)} to {LengthText.Write(sounding)}: "
                    + $"{Show((bottom + sounding.Metres) / 2, native, request)}"
            );
        return limit <= 0 ? NoWater(request, native, sounding.Metres) : Set(request, native, sounding, Math.Min(depth, limit), [step]);
    }

    private static BottleDepthResult NoWater(BottleDepthRequest request, LengthUnit native, decimal z) =>
        new(
            [],
            Needless: true,
            Waits: $"a clearance of {Show(request.ClearanceM, native, request)} leaves no water in {Show(z, native, request)}"
        );

    private static BottleDepthResult Set(BottleDepthRequest request, LengthUnit native, Length? sounding, decimal depth, List<string> steps)
    {
        List<Finding> findings = [];
        var limit = sounding is { } z ? z.Metres - request.ClearanceM : decimal.MaxValue;
        if (depth > limit)
        {
            findings.Add(
                At(
                    Finding.Stop(
                        "bottle-too-deep",
                        $"{Show(depth, native, request)} leaves "
                            + $"{Show(Math.Max(0, sounding!.Value.Metres - depth), native, request)} above the bottom.",
                        "It would stir mud.",
                        $"{Show(Math.Max(0, limit), native, request)} is the deepest."
                    )
                )
            );
        }

        var correction = request.Line?.CorrectionOn(request.Day ?? DateOnly.MaxValue);
        var byMarks = correction?.MarkM(depth) ?? depth;
        var byMarksLimit = limit == decimal.MaxValue ? limit : correction?.MarkM(limit) ?? limit;
        if (correction is not null)
        {
            steps.Add($"{correction.Words}: {Show(depth, native, request)} of depth is {Show(byMarks, native, request)} by the marks");
        }

        if (request.Line?.UsableM is { } usable && byMarks > usable)
        {
            findings.Add(
                At(
                    Finding.Stop(
                        "line-too-short",
                        $"{Show(byMarks, native, request)} is beyond the {Show(usable, native, request)} of {request.Line.Code}.",
                        "The bottle would close above its depth.",
                        "Use another line, or take the deepest it reaches and say so."
                    )
                )
            );
        }

        var mark = byMarks;
        if (request.Line?.MarkEveryM is { } every && every > 0 && NearestMark.Of(byMarks, byMarksLimit, every) is { } nearest)
        {
            mark = nearest;
            steps.Add($"Nearest mark of {request.Line.Code}, never past the clearance: {Show(mark, native, request)}");
        }

        var trueDepth = correction?.TrueM(mark) ?? mark;
        return new BottleDepthResult(
            findings,
            Decimals.Published(trueDepth),
            Show(trueDepth, native, request),
            Show(mark, native, request),
            LengthText.Mark(mark, native),
            false,
            null,
            new Working(
                "Depth of the bottle",
                [.. sounding is { } s ? [new WorkingInput("sounding", LengthText.Write(s))] : Array.Empty<WorkingInput>()],
                steps,
                "By the programme’s method, kept off the bottom, to the nearest mark of the line.",
                Source
            )
        );
    }

    private static string Show(decimal metres, LengthUnit native, BottleDepthRequest request) =>
        LengthText.Show(metres, native, request.Reader);

    private static Finding At(Finding finding) => finding with { Beside = Beside.Bottles };
}
