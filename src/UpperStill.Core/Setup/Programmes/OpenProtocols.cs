namespace UpperStill.Core.Setup.Programmes;

/// <summary>A programme, and a day.</summary>
/// <param name="Programme">The programme.</param>
/// <param name="Day">Local day.</param>
public sealed record OpenProtocolsRequest(Programme Programme, DateOnly Day);

/// <summary>What may be taken on a day.</summary>
/// <param name="Every">All protocols of the programme, clarity first: every visit may have one.</param>
/// <param name="Open">Those whose window holds the day; clarity on any day where the programme asks for it at all.</param>
/// <param name="AsksHalf">True where the programme's paper sheet has a box for the half of the day.</param>
public sealed record OpenProtocolsResult(IReadOnlyList<Protocol> Every, IReadOnlyList<Protocol> Open, bool AsksHalf = false);

/// <summary>What a visit is proposed to take where no outing was prepared for it.</summary>
public static class OpenProtocols
{
    /// <summary>The protocols of the programme, and those that are open on the day.</summary>
    public static OpenProtocolsResult Work(OpenProtocolsRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var season = request.Programme.Season ?? [];
        var open = season.Where(p => p.Holds(request.Day)).Select(p => p.Protocol);
        return new(
            [.. season.Select(p => p.Protocol).Prepend(Protocol.Clarity).Distinct()],
            [.. (request.Programme.AsksClarity() ? open.Prepend(Protocol.Clarity) : open).Distinct()],
            request.Programme.AsksHalf()
        );
    }
}
