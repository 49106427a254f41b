using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Filtering;

/// <summary>One filter worked out from its entries, with its checks.</summary>
internal sealed class FilterPart
{
    internal const decimal SyringeMl = 60;
    private const decimal FillMl = 50;
    private const decimal FunnelMl = 2000;
    private const decimal SecondsPerFill = 35;
    internal const decimal MostVacuumKpa = 20;

    private readonly Programme programme;
    private readonly IReadOnlyList<Read<FilterBody>> answers;
    private readonly IReadOnlyList<Read<FilterFillBody>> fills;

    internal FilterPart(
        Programme programme,
        string number,
        IReadOnlyList<Read<FilterBody>> answers,
        IReadOnlyList<Read<FilterFillBody>> fills
    )
    {
        (this.programme, this.answers, this.fills) = (programme, answers, fills);
        Answers = answers.Aggregate(new FilterBody(number), (all, one) => Merge(all, one.Body));
        Fills = [.. fills.Select(f => new FilterFill(f.Entry.Id, Words(f.Body), Through(f.Body).Ml, f.Body.Seconds))];
        TotalMl = Fills.Sum(f => f.ThroughMl ?? 0);
    }

    internal FilterBody Answers { get; }

    internal IReadOnlyList<FilterFill> Fills { get; }

    internal decimal TotalMl { get; }

    /// <summary>The entry that ended it: folded, in its vial.</summary>
    internal Entry? Ended => answers.LastOrDefault(a => a.Body.Folded == true)?.Entry;

    internal Entry? First => answers.Select(a => a.Entry).Concat(fills.Select(f => f.Entry)).MinBy(e => e.At.UtcTicks);

    internal FilterRun Run(Programme programme, bool labelled, bool stored)
    {
        var next =
            Answers.From is null || Answers.By is null ? FilterStep.Begin
            : Answers.WhiteDisc is null && Ended is null ? FilterStep.Disc
            : Answers.Rinsed is null && Ended is null ? FilterStep.Rinse
            : Ended is null ? FilterStep.Fills
            : !labelled ? FilterStep.Label
            : !stored ? FilterStep.Store
            : FilterStep.Done;
        var sum =
            Fills.Count > 1 ? $"{string.Join(" + ", Fills.Select(f => f.ThroughMl is { } ml ? Decimals.Text(ml) : "?"))} = " : string.Empty;
        return new FilterRun(
            next,
            Answers,
            Fills,
            TotalMl,
            $"{sum}{Decimals.Text(TotalMl)} mL",
            fills.Any(f => f.Body.Clogged == true),
            Answers.By == FilterBy.Pump ? 0 : FillMl
        )
        {
            Pace = FilteringOptions.Push(programme),
        };
    }

