using System.Globalization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Application.Trends;

/// <summary>A trend in plain words.</summary>
internal sealed class TrendWords(TrendRequest request, ParameterDescription subject)
{
    private static readonly string[] Months = CultureInfo.InvariantCulture.DateTimeFormat.MonthNames;

    private static readonly string[] Small =
    [
        "One",
        "Two",
        "Three",
        "Four",
        "Five",
        "Six",
        "Seven",
        "Eight",
        "Nine",
        "Ten",
        "Eleven",
        "Twelve",
        "Thirteen",
        "Fourteen",
        "Fifteen",
        "Sixteen",
        "Seventeen",
        "Eighteen",
        "Nineteen",
        "Twenty",
    ];

    private bool Feet =>
        subject.Hanging
        && (request.Reader == ReaderUnit.Feet || (request.Reader == ReaderUnit.AsRead && Length.IsFootBased(request.Native)));

    /// <summary>A value for the reader.</summary>
    internal string Value(decimal value) =>
        subject.Hanging
            ? LengthText.Show(value, request.Native, request.Reader)
            : $"{Decimals.Fixed(value, subject.Decimals)} {subject.Unit}".TrimEnd();

    /// <summary>An amount of change for the reader, without its sign.</summary>
    internal string Amount(double change) => $"{Bare(change)} {(Feet ? "ft" : subject.Unit)}".TrimEnd();

    private string Rising => subject.Rising ?? Sentence.Begun(subject.Name) + " is rising: {0} more each decade.";

    private string Falling => subject.Falling ?? Sentence.Begun(subject.Name) + " is falling: {0} less each decade.";

    private string Bare(double change)
    {
        var size = Math.Abs(change) / (Feet ? 0.3048 : 1);

        // Two figures that count, never finer than makes sense.
        var decimals = Math.Clamp(1 - (size > 0 ? (int)Math.Floor(Math.Log10(size)) : 0), 0, Feet ? 1 : Math.Max(1, subject.Decimals));
        return Decimals.Fixed((decimal)size, decimals);
    }

    internal string Point(SeriesPoint point) =>
        point.Text is { } text && request.Reader == ReaderUnit.AsRead
            ? text
            : point.Censored switch
            {
                Censoring.Above => "> ",
                Censoring.Below => "< ",
                _ => string.Empty,
            } + Value(point.Value);

    internal string Window() =>
        request.Window.FromMonth == 1 && request.Window.UntilMonth == 12 ? "the whole year"
        : request.Window.FromMonth == request.Window.UntilMonth ? Months[request.Window.FromMonth - 1]
        : $"{Months[request.Window.FromMonth - 1]} to {Months[request.Window.UntilMonth - 1]}";

    internal string Headline(TrendVerdict verdict, TestNumbers? test, int years) =>
        verdict switch
        {
            TrendVerdict.Rising or TrendVerdict.Falling when test!.PerDecade is { } slope => string.Format(
                CultureInfo.InvariantCulture,
                verdict == TrendVerdict.Rising ? Rising : Falling,
                Amount(slope)
            ),
            TrendVerdict.Rising => $"{Sentence.Begun(subject.Name)} is rising; by how much cannot be said.",
            TrendVerdict.Falling => $"{Sentence.Begun(subject.Name)} is falling; by how much cannot be said.",
            TrendVerdict.Mixed => $"The months go different ways: no one trend of {subject.Name} holds for all of them.",
            TrendVerdict.Censored => $"Whether {subject.Name} changes cannot be told: too many values lie beyond a limit.",
            TrendVerdict.None => $"No change in {subject.Name} that could be told from chance.",
            _ => years == 0
                ? $"Nothing on {subject.Name} yet that a trend could rest on."
                : $"Too early to say whether {subject.Name} changes.",
        };

    internal string Detail(TrendVerdict verdict, TestNumbers? test, TestNumbers? seasonal, IReadOnlyList<YearSummary> years, bool earlier)
    {
        if (verdict == TrendVerdict.TooFew)
        {
            return $"{(years.Count == 0 ? "No year" : years.Count == 1 ? "1 year" : $"{years.Count} years")} with enough values "
                + $"({Window()}, {request.Window.LeastReadings} each); a trend needs {request.LeastYears}.";
        }

        var sure = $"p {P(test!.P)}";
        var from =
            $"{Count(years.Count)} years, {years[0].Name} to {years[^1].Name}, "
            + $"{Window()}.{(earlier ? " By the method of before: the new one has too few years yet." : string.Empty)}";
        var limits = test.LowPerDecade is { } low && test.HighPerDecade is { } high ? (low, high) : ((double, double)?)null;
        return verdict switch
        {
            TrendVerdict.Rising or TrendVerdict.Falling =>
                $"{(limits is var (a, b) ? $"Between {Span(a, b)} with 95 % confidence; unlikely" : "Unlikely")} to be chance "
                    + $"({sure}). {from}",
            TrendVerdict.Mixed => $"{MonthsApart(seasonal!)}; they differ by more than chance allows. {from}",
            TrendVerdict.Censored =>
                $"The order of only {Decimals.Fixed((decimal)(100 * test.CertainShare), 0)} % of the pairs of years is certain. {from}",
            _ =>
                $"{(test.PerDecade is { } slope ? $"The slope is {Signed(slope)} per decade{(limits is var (c, d) ? $" ({Signed(c)} to {Signed(d)})" : string.Empty)}, which chance explains" : "Chance explains what is seen")} ({sure}). {from}",
        };
    }

