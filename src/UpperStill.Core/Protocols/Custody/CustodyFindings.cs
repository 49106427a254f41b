using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Protocols.Custody;

/// <summary>What is said of a hand-over before it and after it, in the same words.</summary>
internal static class CustodyFindings
{
    internal static Finding HoldOver(string number, SampleHold hold, DateTimeOffset at, string what) =>
        Finding.Check("hold-over", $"{Spans.Words(at - hold.Limit)} past the limit.", $"{number} should have been {hold.What}.", what);

    internal static Finding Thawed(string number, string how) =>
        Finding.Check("thawed", $"{number} {how}.", "What is in it goes on living, or fades.", "Tell the lab; it decides.");

    /// <summary>What nobody said of a parcel; null where it travels by hand or all is said.</summary>
    internal static Finding? Untold(TravelBy by, string? waybill, bool? recipientTold, bool? sheetInside)
    {
        string[] untold =
        [
            .. new[]
            {
                string.IsNullOrWhiteSpace(waybill) ? "the waybill number" : null,
                recipientTold != true ? "word to the recipient" : null,
                sheetInside != true ? "a copy of the sheet inside" : null,
            }.OfType<string>(),
        ];
        return by != TravelBy.Carrier || untold.Length == 0
            ? null
            : Finding.Check(
                "tracking-missing",
                $"Missing: {string.Join(", ", untold)}.",
                "A parcel nobody expects sits in the warm.",
                "Ring them; write the number down."
            );
    }
}
