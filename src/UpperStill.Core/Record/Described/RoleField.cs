using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Record.Described;

/// <summary>Somebody in a part of the work. Written again it is a hand-over: both stand, with their times.</summary>
/// <param name="code">Its name, for ever.</param>
/// <param name="label">The part, for people.</param>
/// <param name="touches">What whoever has it may touch.</param>
internal sealed class RoleField(string code, string label, string touches) : Field(code, label)
{
    internal string Touches => touches;

    internal override bool Gathers => true;

    internal override FieldDescription Describe() => new(Code, Label, FieldKind.Role, Required) { Gathers = true };

    internal override bool Filled(ObservedValue value) => !string.IsNullOrWhiteSpace(value.Name);

    internal override IEnumerable<Finding> Judge(ObservedValue value) => [];

    internal override string Text(ObservedValue value) => value.Name ?? string.Empty;
}
