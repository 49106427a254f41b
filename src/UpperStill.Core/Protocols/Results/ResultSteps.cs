using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Labels;

namespace UpperStill.Core.Protocols.Results;

/// <summary>What measuring and reporting say of samples.</summary>
internal static class ResultSteps
{
    internal static IEnumerable<SampleStepTaken> Of(SheetDraft draft)
    {
        foreach (var measured in draft.Standing(ResultKinds.Measured))
        {
            yield return new(
                measured.Entry,
                SampleStep.Measure,
                [measured.Body.Sample],
                $"extract measured, {measured.Body.Readings.Method.ToString().ToLowerInvariant()}"
            );
        }

        // Of a file with many analytes the life says it once.
        foreach (var result in draft.Standing(ResultKinds.Result).DistinctBy(r => (SampleNumber.Body(r.Body.Sample), r.Entry.At)))
        {
            yield return new(
                result.Entry,
                SampleStep.Report,
                [result.Body.Sample],
                result.Body.File is { } file ? $"results, {file}" : "results"
            );
        }

        foreach (var reported in draft.Standing(ResultKinds.Reported))
        {
            yield return new(reported.Entry, SampleStep.Report, reported.Body.Samples, "results released");
        }
    }
}
