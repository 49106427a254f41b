using UpperStill.Core.Record.Entries;

namespace UpperStill.Core.Protocols.Review;

/// <summary>Kinds of entry of the review.</summary>
public static class ReviewKinds
{
    /// <summary>A reviewer's question.</summary>
    public static readonly EntryKind<AskedBody> Asked = new(
        "asked",
        1,
        "A reviewer asks whoever made the visit.",
        () => ReviewJson.Default.AskedBody,
        (b, _) => $"Asked: {b.Question}"
    )
    {
        Owner = EntryOwner.Reviewer,
        Vouched = Vouched.Nothing,
    };

    /// <summary>The answer to it.</summary>
    public static readonly EntryKind<AnsweredBody> Answered = new(
        "answered",
        1,
        "The answer to a reviewer's question.",
        () => ReviewJson.Default.AnsweredBody,
        (b, _) => $"Answered: {b.Answer}"
    )
    {
        Vouched = Vouched.Nothing,
    };

    /// <summary>A reviewer vouches for the visit.</summary>
    public static readonly EntryKind<SignedOffBody> SignedOff = new(
        "signed-off",
        1,
        "A reviewer vouches for what stands; it holds as long as just that stands.",
        () => ReviewJson.Default.SignedOffBody,
        (_, _) => "Signed off"
    )
    {
        Owner = EntryOwner.Reviewer,
        Vouched = Vouched.Nothing,
    };

    /// <summary>All of them.</summary>
    internal static IReadOnlyList<EntryKind> All { get; } = [Asked, Answered, SignedOff];
}
