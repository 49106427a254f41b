using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Setup.Composed;

namespace UpperStill.Core.Setup.Programmes;

/// <summary>What is wrong with a programme as it is set up, and what a change to it does to a series.</summary>
public static class ProgrammeCheck
{
    /// <summary>Stops keep it from being saved.</summary>
    /// <param name="programme">The programme.</param>
    /// <param name="known">What can be chosen.</param>
    public static IReadOnlyList<FieldFinding> Findings(Programme programme, KnownOptions known)
    {
        ArgumentNullException.ThrowIfNull(programme);
        ArgumentNullException.ThrowIfNull(known);
        return
        [
            .. Names(programme),
            .. Numbers(programme),
            .. (programme.Season ?? []).SelectMany(PlanCheck.Findings).Select(f => f.At("season")),
            .. Twice(programme),
            .. Bottles(programme),
            .. Chosen(programme, known),
            .. OwnProtocols(programme),
        ];
    }

    /// <summary>
    /// The methods that differ so that readings before and after are not one series any more, each in words: another end point,
    /// number of readings or observers moves the number itself; another rounding or composite depth moves what it is compared with.
    /// </summary>
    public static IReadOnlyList<string> Breaks(Programme before, Programme after, KnownOptions known)
    {
        ArgumentNullException.ThrowIfNull(before);
        ArgumentNullException.ThrowIfNull(after);
        ArgumentNullException.ThrowIfNull(known);
        return [.. Differences(before, after, known)];
    }

    private static IEnumerable<string> Differences(Programme before, Programme after, KnownOptions known)
    {
        if (before.Clarity.EndPoint != after.Clarity.EndPoint)
        {
            yield return "the end point of clarity: the disc is lost deeper than it is seen again";
        }

        if (before.Clarity.Observers != after.Clarity.Observers)
        {
            yield return "who reads: eyes differ";
        }

        if (before.Clarity.Readings != after.Clarity.Readings)
        {
            yield return "the number of readings: the scatter of the mean changes";
        }

        if (before.Clarity.RoundTo != after.Clarity.RoundTo)
        {
            yield return "the rounding of clarity: small changes come or go with it";
        }

        if (
            before.Composite.DepthRule != after.Composite.DepthRule
            || before.Composite.Factor != after.Composite.Factor
            || before.Composite.Preset != after.Composite.Preset
        )
        {
            yield return "the depth of the composite: chlorophyll comes from another layer";
        }

        if (before.Composite.Method != after.Composite.Method)
        {
            yield return "how the composite is taken: each sampler takes the layer in its own way";
        }

        if (before.Hours != after.Hours)
        {
            yield return "the hours: light differs through the day";
        }

        foreach (var method in known.Methods.Where(m => m.Breaks && before.ChoiceOf(m) != after.ChoiceOf(m)))
        {
            yield return $"{Lower(method.Matter)}: it was “{Words(method, before)}”, it would be “{Words(method, after)}”";
        }
    }

    private static string Lower(string words) => char.ToLowerInvariant(words[0]) + words[1..];

    private static string Words(Method method, Programme programme) =>
        method.Options.FirstOrDefault(o => o.Code == programme.ChoiceOf(method))?.Words ?? programme.ChoiceOf(method);

    private static IEnumerable<FieldFinding> Names(Programme programme)
    {
        if (!Codes.IsCode(programme.Code))
        {
            yield return Finding
                .Stop(
                    "code-format",
                    $"“{programme.Code}” cannot be a code.",
                    "Visits name it for ever.",
                    "Use letters, digits and -, at most 40."
                )
                .At("code");
        }

        if (string.IsNullOrWhiteSpace(programme.Name))
        {
            yield return Finding
                .Stop("name-missing", "The programme has no name.", "People choose it by its name.", "Write the name your group uses.")
                .At("name");
        }
    }

    private static IEnumerable<FieldFinding> Numbers(Programme programme)
    {
        if (programme.Hours.From >= programme.Hours.Until)
        {
            yield return Finding
                .Stop("hours-order", "The hours end before they begin.", "No reading could be made.", "Write the first hour and the last.")
                .At("hours");
        }

        if (programme.Clarity.Readings is < 1 or > 3)
        {
            yield return Finding
                .Stop(
                    "readings-range",
                    $"{programme.Clarity.Readings} lowerings are asked.",
                    "One gives a reading; more than three only tire.",
                    "Choose one, two or three."
                )
                .At("readings");
        }

        if (programme.Composite.DepthRule == CompositeDepthRule.Factor && programme.Composite.Factor is <= 0 or > 5)
        {
            yield return Finding
                .Stop(
                    "factor-range",
                    $"{programme.Composite.Factor} times the clarity is no lit layer.",
                    "The composite would miss it.",
                    "1, 2, 2.5 or 2.7 are used."
                )
                .At("factor");
        }

        if (programme.Composite.DepthRule == CompositeDepthRule.Preset && programme.Composite.Preset?.Read().Length is null)
        {
            yield return Finding
                .Stop(
                    "preset-missing",
                    "The coordinator’s depth is not written.",
                    "Nobody would know how deep.",
                    "Write the depth with its unit."
                )
                .At("preset");
        }

        if (programme.Composite.Clearance.Read() is (null, { } unreadable))
        {
            yield return unreadable.At("clearance");
        }

        if (
            programme.Summary.FromMonth is < 1 or > 12
            || programme.Summary.UntilMonth is < 1 or > 12
            || programme.Summary.LeastReadings < 1
        )
        {
            yield return Finding
                .Stop(
                    "summary-range",
                    "The season’s statistic has no window, or no least count.",
                    "Years could not be compared.",
                    "Choose months from 1 to 12 and at least one reading."
                )
                .At("summary");
        }
    }

