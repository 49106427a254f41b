namespace UpperStill.Core.Basis.Workings;

/// <summary>How a derived number came about, so that anyone can check it by hand.</summary>
/// <param name="Title">What was worked out.</param>
/// <param name="Inputs">What went in, as read.</param>
/// <param name="Steps">The arithmetic, line by line, with units.</param>
/// <param name="Rule">The rule or method used, in words.</param>
/// <param name="Source">Where the rule is published.</param>
public sealed record Working(string Title, IReadOnlyList<WorkingInput> Inputs, IReadOnlyList<string> Steps, string Rule, string Source);

/// <summary>One input of a <see cref="Working"/>.</summary>
/// <param name="Name">What it is.</param>
/// <param name="Text">The value as read, with its unit.</param>
/// <param name="Entry">The entry it was read in; null where it is a setting.</param>
public sealed record WorkingInput(string Name, string Text, Guid? Entry = null);
