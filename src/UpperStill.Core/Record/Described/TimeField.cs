using System.Globalization;
using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Record.Described;

/// <summary>A moment.</summary>
internal sealed class TimeField(string code, string label) : Field(code, label)
{
    internal override FieldDescription Describe() => new(Code, Label, FieldKind.Time, Required);

    internal override bool Filled(ObservedValue value) => value.At is not null;

    internal override IEnumerable<Finding> Judge(ObservedValue value) => [];

    internal override string Text(ObservedValue value) => value.At?.ToString("HH:mm", CultureInfo.InvariantCulture) ?? string.Empty;
}
