using System.Globalization;
using UpperStill.Core.Setup.Composed;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Protocols.Custody;

/// <summary>A number that is wanted for a sample beside the plan.</summary>
/// <param name="Of">The sample that it belongs to.</param>
/// <param name="Kin">What it is to it.</param>
/// <param name="Type">The new one's sample type.</param>
/// <param name="Taken">Numbers of the visit's samples so far.</param>
public sealed record NewNumberRequest(string Of, SampleKin Kin, string Type, IReadOnlyList<string> Taken);

/// <summary>The number.</summary>
/// <param name="Number">As it stands on the label; null where the sample or the type is not known.</param>
public sealed record NewNumberResult(string? Number = null)
{
    /// <summary>The next free number: R, R2, … for a replicate, the next count of its letter otherwise.</summary>
    public static NewNumberResult Work(NewNumberRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var parts = SampleNumber.Body(request.Of).Split('-');
        if (parts.Length < 3 || LetterOf(request.Type) is not { } own)
        {
            return new NewNumberResult();
        }

        var taken = request.Taken.Select(SampleNumber.Body).ToHashSet(StringComparer.OrdinalIgnoreCase);
        var head = string.Join('-', parts[..^1]);
        var letter = request.Kin == SampleKin.Blank ? "Q" : own;
        var first = request.Kin == SampleKin.Replicate ? $"{head}-{parts[^1].Split('R')[0]}R" : $"{head}-{letter}";
        var number = Enumerable
            .Range(1, 999)
            .Select(n => request.Kin == SampleKin.Replicate && n == 1 ? first : first + n.ToString(CultureInfo.InvariantCulture))
            .First(n => !taken.Contains(n));
        return new NewNumberResult(SampleNumber.Checked(number));
    }

    private static string? LetterOf(string type) =>
        SampleTypes.Find(type)?.Letter ?? (type.StartsWith(ComposedCodes.Prefix, StringComparison.Ordinal) ? ComposedSample.Letter : null);
}
