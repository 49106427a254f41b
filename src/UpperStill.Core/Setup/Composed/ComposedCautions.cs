namespace UpperStill.Core.Setup.Composed;

/// <summary>The usual cautions by their letters.</summary>
public static class ComposedCautions
{
    /// <summary>Water’s edge, fast water, surf, traffic, jaws, rope, alcohol, fixative, acid, bloom, germs, alone.</summary>
    public static IReadOnlyList<string> Letters { get; } = ["W", "F", "S", "T", "J", "R", "A", "X", "K", "B", "G", "L"];

    /// <summary>Those that ask for a tick on gloves: alcohol, fixative and bloom.</summary>
    internal static IReadOnlyList<string> AskGloves { get; } = ["A", "X", "B"];
}
