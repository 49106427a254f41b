using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Profile;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Protocols.Bottles;

/// <summary>The bottles' part of the sheet: at which depth, how many casts, which bottles are full.</summary>
internal static class BottlesFold
{
    /// <summary>m/s of a messenger that was never timed.</summary>
    private const decimal UsualFallMs = 3;

    private static readonly string[] Vented =
    [
        "seals and tubing firm",
        "clamps tight",
        "knot sound",
        "taps and vent shut",
        "cocked, messenger in the hand",
    ];

    internal static SheetBottles? Fold(SheetDraft draft, SheetProfile? profile)
    {
        var planned = draft.Planned.Where(s => s.Type.FilledAt == FilledAt.Water && s.FilledBy is null).ToList();
        if (planned.Count == 0)
        {
            return null;
        }

        var samplers = draft.Context.Gear?.Where(g => g.Kind == KitKind.BottleSampler).ToList() ?? [];
        var casts = draft.Standing(BottleKinds.Cast);
        var others = draft
            .Planned.Where(s => s.FilledBy is not null)
            .Select(s => SampleNumber.Body(s.Number))
            .ToHashSet(StringComparer.OrdinalIgnoreCase);
        List<Read<FillBody>> fills = [.. draft.Standing(FillKinds.Fill).Where(f => !others.Contains(SampleNumber.Body(f.Body.Sample)))];
        draft.Findings.AddRange(BottleFills.Of(draft, planned, fills, casts));
        draft.Findings.AddRange(CastChecks.Of(draft, casts, fills));
        return new SheetBottles(
            [
                .. planned
                    .GroupBy(p => p.Place)
                    .Select(g => Place(draft, profile, g.Key, [.. g], fills, [.. casts.Where(c => c.Body.Place == g.Key)], samplers)),
            ],
            samplers,
            Vented
        );
    }

    private static SheetPlace Place(
        SheetDraft draft,
        SheetProfile? profile,
        SamplePlace place,
        List<PlannedSample> planned,
        IReadOnlyList<Read<FillBody>> fills,
        List<Read<CastBody>> casts,
        List<Gear> samplers
    )
    {
        var byHand = planned.All(p => p.Type.Code is "phosphorus-dip" or "phosphorus-mesh" or "bacteria");
        var bottles = planned.Select(p => Bottle(p, byHand, fills.LastOrDefault(f => SampleNumber.Same(f.Body.Sample, p.Number)))).ToList();
        var sampler = samplers.FirstOrDefault(s => s.Code == (casts.Count > 0 ? casts[^1].Body.Sampler : null))
            ?? samplers.FirstOrDefault();
        var title = place.Title;
        var order = FillOrder(planned);
        if (place == SamplePlace.Composite)
        {
            return new SheetPlace(place, title, bottles, [], bottles.All(b => b.Entry is not null), 0, null, order, false);
        }

        var depth = Depth(draft, profile, place, byHand);
        draft.Findings.AddRange(depth.Findings);
        var needed = planned.Sum(p => p.Type.VolumeMl * (1 + (0.1m * p.Type.Rinse.Times))) / 1000;
        var (count, budget) = byHand ? (0, null) : Budget(draft, needed, sampler);
        if (count > 1 && casts.Count < count)
        {
            draft.Findings.Add(
                Finding
                    .Note("water-short", $"{title}: {budget}.", "The last bottle would stay short of one cast.", $"Plan {count} casts.")
                    .On(Beside.Bottles)
            );
        }

        return new SheetPlace(
            place,
            title,
            bottles,
            [.. casts.Select(c => Show(draft, c))],
            bottles.All(b => b.Entry is not null),
            count,
            budget,
            order,
            !byHand,
            depth.Needless
        )
        {
            DepthM = depth.DepthM,
            Text = depth.Text,
            MarkText = depth.MarkText,
            Mark = depth.Mark,
            MessengerS = depth.DepthM is { } d ? decimal.Round(d / (sampler?.FallSpeedMs ?? UsualFallMs), 1) : null,
            Waits = depth.Waits,
            Working = depth.Working,
        };
    }

