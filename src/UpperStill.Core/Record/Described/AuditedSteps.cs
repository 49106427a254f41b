using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Record.Described;

/// <summary>What a self-audit asks of a protocol: its steps, counters and containers, as the entries have them.</summary>
internal static class AuditedSteps
{
    internal static IEnumerable<AuditLine> Of(ProtocolRun run, ProtocolScript script, IReadOnlyList<SheetProtocolStep> steps)
    {
        foreach (var shown in steps)
        {
            var step = script.Steps.First(s => s.Code == shown.Step);
            if (step.Bench || step.Always || step.OnlyWords)
            {
                continue;
            }

            var at = $"{script.Code}.{step.Code}.{shown.Item}".TrimEnd('.');
            var of = shown.Words is { } words ? $", {words}" : string.Empty;
            yield return new AuditLine(at, $"{step.Do.TrimEnd('.')}{of}", Lacks(shown.State));
            foreach (var counter in step.Fields.OfType<CounterField>().Where(c => c.Asked && step.Asks(run.Draft, c)))
            {
                var count = run.Counts(step.Repeat, shown.Item)?[counter];
                yield return new AuditLine(
                    $"{at}.{counter.Code}",
                    $"{counter.Label}: {counter.Wanted}{of}",
                    count is null ? "none is counted"
                        : count < counter.Wanted ? $"{count} is recorded"
                        : null
                );
            }
        }

        foreach (var bottle in run.Containers.Bottles)
        {
            yield return new AuditLine(bottle.Number, $"{bottle.Number} is full", bottle.Entry is null ? "no filling is recorded" : null);
        }
    }

    private static string? Lacks(StepState state) =>
        state switch
        {
            StepState.Done => null,
            StepState.Skipped => "it is written as left out",
            _ => "it is not written as done",
        };
}
