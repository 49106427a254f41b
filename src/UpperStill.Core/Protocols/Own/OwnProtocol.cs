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

    // A programme is folded with again and again: what it composed is looked at and put together once.
    private static readonly ConditionalWeakTable<ComposedProtocol, Looked> Known = [];

    private readonly ComposedProtocol composed;
    private readonly OwnScript own;

    private OwnProtocol(ComposedProtocol composed, OwnScript own)
        : base(own.Script())
    {
        (this.composed, this.own) = (composed, own);
    }

    /// <summary>The protocol of a composition; null where it could not be published; see <see cref="ComposedCheck"/>.</summary>
    public static OwnProtocol? Of(ComposedProtocol composed)
    {
        ArgumentNullException.ThrowIfNull(composed);
        return Known
            .GetValue(composed, c => new Looked(ComposedCheck.Findings(c).MaySave() ? new OwnProtocol(c, new OwnScript(c)) : null))
            .Protocol;
    }

    /// <summary>Those of a programme; one that could not be published is not among them, whoever wrote it there.</summary>
    public static IEnumerable<OwnProtocol> In(Programme programme)
    {
        ArgumentNullException.ThrowIfNull(programme);
        return (programme.Own ?? []).Select(Of).OfType<OwnProtocol>();
    }

    private protected override void Evaluate(ProtocolRun run)
    {
        foreach (var field in composed.Fields.Where(f => f.FailsOn.Count > 0 || f.FailsUnusual))
        {
            foreach (var attempt in own.Tries(run, field.Code))
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
        var answer = field switch
        {
            YesNoField yes when attempt[yes] is { } said => said ? "yes" : "no",
            ChoiceField one => attempt[one],
            _ => null,
        };
        if ((composed.FailsUnusual && attempt.Unusual(field)) || (answer is not null && composed.FailsOn.Contains(answer)))
        {
            attempt.Fail(TryUnusable, field, ("field", composed.Label), ("value", attempt.Input(field).Text));
        }
    }

    private sealed record Looked(OwnProtocol? Protocol);
}
