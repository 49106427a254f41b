using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Setup.Composed;

/// <summary>What keeps a composed protocol from being published. Each finding stands beside <c>protocol</c>, <c>step/CODE</c>,
/// <c>field/CODE</c>, <c>container/N</c> or <c>sum/CODE</c>.</summary>
public static class ComposedCheck
{
    /// <summary>All of them; a protocol may be published where none is a stop.</summary>
    /// <param name="protocol">With its codes; see <see cref="ComposedCodes.Filled"/>.</param>
    public static IReadOnlyList<FieldFinding> Findings(ComposedProtocol protocol)
    {
        ArgumentNullException.ThrowIfNull(protocol);
        return
        [
            .. Whole(protocol),
            .. ComposedBounds.Findings(protocol),
            .. protocol.Steps.SelectMany(s => Step(protocol, s)),
            .. protocol.Fields.SelectMany(Field),
            .. protocol.Containers.SelectMany((c, i) => Container(protocol, c, i)),
            .. protocol.Sums.SelectMany(s => Sum(protocol, s)),
            .. ComposedClaims.Findings(protocol),
        ];
    }

    private static IEnumerable<FieldFinding> Whole(ComposedProtocol protocol)
    {
        List<string> missing = [];
        if (string.IsNullOrWhiteSpace(protocol.Title))
        {
            missing.Add("its name");
        }

        if (string.IsNullOrWhiteSpace(protocol.Purpose))
        {
            missing.Add("what it is for");
        }

        if (!protocol.Fields.Any() && protocol.Containers.Count == 0)
        {
            missing.Add("a box to fill, or a container");
        }

        if (protocol.Repeat is { } repeat && string.IsNullOrWhiteSpace(repeat.Label))
        {
            missing.Add("what its steps are repeated for");
        }

        if (protocol.Repeat is null && protocol.Steps.Any(s => s.Repeated))
        {
            missing.Add("what its repeated steps are repeated for");
        }

        missing.AddRange(
            protocol
                .Roles.Where(r => string.IsNullOrWhiteSpace(r.Label) || string.IsNullOrWhiteSpace(r.Touches))
                .Select(_ => "the words of a part")
        );
        if (missing.Count > 0)
        {
            yield return Incomplete(string.Join(", ", missing.Distinct())).At("protocol");
        }

        if (
            protocol.Code.Length > 0
            && (!Codes.IsName(protocol.Code) || !protocol.Code.StartsWith(ComposedCodes.Prefix, StringComparison.Ordinal))
        )
        {
            yield return Finding
                .Stop(
                    "code-format",
                    $"“{protocol.Code}” cannot be the code of a protocol of your own.",
                    "It could be taken for one of those that are built in.",
                    $"Begin it with {ComposedCodes.Prefix}, then small letters, digits and -, at most 40."
                )
                .At("protocol");
        }

        if (ComposedOrder.Of(protocol.Steps).Circle is { Count: > 0 } circle)
        {
            yield return Finding
                .Stop(
                    "protocol-circular",
                    $"{string.Join(", ", circle.Select(s => $"“{s.Do}”"))} wait for one another.",
                    "None of them could ever begin.",
                    "Take out one of what they wait for."
                )
                .At($"step/{circle[0].Code}");
        }

        foreach (var twice in Twice(protocol))
        {
            yield return Finding
                .Stop("code-used", $"“{twice}” stands twice.", "One could not be told from the other.", "Give one of them another code.")
                .At("protocol");
        }
    }

    private static IEnumerable<string> Twice(ComposedProtocol protocol) =>
        (
            (IEnumerable<IEnumerable<string>>)
                [
                    protocol.Steps.Select(s => s.Code).Append(ComposedCodes.Parts),
                    protocol.Fields.Select(f => f.Code).Concat(protocol.Roles.Select(r => r.Code)).Append(ComposedCodes.Gloves),
                    protocol.Sums.Select(s => s.Code),
                    (protocol.Repeat?.Names ?? []).Select(ComposedCodes.OfName),
                ]
        ).SelectMany(codes => codes.GroupBy(c => c).Where(g => g.Key.Length > 0 && g.Count() > 1).Select(g => g.Key));

    private static IEnumerable<FieldFinding> Step(ComposedProtocol protocol, ComposedStep step)
    {
        List<string> missing = [];
        if (string.IsNullOrWhiteSpace(step.Do))
        {
            missing.Add("what to do");
        }

        if (string.IsNullOrWhiteSpace(step.Why))
        {
            missing.Add("why it is done");
        }

        if (step.Role is { } role && protocol.Roles.All(r => r.Code != role))
        {
            missing.Add($"the part “{role}”");
        }

        missing.AddRange(step.After.Where(a => protocol.Steps.All(s => s.Code != a)).Select(a => $"the step “{a}” that it waits for"));
        missing.AddRange(step.Cautions.Where(c => !ComposedCautions.Letters.Contains(c)).Select(c => $"the caution “{c}”"));
        if (missing.Count > 0)
        {
            yield return Incomplete(string.Join(", ", missing)).At($"step/{step.Code}");
        }
    }

