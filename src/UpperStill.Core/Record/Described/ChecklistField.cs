using System.Globalization;
using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Record.Described;

/// <summary>A list to tick.</summary>
internal sealed class ChecklistField(string code, string label, params FieldChoice[] lines) : Field(code, label)
{
    /// <summary>True where it keeps people safe.</summary>
    internal bool Safety { get; init; }

    /// <summary>What is said where a line is not ticked; the common words where none are given.</summary>
    internal FindingWords? Unticked { get; init; }

    internal override FieldDescription Describe() => new(Code, Label, FieldKind.Checklist, Required, Choices: lines) { Safety = Safety };

    internal override bool Filled(ObservedValue value) => value.Ticked is not null;

    internal override IEnumerable<Finding> Judge(ObservedValue value) =>
        lines.Where(l => value.Ticked?.Contains(l.Code) != true).Select(l => l.Words).ToList() is { Count: > 0 } open
            ? [(Unticked ?? (Safety ? CommonFindings.SafetyUnticked : CommonFindings.GearUnready)).With(("list", string.Join(", ", open)))]
            : [];

    internal override string Text(ObservedValue value) =>
        string.Create(CultureInfo.InvariantCulture, $"{lines.Count(l => value.Ticked?.Contains(l.Code) == true)} of {lines.Length} ticked");
}
