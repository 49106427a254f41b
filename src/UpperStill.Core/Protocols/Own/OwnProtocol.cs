using System.Runtime.CompilerServices;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Setup.Composed;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Own;

/// <summary>A protocol that a group composed: the same description, read from its programme. What it finds and works out is a closed
/// list.</summary>
public sealed class OwnProtocol : DescribedProtocol
{
    internal static readonly FindingWords TryUnusable = new(
        "try-unusable",
        FindingLevel.Check,
        "{field}: {value}.",
        "By this protocol such a try does not count.",
        "Once more; this one stays with its reason."
    );

    // A programme is folded with again and again: what it composed is put together once.
    private static readonly ConditionalWeakTable<ComposedProtocol, OwnProtocol> Known = [];

    private readonly ComposedProtocol composed;
    private readonly OwnScript own;

    private OwnProtocol(ComposedProtocol composed, OwnScript own)
        : base(own.Script())
    {
        (this.composed, this.own) = (composed, own);
    }

    /// <summary>The protocol of a composition.</summary>
    /// <param name="composed">One without stops; see <see cref="ComposedCheck"/>.</param>
    public static OwnProtocol Of(ComposedProtocol composed)
    {
        ArgumentNullException.ThrowIfNull(composed);
        return Known.GetValue(composed, c => new OwnProtocol(c, new OwnScript(c)));
    }

    /// <summary>Those of a programme.</summary>
    public static IEnumerable<OwnProtocol> In(Programme programme)
    {
        ArgumentNullException.ThrowIfNull(programme);
        return (programme.Own ?? []).Select(Of);
    }

    private protected override void Evaluate(ProtocolRun run)
    {
        foreach (var field in composed.Fields.Where(f => f.FailsOn.Count > 0 || f.FailsUnusual))
        {
            foreach (var attempt in run.Tries(own, field.Code))
            {
                Fail(attempt, field);
            }
        }

        foreach (var sum in composed.Sums)
        {
            run.Derive(OwnSums.Of(run, composed, own, sum));
        }
    }

    private void Fail(Attempt attempt, ComposedField composed)
    {
        var field = own.Fields[composed.Code];
        var answered = field switch
        {
            YesNoField yes => attempt[yes] is { } said ? (said ? "yes" : "no") : null,
            ChoiceField { Many: false } one => attempt[one] is { } code
                ? composed.Choices.Where((c, i) => OwnFields.Code(c, i) == code).FirstOrDefault()
                : null,
            _ => null,
        };
        var unusual =
            composed.FailsUnusual
            && OwnSums.Number(attempt, field) is { } number
            && (number < (composed.UsualLeast ?? number) || number > (composed.UsualMost ?? number));
        if (unusual || (answered is not null && composed.FailsOn.Contains(answered)))
        {
            attempt.Fail(TryUnusable, field, ("field", composed.Label), ("value", attempt.Input(field).Text));
        }
    }
}

/// <summary>Every try in which a box may stand.</summary>
file static class Attempts
{
    internal static IEnumerable<Attempt> Tries(this ProtocolRun run, OwnScript own, string field) =>
        own.RepeatOf(field) is { } repeat ? run.Every(repeat) : run.Tries(null, null);
}
