using System.Globalization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Laboratories;
using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Protocols.Custody;

/// <summary>A sample that is to be handed over, with what was looked at.</summary>
/// <param name="Number">Its number.</param>
/// <param name="Type">Its sample type.</param>
/// <param name="State">Where it is in its life.</param>
/// <param name="Hold">How long it may wait.</param>
/// <param name="Foil">True where it is wholly in foil.</param>
/// <param name="Cold">True where it is frozen, or on ice, as its type asks.</param>
/// <param name="LabelSame">True where its label says the same as the form.</param>
/// <param name="Differs">What differs on the label.</param>
/// <param name="To">To whom it was handed over before.</param>
public sealed record HandOverSample(
    string Number,
    string Type,
    SampleState State,
    SampleHold? Hold = null,
    bool? Foil = null,
    bool? Cold = null,
    bool? LabelSame = null,
    string? Differs = null,
    string? To = null
);

/// <summary>A hand-over to be checked.</summary>
/// <param name="Now">When it leaves.</param>
/// <param name="Samples">The samples.</param>
/// <param name="By">How they travel.</param>
/// <param name="On">On what.</param>
/// <param name="Laboratory">The laboratory; null where none is set up.</param>
/// <param name="Waybill">The carrier's number.</param>
/// <param name="RecipientTold">True where somebody there expects it.</param>
/// <param name="SheetInside">True where a copy of the manifest is inside.</param>
public sealed record HandOverRequest(
    DateTimeOffset Now,
    IReadOnlyList<HandOverSample> Samples,
    TravelBy By,
    TravelOn On,
    LabDoor? Laboratory = null,
    string? Waybill = null,
    bool? RecipientTold = null,
    bool? SheetInside = null
);

/// <summary>What a hand-over's check says of a sample.</summary>
/// <param name="Number">Its number.</param>
/// <param name="Ready">True where it can go.</param>
/// <param name="Findings">What to look at; a stop keeps it here.</param>
public sealed record HandOverAnswer(string Number, bool Ready, IReadOnlyList<Finding> Findings);

/// <summary>What can go, and what cannot and why.</summary>
/// <param name="Samples">Sample by sample, in the order given.</param>
/// <param name="Journey">What is to be said of the journey; a stop keeps everything here.</param>
public sealed record HandOverResult(IReadOnlyList<HandOverAnswer> Samples, IReadOnlyList<Finding> Journey);

/// <summary>Checks a hand-over before anything leaves.</summary>
public static class HandOver
{
    /// <summary>Checks it.</summary>
    public static HandOverResult Work(HandOverRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var answers = request.Samples.Select(
            (s, i) =>
            {
                var findings = Of(s, request).ToList();
                if (request.Samples.Take(i).Any(o => SampleNumber.Same(o.Number, s.Number)))
                {
                    findings.Insert(
                        0,
                        Finding.Stop(
                            "sample-number-used",
                            $"{s.Number} is on this list twice.",
                            "Two bottles would become one.",
                            "Take one off."
                        ) with
                        {
                            NoWayRound = true,
                        }
                    );
                }

                return new HandOverAnswer(
                    s.Number,
                    findings.All(f => f.Level != FindingLevel.Stop),
                    [.. findings.Select(f => f.On(Beside.HandOver))]
                );
            }
        );
        return new HandOverResult([.. answers], [.. Journey(request).Select(f => f.On(Beside.HandOver))]);
    }

    private static IEnumerable<Finding> Of(HandOverSample sample, HandOverRequest request)
    {
        if (!sample.State.InHands())
        {
            yield return sample.State is SampleState.HandedOver or SampleState.Received or SampleState.Analysed or SampleState.Reported
                ? Finding.Stop(
                    "handed-over-already",
                    $"{sample.Number} was handed over already{(sample.To is { } to ? $", to {to}" : string.Empty)}.",
                    "Two manifests for one sample: one of them is short of it.",
                    "Leave it off; look which box it is in."
                )
                : Finding.Stop(
                    "step-refused",
                    $"{sample.Number} cannot go: it is {sample.State.Words()}.",
                    "There is nothing to hand over.",
                    "Leave it off, or write down first what happened to it."
                );
            yield break;
        }

        var type = SampleTypes.Find(sample.Type);
        if (SampleTypes.ForFilters(sample.Type))
        {
            yield return Finding.Stop(
                "not-filtered",
                $"{sample.Number} is water that is to be filtered.",
                "The lab takes the filter, not the bottle.",
                "Filter it at the bench, hand the vial over."
            );
        }

        if (SampleTypes.OnFilter(sample.Type) && sample.Foil != true)
        {
            yield return Finding.Stop(
                "foil-unconfirmed",
                $"Foil is not confirmed on {sample.Number}.",
                "The lab refuses an unwrapped vial.",
                "Wrap wholly; water and month on the foil."
            );
        }

        if (sample.Differs is { Length: > 0 } differs)
        {
            yield return Finding.Stop(
                "form-and-label-differ",
                $"{sample.Number}, {differs}: form and bottle differ.",
                "The lab goes by the bottle, and the result to the wrong place.",
                "Make them the same before it leaves your hands."
            );
        }
        else if (sample.LabelSame != true)
        {
            yield return Finding.Stop(
                "label-unread",
                $"The label of {sample.Number} is not read against the form yet.",
                "What differs is seen here or never.",
                "Read number, station, day, depth; then tick it."
            );
        }

        if (type is { Keep: not Keeping.Room } && sample.Cold != true)
        {
            yield return sample.Cold is null
                ? Finding.Stop(
                    "cold-unconfirmed",
                    $"Is {sample.Number} {(type.Keep == Keeping.Frozen ? "frozen" : "on ice")}?",
                    "What thaws or warms goes on living.",
                    "Look, and tick it."
                )
                : CustodyFindings.Thawed(sample.Number, type.Keep == Keeping.Frozen ? "is not frozen" : "is not cold");
        }

        foreach (var finding in Time(sample, request, type))
        {
            yield return finding;
        }
    }

