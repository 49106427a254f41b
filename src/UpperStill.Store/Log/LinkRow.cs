namespace UpperStill.Store.Log;

/// <summary>The link of an entry in the chain of the log. The database refuses to change or delete it.</summary>
public sealed class LinkRow
{
    /// <summary>The entry's place in the log.</summary>
    public long Sequence { get; set; }

    /// <summary>SHA-256 over the link before it and everything that the entry's row says.</summary>
    public required byte[] Hash { get; set; }
}

/// <summary>How far a log reaches: who holds the same mark holds the same log up to there.</summary>
/// <param name="Sequence">Place of its last entry; 0 where there is none.</param>
/// <param name="Hash">That entry's link in lower-case hexadecimal; empty where there is none.</param>
public sealed record LogMark(long Sequence, string Hash)
{
    /// <summary>The mark of a log without entries.</summary>
    public static LogMark None { get; } = new(0, string.Empty);

    internal static LogMark Of(LinkRow link) => new(link.Sequence, Convert.ToHexStringLower(link.Hash));
}
