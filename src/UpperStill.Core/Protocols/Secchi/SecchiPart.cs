using UpperStill.Core.Basis.Boxes;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Arrival;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Secchi;

/// <summary>The Secchi disc: clarity, colour of the water, opinion.</summary>
public sealed class SecchiPart() : VisitPart("secchi")
{
    /// <inheritdoc/>
    public override IReadOnlyList<EntryKind> Kinds => SecchiKinds.All;

    /// <inheritdoc/>
    public override IReadOnlyList<Box> Boxes => SecchiBoxes.All;

    /// <inheritdoc/>
    public override IReadOnlyList<Method> Methods => SecchiOptions.Methods;

    /// <inheritdoc/>
    public override IReadOnlyList<Threshold> Thresholds => SecchiOptions.Thresholds;

    /// <inheritdoc/>
    public override IReadOnlyList<ParameterDescription> Parameters => SecchiParameters.All;

    /// <inheritdoc/>
    internal override IReadOnlyList<MoveCost> MoveCosts { get; } =
    [new("clarity", "composite", "The depth of the composite comes from today’s clarity.")];

    /// <inheritdoc/>
    internal override void Fold(SheetDraft draft)
    {
        var clarity = DiscFold.Fold(draft);
        draft.Add(clarity);
        draft.Add(DiscRemarksFold.Fold(draft, clarity, draft.Section<SheetArrival>()!));
    }

    /// <inheritdoc/>
    internal override IEnumerable<PartStep> Steps(SheetDraft draft)
    {
        var clarity = draft.Section<SheetClarity>()!;
        var (title, way) = SecchiOptions.Step(draft.Context.Programme);
        yield return new PartStep
        {
            Name = "clarity",
            Title = title,
            Way = way,
            Rank = SecchiOptions.RankOf(draft.Context.Programme),
            Done = clarity.Done,
            Summary = Summary(clarity),
            Stops = [Beside.Clarity],
            Begun = clarity.Read > 0 || clarity.Outcome is not null,
            NeedsDepth = true,
            Required = !draft.Asks || draft.Wants(Protocol.Clarity),
            Missing =
                clarity.Outcome is null && clarity.Read < clarity.Result.Needed
                    ? Finding
                        .Stop(
                            "clarity-reading-missing",
                            $"{clarity.Read} of {clarity.Result.Needed} clarity readings.",
                            "You cannot add one from shore.",
                            "Take it, or say why not."
                        )
                        .On(Beside.Leaving)
                    : null,
        };
    }

    /// <inheritdoc/>
    internal override IEnumerable<string> Overboard(SheetDraft draft) => draft.Line is { } line ? [$"disc and line {line.Code}"] : [];

    /// <inheritdoc/>
    internal override IEnumerable<Protocol> Took(SheetDraft draft) =>
        draft.Section<SheetClarity>() is { Result.Text: null, Outcome: null } ? [] : [Protocol.Clarity];

    /// <inheritdoc/>
    internal override IEnumerable<Reading> Readings(SheetDraft draft) => SecchiParameters.Readings(draft);

    /// <inheritdoc/>
    internal override IEnumerable<Repair> Repairs(Finding finding, SheetDraft draft) => DiscRepairs.Of(finding, draft);

    /// <inheritdoc/>
    internal override StepGuideResult? Guide(string step, ChosenMethods methods) =>
        step == "clarity" ? StepGuideResult.Of(SecchiGuide.Lines(methods)) : null;

    /// <inheritdoc/>
    internal override IEnumerable<PackNeed> Pack(Packing outing)
    {
        if (!outing.Takes(Protocol.Clarity))
        {
            yield break;
        }

        var discs = outing
            .Stops.Where(s => s.Protocols.Contains(Protocol.Clarity))
            .Select(s => SecchiOptions.Disc.Options.First(o => s.Programme.Chooses(SecchiOptions.Disc, o.Code)).Words)
            .Distinct();
        yield return outing.Of(KitKind.Disc, "disc", $"a disc, {string.Join("; ", discs)}", "clarity");
        foreach (var line in outing.Stops.Select(s => s.Line).Distinct())
        {
            yield return Line(outing, line, [.. outing.Stops.Where(s => s.Line == line)]);
        }

        yield return Packing.Plain("clips", Crate.Clarity, "clips for the line", 2, "marking where the disc was lost");
        yield return Packing.Plain("ruler", Crate.Clarity, "ruler or tape", 1, "reading between the marks");
        if (outing.Stops.Any(s => s.Programme.Chooses(SecchiOptions.Side, "sunny-tube")))
        {
            yield return outing.Of(KitKind.ViewingTube, "tube", "a viewing tube", "clarity with the tube");
        }
    }

    private static PackNeed Line(Packing outing, string? code, IReadOnlyList<PlannedStop> here)
    {
        var rule = KitRules.Of(KitKind.Line);
        if (outing.Item(code, KitKind.Line) is not { } item)
        {
            return new PackNeed("line", Crate.Clarity, "a line with marks", 1, "clarity and composite", null, null, rule.LookAt, []);
        }

        List<Finding> findings = [.. outing.Due(item)];
        if (item.AsLine()?.UsableM is { } usable)
        {
            findings.AddRange(
                here.Where(s => s.Station.KnownDepth.Read().Length is { } depth && depth.Metres > usable)
                    .Select(s =>
                        Finding.Check(
                            "line-too-short",
                            $"{s.Station.Code} is {LengthText.Write(s.Station.KnownDepth.Read().Length!.Value)} deep; {item.Code} "
                                + $"reaches {LengthText.Write(item.Marks!.Usable.Read().Length!.Value)}.",
                            "A deep target would be beyond its end.",
                            "Take a longer line, or take the deepest it reaches and say so."
                        )
                    )
            );
        }

        return new PackNeed(
            $"line-{item.Code}",
            Crate.Clarity,
            item.Name,
            1,
            "clarity and composite",
            null,
            item.Code,
            rule.LookAt,
            findings
        );
    }

    private static string Summary(SheetClarity clarity)
    {
        var result = clarity.Result;
        return result.Text is null ? $"{clarity.Read} of {result.Needed}"
            : clarity.Outcome is null && clarity.Read < result.Needed ? $"{result.Text} · {clarity.Read} of {result.Needed}"
            : result.Text;
    }

    /// <inheritdoc/>
    internal override IEnumerable<PaperPiece> Paper(PlannedStop stop) => stop.Takes(Protocol.Clarity) ? SecchiPaper.Of(stop) : [];
}
