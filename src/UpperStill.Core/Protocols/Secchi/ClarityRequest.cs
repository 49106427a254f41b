using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Record.History;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.People;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Secchi;

/// <summary>One mark, with the entry it was written in.</summary>
/// <param name="Lowering">Which lowering, from 1.</param>
/// <param name="Event">Lost or seen again.</param>
/// <param name="Depth">The mark as read.</param>
/// <param name="Observer">Who looked.</param>
/// <param name="Entry">The entry, where there is one.</param>
/// <param name="ObserverId">Who that is; null in entries of earlier builds.</param>
public sealed record DiscMark(
    [property: Within(1, 99)] int Lowering,
    DiscEvent Event,
    WrittenLength Depth,
    string? Observer = null,
    Guid? Entry = null,
    Guid? ObserverId = null
)
{
    /// <summary>Who looked.</summary>
    [JsonIgnore]
    public NamedPerson? By => Observer is null ? null : new NamedPerson(ObserverId, Observer);
}

/// <summary>Everything a clarity is judged by.</summary>
/// <param name="Settings">The programme's method.</param>
/// <param name="Marks">The standing marks.</param>
/// <param name="Outcome">A special outcome, which stands before any mark.</param>
/// <param name="OutcomeReason">Its reason, for "not taken".</param>
/// <param name="Sounding">Today's sounding as read.</param>
/// <param name="Line">The line; null where it is not known.</param>
/// <param name="Checks">Limits of the checks.</param>
/// <param name="Day">Local day of the reading; needed for the comparison with the month's history.</param>
/// <param name="History">The station's record; only usable values of earlier days are compared with.</param>
/// <param name="Reader">Unit for the words.</param>
public sealed record ClarityRequest(
    ClaritySettings Settings,
    IReadOnlyList<DiscMark> Marks,
    DiscOutcome? Outcome = null,
    string? OutcomeReason = null,
    WrittenLength? Sounding = null,
    Line? Line = null,
    CheckLimits? Checks = null,
    DateOnly? Day = null,
    IReadOnlyList<ClarityPoint>? History = null,
    ReaderUnit Reader = ReaderUnit.AsRead
)
{
    /// <summary>Everybody with an account, to tell observers apart.</summary>
    public IReadOnlyList<PersonNames>? People { get; init; }

    /// <summary>True where only the middle of the folded line is read.</summary>
    public bool Folded { get; init; }

    /// <summary>True where the marks of one lowering give the clarity; of several the last.</summary>
    public bool OneLowering { get; init; }

    /// <summary>The method in words.</summary>
    internal string Words =>
        (Folded, OneLowering) switch
        {
            (true, _) => "The middle of the line folded between where it was lost and seen again; of several the mean",
            (_, true) => "Down and up of one lowering: the mean of its two marks; of several lowerings the last",
            _ => Settings.Words,
        };
}

/// <summary>One lowering worked out.</summary>
/// <param name="Lowering">Which, from 1.</param>
/// <param name="Observer">Who looked.</param>
/// <param name="DepthM">The reading, unrounded, m.</param>
/// <param name="Text">The reading for the reader.</param>
public sealed record ClarityReading(int Lowering, string? Observer, decimal DepthM, string Text);

/// <summary>A clarity (Secchi depth) worked out.</summary>
/// <param name="Readings">Complete lowerings.</param>
/// <param name="Needed">Lowerings the programme asks for.</param>
/// <param name="Findings">What to look at.</param>
/// <param name="MeanM">Mean of the unrounded readings, m; null where there is none.</param>
/// <param name="MeanText">The mean for the reader.</param>
/// <param name="ClarityM">Reported clarity, m, rounded once; the sounding where <paramref name="Censored"/>; null where there is
/// none.</param>
/// <param name="Text">Reported clarity in words and numbers, "&gt; 2.6 m" where censored.</param>
/// <param name="Censored">True where the disc was seen on the bottom: the clarity is greater than the value.</param>
/// <param name="Working">How it came about.</param>
/// <param name="Compared">The value beside the same month of earlier years.</param>
public sealed record ClarityResult(
    IReadOnlyList<ClarityReading> Readings,
    int Needed,
    IReadOnlyList<Finding> Findings,
    decimal? MeanM = null,
    string? MeanText = null,
    decimal? ClarityM = null,
    string? Text = null,
    bool Censored = false,
    Working? Working = null,
    MonthBand? Compared = null
)
{
    /// <summary>Where the line's check corrects the reading: what the marks alone would have given.</summary>
    public string? AsReadText { get; init; }

    /// <summary>The same before rounding, m.</summary>
    public decimal? AsReadM { get; init; }
}

/// <summary>The same month in earlier years.</summary>
/// <param name="Month">1–12.</param>
/// <param name="Count">How many uncensored values.</param>
/// <param name="LowM">Shallowest, m.</param>
/// <param name="HighM">Deepest, m.</param>
/// <param name="MedianM">Median, m.</param>
/// <param name="Text">The band in words.</param>
public sealed record MonthBand(int Month, int Count, decimal LowM, decimal HighM, decimal MedianM, string Text);
