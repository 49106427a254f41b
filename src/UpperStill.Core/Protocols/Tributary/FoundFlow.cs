using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Record.Described;

namespace UpperStill.Core.Protocols.Tributary;

/// <summary>A flow that was found in one way.</summary>
internal sealed record FoundFlow(decimal M3S, string Method, Attempt Attempt, Field At)
{
    internal bool About { get; init; }

    internal DateTimeOffset? When { get; init; }

    internal required IReadOnlyList<WorkingInput> Inputs { get; init; }

    internal required IReadOnlyList<string> Steps { get; init; }

    internal required string Rule { get; init; }

    internal required string Source { get; init; }
}