    private static IEnumerable<FieldFinding> Chosen(Programme programme, KnownOptions known)
    {
        foreach (var (setting, option) in programme.Methods ?? new Dictionary<string, string>())
        {
            if (known.Method(setting) is not { } method)
            {
                yield return Finding
                    .Stop(
                        "setting-unknown",
                        $"“{setting}” is no method.",
                        "It would be kept and never followed.",
                        "Take it out, or write its name as in the list of methods."
                    )
                    .At("schools");
            }
            else if (method.Options.All(o => o.Code != option))
            {
                yield return Finding
                    .Stop(
                        "option-unknown",
                        $"“{option}” is no way of {setting}.",
                        "Nobody could follow it.",
                        $"Choose one of {string.Join(", ", method.Options.Select(o => o.Code))}."
                    )
                    .At("schools");
            }
        }

        foreach (var (setting, value) in programme.Thresholds ?? new Dictionary<string, decimal>())
        {
            if (known.Threshold(setting) is not { } limit)
            {
                yield return Finding
                    .Stop(
                        "setting-unknown",
                        $"“{setting}” is no limit.",
                        "It would be kept and never asked.",
                        "Take it out, or write its name as in the list of limits."
                    )
                    .At("limits");
            }
            else if (value < limit.Least || value > limit.Greatest)
            {
                yield return Finding
                    .Stop(
                        "limit-range",
                        $"{limit.Words}: {Decimals.Text(value)} {limit.Unit}".TrimEnd() + ".",
                        "Beyond reason it would ask always or never.",
                        $"From {Decimals.Text(limit.Least)} to {Decimals.Text(limit.Greatest)}."
                    )
                    .At("limits");
            }
        }
    }

    private static IEnumerable<FieldFinding> Bottles(Programme programme) =>
        (programme.Season ?? [])
            .SelectMany(p => p.Bottles ?? [])
            .Where(b => programme.TypeOf(b.Type) is null || b.Replicates is < 0 or > 9)
            .Select(b =>
                programme.TypeOf(b.Type) is null
                    ? Finding
                        .Stop("sample-unknown", $"“{b.Type}” is no sample.", "No label could be printed for it.", "Choose one of the list.")
                        .At("season")
                    : Finding
                        .Stop(
                            "replicates-range",
                            $"{b.Replicates} replicates are asked.",
                            "They are counted, packed and labelled.",
                            "Choose 0 to 9."
                        )
                        .At("season")
            );

    // What is wrong with one of the group's own stands at own/CODE/…: the composer knows where.
    private static IEnumerable<FieldFinding> OwnProtocols(Programme programme)
    {
        var own = programme.Own ?? [];
        foreach (var (protocol, finding) in own.SelectMany(p => ComposedCheck.Findings(p).Select(f => (p, f))))
        {
            yield return finding with
            {
                Field = $"own/{protocol.Code}/{finding.Field}",
            };
        }

        foreach (var twice in own.GroupBy(p => p.Code).Where(g => g.Count() > 1))
        {
            yield return Finding
                .Stop(
                    "code-used",
                    $"{twice.First().Title} stands twice.",
                    "A visit could not tell which is meant.",
                    "Leave one of them out."
                )
                .At("own");
        }

        foreach (
            var plan in (programme.Season ?? []).Where(p =>
                p.Protocol.Code.StartsWith(ComposedCodes.Prefix, StringComparison.Ordinal) && own.All(o => o.Code != p.Protocol.Code)
            )
        )
        {
            yield return Finding
                .Stop(
                    "season-protocol-unknown",
                    $"The season asks for {plan.Protocol.Words()}, which is not among the programme’s own protocols.",
                    "Nobody could fill it in.",
                    "Bring its file, or leave it out of the season."
                )
                .At("season");
        }
    }

    private static IEnumerable<FieldFinding> Twice(Programme programme) =>
        (programme.Season ?? [])
            .Where(p => p.Rhythm != Rhythm.Once)
            .GroupBy(p => p.Protocol)
            .Where(g => g.Count() > 1)
            .Select(g =>
                Finding
                    .Stop("season-twice", $"{g.Key.Words()} has two rhythms.", "Its dates could not keep both.", "Leave one of them out.")
                    .At("season")
            );
}
