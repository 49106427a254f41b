using UpperStill.Core.Record.Parts;

namespace UpperStill.Core.Record.Described;

/// <summary>The steps of a protocol as they stand on a visit, in the order in which they are worked.</summary>
internal sealed class ShownSteps(ProtocolRun run, ProtocolScript script, IReadOnlySet<string> skipped)
{
    internal IEnumerable<SheetProtocolStep> All() => Ordered().SelectMany(s => Shown(s.Step, s.Items));

    // Steps that follow each other for one thing stay together: a drop, a depth, a throw is worked to its end before the next.
    private IEnumerable<(StepScript Step, IReadOnlyList<string?> Items)> Ordered()
    {
        for (var i = 0; i < script.Steps.Count; )
        {
            var outer = script.Steps[i].Repeat is { } own ? own.In ?? own : null;
            var until = i;
            while (until < script.Steps.Count && outer is not null && (script.Steps[until].Repeat is { } r ? r.In ?? r : null) == outer)
            {
                until++;
            }

            if (outer is null)
            {
                yield return (script.Steps[i++], [null]);
                continue;
            }

            foreach (var item in InOrder(outer))
            {
                foreach (var step in script.Steps.Take(until).Skip(i))
                {
                    yield return (step, step.Repeat == outer ? [item] : [.. run.Inner(step.Repeat!, item)]);
                }
            }

            i = until;
        }
    }

    // What is asked for in its order, then whatever else stands.
    private IEnumerable<string> InOrder(Repeat repeat)
    {
        var asked = repeat.Items(run.Draft).Select(i => i.Code).ToList();
        return asked.Concat(run.Items(repeat).Except(asked));
    }

    private IEnumerable<SheetProtocolStep> Shown(StepScript step, IReadOnlyList<string?> items)
    {
        if (step.OnlyAsked && !step.Fields.Any(f => step.Asks(run.Draft, f)) && run.TriesOf(step).Count == 0)
        {
            yield break;
        }

        foreach (var item in items)
        {
            var tries = run.Tries(step.Repeat, item);
            var last = tries.Count > 0 ? tries[^1] : null;
            var good = run.Counts(step.Repeat, item);
            var counting = last is { Failed: true } && good is { Failed: false } ? good : last;
            var bottles = step.Fills ? run.Containers.In(step, item) : [];
            List<Field> empty = [.. step.Fields.Where(f => counting?.Has(f) != true)];
            List<string> open = [.. empty.Where(f => f.Required && step.Asks(run.Draft, f)).Select(f => f.Code)];
            if (bottles.Any(b => b.Entry is null))
            {
                open.Add(RunContainers.Open);
            }

            var failed = counting?.Failed == true;
            List<string> unasked = [.. empty.Where(f => !step.Asks(run.Draft, f)).Select(f => f.Code)];
            var state =
                open.Count == 0 && !failed ? StepState.Done
                : skipped.Contains($"{script.Code}/{step.Code}") ? StepState.Skipped
                : StepState.ToDo;
            yield return new SheetProtocolStep(step.Code, item, counting?.Number ?? 1, state, open, failed)
            {
                Words = item is null ? null : step.Repeat!.Words(run.Draft, item),
                Unasked = unasked.Count > 0 ? unasked : null,
                Containers = step.Fills ? [.. bottles.Select(b => b.Number)] : null,
            };
        }
    }
}
