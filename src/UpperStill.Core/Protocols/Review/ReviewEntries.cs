namespace UpperStill.Core.Protocols.Review;

/// <summary>Body of the entry <c>asked</c>: a reviewer asks whoever made the visit.</summary>
/// <param name="Question">The question.</param>
/// <param name="About">The entries it is about; empty where it is about the visit.</param>
public sealed record AskedBody(string Question, IReadOnlyList<Guid>? About = null);

/// <summary>Body of the entry <c>answered</c>: the answer to a reviewer's question.</summary>
/// <param name="Asked">The entry with the question.</param>
/// <param name="Answer">The answer.</param>
public sealed record AnsweredBody(Guid Asked, string Answer);

/// <summary>Body of the entry <c>signed-off</c>: a reviewer vouches for what stands in the visit at that moment; it holds as long as just
/// that stands.</summary>
/// <param name="Field">Mark of what stands of the visit itself.</param>
/// <param name="Results">Mark of what stands of its filters and results.</param>
public sealed record SignedOffBody(string Field, string Results);
