using System.Text.Json.Serialization;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Application.Samples;

/// <summary>The samples of a visit.</summary>
/// <param name="Visit">The visit.</param>
/// <param name="Samples">The samples, in the order in which they are filled.</param>
/// <param name="Findings">What to look at that belongs to no single sample.</param>
/// <param name="Values">What the visit says of each analyte.</param>
/// <param name="ClarityM">The visit's clarity, m, for the advice on the volume.</param>
public sealed record VisitSamples(
    Guid Visit,
    IReadOnlyList<LedgerSample> Samples,
    IReadOnlyList<Finding> Findings,
    IReadOnlyList<VisitValue> Values,
    decimal? ClarityM = null
)
{
    /// <summary>What its results give to the record.</summary>
    [JsonIgnore]
    public IEnumerable<Reading> Readings =>
        Values.Select(v => new Reading
        {
            Protocol = VisitParts.Parameters.FirstOrDefault(p => p.Analyte == v.Analyte)?.Protocol,
            Parameter = v.Analyte,
            Item = v.Place,
            Depth = v.Depth,
            Value = v.Value,
            Unit = v.Unit,
            Censored =
                v.Above ? Censoring.Above
                : v.Below ? Censoring.Below
                : Censoring.None,
            OfLaboratory = true,
            Method = v.Method,
            Text = v.Text,
        });

    /// <summary>Folds the samples of one visit from its entries. The result does not depend on their order or repetition.</summary>
    /// <param name="request">Entries of one visit, and what it is judged by.</param>
    public static VisitSamples Fold(FoldRequest request) => Fold(request, FieldSheet.Fold(request));

    /// <summary>The same, where the visit itself is folded already.</summary>
    /// <param name="request">Entries of one visit, and what it is judged by.</param>
    /// <param name="sheet">The visit, folded from the same request.</param>
    public static VisitSamples Fold(FoldRequest request, FieldSheet sheet) => new SampleFold(request, sheet).Samples();
}
