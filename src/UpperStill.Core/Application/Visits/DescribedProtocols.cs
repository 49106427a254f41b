using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Application.Visits;

/// <summary>Asks for the descriptions of all protocols that describe themselves.</summary>
/// <param name="Protocol">One of them by its code; null for all.</param>
/// <param name="Programme">The programme whose own protocols stand among them; null for those that are built in.</param>
public sealed record ProtocolsRequest(string? Protocol = null, Programme? Programme = null);

/// <summary>The descriptions.</summary>
/// <param name="Protocols">In the order of a visit.</param>
/// <param name="Findings">The words of what is found in any of them.</param>
public sealed record ProtocolsResult(IReadOnlyList<ProtocolDescription> Protocols, IReadOnlyList<FindingWords> Findings);

/// <summary>The protocols that describe themselves, as they are published.</summary>
public static class DescribedProtocols
{
    /// <summary>All of them.</summary>
    public static ProtocolsResult Work(ProtocolsRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        return new(
            [
                .. (request.Programme is { } programme ? VisitParts.DescribedIn(programme) : VisitParts.Described)
                    .Select(p => p.Description)
                    .Where(d => request.Protocol is null || d.Code == request.Protocol)
                    .OrderBy(d => d.Rank),
            ],
            CommonFindings.All
        );
    }

    /// <summary>Values of protocols that are not known here: kept, and never without a word.</summary>
    internal static void Unknown(SheetDraft draft)
    {
        var known = VisitParts.DescribedIn(draft.Context.Programme).Select(p => p.Code).ToHashSet(StringComparer.Ordinal);
        foreach (
            var unknown in draft
                .Standing(ObservationKinds.Observation)
                .Where(o => !known.Contains(o.Body.Protocol.Code))
                .GroupBy(o => (o.Body.Protocol, o.Body.Version))
        )
        {
            draft.Findings.Add(
                CommonFindings
                    .ProtocolUnknown.With(("protocol", unknown.Key.Protocol.Words()), ("version", Decimals.Text(unknown.Key.Version)))
                    .On(Beside.Header, unknown.Select(o => o.Entry.Id))
            );
        }
    }
}
