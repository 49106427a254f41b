using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Record.Described;

/// <summary>A count by kind.</summary>
internal sealed class TallyField(string code, string label, params FieldChoice[] kinds) : Field(code, label)
{
    /// <summary>A kind in words.</summary>
    internal string Words(string kind) => kinds.FirstOrDefault(k => k.Code == kind)?.Words ?? kind;

    internal override FieldDescription Describe() => new(Code, Label, FieldKind.Tally, Required, Choices: kinds);

    internal override bool Filled(ObservedValue value) => value.Counts is not null;

    internal override IEnumerable<Finding> Judge(ObservedValue value) => [];

    internal override string Text(ObservedValue value) =>
        value.Counts is { Count: > 0 } counts ? string.Join(", ", counts.Select(c => $"{Words(c.Key)} {c.Value}")) : "none";
}
