using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Protocols.Profile;

/// <summary>Where the water changes so fast between two neighbouring levels that one more is worth its minute. It is proposed, and left out
/// by a touch.</summary>
internal static class ProfileBreaks
{
    // Closer levels than this say nothing more.
    private const decimal LeastApartM = 0.6m;
    private const decimal StepM = 0.1m;
    private const decimal StepFt = 0.5m;

    internal static IReadOnlyList<Break> Of(SheetDraft draft, IReadOnlyList<ReadLevel> levels)
    {
        var (degrees, mgPerL) = (
            draft.Context.Programme.Of(ProfileOptions.AddLevelTemperature),
            draft.Context.Programme.Of(ProfileOptions.AddLevelOxygen)
        );
        var most = draft.Context.Programme.Of(ProfileOptions.OxygenMgl);
        List<Break> breaks = [];
        for (var i = 1; i < levels.Count; i++)
        {
            var (above, below) = (levels[i - 1], levels[i]);
            // A number in the wrong unit is no break in the water.
            var oxygen = above.MgPerL > most || below.MgPerL > most ? 0 : Math.Abs((above.MgPerL - below.MgPerL) ?? 0);
            if (below.DepthM - above.DepthM < LeastApartM || !(Math.Abs((above.Celsius - below.Celsius) ?? 0) > degrees || oxygen > mgPerL))
            {
                continue;
            }

            var middle = Middle(above.Depth, below.Depth);
            var found = Finding
                .Note(
                    "profile-add-level",
                    $"It breaks between {draft.Show(above.Depth)} and {draft.Show(below.Depth)}.",
                    "The layers meet there.",
                    $"Add {draft.Show(middle)} on the way up, or now."
                )
                .On(Beside.Profile, above.Entry, below.Entry);
            draft.Findings.Add(found);
            if (draft.AnswerTo(found) is null)
            {
                breaks.Add(new Break(middle, above.Entry, below.Entry));
            }
        }

        return breaks;
    }

    private static Length Middle(Length above, Length below)
    {
        var feet = Length.IsFootBased(below.Unit);
        var per = feet ? Length.MetresPerFoot : 1;
        return new Length(
            Decimals.Plain(Decimals.RoundTo((above.Metres + below.Metres) / 2 / per, feet ? StepFt : StepM)),
            feet ? LengthUnit.Foot : LengthUnit.Metre,
            feet ? StepFt : StepM
        );
    }

    /// <summary>A break between two levels.</summary>
    /// <param name="Depth">The level proposed.</param>
    /// <param name="Above">The entry of the level above.</param>
    /// <param name="Below">The entry of the level below.</param>
    internal sealed record Break(Length Depth, Guid Above, Guid Below);
}
