using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Setup.Equipment;

/// <summary>The marks of a line.</summary>
/// <param name="Unit">Their unit.</param>
/// <param name="Every">Distance between them, as written.</param>
/// <param name="Usable">Length that can be let out, as written.</param>
public sealed record LineMarks(LengthUnit Unit, WrittenLength Every, WrittenLength Usable);

/// <summary>A figure that belongs to a thing: a volume, an area, a mesh.</summary>
/// <param name="Name">Its name in <see cref="KitRules"/>, for example <c>volume-l</c>.</param>
/// <param name="Value">In the unit that the name says.</param>
public sealed record KitFigure(string Name, [property: Within(0, 1e9)] decimal Value);

/// <summary>A thing of the kit: one rope, one meter, one lot of filters.</summary>
/// <param name="Code">Its identity, as it stands on its tag.</param>
/// <param name="Name">What it is, in words.</param>
/// <param name="Kind">What sort of thing.</param>
/// <param name="Condition">How it is.</param>
/// <param name="Keeper">Who has it.</param>
/// <param name="Marks">For a line: its marks.</param>
/// <param name="Figures">Figures that results need.</param>
/// <param name="UsableUntil">For a lot: its last day.</param>
/// <param name="Parts">How many parts it has, where they can be lost.</param>
/// <param name="Remark">Anything else.</param>
public sealed record KitItem(
    string Code,
    string Name,
    KitKind Kind,
    Condition Condition = Condition.InUse,
    string? Keeper = null,
    LineMarks? Marks = null,
    IReadOnlyList<KitFigure>? Figures = null,
    DateOnly? UsableUntil = null,
    int? Parts = null,
    string? Remark = null
)
{
    /// <summary>Its history, oldest first; only added to.</summary>
    public IReadOnlyList<KitCheck>? Checks { get; init; }

    /// <summary>The day it was given up.</summary>
    public DateOnly? RetiredOn { get; init; }

    /// <summary>The checks that stand: those that are not struck.</summary>
    internal IEnumerable<KitCheck> Standing => (Checks ?? []).Where(c => c.Struck is null);

    /// <summary>The line that depths are read on, with its checks; null where it is none.</summary>
    public Line? AsLine() =>
        Marks is null
            ? null
            : new Line(
                Code,
                Name,
                Marks.Unit,
                Marks.Every,
                Marks.Usable,
                [.. Standing.Where(c => c.Kind == KitCheckKind.Taped).Select(Taped)],
                RetiredOn,
                [.. (Checks ?? []).Where(c => c.Kind == KitCheckKind.Taped && c.StruckAt is not null).Select(Taped)]
            );

    private static LineCheck Taped(KitCheck check) => new(check.Day, check.Marks ?? [], check.By, check.MadeAt, check.StruckAt);
}

/// <summary>A check of an item. What was read is kept as it was read.</summary>
/// <param name="Id">Identity.</param>
/// <param name="Kind">What was done.</param>
/// <param name="Day">When.</param>
/// <param name="By">Who.</param>
/// <param name="Marks">For <see cref="KitCheckKind.Taped"/>: mark and tape; an empty list where it was found true and no mark was written
/// down.</param>
/// <param name="Expected">What it should have read; for a messenger the length of line out, m.</param>
/// <param name="Read">What it read, before it was set; for a messenger the seconds.</param>
/// <param name="Unit">The unit of both: mg/L, %, °C, °F, ppt.</param>
/// <param name="Counted">For parts: how many are there.</param>
/// <param name="Ticked">For looking over: the points found well.</param>
public sealed record KitCheck(
    Guid Id,
    KitCheckKind Kind,
    DateOnly Day,
    string By,
    IReadOnlyList<TapedMark>? Marks = null,
    decimal? Expected = null,
    decimal? Read = null,
    string? Unit = null,
    int? Counted = null,
    IReadOnlyList<string>? Ticked = null
)
{
    /// <summary>Anything else.</summary>
    public string? Remark { get; init; }

    /// <summary>Why it was struck; null while it stands.</summary>
    public string? Struck { get; init; }

    /// <summary>Who struck it.</summary>
    public string? StruckBy { get; init; }

    /// <summary>When it was written down; null where an earlier build did not keep that.</summary>
    public DateTimeOffset? MadeAt { get; init; }

    /// <summary>When it was struck.</summary>
    public DateTimeOffset? StruckAt { get; init; }
}
