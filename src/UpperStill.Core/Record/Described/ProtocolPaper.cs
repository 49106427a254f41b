using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Record.Described;

/// <summary>A described protocol on the paper sheet: a box for each field, a row for each repetition, kinds down and sub-samples
/// across.</summary>
internal static class ProtocolPaper
{
    internal static IEnumerable<PaperPiece> Of(ProtocolScript script, PlannedStop stop)
    {
        foreach (var ashore in (bool[])[false, true])
        {
            List<StepScript> steps = [.. script.Steps.Where(s => s.Bench == ashore)];
            List<FieldDescription> once = [.. steps.Where(s => !Repeats(s, stop)).SelectMany(s => s.Fields).Select(f => f.Describe())];
            var (title, rank) = ashore ? ($"At the bench: {script.Title}", StepRank.Bench) : (script.Title, script.Rank);
            if (once.Count > 0)
            {
                yield return new PaperPiece(title, rank)
                {
                    Boxes = [.. once.Where(f => !OnlyTicked(f)).Select(Box)],
                    Ticks = [.. once.Where(OnlyTicked).SelectMany(Ticks)],
                };
            }

            foreach (var step in steps.Where(s => Repeats(s, stop)))
            {
                foreach (var table in Tables(step, stop))
                {
                    yield return new PaperPiece($"{title}. {step.Do}", rank) { Table = table };
                }
            }
        }
    }

    private static bool Repeats(StepScript step, PlannedStop stop) => step.Repeat?.Rows(stop).Count > 1 && step.Fields.Count > 0;

    private static bool OnlyTicked(FieldDescription field) => field.Kind is FieldKind.Checklist or FieldKind.Photo;

    private static IEnumerable<string> Ticks(FieldDescription field) =>
        field.Kind == FieldKind.Checklist ? (field.Choices ?? []).Select(c => c.Words) : [field.Label];

    private static PaperBox Box(FieldDescription field) =>
        PaperBox.Of(
            field.Label,
            Unit(field),
            field.Kind == FieldKind.YesNo ? ["yes", "no"] : [.. (field.Choices ?? []).Select(c => c.Words)]
        );

    // Kinds stand down and what is counted across; whatever else a step asks has a row for each.
    private static IEnumerable<PaperTable> Tables(StepScript step, PlannedStop stop)
    {
        var each = step.Repeat!.Rows(stop);
        var fields = step.Fields.Select(f => f.Describe()).ToLookup(f => f.Kind == FieldKind.Tally);
        if (fields[false].Any())
        {
            yield return PaperTable.ToFill(
                [step.Repeat.In is null ? string.Empty : step.Repeat.Label, .. fields[false].SelectMany(Heads)],
                each
            );
        }

        foreach (var tally in fields[true])
        {
            yield return PaperTable.ToFill([tally.Label, .. each], [.. (tally.Choices ?? []).Select(c => c.Words), PaperBox.ToWrite]);
        }
    }

    private static IEnumerable<string> Heads(FieldDescription field) => field.Kind == FieldKind.Checklist ? Ticks(field) : [Head(field)];

    private static string Head(FieldDescription field) => Unit(field) is { } unit ? $"{field.Label}, {unit}" : field.Label;

    private static string? Unit(FieldDescription field) =>
        field.Kind switch
        {
            FieldKind.Length => PaperBox.ToWrite,
            FieldKind.Timer => "began and ended",
            FieldKind.Temperature => "°C or °F",
            _ => field.Units is { Count: > 0 } units ? string.Join(" or ", units.Select(u => u.Code)) : null,
        };
}
