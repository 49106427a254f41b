using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Setup.People;

/// <summary>A training that somebody had. It says what was shown and practised; it certifies nothing.</summary>
/// <param name="What">The protocol, by its code.</param>
/// <param name="On">The day.</param>
/// <param name="By">Who trained them.</param>
public sealed record Trained(string What, DateOnly On, string By)
{
    private const int LongestName = 100;

    /// <summary>Why it cannot be written down; null where it can.</summary>
    /// <param name="today">The day on which it is written.</param>
    public Finding? Fault(DateOnly today) =>
        !Codes.IsName(What) ? Of("It does not say what in.", "Choose a protocol.")
        : string.IsNullOrWhiteSpace(By) ? Of("It does not say by whom.", "Write who trained them.")
        : By.Length > LongestName ? Of($"The name has {By.Length} characters.", $"Write at most {LongestName}.")
        : On > today ? Of("Its day lies in the future.", "Write it down once it was.")
        : null;

    private static Finding Of(string seen, string act) =>
        Finding.Stop("training-incomplete", seen, "A training says what, when and by whom.", act);
}
