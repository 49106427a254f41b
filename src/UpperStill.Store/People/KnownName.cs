namespace UpperStill.Store.People;

/// <summary>A name in the record that is somebody's with an account, beside the one they bear now: an earlier one, or another
/// spelling.</summary>
public sealed class KnownName
{
    /// <summary>The name as it stands in the record.</summary>
    public required string Name { get; set; }

    /// <summary>Whose it is.</summary>
    public Guid Person { get; set; }
}
