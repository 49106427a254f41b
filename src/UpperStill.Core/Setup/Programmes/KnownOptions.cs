namespace UpperStill.Core.Setup.Programmes;

/// <summary>Every method and threshold that a programme may choose: those of the parts of a visit, and those of the season.</summary>
/// <param name="Methods">The methods, in the order of the work.</param>
/// <param name="Thresholds">The thresholds.</param>
public sealed record KnownOptions(IReadOnlyList<Method> Methods, IReadOnlyList<Threshold> Thresholds)
{
    /// <summary>A method by its setting; null where there is none of that name.</summary>
    public Method? Method(string setting) => Methods.FirstOrDefault(m => m.Setting == setting);

    /// <summary>A threshold by its setting; null where there is none of that name.</summary>
    public Threshold? Threshold(string setting) => Thresholds.FirstOrDefault(t => t.Setting == setting);
}
