using System.Text.Json.Serialization;
using UpperStill.Core.Application.Samples;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Application.Review;

/// <summary>How far the review of a visit is.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<ReviewState>))]
public enum ReviewState
{
    /// <summary>Under way on the water, or not begun.</summary>
    [JsonStringEnumMemberName("not-ended")]
    NotEnded,

    /// <summary>Something is open: a finding, or a question.</summary>
    [JsonStringEnumMemberName("open")]
    Open,

    /// <summary>Everything is answered; a reviewer may sign it off.</summary>
    [JsonStringEnumMemberName("ready")]
    Ready,

    /// <summary>Signed off.</summary>
    [JsonStringEnumMemberName("signed-off")]
    SignedOff,
}

/// <summary>A finding as a reviewer sees it.</summary>
/// <param name="Finding">The finding.</param>
/// <param name="Sample">The sample it is about; null where it is about the visit.</param>
public sealed record ReviewFinding(Finding Finding, string? Sample = null);

/// <summary>A question to whoever made the visit.</summary>
/// <param name="Entry">The entry.</param>
/// <param name="Question">The question.</param>
/// <param name="By">Who asks.</param>
/// <param name="At">When.</param>
/// <param name="Answer">The answer; null while it is open.</param>
/// <param name="AnsweredBy">Who answered.</param>
public sealed record ReviewQuestion(
    Guid Entry,
    string Question,
    string By,
    DateTimeOffset At,
    string? Answer = null,
    string? AnsweredBy = null
);

/// <summary>The review of a visit. Only what is signed off enters a trend by default.</summary>
/// <param name="Visit">The visit.</param>
/// <param name="State">How far it is.</param>
/// <param name="Findings">Stops and checks, open ones first.</param>
/// <param name="Questions">Questions, oldest first.</param>
/// <param name="Blocks">What must be answered before it can be signed off.</param>
/// <param name="FieldSigned">True where what was read on the water is signed off.</param>
/// <param name="ResultsSigned">True where its results are signed off.</param>
/// <param name="Field">Mark of what stands of the visit itself, to be signed off.</param>
/// <param name="Results">Mark of what stands of its filters and results.</param>
/// <param name="SignedBy">Who signed it off last.</param>
public sealed record VisitReview(
    Guid Visit,
    ReviewState State,
    IReadOnlyList<ReviewFinding> Findings,
    IReadOnlyList<ReviewQuestion> Questions,
    IReadOnlyList<string> Blocks,
    bool FieldSigned,
    bool ResultsSigned,
    string Field,
    string Results,
    string? SignedBy = null
)
{
    /// <summary>When.</summary>
    public DateTimeOffset? SignedAt { get; init; }

    /// <summary>What is to be said of a sign-off.</summary>
    public IReadOnlyList<Finding>? Said { get; init; }

    /// <summary>Folds the review of one visit from its entries. The result does not depend on their order or repetition.</summary>
    /// <param name="request">Entries of one visit, and what it is judged by.</param>
    public static VisitReview Fold(FoldRequest request)
    {
        var sheet = FieldSheet.Fold(request);
        return Fold(request, sheet, VisitSamples.Fold(request, sheet));
    }

    /// <summary>The same, where visit and samples are folded already.</summary>
    /// <param name="request">Entries of one visit, and what it is judged by.</param>
    /// <param name="sheet">The visit, folded from the same request.</param>
    /// <param name="samples">Its samples, folded from the same request.</param>
    public static VisitReview Fold(FoldRequest request, FieldSheet sheet, VisitSamples samples) =>
        new ReviewFold(request, sheet, samples).Review();
}
