using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Laboratories;

namespace UpperStill.Core.Protocols.Results;

/// <summary>Body of the entry <c>value-stated</c>: a result of an old table, without its sample.</summary>
/// <param name="Analyte">The analyte's code.</param>
/// <param name="Value">As it was written.</param>
/// <param name="Unit">Its unit.</param>
/// <param name="Qualifier">Below, where it is a limit.</param>
/// <param name="Place">Where in the water.</param>
/// <param name="Depth">The depth, in words.</param>
/// <param name="Method">The method, in the words of whoever wrote it.</param>
public sealed record ValueStatedBody(
    string Analyte,
    string Value,
    string Unit,
    Qualifier? Qualifier = null,
    string Place = "unstated",
    string Depth = "depth not stated",
    string? Method = null
);

/// <summary>Results that stand as they were stated.</summary>
internal static class ValueStated
{
    internal static IEnumerable<VisitValue> Of(SheetDraft draft, List<Finding> findings)
    {
        foreach (var stated in draft.Standing(ResultKinds.ValueStated))
        {
            var body = stated.Body;
            var read = ReportedValue.Read(new ResultBody(string.Empty, body.Analyte, body.Value, body.Unit, body.Qualifier));
            findings.AddRange(read.Findings.Where(f => f.Level != FindingLevel.Note).Select(f => f.On(Beside.Result, stated.Entry.Id)));
            if (read is { Value: { } value, Analyte: { } analyte })
            {
                yield return new VisitValue(
                    analyte.Code,
                    analyte.Name,
                    body.Place,
                    body.Depth,
                    value,
                    read.Below,
                    analyte.Unit,
                    read.Text,
                    [],
                    new Working(
                        $"{analyte.Name}, {body.Depth}",
                        [new WorkingInput("stated", read.Text, stated.Entry.Id)],
                        read.Conversion is { } step ? [step] : [],
                        "Taken as it was written.",
                        "the table that it came from"
                    )
                )
                {
                    Method = body.Method,
                };
            }
        }
    }
}
