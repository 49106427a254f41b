using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Science.Geodesy;

namespace UpperStill.Core.Record.Described;

/// <summary>A place.</summary>
internal sealed class PositionField(string code, string label) : Field(code, label)
{
    internal override FieldDescription Describe() => new(Code, Label, FieldKind.Position, Required);

    internal override bool Filled(ObservedValue value) => value.Position is not null;

    internal override IEnumerable<Finding> Judge(ObservedValue value) =>
        value.Position is { } at && !Shape.InRange(at)
            ?
            [
                Finding.Stop(
                    "position-format",
                    $"{PlaceText.Words(at)} is no position.",
                    "Latitude runs to 90, longitude to 180.",
                    "Take a fix again."
                ),
            ]
            : [];

    internal override string Text(ObservedValue value) => value.Position is { } at ? PlaceText.Words(at) : string.Empty;
}
