namespace UpperStill.Core.Record.Described;

/// <summary>A plant or animal that the group keeps on its list of invaders.</summary>
internal static class ListedKind
{
    /// <summary>As it is kept.</summary>
    internal const string Code = "listed-invader";
}
