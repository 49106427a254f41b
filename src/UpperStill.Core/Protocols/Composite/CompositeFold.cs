using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.History;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Composite;

/// <summary>One lowering of the composite sampler.</summary>
/// <param name="Entry">The entry.</param>
/// <param name="Text">In words.</param>
/// <param name="Good">True where its water can be used.</param>
public sealed record SheetTry(Guid Entry, string Text, bool Good);

/// <summary>The lowerings of the composite sampler.</summary>
/// <param name="Tries">So far.</param>
/// <param name="Good">True where the last one can be used.</param>
/// <param name="RaiseS">Seconds proposed for the next rise; null where nothing is known.</param>
/// <param name="RaiseWords">Where that comes from.</param>
/// <param name="Worked">The rise that gave today's water; null while none did, or where it was not timed.</param>
public sealed record SheetTries(
    IReadOnlyList<SheetTry> Tries,
    bool Good,
    decimal? RaiseS = null,
    string? RaiseWords = null,
    RiseThatWorked? Worked = null
);

/// <summary>The tries at a composite, and how fast to raise the next.</summary>
internal static class CompositeFold
{
    // Between over half and full lies what is wanted.
    private const decimal WantedPercent = 75;
    private const decimal FullFactor = 0.75m;
    private const decimal Full = 100;

    internal static SheetTries Fold(SheetDraft draft, CompositeResult composite)
    {
        var tries = draft.Standing(CompositeKinds.CompositeTry);
        var lastGood = tries.ToList().FindLastIndex(t => Good(draft, t.Body));
        draft.Findings.AddRange(
            tries.SelectMany(
                (t, i) =>
                    Checks(draft, composite, t)
                        .Select(f => f.On(Beside.Composite, t.Entry.Id))
                        .Select(f => i < lastGood ? f.Settled("a later one came up right") : f)
            )
        );
        var shown = tries.Select(t => new SheetTry(t.Entry.Id, Words(t.Body, draft.Reader), Good(draft, t.Body))).ToList();
        var last = tries.Select(t => t.Body).LastOrDefault(t => t.RaiseS is not null);
        var (next, words) = last is null ? AsBefore(draft, composite) : NextRise(draft, last);
        var good = shown.Count > 0 && shown[^1].Good;
        var worked =
            good && draft.Day is { } day && tries[^1].Body is { RaiseS: { } seconds } body && body.Depth.Read().Length is { } from
                ? new RiseThatWorked(day, Decimals.Published(from.Metres), seconds)
                : null;
        return new SheetTries(shown, good, next, words, worked);
    }

    // The same speed as the last time it worked here: a longer way takes longer.
    private static (decimal? Seconds, string? Words) AsBefore(SheetDraft draft, CompositeResult composite) =>
        draft.Context.WorkedBefore is { } before && before.Day < draft.Day && before.DepthM > 0 && composite.MarkM is { } mark
            ? (
                decimal.Round(before.RaiseS * mark / before.DepthM, 0, MidpointRounding.AwayFromZero),
                $"{Decimals.Text(before.RaiseS)} s worked from {draft.Show(before.DepthM)} on "
                    + $"{before.Day.ToString("d MMM yyyy", System.Globalization.CultureInfo.InvariantCulture)}"
            )
            : (null, null);

    internal static string Words(CompositeTryBody attempt, ReaderUnit reader) =>
        $"Composite to {(attempt.Depth.Read().Length is { } length ? LengthText.Show(length, reader) : $"“{attempt.Depth.Written}”")}{(Fill(attempt) is { } fill ? $", came up {fill}" : ", how full is not said")}"
        + (attempt.RaiseS is { } seconds ? $", raised in {Decimals.Text(seconds)} s" : string.Empty);

    private static string? Fill(CompositeTryBody attempt) =>
        attempt.BeforeSurface == true ? "full before the surface" : attempt.Filled?.Words;

    private static bool JustFills(SheetDraft draft) => CompositeHow.By(draft.Context.Programme) == CompositeMethod.JustFills;

