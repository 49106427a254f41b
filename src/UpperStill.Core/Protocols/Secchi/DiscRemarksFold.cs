using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Arrival;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Secchi;

/// <summary>How the disc was read, the colour of the water, and what the sampler thinks of it.</summary>
/// <param name="Now">What was answered on side, tube, glasses and line.</param>
/// <param name="Entries">The entries it stands in.</param>
/// <param name="Asks">Questions still open: side, tube, sunglasses, colour, algae, recreation, remark.</param>
/// <param name="Shade">Which side lies in the shade, where sun and heading are known.</param>
/// <param name="ColourText">The colour in words.</param>
/// <param name="Colour">The colour.</param>
/// <param name="ColourEntry">The entry it stands in.</param>
/// <param name="ColourAtText">How deep the disc hangs for it: half the clarity.</param>
/// <param name="Opinions">Opinions.</param>
/// <param name="Sun">The sun when the disc was read.</param>
public sealed record SheetDiscRemarks(
    DiscConditionsBody Now,
    IReadOnlyList<Guid> Entries,
    IReadOnlyList<string> Asks,
    IReadOnlyList<SheetOpinion> Opinions,
    string? Shade = null,
    string? ColourText = null,
    ColourBody? Colour = null,
    Guid? ColourEntry = null,
    string? ColourAtText = null,
    SheetSun? Sun = null
)
{
    /// <summary>How the programme asks for the colour: chart-half, words-foot, remark or none.</summary>
    public string ColourBy { get; init; } = string.Empty;
}

/// <summary>An opinion.</summary>
/// <param name="Question">The question.</param>
/// <param name="Answer">1 to 5; null where it is answered in words.</param>
/// <param name="Entry">The entry it stands in.</param>
/// <param name="Words">In words.</param>
public sealed record SheetOpinion(string Question, int? Answer, Guid Entry, string? Words = null);

/// <summary>Folds what stands beside the disc's marks.</summary>
internal static class DiscRemarksFold
{
    private const int SevereScum = 5;

    internal static SheetDiscRemarks Fold(SheetDraft draft, SheetClarity clarity, SheetArrival arrival)
    {
        var programme = draft.Context.Programme;
        var entries = draft.Standing(SecchiKinds.DiscConditions);
        var now = entries
            .Select(e => e.Body)
            .Aggregate(new DiscConditionsBody(), (old, next) =>
                new DiscConditionsBody(
                    next.Side ?? old.Side,
                    next.Tube ?? old.Tube,
                    next.Sunglasses ?? old.Sunglasses,
                    next.LineAngleDeg ?? old.LineAngleDeg,
                    next.HeadingDeg ?? old.HeadingDeg,
                    next.Disc ?? old.Disc
                )
            );
        var colour = draft.Latest(SecchiKinds.Colour);
        var opinions = draft
            .Standing(SecchiKinds.Opinion)
            .GroupBy(o => o.Body.Question)
            .Select(g => new SheetOpinion(g.Key, g.Last().Body.Answer, g.Last().Entry.Id, g.Last().Body.Words))
            .ToList();
        var first = draft.First(SecchiKinds.DiscMark)?.Entry.At;
        var remarks = new SheetDiscRemarks(
            now,
            [.. entries.Select(e => e.Entry.Id)],
            draft.Asks ? [.. Open(programme, now, clarity, colour, opinions).Where(q => !draft.AnsweredElsewhere.Contains(q))] : [],
            opinions,
            Shade(draft, now, first),
            colour is null ? null : ColourChart.Words(colour.Body),
            colour?.Body,
            colour?.Entry.Id,
            clarity.Result.MeanM is { } mean && programme.ChoiceOf(SecchiOptions.Method) == "chart-half" ? draft.Show(mean / 2) : null,
            ArrivalFold.Sun(draft, first)
        )
        {
            ColourBy = programme.ChoiceOf(SecchiOptions.Method),
        };
        draft.Findings.AddRange(Checks(draft, clarity, arrival, remarks, [.. entries.Select(e => e.Entry.Id)]));
        if (colour is { Body.Steps: { Count: 2 } steps } && Math.Abs(steps[0] - steps[1]) == 1)
        {
            draft.Findings.Add(
                Finding
                    .Note(
                        "colour-between",
                        $"{Sentence.Begun(ColourChart.Words(colour.Body))}.",
                        "Two neighbours are one answer.",
                        "Both kept, drawn halfway."
                    )
                    .On(Beside.Clarity, colour.Entry.Id)
            );
        }

        return remarks;
    }