    internal IEnumerable<Finding> Findings(DateTimeOffset? collected)
    {
        foreach (
            var outside in answers
                .Select(a => (Kind: (EntryKind)FilterKinds.Filter, a.Entry))
                .Concat(fills.Select(f => (Kind: (EntryKind)FilterKinds.FilterFill, f.Entry)))
                .Select(e => RangeChecks.Of(e.Kind, e.Entry, ReaderUnit.AsRead, Beside.Filtering))
        )
        {
            if (outside is not null)
            {
                yield return outside;
            }
        }

        foreach (var fill in fills)
        {
            foreach (var finding in Of(fill.Body))
            {
                yield return finding.On(Beside.Filtering, fill.Entry.Id);
            }
        }

        if (fills.Count > 0 && Answers.WhiteDisc != true)
        {
            yield return Finding
                .Check(
                    "filter-which",
                    "The white disc is not confirmed.",
                    "Glossy, opaque and white is the filter; the tinted or tissue-like sheet is the separator, and lets the algae through.",
                    "Which is in the holder?"
                )
                .On(Beside.Filtering, About(a => a.WhiteDisc));
        }

        string[] harm =
        [
            .. new[]
            {
                Answers.Torn == true ? "torn" : null,
                Answers.Leaked == true ? "leaked at the rim" : null,
                Answers.Fingers == true ? "touched with fingers" : null,
                Answers.Dropped == true ? "dropped" : null,
            }.OfType<string>(),
        ];
        if (harm.Length > 0)
        {
            yield return Finding
                .Check(
                    "filter-damaged",
                    $"The filter was {string.Join(", ", harm)}.",
                    "Algae are lost or added.",
                    "Filter again if water is left; else keep it marked."
                )
                .On(
                    Beside.Filtering,
                    answers
                        .Where(a => a.Body.Torn == true || a.Body.Leaked == true || a.Body.Fingers == true || a.Body.Dropped == true)
                        .Select(a => a.Entry.Id)
                );
        }

        if (
            Answers.LightMin is { } light
            && NumberText.Read(light).Value is { } minutes
            && minutes > programme.Of(FilteringOptions.FilterInLight)
        )
        {
            yield return Finding
                .Check(
                    "filter-in-light",
                    $"{Decimals.Text(minutes)} min in direct light.",
                    "Light bleaches chlorophyll.",
                    "Shade, wrap, note it."
                )
                .On(Beside.Filtering, About(a => a.LightMin));
        }

        if (Answers.VacuumKpa is { } vacuum && NumberText.Read(vacuum).Value is { } kpa && kpa > MostVacuumKpa)
        {
            yield return Finding
                .Check(
                    "filter-vacuum",
                    $"{Decimals.Text(kpa)} kPa of vacuum.",
                    $"Above {Decimals.Text(MostVacuumKpa)} kPa cells break and go through.",
                    "Less vacuum; filter again if water is left."
                )
                .On(Beside.Filtering, About(a => a.VacuumKpa));
        }

        if (Late(collected) is { } late)
        {
            yield return late.On(Beside.Filtering);
        }

        if (Ended is { } ended && TotalMl < programme.Of(FilteringOptions.VolumeLow))
        {
            yield return Finding
                .Check(
                    "volume-low",
                    $"{Decimals.Text(TotalMl)} mL may be too little to measure.",
                    "Less than the lab can see counts as nothing.",
                    "Filter more through a second filter if water is left."
                )
                .On(Beside.Filtering, ended.Id);
        }
    }

    private Finding? Late(DateTimeOffset? collected)
    {
        if (collected is not { } from || fills.Count == 0)
        {
            return null;
        }

        var hours = (decimal)(fills[0].Entry.At - from).TotalHours;
        return hours > programme.Of(FilteringOptions.FilterWithin)
                ? Finding.Check(
                    "filter-late",
                    $"{Decimals.Fixed(hours, 0)} h since collection.",
                    "Chlorophyll fades.",
                    "It is marked; the time goes with it."
                )
            : hours > programme.Of(FilteringOptions.FilterWithinNote)
                ? Finding.Note(
                    "filter-late",
                    $"{Decimals.Fixed(hours, 1)} h since collection.",
                    "Chlorophyll fades slowly, cold and dark.",
                    "The time goes with it."
                )
            : null;
    }

    private IEnumerable<Finding> Of(FilterFillBody fill)
    {
        var (through, fault) = Through(fill);
        if (fault is not null)
        {
            yield return fault;
            yield break;
        }

        var most = Answers.By == FilterBy.Pump ? FunnelMl : SyringeMl;
        if (through > most)
        {
            yield return Finding.Stop(
                "volume-over",
                $"{Decimals.Text(through!.Value)} mL is more than one fill.",
                $"{(Answers.By == FilterBy.Pump ? "A funnel takes 2 L at most" : $"A syringe holds {Decimals.Text(SyringeMl)} mL")}; a sum hides which fill was short.",
                "Strike it. Log each fill."
            );
        }

        if (through == 0)
        {
            yield return Finding.Stop(
                "volume-over",
                "0 mL went through.",
                "Nothing on the filter is no sample.",
                "Was it what is left? Strike it and write what went through."
            );
        }

        if (fill.Clogged == true && fill.ThroughMl is not null && Answers.By != FilterBy.Pump)
        {
            yield return through == FillMl
                ? Finding.Check(
                    "volume-assumed",
                    $"It clogged, yet {Decimals.Text(FillMl)} mL is written.",
                    "A clogged filter takes less than a whole fill.",
                    "What went through?"
                )
                : Finding.Check(
                    "volume-is-remainder",
                    $"Is {Decimals.Text(through!.Value)} mL what went through, or what the syringe still holds?",
                    $"If it is the rest, {Decimals.Text(FillMl - through.Value)} mL went through.",
                    "Keep it if it went through; else strike it and write the rest."
                );
        }

        if (
            fill.Seconds is { } seconds
            && through is > 0
            && Answers.By == FilterBy.Syringe
            && seconds < SecondsPerFill * through / FillMl * 0.9m
        )
        {
            yield return Finding.Note(
                "filter-fast",
                $"{Decimals.Text(through.Value)} mL in {Decimals.Text(seconds)} s.",
                "A jet tears the filter.",
                $"Quick drops, not faster than {Decimals.Text(SecondsPerFill)} s for 50 mL."
            );
        }
    }