    private static IEnumerable<FieldFinding> Field(ComposedField field)
    {
        List<string> missing = [];
        if (string.IsNullOrWhiteSpace(field.Label))
        {
            missing.Add("its words");
        }

        if (field.Kind == ComposedKind.Number && string.IsNullOrWhiteSpace(field.Unit))
        {
            missing.Add($"the unit of {Words(field)}");
        }

        if (field.Lists && field.Choices.Count < (field.Kind == ComposedKind.Checklist ? 1 : 2))
        {
            missing.Add($"the choices of {Words(field)}");
        }

        if (field.Choices.Any(string.IsNullOrWhiteSpace))
        {
            missing.Add($"the words of a choice of {Words(field)}");
        }

        if (field.Kind is ComposedKind.Timer && field.Wanted is not > 0)
        {
            missing.Add($"the seconds of {Words(field)}");
        }

        if (field.Choices.Select(c => c.Trim()).Distinct(StringComparer.OrdinalIgnoreCase).Count() < field.Choices.Count)
        {
            missing.Add($"what tells two choices of {Words(field)} apart");
        }

        // Where nothing else is said a count begins at 0 and a depth at the surface; a number of another sort has no such end.
        if (field.Kind == ComposedKind.Number && field.Least is null != field.Most is null)
        {
            missing.Add($"the other end of what {Words(field)} may be");
        }

        if (
            field.Kind == ComposedKind.Number
            && (field.UsualLeast ?? field.UsualMost) is not null
            && ((field.UsualLeast ?? field.Least) is null || (field.UsualMost ?? field.Most) is null)
        )
        {
            missing.Add($"the other end of what is usual of {Words(field)}");
        }

        if (field.FailsUnusual && field.UsualLeast is null && field.UsualMost is null)
        {
            missing.Add($"what is usual of {Words(field)}");
        }

        missing.AddRange(
            field
                .FailsOn.Where(f => !(field.Kind == ComposedKind.YesNo ? ["yes", "no"] : field.Choices).Contains(f))
                .Select(f => $"the answer “{f}” of {Words(field)}")
        );
        if (missing.Count > 0)
        {
            yield return Incomplete(string.Join(", ", missing)).At($"field/{field.Code}");
        }

        if (Outside(field) is { } outside)
        {
            yield return outside.At($"field/{field.Code}");
        }
    }

    // What is usual lies within what may be at all, and neither runs backwards.
    private static Finding? Outside(ComposedField field)
    {
        var (least, most) = (field.Least ?? decimal.MinValue, field.Most ?? decimal.MaxValue);
        var (low, high) = (field.UsualLeast ?? least, field.UsualMost ?? most);
        return least <= low && low <= high && high <= most
            ? null
            : Finding.Stop(
                "protocol-incomplete",
                $"{Words(field)}: usual {Range(field.UsualLeast, field.UsualMost)}, allowed {Range(field.Least, field.Most)}.",
                "What is usual would be refused.",
                "Put what is usual within what is allowed, the lesser number first."
            );
    }

    private static string Range(decimal? low, decimal? high) =>
        $"{(low is { } from ? Decimals.Text(from) : "…")}–{(high is { } to ? Decimals.Text(to) : "…")}";

    private static IEnumerable<FieldFinding> Container(ComposedProtocol protocol, ComposedContainer container, int index)
    {
        List<string> missing = [];
        if (protocol.Steps.All(s => s.Code != container.Step))
        {
            missing.Add("the step in which it is filled");
        }

        if (container.Own is { } own)
        {
            if (((string[])[own.Measures, own.Container, own.Fill]).Any(string.IsNullOrWhiteSpace))
            {
                missing.Add("what is measured, in what, and how full");
            }
        }
        else if (container.Type is null || SampleTypes.Find(container.Type) is null)
        {
            missing.Add("a sort of the list, or your own");
        }

        if (missing.Count > 0)
        {
            yield return Incomplete(string.Join(", ", missing)).At($"container/{Decimals.Text(index)}");
        }
    }

    private static IEnumerable<FieldFinding> Sum(ComposedProtocol protocol, ComposedSum sum)
    {
        List<string> missing = [];
        if (string.IsNullOrWhiteSpace(sum.Name))
        {
            missing.Add("its name");
        }

        if (sum.Code.Length > 0 && !Codes.IsName(protocol.SeriesCode(sum)))
        {
            missing.Add("a shorter code");
        }

        if (protocol.Field(sum.Field) is not { Sums: true })
        {
            missing.Add("a box with a number");
        }

        if (sum.IsEquation && protocol.Field(sum.Second) is not { Sums: true })
        {
            missing.Add("a second box with a number");
        }

        if (missing.Count > 0)
        {
            yield return Incomplete(string.Join(", ", missing)).At($"sum/{sum.Code}");
        }
        else if (ComposedUnits.Wrong(protocol, sum) is { } wrong)
        {
            yield return Incomplete(wrong).At($"sum/{sum.Code}");
        }
    }

    private static string Words(ComposedField field) => string.IsNullOrWhiteSpace(field.Label) ? "a box" : $"“{field.Label}”";

    private static Finding Incomplete(string what) =>
        Finding.Stop(
            "protocol-incomplete",
            $"{Sentence.Begun(what)} is missing.",
            "Nobody could fill it in.",
            "Write it, or take the part out."
        );
}
