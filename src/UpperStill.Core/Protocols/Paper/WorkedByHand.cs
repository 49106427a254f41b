using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Composite;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Protocols.Paper;

/// <summary>A sum that people do aloud or on paper.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<HandSum>))]
public enum HandSum
{
    /// <summary>The mean of the disc's marks.</summary>
    [JsonStringEnumMemberName("clarity")]
    Clarity,

    /// <summary>The factor times the clarity.</summary>
    [JsonStringEnumMemberName("layer")]
    Layer,

    /// <summary>The depth of the composite.</summary>
    [JsonStringEnumMemberName("composite")]
    Composite,
}

/// <summary>Body of the entry <c>worked-by-hand</c>: a figure that stands worked out on the sheet.</summary>
/// <param name="Sum">Which.</param>
/// <param name="Value">As written.</param>
public sealed record WorkedByHandBody(HandSum Sum, WrittenLength Value);

/// <summary>A sum of the sheet, as the page shows it.</summary>
/// <param name="Sum">Which.</param>
/// <param name="Text">For the reader.</param>
/// <param name="Entry">The entry it stands in.</param>
public sealed record SheetHandSum(HandSum Sum, string Text, Guid Entry);

/// <summary>Holds sums done by hand against the working. The worked figure is always the one that is used.</summary>
internal static class WorkedByHand
{
    // Half a foot, on a line in feet.
    private const decimal FootLimitM = 0.5m * Length.MetresPerFoot;

    internal static IReadOnlyList<SheetHandSum> Fold(SheetDraft draft, ClarityResult clarity, CompositeResult composite)
    {
        List<SheetHandSum> sums = [];
        foreach (var said in draft.Standing(PaperKinds.WorkedByHand).GroupBy(s => s.Body.Sum).Select(g => g.Last()))
        {
            var beside = said.Body.Sum == HandSum.Clarity ? Beside.Clarity : Beside.Composite;
            var (typed, unread) = said.Body.Value.Read();
            sums.Add(
                new SheetHandSum(said.Body.Sum, typed is { } length ? draft.Show(length) : $"“{said.Body.Value.Written}”", said.Entry.Id)
            );
            if (unread is not null)
            {
                draft.Findings.Add(unread.On(beside, said.Entry.Id));
            }
            else if (ByMarks(said.Body.Sum, clarity, composite) is { } worked && Apart(draft, typed!.Value, worked))
            {
                draft.Findings.Add(
                    Finding
                        .Check(
                            "working-differs",
                            $"You wrote {draft.Show(typed.Value)}; the marks give {draft.Show(worked)}.",
                            "Sums aloud slip.",
                            "The worked figure is used; open it to see the steps."
                        )
                        .On(beside, said.Entry.Id)
                );
            }
        }

        return sums;
    }

    // On paper sums are done with the marks as they are: a stretched line is no slip of the sum.
    private static decimal? ByMarks(HandSum sum, ClarityResult clarity, CompositeResult composite) =>
        sum switch
        {
            HandSum.Clarity => clarity.AsReadM ?? clarity.MeanM,
            HandSum.Layer => clarity is { AsReadM: { } asRead, MeanM: { } mean and > 0 }
                ? composite.LayerM * asRead / mean
                : composite.LayerM,
            _ => composite.Mark?.Read().Length?.Metres,
        };

    private static bool Apart(SheetDraft draft, Length typed, decimal workedM) =>
        Math.Abs(typed.Metres - workedM)
        > (Length.IsFootBased(typed.Unit) ? FootLimitM : draft.Context.Programme.Of(PaperOptions.WorkingDiffers));
}