    private static IEnumerable<string> Open(
        Programme programme,
        DiscConditionsBody now,
        SheetClarity clarity,
        Read<ColourBody>? colour,
        List<SheetOpinion> opinions
    )
    {
        if (clarity.Outcome is not null and not DiscOutcome.OnBottom)
        {
            yield break;
        }

        foreach (var question in DiscQuestions.Of(programme))
        {
            var answered = question switch
            {
                DiscQuestions.Side => now.Side is not null,
                DiscQuestions.Sunglasses => now.Sunglasses is not null,
                DiscQuestions.Tube => now.Tube is not null,
                DiscQuestions.Colour => programme.ChoiceOf(SecchiOptions.Method) == "words-foot"
                    ? colour?.Body is { Murky: not null, Remark: not null }
                    : colour is not null,
                _ => opinions.Exists(o => o.Question == question),
            };
            if (!answered)
            {
                yield return question;
            }
        }
    }

    private static IEnumerable<Finding> Checks(
        SheetDraft draft,
        SheetClarity clarity,
        SheetArrival arrival,
        SheetDiscRemarks remarks,
        Guid[] about
    )
    {
        var now = remarks.Now;
        var marks = clarity.Boxes.Where(b => b.Entry is not null).Select(b => b.Entry!.Value).ToArray();
        if (opinionOf(remarks, "algae") >= SevereScum)
        {
            yield return Finding
                .Check(
                    "bloom-seen",
                    "Severe scum: it may be a harmful bloom.",
                    "Some are poisonous to people and dogs.",
                    "Do not touch, keep dogs out. Gloves, bloom bottle, photograph, tell the coordinator."
                )
                .On(Beside.Clarity);
        }

        if (marks.Length == 0)
        {
            yield break;
        }

        var tube = now.Tube == true;
        if (now.Side is { } side && (side == BoatSide.Sun) != tube && draft.Context.Programme.ChoiceOf(SecchiOptions.Side) != "unasked")
        {
            yield return Finding
                .Check(
                    "clarity-side-wrong",
                    side == BoatSide.Sun ? "In the sun without a tube." : "In the shade with a tube.",
                    "Glare shortens the reading.",
                    "Change sides and repeat."
                )
                .On(Beside.Clarity, about);
        }

        if (now.Sunglasses == true)
        {
            yield return Finding
                .Check("sunglasses-on", "Sunglasses were on.", "They change what you see.", "Take them off, wait a minute, repeat.")
                .On(Beside.Clarity, about);
        }

        var open = remarks.Asks.Where(a => a is "side" or "sunglasses" or "tube").ToList();
        if (open.Count > 0 && clarity.Result.ClarityM is not null)
        {
            yield return Finding
                .Check(
                    "clarity-unconfirmed",
                    $"Not answered: {string.Join(", ", open)}.",
                    "Without it the reading cannot be compared.",
                    "Answer it below."
                )
                .On(Beside.Clarity);
        }

        if (draft.Asks && remarks.Sun is { } sun && sun.AltitudeDeg < draft.Context.Programme.Of(SecchiOptions.SunLow))
        {
            yield return Finding
                .Check(
                    "sun-low",
                    $"The sun stands at {Decimals.Fixed(sun.AltitudeDeg, 0)}°.",
                    "Less light enters and the disc is lost early.",
                    "Kept and marked."
                )
                .On(Beside.Clarity, marks[0]);
        }

        if (ArrivalChecks.Rough(draft.Context.Programme, arrival.Now) is { } rough)
        {
            yield return Finding
                .Check("waves-over-limit", $"{rough}.", "The surface hides the disc.", "Use the alternate date, or keep it marked.")
                .On(Beside.Clarity, marks[0]);
        }

        if (
            now.LineAngleDeg is { } angle
            && draft.Latest(SecchiKinds.DiscMark) is { } last
            && LineLean.Of(draft, angle, last.Body.Depth.Read().Length?.Metres) is { } lean
        )
        {
            yield return lean.On(Beside.Clarity, last.Entry.Id);
        }

        static int opinionOf(SheetDiscRemarks remarks, string question) =>
            remarks.Opinions.FirstOrDefault(o => o.Question == question)?.Answer ?? 0;
    }

    // Looking forward along the keel, the shade falls on the side away from the sun.
    private static string? Shade(SheetDraft draft, DiscConditionsBody now, DateTimeOffset? first)
    {
        if (ArrivalFold.Sun(draft, first ?? draft.LastAt) is not { AltitudeDeg: > 0 } sun)
        {
            return null;
        }

        if (now.HeadingDeg is not { } heading)
        {
            return $"The {sun.Text}: the shade lies {PlaceText.Towards(((double)sun.AzimuthDeg + 180) % 360)} of the boat.";
        }

        var relative = (sun.AzimuthDeg - heading + 720) % 360;
        var words =
            relative is < 20 or > 340 ? "astern"
            : relative is > 160 and < 200 ? "ahead"
            : relative < 180 ? "to port"
            : "to starboard";
        return $"The {sun.Text}: read the disc {words}.";
    }
}
