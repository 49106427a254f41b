using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Setup.People;

namespace UpperStill.Core.Application.Delivery;

/// <summary>Whoever delivers entries.</summary>
/// <param name="May">What they may do.</param>
/// <param name="Is">Who they are, by all their names, the present one first; null where the server itself writes.</param>
/// <param name="OnBehalf">True where they bring in a saved file of what others made.</param>
public sealed record Deliverer(Permissions May, PersonNames? Is = null, bool OnBehalf = false)
{
    /// <summary>True where they made the entry themselves: it bears their id, or none as in earlier builds, and one of their
    /// names.</summary>
    /// <param name="entry">The entry.</param>
    public bool Made(Entry entry)
    {
        ArgumentNullException.ThrowIfNull(entry);
        return Is is null || ((entry.Person is null || entry.Person == Is.Id) && IsCalled(entry.By));
    }

    /// <summary>True where a name is one of theirs.</summary>
    /// <param name="name">The name as it stands in an entry.</param>
    public bool IsCalled(string name) => Is?.Names.Any(n => KnownPeople.Plain(n) == KnownPeople.Plain(name)) == true;

    /// <summary>Why they cannot deliver an entry as its maker, or for another; null where they can.</summary>
    /// <param name="entry">The entry.</param>
    /// <param name="owner">To whom it belongs.</param>
    /// <param name="coordinates">True where they coordinate the water of the visit.</param>
    public Finding? Refusal(Entry entry, EntryOwner owner, bool coordinates) =>
        Made(entry) ? null
        : owner is EntryOwner.Reviewer or EntryOwner.Mover
            ? Of(entry, "A question, a sign-off or a move is its maker’s own word.", "They sign in and deliver it themselves.")
        : OnBehalf && coordinates ? null
        : Of(
            entry,
            "Nobody writes in another’s name.",
            "Let them sign in on this device; or save what waits as a file, which a coordinator of the water can bring in."
        );

    private Finding Of(Entry entry, string why, string act) =>
        Finding.Stop("entry-of-another", $"“{entry.By}” made it, and {Is!.Names[0]} is signed in.", why, act) with
        {
            NoWayRound = true,
        };
}
