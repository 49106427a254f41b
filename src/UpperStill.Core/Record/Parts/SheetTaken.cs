using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Record.Parts;

/// <summary>Something said to be taken.</summary>
/// <param name="Protocol">What.</param>
/// <param name="Entry">The entry it stands in.</param>
public sealed record SheetTaken(Protocol Protocol, Guid Entry);
