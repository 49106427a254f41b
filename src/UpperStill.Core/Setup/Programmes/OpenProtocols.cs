namespace UpperStill.Core.Setup.Programmes;

/// <summary>A programme's season, and a day.</summary>
/// <param name="Season">What is due when; null where no season is planned.</param>
/// <param name="Day">Local day.</param>
public sealed record OpenProtocolsRequest(IReadOnlyList<ProtocolPlan>? Season, DateOnly Day);

/// <summary>What may be taken on a day.</summary>
/// <param name="Every">All protocols of the programme, clarity first: every visit may have one.</param>
/// <param name="Open">Those whose window holds the day.</param>
public sealed record OpenProtocolsResult(IReadOnlyList<Protocol> Every, IReadOnlyList<Protocol> Open);

/// <summary>What a visit is proposed to take where no outing was prepared for it.</summary>
public static class OpenProtocols
{
    /// <summary>The protocols of the programme, and those that are open on the day.</summary>
    public static OpenProtocolsResult Work(OpenProtocolsRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var season = request.Season ?? [];
        var open = season.Where(p => p.Holds(request.Day)).Select(p => p.Protocol);
        return new([.. season.Select(p => p.Protocol).Prepend(Protocol.Clarity).Distinct()], [.. open.Prepend(Protocol.Clarity).Distinct()]);
    }
}
