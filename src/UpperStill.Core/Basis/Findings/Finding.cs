using System.Text.Json.Serialization;

namespace UpperStill.Core.Basis.Findings;

/// <summary>How much a finding holds up the work.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<FindingLevel>))]
public enum FindingLevel
{
    /// <summary>Kept for the reader.</summary>
    [JsonStringEnumMemberName("note")]
    Note,

    /// <summary>Shown; the work may go on; stays open for review.</summary>
    [JsonStringEnumMemberName("check")]
    Check,

    /// <summary>To be answered before the next step: read again, strike, or give a reason.</summary>
    [JsonStringEnumMemberName("stop")]
    Stop,
}

/// <summary>Where on the page a finding's words stand.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<Beside>))]
public enum Beside
{
    /// <summary>The box being typed in.</summary>
    [JsonStringEnumMemberName("entry")]
    Entry,

    /// <summary>The head of the visit.</summary>
    [JsonStringEnumMemberName("header")]
    Header,

    /// <summary>The sounding.</summary>
    [JsonStringEnumMemberName("sounding")]
    Sounding,

    /// <summary>The clarity reading.</summary>
    [JsonStringEnumMemberName("clarity")]
    Clarity,

    /// <summary>The composite's depth.</summary>
    [JsonStringEnumMemberName("composite")]
    Composite,

    /// <summary>The profile, or one level of it.</summary>
    [JsonStringEnumMemberName("profile")]
    Profile,

    /// <summary>The bottles at a depth.</summary>
    [JsonStringEnumMemberName("bottles")]
    Bottles,

    /// <summary>Filtering.</summary>
    [JsonStringEnumMemberName("filtering")]
    Filtering,

    /// <summary>The label.</summary>
    [JsonStringEnumMemberName("label")]
    Label,

    /// <summary>Putting a sample away.</summary>
    [JsonStringEnumMemberName("storing")]
    Storing,

    /// <summary>The sample in the ledger.</summary>
    [JsonStringEnumMemberName("sample")]
    Sample,

    /// <summary>Handing samples over, and their arrival.</summary>
    [JsonStringEnumMemberName("hand-over")]
    HandOver,

    /// <summary>A result.</summary>
    [JsonStringEnumMemberName("result")]
    Result,

    /// <summary>A value of a described protocol; where, its address says.</summary>
    [JsonStringEnumMemberName("observation")]
    Observation,

    /// <summary>Leaving the station.</summary>
    [JsonStringEnumMemberName("leaving")]
    Leaving,
}

/// <summary>Something the reader should know about an entry: what was seen, why it matters, what to do. The entry is kept as written in
/// every case.</summary>
/// <param name="Code">The check's code; programmes set its limits under the same name.</param>
/// <param name="Level">Note, check or stop.</param>
/// <param name="Seen">What was seen, in one sentence.</param>
/// <param name="Why">Why it matters.</param>
/// <param name="Act">What to do.</param>
/// <param name="Beside">Where the words stand.</param>
/// <param name="About">The entries it speaks of, by id; empty where it speaks of none.</param>
/// <param name="NoWayRound">True where no reason lets the work go on, because a record would be lost.</param>
/// <param name="Kept">The reason given for going on all the same, or what settled it; null while it is open.</param>
/// <param name="At">Beside a described protocol, the address: protocol / step / item / try / field.</param>
public sealed record Finding(
    string Code,
    FindingLevel Level,
    string Seen,
    string Why,
    string Act,
    Beside Beside,
    IReadOnlyList<Guid> About,
    bool NoWayRound,
    string? Kept = null,
    string? At = null
)
{
    /// <summary>Of a visit: the step on whose page it is answered; null where none is.</summary>
    public string? Step { get; init; }

    /// <summary>Of a visit: the ways to mend it, the likeliest first; null where there is none.</summary>
    public IReadOnlyList<Repair>? Repairs { get; init; }

    /// <summary>Reasons commonly given for going on in spite of it.</summary>
    public IReadOnlyList<string> Reasons => Level == FindingLevel.Note ? [] : KeptReasons.For(Code);

    /// <summary>A finding that must be answered before the next step.</summary>
    public static Finding Stop(string code, string seen, string why, string act) => Of(code, FindingLevel.Stop, seen, why, act);

    /// <summary>A finding that is shown and stays open for review.</summary>
    public static Finding Check(string code, string seen, string why, string act) => Of(code, FindingLevel.Check, seen, why, act);

    /// <summary>A finding kept for the reader.</summary>
    public static Finding Note(string code, string seen, string why, string act) => Of(code, FindingLevel.Note, seen, why, act);

    /// <summary>The same finding, beside a part of the page and about these entries.</summary>
    internal Finding On(Beside beside, params IEnumerable<Guid> about) => this with { Beside = beside, About = [.. about] };

    /// <summary>The same finding, ended by something that was done later; both entries stay.</summary>
    /// <param name="how">By what, in a few words.</param>
    internal Finding Settled(string how) => NoWayRound ? this : this with { Kept = how };

    private static Finding Of(string code, FindingLevel level, string seen, string why, string act) =>
        new(code, level, seen, why, act, Beside.Entry, [], false);
}
