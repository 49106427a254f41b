using UpperStill.Core.Basis.Boxes;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Protocols.Profile;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Protocols.Bottles;

/// <summary>Water into bottles, by hand and from a depth.</summary>
public sealed class BottlesPart() : VisitPart("bottles")
{
    /// <inheritdoc/>
    public override IReadOnlyList<EntryKind> Kinds => BottleKinds.All;

    /// <inheritdoc/>
    public override IReadOnlyList<Box> Boxes => [.. BottleBoxes.All, .. FillBoxes.All];

    /// <inheritdoc/>
    public override IReadOnlyList<Method> Methods => BottlesOptions.Methods;

    /// <inheritdoc/>
    public override IReadOnlyList<Threshold> Thresholds => BottlesOptions.Thresholds;

    /// <inheritdoc/>
    internal override IReadOnlyList<MoveCost> MoveCosts { get; } =
    [
        new("surface", null, "What stirs the water ends up in the bottle."),
        new("bottles", "clarity", "The disc and its line stir what is sampled after it."),
    ];

    /// <inheritdoc/>
    internal override IReadOnlyList<BottlePlan> Bottles(ProtocolPlan plan, Programme programme) =>
        [
            .. Usual(plan)
                .Select(
                    (b, i) =>
                        b with
                        {
                            Replicates = programme.ChoiceOf(BottlesOptions.Replicates) switch
                            {
                                "second" => 1,
                                "three" => 2,
                                "two-tubes" => b.Type == "phosphorus-mesh" ? 1 : 0,
                                "station" => i == 0 && plan.Protocol == programme.Season?.FirstOrDefault(p => Usual(p).Length > 0)?.Protocol
                                    ? 1
                                    : 0,
                                "none" => 0,
                                _ => b.Replicates,
                            },
                            OnlyFirst = programme.Chooses(BottlesOptions.Replicates, "station"),
                        }
                ),
        ];

    private static BottlePlan[] Usual(ProtocolPlan plan) =>
        (plan.Protocol.Code, Fresh: plan.HoldHours is not null) switch
        {
            ("chlorophyll", true) => [new("chlorophyll-lab", SampleFrom.Composite)],
            ("chlorophyll", false) =>
            [
                new("chlorophyll-water", SampleFrom.Composite, 1),
                new("chlorophyll-filter", SampleFrom.Composite, 1),
            ],
            ("phosphorus", true) => [new("layer-plain", SampleFrom.Layers), new("acid-preserved", SampleFrom.Layers)],
            ("phosphorus", false) => [new(plan.TurnIn ? "phosphorus-dip" : "phosphorus-mesh", SampleFrom.Surface, 1)],
            _ => [],
        };

    /// <inheritdoc/>
    internal override void Fold(SheetDraft draft)
    {
        if (BottlesFold.Fold(draft, draft.Section<SheetProfile>()) is { } bottles)
        {
            draft.Add(bottles);
        }
    }

    /// <inheritdoc/>
    internal override IEnumerable<PartStep> Steps(SheetDraft draft)
    {
        var places = draft.Section<SheetBottles>()?.Places ?? [];
        return
        [
            .. Step(
                "surface",
                "Surface water",
                "the surface water",
                StepRank.ByHand,
                [.. places.Where(p => p.Place == SamplePlace.Surface)]
            ),
            .. Step(
                "bottles",
                "Bottles at depth",
                "the bottles",
                StepRank.Bottles,
                [.. places.Where(p => p.Place != SamplePlace.Surface && p.Place != SamplePlace.Composite)]
            ),
        ];
    }

    /// <summary>What leaving says of a place whose bottles are not full; null where they are, or where it is only empty.</summary>
    internal static Finding? Missing(SheetPlace place)
    {
        var (full, all) = (place.Bottles.Count(b => b.Entry is not null), place.Bottles.Count);
        return (
            full == all ? null
            : full > 0
                ? Finding.Stop(
                    "replicate-missing",
                    $"{place.Title}: {full} of {all} bottles.",
                    "Take the other from the same water.",
                    "Fill it, or say why not."
                )
            : place.Place == SamplePlace.Deep && place.DepthM is not null
                ? Finding.Stop(
                    "deep-sample-missing",
                    $"The deep bottle at {place.Text} is still to take.",
                    "It cannot be had from shore.",
                    "Take it, or say why not."
                )
            : null
        )?.On(Beside.Leaving);
    }

    /// <summary>How many bottles of some places are full.</summary>
    internal static string Filled(IReadOnlyList<SheetPlace> places)
    {
        var bottles = places.SelectMany(p => p.Bottles).ToList();
        return $"{bottles.Count(b => b.Entry is not null)} of {(bottles.Count == 1 ? "1 bottle" : $"{bottles.Count} bottles")}";
    }

