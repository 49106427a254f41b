using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Composed;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Application.Composing;

/// <summary>Asks for a place at which a composed protocol can be tried.</summary>
/// <param name="Programme">By which rules.</param>
/// <param name="Protocol">What is tried.</param>
public sealed record PracticeRequest(Programme Programme, ComposedProtocol Protocol);

/// <summary>A place of practice: a station under a reserved code, at which the protocol is due on any day and nothing else is.</summary>
public static class PracticePlace
{
    private const decimal AnywhereM = 1000;

    /// <summary>What a visit there is folded with.</summary>
    public static VisitContext Work(PracticeRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var protocol = request.Protocol;
        return new VisitContext(
            new Station(
                $"{Practice.Prefix}1",
                $"{Practice.Prefix}water",
                "Practice",
                string.Empty,
                protocol.Title,
                new WrittenLength("10", LengthUnit.Metre),
                0,
                0,
                AnywhereM
            )
            {
                Kind = protocol.Places is [var first, ..] ? first : StationKind.Bank,
            },
            request.Programme with
            {
                Own = [protocol],
                Season = [new ProtocolPlan(new Protocol(protocol.Code), Rhythm.Monthly, new(1, 1), new(12, 31))],
            },
            [],
            []
        )
        {
            Gear = [],
        };
    }
}
