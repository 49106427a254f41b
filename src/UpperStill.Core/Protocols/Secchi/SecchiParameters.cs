using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.History;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Statistics;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Secchi;

/// <summary>What the disc gives to the record.</summary>
internal static class SecchiParameters
{
    internal static IReadOnlyList<ParameterDescription> All { get; } =
    [
        new()
        {
            Code = Parameter.Clarity,
            Rank = 10,
            Name = "clarity",
            Unit = "m",
            Decimals = 2,
            Hanging = true,
            Better = BetterWhen.Higher,
            AskedPerDecade = 0.5m,
            AskedAfter = true,
            Pictured = true,
            Rising = "The water is getting clearer: {0} more each decade.",
            Falling = "The water is getting murkier: {0} less clear each decade.",
        },
    ];

    /// <summary>The visit’s point in the record, as it is reported, not as one reader wishes to see it; null where no clarity was worked
    /// out.</summary>
    internal static ClarityPoint? Point(SheetDraft draft)
    {
        var clarity = draft.Section<SheetClarity>()!;
        return draft.Start is { } start && clarity.Result is { ClarityM: { } metres } result
            ? new ClarityPoint(
                start.Entry.Visit,
                DateOnly.FromDateTime(start.Entry.At.DateTime),
                metres,
                result.Censored,
                draft.Free(Beside.Clarity, Beside.Sounding),
                draft.Reader == ReaderUnit.AsRead ? result.Text : null,
                Stated(draft, clarity)
                    ?? ClarityMethod.Of(
                        DiscMethod.Of(draft.Context.Programme).Settings,
                        draft.Section<SheetDiscRemarks>()!.Now,
                        draft.Context.Gear ?? []
                    )
            )
            : null;
    }

    internal static IEnumerable<Reading> Readings(SheetDraft draft) =>
        Point(draft) is not { } point
            ? []
            :
            [
                new Reading
                {
                    Protocol = Protocol.Clarity,
                    Parameter = Parameter.Clarity.Code,
                    Value = point.ClarityM,
                    Unit = "m",
                    Censored = point.Censored ? Censoring.Above : Censoring.None,
                    Usable = point.Usable,
                    Method = point.Method,
                    Text = point.Text,
                },
            ];

    // A clarity without readings and outcome is one that a table states.
    private static string? Stated(SheetDraft draft, SheetClarity clarity) =>
        clarity is { Outcome: null, Read: 0 } && draft.Latest(SecchiKinds.ClarityStated) is { } stated
            ? stated.Body.Method ?? ClarityStated.Method
            : null;
}
