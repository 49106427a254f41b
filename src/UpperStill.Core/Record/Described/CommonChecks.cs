using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Record.Described;

/// <summary>What is looked at in every protocol: gloves before what needs them, parts in hands of their own, photographs that were asked
/// for.</summary>
internal static class CommonChecks
{
    internal static void Of(ProtocolRun run, ProtocolScript script)
    {
        foreach (var step in script.Steps)
        {
            foreach (var attempt in run.TriesOf(step))
            {
                Gloves(step, attempt);
                Photographs(run, step, attempt);
            }
        }

        Hands(run, script);
    }

    private static void Gloves(StepScript step, Attempt attempt)
    {
        if (
            step.Fields.Contains(StepScript.Gloves)
            && !attempt.Has(StepScript.Gloves)
            && step.Fields.Any(f => f != StepScript.Gloves && attempt.Has(f))
        )
        {
            attempt.Find(CommonFindings.GlovesMissing, StepScript.Gloves);
        }
    }

    private static void Photographs(ProtocolRun run, StepScript step, Attempt attempt)
    {
        foreach (var field in step.Fields.OfType<PhotoField>().Where(f => f.Wanted > 1))
        {
            var count = run.Values.Count(v => v.Field == field.Code && v.Item == attempt.ItemCode && v.Try == attempt.Number);
            if (count < field.Wanted)
            {
                attempt.Find(CommonFindings.PhotosFew, field, ("count", Decimals.Text(count)), ("wanted", Decimals.Text(field.Wanted)));
            }
        }
    }

    // Whoever has a part now: a hand-over stands after what was before it.
    private static void Hands(ProtocolRun run, ProtocolScript script)
    {
        List<(RoleField Role, SheetValue Now)> held =
        [
            .. script
                .Apart.Select(r => (r, run.Values.LastOrDefault(v => v.Field == r.Code)))
                .Where(h => h.Item2 is not null)
                .Select(h => (h.r, h.Item2!)),
        ];
        foreach (var ((role, now), i) in held.Select((h, i) => (h, i)))
        {
            if (held.Take(i).Any(h => Same(h.Now.Value, now.Value)))
            {
                run.Find(run.Holding(now), CommonFindings.RoleSamePerson.With(("name", now.Text)), role);
            }
        }
    }

    private static bool Same(ObservedValue a, ObservedValue b) =>
        (a.Person is { } one && one == b.Person) || string.Equals(a.Name?.Trim(), b.Name?.Trim(), StringComparison.OrdinalIgnoreCase);
}