    private static IEnumerable<Finding> Time(HandOverSample sample, HandOverRequest request, SampleType? type)
    {
        if (sample.Hold is { } hold)
        {
            var arrival = Arrival(request);
            if (request.Now > hold.Limit)
            {
                yield return CustodyFindings.HoldOver(sample.Number, hold, request.Now, "Hand it in; the result is marked.");
            }
            else if (hold.Fresh && request.By == TravelBy.Hand && arrival is { } at && at > hold.Limit)
            {
                yield return Finding.Check(
                    "cannot-reach-lab",
                    $"{sample.Number} must be there by {Clock(hold.Limit.ToOffset(at.Offset))}; the lab lets you in {Clock(at)}.",
                    "It is past its limit then.",
                    $"Ring {request.Laboratory!.Name}; it decides."
                );
            }
        }

        if (
            type?.Shipped == true
            && request.By == TravelBy.Carrier
            && request.Laboratory?.ShippingDays is { } days
            && !days.Contains((int)request.Now.DayOfWeek)
        )
        {
            yield return Finding.Stop(
                "cannot-reach-lab",
                $"Ultra-clean samples do not leave on a {request.Now.DayOfWeek}.",
                "They would stand in the warm over closed days.",
                $"Ship on {string.Join(", ", days.Select(d => (DayOfWeek)d))}."
            );
        }
    }

    private static IEnumerable<Finding> Journey(HandOverRequest request)
    {
        if (request.On == TravelOn.DryIce && request.Laboratory?.NoDryIce == true)
        {
            yield return Finding.Stop(
                "not-dry-ice",
                "This goes on ice, not dry ice.",
                "The bottle would freeze and burst, and carriers restrict it.",
                "Ice, or frozen packs."
            );
        }
        else if (request.On == TravelOn.DryIce)
        {
            yield return Finding.Note(
                "dry-ice",
                "Dry ice gives off gas and burns skin.",
                "In a closed car or box it takes the air away, or bursts it.",
                "Gloves, a box that breathes, air in the car; the carrier’s rules apply."
            );
        }

        if (CustodyFindings.Untold(request.By, request.Waybill, request.RecipientTold, request.SheetInside) is { } untold)
        {
            yield return untold;
        }

        if (
            request.By == TravelBy.Hand
            && request.Laboratory is { Open.Count: > 0 } laboratory
            && laboratory.OpenAt(request.Now.AddMinutes(laboratory.TravelMinutes)) is var span
            && (span is null || span.From > request.Now.AddMinutes(laboratory.TravelMinutes))
        )
        {
            yield return Finding.Check(
                "cannot-reach-lab",
                $"You would be at {laboratory.Name} at {Clock(request.Now.AddMinutes(laboratory.TravelMinutes))}; it is closed then.",
                "Samples left at a door are nobody’s.",
                span is null ? "Ring before you set out." : $"It takes samples in from {Clock(span.From)} to {Clock(span.Until)}."
            );
        }
    }

    private static DateTimeOffset? Arrival(HandOverRequest request)
    {
        if (request.Laboratory is not { Open.Count: > 0 } laboratory)
        {
            return null;
        }

        var there = request.Now.AddMinutes(laboratory.TravelMinutes);
        return laboratory.OpenAt(there) is { } span ? (span.From > there ? span.From : there.ToOffset(span.From.Offset)) : null;
    }

    private static string Clock(DateTimeOffset at) => at.ToString("ddd HH:mm", CultureInfo.InvariantCulture);
}