    internal string Would(decimal asked, int? needed, int? from, int? until, int have, double? shown)
    {
        var amount = Amount((double)asked);
        var change = $"a change of {amount} per decade";

        // The scatter of few years is itself only roughly known.
        var span =
            until is { } most && from == most ? $"{most} years"
            : until is { } upper ? $"{from} to {upper} years"
            : $"{from} years or more";
        return shown is { } slope && Math.Abs(slope) > (double)asked && needed > have
                ? $"The change seen is faster than {amount} per decade, which with this scatter would take {span} to see; you have {have}."
            : from is null ? $"With this scatter {change} would not show within {YearsToKnow.Most} years. You have {have}."
            : have >= until ? $"With this scatter {change} shows after {span}. You have {have}: enough to see it if it were there."
            : have >= from ? $"With this scatter it takes {span} to see {change}. You have {have}: it may be enough."
            : $"With this scatter it takes {span} to see {change}. You have {have}: "
                + $"{(until is { } last ? $"{from - have} to {last - have}" : $"at least {from - have}")} more.";
    }

    internal static string Break(SeriesBreak change)
    {
        // The disc is named only where it is what changed.
        var ((before, oldDisc), (after, newDisc)) = (Parts(change.Before), Parts(change.After));
        var (was, now) =
            oldDisc == newDisc || oldDisc is null || newDisc is null ? (before, after) : ($"{before}, {oldDisc}", $"{after}, {newDisc}");
        var day = change.Day.ToString("d MMMM yyyy", CultureInfo.InvariantCulture);
        return change.Joined
            ? $"Joined across {day}, where {was} became {now}: what differs between them is in the trend."
            : $"Another method since {day}: {now}; before, {was}. The two stand by themselves.";

        static (string, string?) Parts(string method) => method.Split("; ", 2) is [var how, var disc] ? (how, disc) : (method, null);
    }

    internal string Few(IReadOnlyList<YearSummary> few, AnnualStatistic statistic) =>
        few.Count == 1
            ? $"{few[0].Name} has {few[0].Count} of {request.Window.LeastReadings}: no {statistic.Words()}."
            : $"{string.Join(", ", few.Select(y => $"{y.Name} ({y.Count})"))}: fewer than {request.Window.LeastReadings}, no "
                + $"{statistic.Words()}.";

    /// <summary>How the years stand to a limit. A censored value keeps or breaks it only where that is certain.</summary>
    internal string Limit(TrendLimit limit, IReadOnlyList<YearSummary> years)
    {
        var told = years
            .Where(y => y.Value is not null)
            .Select(y => (Year: y, Kept: limit.KeptBy(y.Value!.Value, y.Censored)))
            .Where(y => y.Kept is not null)
            .ToList();
        return told.Count == 0
            ? $"{Sign(limit)} {Value(limit.Value)}: no year can be held against it."
            : $"{Sign(limit)} {Value(limit.Value)}: {told[^1].Year.Name} {(told[^1].Kept == true ? "keeps" : "does not keep")} it; "
                + $"{told.Count(y => y.Kept == true)} of {told.Count} years do.";

        static string Sign(TrendLimit limit) => limit.Above ? "At least" : "At most";
    }

    internal string CensoredShare(int censored, int count) =>
        request.Subject == Parameter.Clarity
            ? $"In {censored} of {count} readings the disc lay on the bottom: the water was clearer than it is deep."
            : $"{censored} of {count} values lie {(request.Points.Any(p => p.Censored == Censoring.Above) ? "beyond" : "below")} "
                + "what the laboratory can see.";

    /// <summary>A probability as it is printed.</summary>
    internal static string P(double p) =>
        p < 0.0001 ? "< 0.0001" : $"= {p.ToString(p < 0.01 ? "0.0000" : "0.000", CultureInfo.InvariantCulture)}";

    internal string Signed(double change) => $"{(change < 0 ? "−" : string.Empty)}{Amount(change)}";

    private string Span(double low, double high) =>
        low * high >= 0
            ? $"{Bare(Math.Min(Math.Abs(low), Math.Abs(high)))} and {Amount(Math.Max(Math.Abs(low), Math.Abs(high)))}"
            : $"{Signed(low)} and {Signed(high)}";

    private static string Count(int count) => count <= Small.Length ? Small[count - 1] : count.ToString(CultureInfo.InvariantCulture);

    // The months whose own years move, in words.
    private static string MonthsApart(TestNumbers test)
    {
        string Names(Func<SeasonNumbers, bool> which) =>
            string.Join(" and ", (test.Seasons ?? []).Where(which).Select(s => Months[s.Month - 1]));
        return $"{Names(s => s.Z > 1)} rising, {Names(s => s.Z < -1)} falling";
    }
}
