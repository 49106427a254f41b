namespace UpperStill.Core.Review;

/// <summary>Nobody vouches for their own reading.</summary>
public static class Vouching
{
    /// <summary>True where a visit is somebody's own: they read it, or they wrote it down.</summary>
    /// <param name="who">Who would sign it off.</param>
    /// <param name="observers">Who read.</param>
    /// <param name="by">Who began the visit, or brought it in; null where it has not begun.</param>
    public static bool IsOwn(string who, IEnumerable<string> observers, string? by)
    {
        ArgumentNullException.ThrowIfNull(who);
        return observers.Append(by).Any(name => string.Equals(name?.Trim(), who.Trim(), StringComparison.OrdinalIgnoreCase));
    }
}
