using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Secchi;

/// <summary>How a clarity was read, in words: a reading by another method is of another series.</summary>
internal static class ClarityMethod
{
    /// <summary>What counts, whether through a tube, and behind a semicolon the disc, where somebody said which.</summary>
    internal static string Of(ClaritySettings method, DiscConditionsBody now, IReadOnlyList<Gear> gear)
    {
        var end = method.EndPoint switch
        {
            EndPoint.Disappear => "disc lost",
            EndPoint.Reappear => "disc seen again",
            _ => "disc lost and seen again",
        };
        var disc = now.Disc is { } code ? gear.FirstOrDefault(g => g.Code == code)?.Name ?? code : null;
        return $"{end}{(now.Tube == true ? ", through a tube" : string.Empty)}{(string.IsNullOrWhiteSpace(disc) ? string.Empty : $"; {char.ToLowerInvariant(disc[0])}{disc[1..]}")}";
    }
}
