using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Record.Described;

/// <summary>The words of what is found in any described protocol.</summary>
internal static class CommonFindings
{
    internal static readonly FindingWords ValueImpossible = new(
        "value-impossible",
        FindingLevel.Stop,
        "{value} cannot be ({low}–{high}).",
        "Misread, or another unit.",
        "Read again."
    );
    internal static readonly FindingWords ValueUnusual = new(
        "value-unusual",
        FindingLevel.Check,
        "{value}; usual is {low}–{high}.",
        "A slip, or news.",
        "Read once more; both are kept."
    );
    internal static readonly FindingWords UnitMissing = new(
        "unit-missing",
        FindingLevel.Stop,
        "{value} has no unit.",
        "It could be read two ways and is lost if we guess.",
        "Choose the unit on the instrument; until then it is kept but not used."
    );
    internal static readonly FindingWords UnitUnknown = new(
        "unit-unknown",
        FindingLevel.Stop,
        "{value} {unit}: {field} is not read in that unit.",
        "It could not be worked with.",
        "Strike it and write it in {units}."
    );
    internal static readonly FindingWords ChoiceUnknown = new(
        "choice-unknown",
        FindingLevel.Stop,
        "“{value}” is no answer to {field}.",
        "It could not be worked with.",
        "Strike it and choose one of {choices}."
    );
    internal static readonly FindingWords FieldUnknown = new(
        "field-unknown",
        FindingLevel.Check,
        "{protocol} has no field “{field}” in step “{step}”.",
        "It is kept as written and not used.",
        "Strike it, or update this device."
    );
    internal static readonly FindingWords ProtocolUnknown = new(
        "protocol-unknown",
        FindingLevel.Check,
        "{protocol} version {version} is not known here.",
        "It is kept as written and not used.",
        "Update this device."
    );
    internal static readonly FindingWords ValueMissing = new(
        "value-missing",
        FindingLevel.Stop,
        "{field} was written without its value.",
        "An empty box is not a reading.",
        "Strike it and write it anew."
    );
    internal static readonly FindingWords TimerShort = new(
        "timer-short",
        FindingLevel.Check,
        "{seconds} of {asked} s.",
        "{why}",
        "Wait the rest, or say why not."
    );
    internal static readonly FindingWords CountShort = new(
        "rinses-short",
        FindingLevel.Check,
        "{count} of {wanted}: {field}.",
        "Traces of what was there before remain.",
        "Once more, or say why not."
    );
    internal static readonly FindingWords TriesMany = new(
        "tries-many",
        FindingLevel.Check,
        "Three tries failed.",
        "It will not come right here in this way.",
        "Move, or use another method; say what you saw."
    );
    internal static readonly FindingWords GearUnready = new(
        "gear-unready",
        FindingLevel.Check,
        "Not ticked: {list}.",
        "On the water it costs the try.",
        "Look now."
    );
    internal static readonly FindingWords SafetyUnticked = new(
        "safety-unticked",
        FindingLevel.Check,
        "Not confirmed: {list}.",
        "It is there for the moment when something goes wrong.",
        "Look now, before you go on."
    );

    internal static readonly FindingWords GlovesMissing = new(
        "gloves-missing",
        FindingLevel.Stop,
        "Gloves are not ticked.",
        "It harms you, or you spoil it.",
        "Gloves first."
    );
    internal static readonly FindingWords RoleSamePerson = new(
        "role-same-person",
        FindingLevel.Stop,
        "{name} has both parts.",
        "One pair of hands cannot stay clean.",
        "Find a second person."
    );
    internal static readonly FindingWords KitValueMissing = new(
        "kit-value-missing",
        FindingLevel.Check,
        "{item} has no {value}.",
        "What was counted or read is kept; what follows from it waits.",
        "Enter it in Set-up, under Kit."
    );
    internal static readonly FindingWords DepthNotKnee = new(
        "depth-not-knee",
        FindingLevel.Check,
        "{depth}; asked is knee-deep.",
        "Shallower, sand is in it; deeper, it is other water.",
        "Move, or say why."
    );
    internal static readonly FindingWords CapInAir = new(
        "cap-in-air",
        FindingLevel.Check,
        "Capped above the water.",
        "Film and air get in.",
        "Mark it, or again."
    );
    internal static readonly FindingWords SampleHasSediment = new(
        "sample-has-sediment",
        FindingLevel.Stop,
        "{what} in it.",
        "That is not water alone.",
        "Empty down-current, rinse three times, again."
    );
    internal static readonly FindingWords PhotosFew = new(
        "photos-few",
        FindingLevel.Note,
        "{count} of {wanted} photographs.",
        "What it looked like is gone tomorrow.",
        "Take another, or say why not."
    );
    internal static readonly FindingWords InvaderSeen = new(
        "invader-seen",
        FindingLevel.Check,
        "{kind} is on the list of invaders.",
        "Found early it can be kept from spreading.",
        "Photograph, tell the coordinator today; keep one only if asked to. Clean, drain, dry."
    );

    internal static IReadOnlyList<FindingWords> All { get; } =
    [
        ValueImpossible,
        ValueUnusual,
        UnitMissing,
        UnitUnknown,
        ChoiceUnknown,
        FieldUnknown,
        ProtocolUnknown,
        ValueMissing,
        TimerShort,
        CountShort,
        TriesMany,
        GearUnready,
        SafetyUnticked,
        GlovesMissing,
        RoleSamePerson,
        KitValueMissing,
        DepthNotKnee,
        CapInAir,
        SampleHasSediment,
        PhotosFew,
        InvaderSeen,
    ];
}
