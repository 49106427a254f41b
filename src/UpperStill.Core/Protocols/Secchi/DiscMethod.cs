using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Secchi;

/// <summary>How a programme reads the disc: its settings, and what its methods make of them.</summary>
/// <param name="Settings">Which marks count, how often, rounded to what.</param>
/// <param name="Folded">True where the line is folded between two clips, and only the middle is read.</param>
/// <param name="OneLowering">True where the marks of one lowering give the clarity; of several the last.</param>
internal sealed record DiscMethod(ClaritySettings Settings, bool Folded, bool OneLowering)
{
    private const int Reappearances = 2;

    internal static DiscMethod Of(Programme programme)
    {
        var settings = programme.Clarity;
        if (settings.EndPoint != EndPoint.Mean)
        {
            return new DiscMethod(settings, false, false);
        }

        var folded = programme.Chooses(SecchiOptions.Midpoint, "folded");
        return programme.ChoiceOf(SecchiOptions.Mean) switch
        {
            "reappearances" => new DiscMethod(
                settings with
                {
                    EndPoint = EndPoint.Reappear,
                    Readings = Math.Max(Reappearances, settings.Readings),
                },
                false,
                false
            ),
            "lowering" => new DiscMethod(settings with { Readings = 1 }, folded, true),
            _ => new DiscMethod(settings, folded, false),
        };
    }

    /// <summary>The marks of one lowering, in the order in which they are read.</summary>
    internal static IReadOnlyList<DiscEvent> Events(ClaritySettings settings, bool folded) =>
        folded ? [DiscEvent.Midpoint] : settings.Events;

    /// <summary>A mark in words.</summary>
    internal static string Words(DiscEvent seen) =>
        seen switch
        {
            DiscEvent.Disappeared => "lost",
            DiscEvent.Reappeared => "seen again",
            _ => "middle of the fold",
        };
}
