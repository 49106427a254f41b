using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.People;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Secchi;

/// <summary>A mark that could be read.</summary>
/// <param name="Mark">As it was written.</param>
/// <param name="Length">By the marks of the line.</param>
/// <param name="Metres">True length, m: corrected by the line's check where it needs it.</param>
internal sealed record ReadMark(DiscMark Mark, Length Length, decimal Metres);

/// <summary>One lowering: its marks, and its depth once all marks of the method are there.</summary>
internal sealed record Lowering(int Number, NamedPerson? By, IReadOnlyList<ReadMark> Marks, decimal? DepthM)
{
    internal string? Observer => By?.Name;

    /// <summary>The depth by the marks alone, m.</summary>
    internal decimal AsReadM => Marks.Sum(m => m.Length.Metres) / Marks.Count;

    internal IReadOnlyList<Guid> Entries => [.. Marks.Select(m => m.Mark.Entry).OfType<Guid>()];

    internal Length? At(DiscEvent seen) => Marks.FirstOrDefault(m => m.Mark.Event == seen)?.Length;
}

/// <summary>The marks of a request parsed, grouped by lowering, and judged one by one.</summary>
internal sealed class ReadMarks
{
    // Corrected by the line's check, two neighbouring marks lie a little more than one mark apart.
    private const decimal Stretched = 1.05m;

    private readonly ClarityRequest request;

    internal ReadMarks(ClarityRequest request)
    {
        this.request = request;
        Limits = request.Checks ?? new CheckLimits();
        Sounding = request.Sounding?.Read().Length;
        Correction = request.Line?.CorrectionOn(request.Day ?? DateOnly.MaxValue);
        List<ReadMark> read = [];
        foreach (var mark in request.Marks)
        {
            var (length, finding) = mark.Depth.Read();
            Add(finding, mark);
            if (length is { } value)
            {
                read.Add(new ReadMark(mark, value, Correction?.TrueM(value.Metres) ?? value.Metres));
                Add(BetweenMarks(value), mark);
            }
        }

        Native = read.Count > 0 ? read[0].Length.Unit : request.Line?.Unit ?? LengthUnit.Metre;
        Lowerings = [.. read.GroupBy(m => m.Mark.Lowering).OrderBy(g => g.Key).Select(g => Group(g.Key, [.. g]))];
        foreach (var lowering in Lowerings)
        {
            Findings.AddRange(ClarityChecks.Pair(lowering, this));
        }
    }

    internal CheckLimits Limits { get; }

    internal Length? Sounding { get; }

    internal LengthUnit Native { get; }

    /// <summary>What the line's check corrects readings by; null where they stand as read.</summary>
    internal LineCorrection? Correction { get; }

    internal IReadOnlyList<Lowering> Lowerings { get; }

    internal List<Finding> Findings { get; } = [];

    internal string Show(decimal metres) => LengthText.Show(metres, Native, request.Reader);

    internal string Show(Length length) => LengthText.Show(length, request.Reader);

    /// <summary>Further apart than both limits of a pair, and than the line's marks.</summary>
    internal bool Apart(decimal a, decimal b) =>
        Math.Abs(a - b) > Limits.PairApartM && Math.Abs(a - b) > (a + b) / 2 * Limits.PairApartPercent / 100 && BeyondAMark(a, b);

    /// <summary>Further apart than one mark of the line: two readings cannot be told to agree better than it can be read.</summary>
    internal bool BeyondAMark(decimal a, decimal b) => Math.Abs(a - b) > (request.Line?.MarkEveryM ?? 0) * Stretched;

    internal static IEnumerable<WorkingInput> Inputs(IEnumerable<Lowering> lowerings) =>
        from lowering in lowerings
        from mark in lowering.Marks
        let name = DiscMethod.Words(mark.Mark.Event)
            + $", reading {lowering.Number}"
            + (lowering.Observer is null ? string.Empty : $", {lowering.Observer}")
        select new WorkingInput(name, LengthText.Write(mark.Length), mark.Mark.Entry);

    private Lowering Group(int number, IReadOnlyList<ReadMark> marks)
    {
        var wanted = DiscMethod.Events(request.Settings, request.Folded);
        List<ReadMark> used = [];
        foreach (var seen in wanted)
        {
            // Two values for one mark are a finding of the visit; the later one stands until a person decides.
            if (marks.LastOrDefault(m => m.Mark.Event == seen) is { } mark)
            {
                used.Add(mark);
            }
        }

        var whole = used.Count == wanted.Count;
        return new Lowering(number, marks[0].Mark.By, used, whole ? used.Sum(m => m.Metres) / used.Count : null);
    }

    private Finding? BetweenMarks(Length length) =>
        request.Line?.MarkEveryM is { } every && every > 0 && length.Metres % every != 0
            ? Finding.Note(
                "off-the-marks",
                $"{LengthText.Write(length)} lies between the marks of this line.",
                $"Its marks are {LengthText.Write(request.Line.MarkEvery.Read().Length!.Value)} apart.",
                "It is kept as written and rounded once at the end."
            )
            : null;

    private void Add(Finding? finding, DiscMark mark)
    {
        if (finding is not null)
        {
            Findings.Add(finding with { Beside = Beside.Clarity, About = mark.Entry is { } id ? [id] : [] });
        }
    }
}
