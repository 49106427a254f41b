using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Described;

namespace UpperStill.Core.Protocols.Seawater;

/// <summary>The words of what a seawater bottle finds.</summary>
internal static class SeawaterFindings
{
    internal static readonly FindingWords HasBubbles = new(
        "sample-has-bubbles",
        FindingLevel.Stop,
        "Bubbles stayed in the bottle.",
        "Bubbles trade gas with the sample.",
        "Empty and fill again, slowly."
    );
    internal static readonly FindingWords FixLate = new(
        "fix-late",
        FindingLevel.Check,
        "Fixed {min} min after filling: life went on in it.",
        "Respiration and growth change the carbon that is asked for.",
        "Kept, marked."
    );
    internal static readonly FindingWords FixMissing = new(
        "preservative-missing",
        FindingLevel.Stop,
        "No fixative in the bottle.",
        "It will not keep.",
        "Add it now, count anew."
    );
    internal static readonly FindingWords FixCount = new(
        "preservative-count",
        FindingLevel.Check,
        "{drops} drops, {asked} asked.",
        "The lab corrects for what the type says.",
        "Fewer: add. More: note it."
    );
    internal static readonly FindingWords ThermometerInSample = new(
        "thermometer-in-sample",
        FindingLevel.Check,
        "The thermometer was in the bottle.",
        "It contaminates.",
        "Measure the bucket; new bottle if you can."
    );
    internal static readonly FindingWords CapReused = new(
        "cap-reused",
        FindingLevel.Check,
        "The cap is not fresh.",
        "An old cap leaks gas.",
        "Fresh one."
    );
    internal static readonly FindingWords NotDark = new(
        "sample-in-light",
        FindingLevel.Check,
        "It stands in the light.",
        "Light starts life again.",
        "Into the dark box."
    );

    internal static IReadOnlyList<FindingWords> All { get; } =
    [HasBubbles, FixLate, FixMissing, FixCount, ThermometerInSample, CapReused, NotDark];
}