    /// <summary>What went through: given, or where it began less what was left.</summary>
    private static (decimal? Ml, Finding? Fault) Through(FilterFillBody fill)
    {
        if (fill.ThroughMl is { } typed)
        {
            return Read(typed);
        }

        var (start, startFault) = Read(fill.StartMl);
        var (left, leftFault) = Read(fill.LeftMl);
        return (startFault ?? leftFault) is { } fault ? (null, fault)
            : left > start
                ? (
                    null,
                    Finding.Stop(
                        "volume-over",
                        $"{Decimals.Text(left!.Value)} mL left of {Decimals.Text(start!.Value)} mL.",
                        "More cannot be left than there was.",
                        "Strike it and read the syringe again."
                    )
                )
            : (start - left, null);
    }

    private static (decimal? Ml, Finding? Fault) Read(string? written)
    {
        var (value, fault) = NumberText.Read(written);
        return value < 0
            ? (
                null,
                Finding.Stop(
                    "volume-over",
                    $"{Decimals.Text(value.Value)} mL is no volume.",
                    "Nothing is below nothing.",
                    "Strike it and read again."
                )
            )
            : (value, fault);
    }

    internal static string Words(FilterFillBody fill)
    {
        var (through, _) = Through(fill);
        var how = fill.ThroughMl is null
            ? $"from {fill.StartMl} to {fill.LeftMl} mL, {(through is { } ml ? Decimals.Text(ml) : "?")} mL through"
            : $"{fill.ThroughMl} mL through";
        return string.Join(
            ", ",
            new[] { how, fill.Seconds is { } s ? $"{Decimals.Text(s)} s" : null, fill.Clogged == true ? "clogged" : null }.OfType<string>()
        );
    }

    internal static string Words(FilterBody body) =>
        string.Join(
            ", ",
            new[]
            {
                $"Filter {body.Sample}",
                body.From is { } from ? $"water of {from}" : null,
                body.By is { } by
                    ? by == FilterBy.Pump
                        ? "by pump"
                        : "by syringe"
                    : null,
                body.WhiteDisc is { } white
                    ? white
                        ? "white disc in the holder"
                        : "not the white disc"
                    : null,
                body.Rinsed is { } rinsed
                    ? rinsed
                        ? "rinsed"
                        : "not rinsed"
                    : null,
                body.Lot is { } lot ? $"lot {lot}" : null,
                body.VacuumKpa is { } vacuum ? $"{vacuum} kPa" : null,
                body.Torn == true ? "torn" : null,
                body.Leaked == true ? "leaked" : null,
                body.Fingers == true ? "fingers" : null,
                body.Dropped == true ? "dropped" : null,
                body.LightMin is { } light ? $"{light} min in light" : null,
                body.Folded == true ? "folded, in its vial" : null,
                body.Tinted is { } tinted
                    ? tinted
                        ? "tinted"
                        : "not tinted"
                    : null,
            }.OfType<string>()
        );

    private IEnumerable<Guid> About(Func<FilterBody, object?> answered) =>
        answers.Where(a => answered(a.Body) is not null).Select(a => a.Entry.Id);

    private static FilterBody Merge(FilterBody all, FilterBody one) =>
        new(
            all.Sample,
            one.From ?? all.From,
            one.By ?? all.By,
            one.WhiteDisc ?? all.WhiteDisc,
            one.Rinsed ?? all.Rinsed,
            one.Lot ?? all.Lot,
            one.DiameterMm ?? all.DiameterMm,
            one.PoreUm ?? all.PoreUm,
            one.VacuumKpa ?? all.VacuumKpa,
            one.Torn ?? all.Torn
        )
        {
            Leaked = one.Leaked ?? all.Leaked,
            Fingers = one.Fingers ?? all.Fingers,
            Dropped = one.Dropped ?? all.Dropped,
            LightMin = one.LightMin ?? all.LightMin,
            Drops = one.Drops ?? all.Drops,
            Folded = one.Folded ?? all.Folded,
            Tinted = one.Tinted ?? all.Tinted,
        };
}
