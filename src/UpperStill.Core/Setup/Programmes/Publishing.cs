using System.Text.Json;
using UpperStill.Core.Setup.Composed;

namespace UpperStill.Core.Setup.Programmes;

/// <summary>The group’s own protocols as a programme publishes them.</summary>
public static class Publishing
{
    /// <summary>The programme with a code for everything, and with the versions of its own protocols counted: one that says anything else
    /// than in the version before is the next.</summary>
    /// <param name="before">The programme’s version before; null where there is none.</param>
    /// <param name="now">As it is to be kept.</param>
    public static Programme Counted(Programme? before, Programme now)
    {
        ArgumentNullException.ThrowIfNull(now);
        return now.Own is null ? now : now with { Own = [.. now.Own.Select(p => Next(before, ComposedCodes.Filled(p)))] };
    }

    private static ComposedProtocol Next(Programme? before, ComposedProtocol now) =>
        before?.Own?.FirstOrDefault(p => p.Code == now.Code) is not { } last ? now with { Version = Math.Max(1, now.Version) }
        : Text(last with { Version = 0 }) == Text(now with { Version = 0 }) ? last
        : now with { Version = last.Version + 1 };

    private static string Text(ComposedProtocol protocol) => JsonSerializer.Serialize(protocol, ComposedJson.Default.ComposedProtocol);
}
