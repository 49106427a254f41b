using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.History;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Record.Parts;

/// <summary>An entry with its body read.</summary>
internal sealed record Read<T>(Entry Entry, T Body);

/// <summary>A visit being folded: what the parts of the sheet share.</summary>
internal sealed class SheetDraft(FoldRequest request, BottlesOf bottles)
{
    private readonly Dictionary<EntryKind, object> read = [];
    private readonly Dictionary<Type, object> sections = [];
    private IReadOnlyList<PlannedSample>? planned;
    private Lazy<(decimal LowC, decimal HighC)?>? usual;

    internal EntryLog Log { get; } = EntryLog.Settle(request.Entries);

    internal VisitContext Context => request.Context;

    /// <summary>Which bottles a protocol fills.</summary>
    internal BottlesOf Bottles => bottles;

    /// <summary>What the visit is to fill, by what is due; nothing before it is begun.</summary>
    internal IReadOnlyList<PlannedSample> Planned =>
        planned ??=
            Start is { Body.Due: { } due } && Day is { } day
                ? PlannedSamples.Of(Labelled, Context.Programme, [.. due], day, bottles, Start.Body.Series)
                : [];

    /// <summary>The steps of the parts that were folded so far.</summary>
    internal Func<IReadOnlyList<PartStep>> StepsSoFar { get; init; } = () => [];

    /// <summary>Questions that are answered on another page of this visit.</summary>
    internal IReadOnlySet<string> AnsweredElsewhere { get; set; } = new HashSet<string>();

    internal ReaderUnit Reader => request.Reader;

    internal List<Finding> Findings { get; } = [];

    /// <summary>The beginning that stands, the oldest.</summary>
    internal Read<VisitStartedBody>? Start => First(VisitKinds.VisitStarted);

    internal Line? Line { get; set; }

    /// <summary>The station by which bottles are numbered: a visit that was moved keeps the labels it was made with.</summary>
    internal Station Labelled => Start is { } start ? Context.Station with { Code = start.Body.Station } : Context.Station;

    /// <summary>The local day of the visit.</summary>
    internal DateOnly? Day => Start is { } start ? DateOnly.FromDateTime(start.Entry.At.DateTime) : null;

    /// <summary>True where the visit asks for more than sounding and clarity.</summary>
    internal bool Asks => Start?.Body.Due is not null;

    /// <summary>True where it comes from an old table: what was not written then cannot be asked for now.</summary>
    internal bool Imported => Start?.Body.Import is not null;

    /// <summary>True once the depth of the water is written: from then on what the head of the sheet lacks is missing.</summary>
    internal bool UnderWay { get; set; }

    /// <summary>The station's last visit before this one.</summary>
    internal DateOnly? LastDay => Context.LastDay ?? (Day is { } day ? MonthHistory.LastBefore(Context.History, day) : null);

    /// <summary>The unit of the line; before one is chosen, that of the station's known depth.</summary>
    internal LengthUnit Native => Line?.Unit ?? Context.Station.NativeUnit();

    /// <summary>Adds what a part has folded, for the parts after it and for the sheet.</summary>
    internal void Add<T>(T section)
        where T : class => sections[typeof(T)] = section;

    /// <summary>What an earlier part has folded; null where it had nothing to say.</summary>
    internal T? Section<T>()
        where T : class => sections.GetValueOrDefault(typeof(T)) as T;

    internal IReadOnlyList<Read<T>> Standing<T>(EntryKind<T> kind)
        where T : class
    {
        // Many parts of the sheet ask for the same kind; a body is read once.
        if (read.TryGetValue(kind, out var known))
        {
            return (IReadOnlyList<Read<T>>)known;
        }

        List<Read<T>> bodies = [];
        foreach (var entry in Log.StandingOf(kind.Name))
        {
            if (kind.Read(entry) is { } body)
            {
                bodies.Add(new Read<T>(entry, body));
            }
        }

        read[kind] = bodies;
        return bodies;
    }

    /// <summary>True where today's plan has the protocol.</summary>
    internal bool Wants(Protocol protocol) => Start?.Body.Due?.Contains(protocol) == true;

    /// <summary>The newest standing entry of a kind.</summary>
    internal Read<T>? Latest<T>(EntryKind<T> kind)
        where T : class => Standing(kind) is { Count: > 0 } standing ? standing[^1] : null;

    /// <summary>The oldest standing entry of a kind.</summary>
    internal Read<T>? First<T>(EntryKind<T> kind)
        where T : class => Standing(kind) is { Count: > 0 } standing ? standing[0] : null;

    /// <summary>The reason given for going on in spite of a finding; null while it is open.</summary>
    internal string? AnswerTo(Finding finding) =>
        finding.Kept
        ?? (
            finding.NoWayRound
                ? null
                : Standing(VisitKinds.Kept)
                    .LastOrDefault(a => a.Body.Finding == finding.Code && a.Body.About.ToHashSet().SetEquals(finding.About))
                    ?.Entry.Why
        );

    /// <summary>True where no open stop stands beside any of these.</summary>
    internal bool Free(params Beside[] places) =>
        !Findings.Exists(f => f.Level == FindingLevel.Stop && places.Contains(f.Beside) && AnswerTo(f) is null);

    /// <summary>When the newest entry was written.</summary>
    internal DateTimeOffset? LastAt => Log.All.Count > 0 ? Log.All[^1].At : null;

    /// <summary>Coldest and warmest of this month in earlier years, °C; null where too few are known.</summary>
    internal (decimal LowC, decimal HighC)? UsualTemperatures =>
        (usual ??= new(() => MonthTemperatures.Usual(Context.Temperatures, Day))).Value;

    internal string Show(decimal metres) => LengthText.Show(metres, Native, Reader);

    internal string Show(Length length) => LengthText.Show(length, Reader);

    /// <summary>Two standing values for one box: from two devices, or called twice on one.</summary>
    internal void Disagreement(Beside beside, string what, IReadOnlyList<Entry> entries, Func<Entry, string> words, string? at = null)
    {
        if (entries.Count < 2)
        {
            return;
        }

        var (first, last) = (entries[0], entries[^1]);
        var (a, b) = (words(first), words(last));
        if (a == b)
        {
            return;
        }

        Findings.Add(
            (
                first.Device == last.Device
                    ? Finding.Check(
                        "number-called-twice",
                        $"Two numbers for {what}: {a} and {b}.",
                        "One was misheard or corrected; the later stands for now.",
                        "Read back digit by digit and strike the wrong one."
                    )
                    : Finding.Check(
                        "devices-disagree",
                        $"{a} on {first.Device}, {b} on {last.Device}.",
                        "Nothing was dropped; the later stands for now.",
                        "Choose one and strike the other."
                    )
            ) with
            {
                Beside = beside,
                About = [.. entries.Select(e => e.Id)],
                At = at,
            }
        );
    }
}