    private static bool Good(SheetDraft draft, CompositeTryBody attempt) =>
        draft.Context.Programme.Composite.Method == CompositeMethod.PooledOrTube
        || (
            JustFills(draft)
                ? attempt.Filled is { Least: >= Full } && attempt.BeforeSurface != true
                : attempt.Filled is { } filled
                    && filled.Over(draft.Context.Programme.Of(CompositeOptions.FillMin))
                    && filled.Most < draft.Context.Programme.Of(CompositeOptions.FillMax)
        );

    private static IEnumerable<Finding> Checks(SheetDraft draft, CompositeResult composite, Read<CompositeTryBody> attempt)
    {
        if (attempt.Body.Filled is not { } filled)
        {
            yield return Finding.Stop(
                "composite-fill",
                "How full it came up is not said.",
                "Full stopped sampling part way; too little is not the whole layer.",
                "Strike it and write it anew."
            );
        }
        else if (JustFills(draft) && !Good(draft, attempt.Body))
        {
            yield return Finding.Stop(
                "composite-fill",
                $"Came up {Fill(attempt.Body)}.",
                filled.Least >= Full
                    ? "It was full on the way: the uppermost water is not in it."
                    : "It should just fill as it reaches the surface.",
                Again(draft, attempt.Body) ?? (filled.Least >= Full ? "Empty; raise faster." : "Empty; raise slower.")
            );
        }
        else if (!Good(draft, attempt.Body))
        {
            yield return Finding.Stop(
                "composite-fill",
                $"Came up {Fill(attempt.Body)}.",
                "Full stopped sampling part way; too little is not the whole layer.",
                Again(draft, attempt.Body) ?? "Empty; raise faster where it was full, slower where it was not."
            );
        }

        var (length, finding) = attempt.Body.Depth.Read();
        if (finding is not null)
        {
            yield return finding;
        }
        else if (attempt.Body.LineEnd == true)
        {
            yield return Finding.Check(
                "composite-short-line",
                $"Limited by the line: {draft.Show(length!.Value)} of {composite.Text ?? "the target"}.",
                "The lowest layer is not in it.",
                "Kept and marked; bring a longer line."
            );
        }
        else if (composite.MarkM is { } target && length is { } taken)
        {
            var depth = draft.Line?.CorrectionOn(draft.Day ?? DateOnly.MaxValue)?.TrueM(taken.Metres) ?? taken.Metres;
            if (Math.Abs(depth - target) > draft.Context.Programme.Of(CompositeOptions.CompositeDepthDiffers))
            {
                yield return Finding.Check(
                    "composite-depth-differs",
                    $"Taken to {draft.Show(taken)}; {composite.Text} was asked.",
                    "Another layer is in it.",
                    "If the line is still wet, go again."
                );
            }
        }
    }

    private static string? Again(SheetDraft draft, CompositeTryBody attempt) =>
        NextRise(draft, attempt).Seconds is { } seconds ? $"Empty, raise over about {Decimals.Text(seconds)} s." : null;

    // New time = old time × wanted fill / observed fill; when it came up full, 0.75 × the time.
    private static (decimal? Seconds, string? Words) NextRise(SheetDraft draft, CompositeTryBody? last)
    {
        if (last is not { RaiseS: { } seconds })
        {
            return (null, null);
        }

        if (Good(draft, last))
        {
            return (seconds, $"{Decimals.Text(seconds)} s worked here");
        }

        if (last.Filled is not { } filled)
        {
            return (null, null);
        }

        if (filled.Least >= Full)
        {
            return (
                decimal.Round(FullFactor * seconds, 0, MidpointRounding.AwayFromZero),
                $"0.75 × {Decimals.Text(seconds)} s, because it came up full"
            );
        }

        var wanted = JustFills(draft) ? Full : WantedPercent;
        var middle = (filled.Least + filled.Most!.Value) / 2;
        return filled.Most <= 0
            ? (2 * seconds, $"2 × {Decimals.Text(seconds)} s, because it came up empty")
            : (
                decimal.Round(seconds * wanted / middle, 0, MidpointRounding.AwayFromZero),
                $"{Decimals.Text(seconds)} s × {Decimals.Text(wanted)} / "
                    + $"{(filled.Most > filled.Least ? "about " : string.Empty)}{Decimals.Text(middle)}"
            );
    }
}
