using System.Text.RegularExpressions;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Setup.Composed;

/// <summary>What keeps a composed protocol from being published. Each finding stands beside <c>protocol</c>, <c>step/CODE</c>,
/// <c>field/CODE</c>, <c>container/N</c> or <c>sum/CODE</c>.</summary>
public static partial class ComposedCheck
{
    /// <summary>Most steps.</summary>
    public const int MostSteps = 30;

    /// <summary>Most boxes.</summary>
    public const int MostFields = 60;

    /// <summary>Most choices of a box.</summary>
    public const int MostChoices = 12;

    private const int MostRoles = 3;
    private const int MostRepeated = 12;
    private const int MostWords = 300;
    private const int MostOthers = 12;
    private const int LeastRank = 10;
    private const int MostRank = 99;

    /// <summary>All of them; a protocol may be published where none is a stop.</summary>
    /// <param name="protocol">With its codes; see <see cref="ComposedCodes.Filled"/>.</param>
    public static IReadOnlyList<FieldFinding> Findings(ComposedProtocol protocol)
    {
        ArgumentNullException.ThrowIfNull(protocol);
        return
        [
            .. Whole(protocol),
            .. Bounds(protocol),
            .. protocol.Steps.SelectMany(s => Step(protocol, s)),
            .. protocol.Fields.SelectMany(Field),
            .. protocol.Containers.SelectMany((c, i) => Container(protocol, c, i)),
            .. protocol.Sums.SelectMany(s => Sum(protocol, s)),
            .. Claims(protocol),
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

        if (!Codes.IsName(protocol.Code) || !protocol.Code.StartsWith(ComposedCodes.Prefix, StringComparison.Ordinal))
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
                ]
        ).SelectMany(codes => codes.GroupBy(c => c).Where(g => g.Count() > 1).Select(g => g.Key));

    private static IEnumerable<FieldFinding> Bounds(ComposedProtocol protocol)
    {
        var repeated = protocol.Repeat is { } r ? Math.Max(r.Count, r.Names.Count) : 0;
        (string What, int Count, int Most)[] counted =
        [
            ("steps", protocol.Steps.Count, MostSteps),
            ("boxes", protocol.Fields.Count(), MostFields),
            ("parts", protocol.Roles.Count, MostRoles),
            ($"times “{protocol.Repeat?.Label}”", repeated, MostRepeated),
            ("choices of one box", protocol.Fields.Select(f => f.Choices.Count).DefaultIfEmpty().Max(), MostChoices),
            ("containers", protocol.Containers.Count, MostOthers),
            ("numbers worked out", protocol.Sums.Count, MostOthers),
            ("lines to pack", protocol.Pack.Count, MostOthers),
            ("letters in one text", Texts(protocol).Select(t => t.Words.Length).DefaultIfEmpty().Max(), MostWords),
        ];
        foreach (var (what, count, most) in counted.Where(c => c.Count > c.Most))
        {
            yield return Finding
                .Stop(
                    "protocol-large",
                    $"{Decimals.Text(count)} {what}; at most {Decimals.Text(most)}.",
                    "On the water nobody would come to its end.",
                    "Shorten it, or make two protocols of it."
                )
                .At("protocol");
        }

        if (protocol.Rank is < LeastRank or > MostRank)
        {
            yield return Finding
                .Stop(
                    "rank-range",
                    $"{Decimals.Text(protocol.Rank)} is no place in the order of a visit.",
                    "What is clean comes before what stirs.",
                    $"Choose from {Decimals.Text(LeastRank)} to {Decimals.Text(MostRank)}."
                )
                .At("protocol");
        }
    }

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

        if (field.FailsUnusual && field.UsualLeast is null && field.UsualMost is null)
        {
            missing.Add($"what is usual of {Words(field)}");
        }

        missing.AddRange(
            field
                .FailsOn.Where(f => !(field.Kind == ComposedKind.YesNo ? ["yes", "no"] : field.Choices).Contains(f))
                .Select(f => $"the answer “{f}” of {Words(field)}")
        );
        if (Outside(field) is { } outside)
        {
            missing.Add(outside);
        }

        if (missing.Count > 0)
        {
            yield return Incomplete(string.Join(", ", missing)).At($"field/{field.Code}");
        }
    }

    // What is usual lies within what may be at all.
    private static string? Outside(ComposedField field)
    {
        var (least, most) = (field.Least ?? decimal.MinValue, field.Most ?? decimal.MaxValue);
        var (low, high) = (field.UsualLeast ?? least, field.UsualMost ?? most);
        return least > most ? $"an allowed range of {Words(field)} that does not run backwards"
            : low > high ? $"a usual range of {Words(field)} that does not run backwards"
            : low < least || high > most ? $"a usual range of {Words(field)} within what is allowed"
            : null;
    }

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

        if (!Codes.IsName($"{protocol.Code}-{sum.Code}"))
        {
            missing.Add("a shorter code");
        }

        if (protocol.Fields.FirstOrDefault(f => f.Code == sum.Field) is not { Sums: true })
        {
            missing.Add("a box with a number");
        }

        if (sum.IsEquation && protocol.Fields.FirstOrDefault(f => f.Code == sum.Second) is not { Sums: true })
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

    // Nobody can know from a visit that water is safe, or fit for a use.
    private static IEnumerable<FieldFinding> Claims(ComposedProtocol protocol) =>
        Texts(protocol)
            .Where(t => Claim().IsMatch(t.Words))
            .Select(t =>
                Finding
                    .Stop(
                        "protocol-claims",
                        $"“{t.Words}” says that something is safe, or fit.",
                        "No visit can know that, and somebody will rely on it.",
                        "Say what is seen or measured; whoever is responsible decides."
                    )
                    .At(t.At)
            );

    private static IEnumerable<(string At, string Words)> Texts(ComposedProtocol protocol)
    {
        IEnumerable<(string At, string? Words)> all =
        [
            ("protocol", protocol.Title),
            ("protocol", protocol.Purpose),
            ("protocol", protocol.Repeat?.Label),
            .. (protocol.Repeat?.Names ?? []).Concat(protocol.Pack).Select(n => ("protocol", (string?)n)),
            .. protocol.Roles.SelectMany(r => ((string, string?)[])[("protocol", r.Label), ("protocol", r.Touches)]),
            .. protocol.Steps.SelectMany(s => ((string?[])[s.Do, s.Why, s.OwnCaution]).Select(w => ($"step/{s.Code}", w))),
            .. protocol.Fields.SelectMany(f => f.Choices.Append(f.Label).Append(f.Unit).Select(w => ($"field/{f.Code}", w))),
            .. protocol.Containers.SelectMany(
                (c, i) =>
                    ((string?[])[c.Own?.Measures, c.Own?.Container, c.Own?.Fill, c.Own?.Added, .. c.Own?.LabelAlso ?? []]).Select(w =>
                        ($"container/{Decimals.Text(i)}", w)
                    )
            ),
            .. protocol.Sums.Select(s => ($"sum/{s.Code}", (string?)s.Name)),
        ];
        return all.Where(t => t.Words is not null).Select(t => (t.At, t.Words!));
    }

    private static string Words(ComposedField field) => string.IsNullOrWhiteSpace(field.Label) ? "a box" : $"“{field.Label}”";

    private static Finding Incomplete(string what) =>
        Finding.Stop(
            "protocol-incomplete",
            $"{Sentence.Begun(what)} is missing.",
            "Nobody could fill it in.",
            "Write it, or take the part out."
        );

    [GeneratedRegex(@"\b(un)?(safe|safely|safety of the water|fit)\b", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant)]
    private static partial Regex Claim();
}