    /// <inheritdoc/>
    internal override IEnumerable<string> Overboard(SheetDraft draft) =>
        draft.Standing(BottleKinds.Cast).Select(c => c.Body.Sampler).OfType<string>().Distinct().Select(s => $"sampler {s} and messenger");

    /// <inheritdoc/>
    internal override IEnumerable<Protocol> Took(SheetDraft draft)
    {
        var full = (draft.Section<SheetBottles>()?.Places ?? [])
            .SelectMany(p => p.Bottles)
            .Where(b => b.Entry is not null)
            .Select(b => b.Type.Code)
            .ToHashSet();
        return (draft.Context.Programme.Season ?? [])
            .Where(p => draft.Wants(p.Protocol) && draft.Bottles(p, draft.Context.Programme).Any(b => full.Contains(b.Type)))
            .Select(p => p.Protocol);
    }

    /// <inheritdoc/>
    internal override IEnumerable<Repair> Repairs(Finding finding, SheetDraft draft) => FillRepairs.Of(finding, draft);

    /// <inheritdoc/>
    internal override StepGuideResult? Guide(string step, ChosenMethods methods) =>
        step switch
        {
            "surface" => StepGuideResult.Of(BottleGuide.ByHand(methods), Caution.Acid, Caution.Bloom),
            "bottles" => StepGuideResult.Of(BottleGuide.AtDepth(methods), Caution.Caps, Caution.Acid),
            _ => null,
        };

    /// <inheritdoc/>
    internal override IEnumerable<PackNeed> Pack(Packing outing)
    {
        if (
            outing.Samples.Any(s => s.FilledBy is null && s.Place != SamplePlace.Surface && s.Place != SamplePlace.Composite)
            || outing.Stops.Any(Pools)
        )
        {
            yield return outing.Of(KitKind.BottleSampler, "bottle-sampler", "a bottle sampler with its messenger", "bottles at a depth");
        }

        foreach (var type in outing.Samples.Where(s => !SampleTypes.OnFilter(s.Type.Code)).GroupBy(s => s.Type))
        {
            yield return Packing.Counted(type, Crate.Bottles);
        }

        // What can hurt is opened with gloves, whatever a programme asks against contamination.
        if (
            outing.Samples.Any(s => s.Type.Caution is not null)
            || outing.Stops.Any(s =>
                s.Programme.ChoiceOf(BottlesOptions.Gloves) switch
                {
                    "always" => true,
                    "lab-bottles" => s.Samples.Count > 0,
                    "where-needed" => s.Samples.Any(b => b.Type.PurityCounts),
                    _ => false,
                }
            )
        )
        {
            yield return Packing.Plain(
                "gloves",
                Crate.Bottles,
                "gloves, eye protection",
                2,
                "opening acid, fixative or lab bottles",
                "two pairs"
            );
        }
    }

    /// <summary>True where the composite of a stop is pooled from a bottle sampler.</summary>
    internal static bool Pools(PlannedStop stop) =>
        stop.Protocols.Contains(Protocol.Chlorophyll) && stop.Programme.Composite.Method == CompositeMethod.PooledOrTube;

    private static IEnumerable<PartStep> Step(string name, string title, string way, int rank, List<SheetPlace> places) =>
        places.Count == 0
            ? []
            :
            [
                new PartStep
                {
                    Name = name,
                    Title = title,
                    Way = way,
                    Rank = rank,
                    Done = places.All(p => p.Done || p.Needless),
                    Summary = Summary(places),
                    Stops = [Beside.Bottles],
                    Own =
                        name == "surface"
                            ? places
                                .SelectMany(p => p.Casts.Select(c => c.Entry).Concat(p.Bottles.Select(b => b.Entry).OfType<Guid>()))
                                .ToHashSet()
                            : null,
                    NeedsDepth = name == "bottles",
                    Required = places.Any(p => !p.Needless),
                    Missing = places.Select(Missing).FirstOrDefault(m => m is not null),
                },
            ];

    private static string Summary(List<SheetPlace> places)
    {
        var depths = places.Where(p => p.Text is not null).Select(p => p.Text).ToList();
        return depths.Count == 0 ? places[0].Waits ?? Filled(places) : $"{string.Join(" and ", depths)}, {Filled(places)}";
    }

    /// <inheritdoc/>
    internal override IEnumerable<SampleStepTaken> SampleSteps(SheetDraft draft) => FillSteps.Of(draft);
}
