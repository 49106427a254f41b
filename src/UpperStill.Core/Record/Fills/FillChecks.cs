using System.Globalization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Record.Fills;

/// <summary>The checks on one container as it is filled.</summary>
internal static class FillChecks
{
    /// <summary>The fills that count: a bottle that went wrong and was filled anew counts once, as it was filled last.</summary>
    internal static IReadOnlyList<Read<FillBody>> Counting(SheetDraft draft)
    {
        var fills = draft.Standing(FillKinds.Fill);
        var last = fills.GroupBy(f => SampleNumber.Body(f.Body.Sample)).Select(g => g.Last()).ToHashSet();
        return last.Count == fills.Count ? fills : [.. fills.Where(f => last.Contains(f) || !WentWrong(draft, f.Body))];
    }

    private static bool WentWrong(SheetDraft draft, FillBody fill) =>
        draft.Context.Programme.TypeOf(fill.Type) is { } type && Of(draft, fill, type).Any(f => f.Level != FindingLevel.Note);

    private static string? Added(SheetDraft draft, Read<FillBody> fill) =>
        draft
            .Standing(FillKinds.Preserved)
            .LastOrDefault(p => p.Entry.At >= fill.Entry.At && p.Body.Samples.Any(n => SampleNumber.Same(n, fill.Body.Sample)))
            is { } later
            ? $"{later.Body.Added}, added at {later.Entry.At.ToString("HH:mm", CultureInfo.InvariantCulture)}"
            : null;

    /// <summary>A finding of a filling as it stands: settled where the bottle was filled anew, or what it lacked was added since.</summary>
    internal static Finding Standing(SheetDraft draft, Read<FillBody> fill, Finding finding) =>
        !Counting(draft).Contains(fill) ? finding.Settled("filled anew")
        : finding.Code.StartsWith("preservative-", StringComparison.Ordinal) && Added(draft, fill) is { } added ? finding.Settled(added)
        : finding;

    internal static string Words(FillBody fill)
    {
        var from = fill.From switch
        {
            FilledFrom.Sampler => "from the sampler",
            FilledFrom.PlainBottle => "from the plain bottle",
            FilledFrom.Lake => "by hand",
            FilledFrom.Net => "from the cup of the net",
            _ => "from the composite",
        };
        return string.Join(
            ", ",
            new[]
            {
                $"filled {from}",
                fill.To == FilledTo.AsAsked ? null
                : fill.To == FilledTo.Less ? "less than asked"
                : "more than asked",
                fill.Rinses is { } rinses ? $"rinsed {rinses} ×" : null,
                fill.Drops is { } drops ? $"{drops} drops" : null,
                fill.Preserved == true && fill.Drops is null ? "preserved" : null,
            }.OfType<string>()
        );
    }

    /// <summary>What is to be said of one filling.</summary>
    internal static IEnumerable<Finding> Of(SheetDraft draft, FillBody fill, SampleType type)
    {
        var holdsAcid = type.Added is { Inside: true };
        if (type.NeverRinsed && fill.Rinses > 0)
        {
            yield return Finding.Stop(
                "bottle-never-rinsed",
                $"{fill.Sample} must not be rinsed.",
                "What was in it is gone.",
                "Put it aside marked, take a new one."
            );
        }
        else if (!type.NeverRinsed && fill.Rinses is { } rinses && rinses < type.Rinse.Times)
        {
            yield return Finding.Check(
                "rinses-short",
                $"{rinses} of {type.Rinse.Times} rinses.",
                "Traces of earlier water remain.",
                "Rinse once more before filling."
            );
        }

        if (holdsAcid && fill.From is FilledFrom.Sampler or FilledFrom.Lake)
        {
            yield return Finding.Stop(
                "acid-bottle-direct",
                $"{fill.Sample} was filled {(fill.From == FilledFrom.Lake ? "from the lake" : "from the sampler")}.",
                "It is filled only by pouring from the plain bottle; dipping loses the acid.",
                "Gloves. New bottle."
            );
        }

        if (fill.To != FilledTo.AsAsked)
        {
            yield return holdsAcid && fill.To == FilledTo.More
                ? Finding.Check(
                    "acid-bottle-over",
                    $"{fill.Sample} is filled above the shoulder.",
                    "Too full thins the acid.",
                    "Tell the lab, or take a new bottle."
                )
                : Finding.Check(
                    "fill-wrong",
                    $"{fill.Sample} is filled {(fill.To == FilledTo.Less ? "less" : "more")} than asked; it should be {type.Fill.Words}.",
                    "The lab counts on it, and so does the ice.",
                    "Fill it again, or say why."
                );
        }

        if (type.Added is { Inside: false } added && fill.Preserved != true && (fill.Drops ?? 0) == 0)
        {
            yield return Finding.Stop(
                "preservative-missing",
                $"No {added.Name} in {fill.Sample}.",
                "It will not keep.",
                "Add it now, note the time."
            );
        }
        else if (type.Added?.Drops is { } asked && fill.Drops is { } drops && drops != asked)
        {
            yield return Finding.Check(
                "preservative-count",
                $"{drops} drops, {asked} asked.",
                "The lab corrects for what the type says.",
                "Fewer: add. More: note it."
            );
        }

        if (
            fill.Sediment == true
            && draft.Context.Programme.ChoiceOf(FillOptions.Sediment) is "again" or "spurt"
            && type.Code is not ("surf" or "bridge")
        )
        {
            yield return Finding.Stop(
                "sample-has-sediment",
                $"Sediment, weed or debris is in {fill.Sample}.",
                "That is not water alone.",
                "Empty down-current, rinse three times, again."
            );
        }

        if (fill.Bubbles == true && type.Fill.NoBubbles)
        {
            yield return Finding.Stop(
                "sample-has-bubbles",
                $"Bubbles stayed in {fill.Sample}.",
                "Bubbles trade gas with the sample.",
                "Empty and fill again, slowly."
            );
        }

        if (fill.InsideTouched == true)
        {
            yield return Finding.Stop(
                "inside-touched",
                $"Neck or cap of {fill.Sample} was touched inside.",
                "Your hand is now in the count.",
                "New bottle."
            );
        }
    }
}
