using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Record.Parts;

/// <summary>A station of an outing, as the pack list and the paper sheet need it.</summary>
/// <param name="Station">The station.</param>
/// <param name="Programme">Its programme.</param>
/// <param name="Protocols">What is due.</param>
/// <param name="Samples">The samples it fills.</param>
/// <param name="Line">The code of the line proposed there.</param>
public sealed record PlannedStop(
    Station Station,
    Programme Programme,
    IReadOnlyList<Protocol> Protocols,
    IReadOnlyList<PlannedSample> Samples,
    string? Line
)
{
    /// <summary>The unit in which that line is marked; null where it is not of the kit.</summary>
    public LengthUnit? LineUnit { get; init; }

    /// <summary>The same as it stands on paper; room to write it where it is not known.</summary>
    internal string Unit => LineUnit is { } unit ? Length.Symbol(unit) : PaperBox.ToWrite;

    internal bool Takes(Protocol protocol) => Protocols.Contains(protocol);
}
