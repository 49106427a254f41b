using UpperStill.Core.Record.Fills;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Record.Described;

/// <summary>A container that a protocol fills where its plan names none.</summary>
/// <param name="type">The sample type’s code.</param>
internal sealed class ContainerScript(string type)
{
    /// <summary>Where it is filled from.</summary>
    internal FilledFrom From { get; init; } = FilledFrom.Lake;

    /// <summary>It is filled only where the programme chooses this option; null for always.</summary>
    internal (Method Method, string Option)? When { get; init; }

    internal string Type => type;

    internal bool Chosen(Programme programme) => When is not var (method, option) || programme.Chooses(method, option);

    internal ContainerDescription Describe() => new(type, When?.Method.Setting, When?.Option);
}

/// <summary>A container that a protocol fills where its plan names none.</summary>
/// <param name="Type">The sample type’s code.</param>
/// <param name="Method">It is filled only where this method has <paramref name="Option"/>; null for always.</param>
/// <param name="Option">The option.</param>
public sealed record ContainerDescription(string Type, string? Method = null, string? Option = null);
