using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Application.Trends;

/// <summary>A series of a station, ready to be looked at.</summary>
/// <param name="Subject">What it is of.</param>
/// <param name="Window">Months that count, and how many values a year needs, by its programme.</param>
/// <param name="Points">Oldest first.</param>
/// <param name="Joins">Changes of method across which it is joined.</param>
public sealed record StationSeries(
    Parameter Subject,
    SummarySettings Window,
    IReadOnlyList<SeriesPoint> Points,
    IReadOnlyList<DateOnly> Joins
)
{
    /// <summary>Its name in a sentence.</summary>
    public string Name => (Described ?? Subjects.Of(Subject)).Name;

    /// <summary>What is known of its subject where it is of a group’s own protocol; null for what is built in.</summary>
    public ParameterDescription? Described { get; init; }

    /// <summary>The mean of the last results that it is judged by; null where it is not.</summary>
    public RunningRequest? Running { get; init; }

    /// <summary>The question that is put to it.</summary>
    /// <param name="native">The unit in which depths were read.</param>
    /// <param name="reader">Unit for the words.</param>
    public TrendRequest Ask(LengthUnit native = LengthUnit.Metre, ReaderUnit reader = ReaderUnit.AsRead) =>
        new(Subject, Points, Window, Joins: Joins, Native: native, Reader: reader) { Running = Running, Described = Described };
}
