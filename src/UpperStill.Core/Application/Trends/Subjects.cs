using UpperStill.Core.Application.Visits;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Statistics;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Application.Trends;

/// <summary>What series may be of: whatever a part of a visit gives to the record.</summary>
public static class Subjects
{
    private const int LeastUsual = 3;

    private static readonly ParameterDescription Any = new()
    {
        Code = Parameter.Value,
        Name = "the values",
        Unit = string.Empty,
        Decimals = 2,
        Rising = "The values rise: {0} more each decade.",
        Falling = "The values fall: {0} less each decade.",
    };

    private static readonly Dictionary<Parameter, ParameterDescription> Known = VisitParts.Parameters.Append(Any).ToDictionary(p => p.Code);

    // Where a parameter was taken at several places of a visit, the first of these is followed; the whole goes before its kinds.
    private static readonly string[] Places = [string.Empty, "composite", "surface"];

    /// <summary>What a station measures: everything but a pasted table.</summary>
    public static IReadOnlyList<Parameter> Measured { get; } = [.. VisitParts.Parameters.Select(p => p.Code)];

    /// <summary>What people who live by a water ask after.</summary>
    public static IReadOnlyList<Parameter> AskedAfter { get; } = [.. VisitParts.Parameters.Where(p => p.AskedAfter).Select(p => p.Code)];

    /// <summary>Everything that is measured, with its name.</summary>
    public static IReadOnlyList<SubjectName> Names { get; } = [.. VisitParts.Parameters.Select(p => new SubjectName(p.Code, p.Name))];

    /// <summary>What is known of a parameter; of one that this build does not know, its code.</summary>
    public static ParameterDescription Of(Parameter parameter) =>
        Known.TryGetValue(parameter, out var known)
            ? known
            : new ParameterDescription
            {
                Code = parameter,
                Name = parameter.Code.Replace('-', ' '),
                Unit = string.Empty,
            };

    /// <summary>The code under which its readings are kept.</summary>
    public static string ReadingCode(Parameter parameter) => Of(parameter).Analyte ?? parameter.Code;

    /// <summary>Which of a parameter's values of one visit is followed: the whole's, else the composite's, else the surface's, else the
    /// first by name.</summary>
    /// <param name="values">The values, at least one.</param>
    /// <param name="place">Where one was taken, or what it is of.</param>
    public static T Followed<T>(IEnumerable<T> values, Func<T, string> place) =>
        values
            .OrderBy(v => Array.IndexOf(Places, place(v)) is >= 0 and var at ? at : Places.Length)
            .ThenBy(place, StringComparer.Ordinal)
            .First();

    /// <summary>The months and the least count by which a programme sums a parameter up.</summary>
    public static SummarySettings Window(ParameterDescription parameter, Programme programme)
    {
        ArgumentNullException.ThrowIfNull(parameter);
        ArgumentNullException.ThrowIfNull(programme);
        return parameter.Protocol is not { } protocol ? programme.Summary
            : (programme.Season ?? []).FirstOrDefault(p => p.Protocol == protocol) is { } plan ? Planned(plan)
            : programme.Summary with { LeastReadings = LeastUsual };
    }

    /// <summary>What of a station is looked at first: clarity where it is asked for or was read; else what its visits gave.</summary>
    /// <param name="programme">The station's programme.</param>
    /// <param name="read">What was read there, in the order in which it is shown.</param>
    public static Parameter First(Programme programme, IReadOnlyList<Parameter> read)
    {
        ArgumentNullException.ThrowIfNull(programme);
        return programme.AsksClarity() || read.Count == 0 || read.Contains(Parameter.Clarity) ? Parameter.Clarity : read[0];
    }

    /// <summary>The mean of the last results by which a programme judges a parameter; null where it does not.</summary>
    public static RunningRequest? Running(ParameterDescription parameter, Programme programme)
    {
        ArgumentNullException.ThrowIfNull(parameter);
        return parameter.Running is { } running ? new RunningRequest(running.Count, running.WithinDays(programme)) : null;
    }

    private static SummarySettings Planned(ProtocolPlan plan) =>
        new(
            plan.From.Month,
            plan.Until.Month,
            plan.Least > 0 ? plan.Least
                : plan.Rhythm == Rhythm.Once ? 1
                : LeastUsual
        );
}

/// <summary>What can be looked at, for a choice.</summary>
/// <param name="Code">Its code.</param>
/// <param name="Name">Its name in a sentence.</param>
public sealed record SubjectName(Parameter Code, string Name);