    /// <summary>The depth of a place on this visit.</summary>
    private static BottleDepthResult Depth(SheetDraft draft, SheetProfile? profile, SamplePlace place, bool byHand)
    {
        var programme = draft.Context.Programme;
        var moved = draft.Standing(BottleKinds.BottleDepth).LastOrDefault(m => m.Body.Place == place);
        var result = BottleDepthRule.Work(
            new BottleDepthRequest(
                place,
                programme.ChoiceOf(BottlesOptions.SurfaceDepth),
                programme.ChoiceOf(BottlesOptions.DeepRule),
                byHand,
                draft.Section<Sounded>()?.Read.Body.Depth,
                programme.Of(BottlesOptions.Clearance),
                programme.Of(BottlesOptions.DeepLeast),
                programme.Of(BottlesOptions.DeepFixed),
                profile?.Thermocline?.DepthM,
                draft.Reader
            )
            {
                TopM = profile?.Metalimnion?.DepthM,
                BottomM = profile?.Metalimnion?.LowerM,
                ProfileRead = profile is { Levels.Count: > 1 },
                Line = draft.Line,
                Moved = moved?.Body.Depth,
                Day = draft.Day,
                LayersBy = ProfileOptions.Layers(programme),
            }
        );
        return moved is null ? result : result with { Findings = [.. result.Findings.Select(f => f.On(Beside.Bottles, moved.Entry.Id))] };
    }

    private static (int Casts, string? Budget) Budget(SheetDraft draft, decimal needed, Gear? sampler)
    {
        if (sampler?.VolumeL is not { } volume)
        {
            return (1, $"{Decimals.Fixed(needed, 1)} L needed; the sampler’s volume is not on file");
        }

        var usable = volume * draft.Context.Programme.Of(BottlesOptions.WaterShort) / 100;
        var casts = Math.Max(1, (int)decimal.Ceiling(needed / usable));
        return (
            casts,
            $"{Decimals.Fixed(needed, 1)} L needed, {Decimals.Fixed(usable, 1)} L each cast: {(casts == 1 ? "1 cast" : $"{casts} casts")}"
        );
    }

    private static List<string> FillOrder(List<PlannedSample> planned)
    {
        List<string> order = [];
        if (planned.Any(p => p.Type.Added is { Inside: true }))
        {
            order.Add(
                "The plain bottle first; pour the acid bottle from it to the shoulder, never rinsed, never dipped; then top the "
                    + "plain one up."
            );
        }

        order.AddRange(
            planned
                .Select(p => p.Type)
                .DistinctBy(t => t.Code)
                .Select(t =>
                    $"{t.Container}: rinse {t.Rinse.Words}; fill {t.Fill.Words}{(t.Added is { } added ? $"; {added.Words}" : string.Empty)}."
                )
        );
        return order;
    }

    private static SheetBottle Bottle(PlannedSample planned, bool byHand, Read<FillBody>? fill) =>
        new(
            planned.Number,
            planned.Type,
            planned.Replicate,
            planned.Place == SamplePlace.Composite ? FilledFrom.Composite
                : planned.Type.Added is { Inside: true } ? FilledFrom.PlainBottle
                : byHand ? FilledFrom.Lake
                : FilledFrom.Sampler,
            fill?.Entry.Id,
            fill is null ? null : FillChecks.Words(fill.Body)
        );

    private static SheetCast Show(SheetDraft draft, Read<CastBody> cast)
    {
        var length = cast.Body.LineOut.Read().Length;
        var depth = length is { } out_
            ? LineAngle.TrueM(
                draft.Line?.CorrectionOn(draft.Day ?? DateOnly.MaxValue)?.TrueM(out_.Metres) ?? out_.Metres,
                cast.Body.AngleDeg ?? 0
            )
            : (decimal?)null;
        return new SheetCast(
            cast.Entry.Id,
            CastChecks.Words(cast.Body, draft.Reader),
            CastChecks.Good(cast.Body),
            depth is { } d ? Decimals.Published(d) : null
        );
    }
}
