using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Setup.Composed;

namespace UpperStill.Core.Application.Composing;

/// <summary>A protocol as it is being composed.</summary>
/// <param name="Protocol">As far as it is.</param>
public sealed record ComposeRequest(ComposedProtocol Protocol);

/// <summary>What it is by now.</summary>
/// <param name="Protocol">With a code for everything that has none yet: the codes stay from then on.</param>
/// <param name="Findings">What keeps it from being published, each beside what it is about.</param>
public sealed record ComposeResult(ComposedProtocol Protocol, IReadOnlyList<FieldFinding> Findings)
{
    /// <summary>As a visit will know it; null while something keeps it from being published.</summary>
    public ProtocolDescription? Description { get; init; }
}

/// <summary>Composing a protocol of one's own.</summary>
public static class Composing
{
    /// <summary>Looks at it.</summary>
    public static ComposeResult Work(ComposeRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var protocol = ComposedCodes.Filled(request.Protocol);
        return new ComposeResult(protocol, ComposedCheck.Findings(protocol)) { Description = VisitParts.Describe(protocol) };
    }
}
