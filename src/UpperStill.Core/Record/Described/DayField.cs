using System.Globalization;
using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Record.Described;

/// <summary>A day.</summary>
internal sealed class DayField(string code, string label) : Field(code, label)
{
    internal override FieldDescription Describe() => new(Code, Label, FieldKind.Day, Required);

    internal override bool Filled(ObservedValue value) => value.Day is not null;

    internal override IEnumerable<Finding> Judge(ObservedValue value) => [];

    internal override string Text(ObservedValue value) => value.Day?.ToString("d MMMM yyyy", CultureInfo.InvariantCulture) ?? string.Empty;
}
