using UpperStill.Core.Basis.Boxes;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Results;

/// <summary>What laboratories measure and report.</summary>
public sealed class ResultsPart() : VisitPart("results")
{
    /// <inheritdoc/>
    public override IReadOnlyList<EntryKind> Kinds => ResultKinds.All;

    /// <inheritdoc/>
    public override IReadOnlyList<Box> Boxes => ExtractBoxes.All;

    /// <inheritdoc/>
    public override IReadOnlyList<Threshold> Thresholds => ResultsOptions.Thresholds;

    /// <inheritdoc/>
    public override IReadOnlyList<ParameterDescription> Parameters { get; } =
    [
        new()
        {
            Code = Parameter.Chlorophyll,
            Rank = 20,
            Name = "chlorophyll",
            Unit = "µg/L",
            AskedPerDecade = 2,
            Better = BetterWhen.Lower,
            Analyte = "chlorophyll-a",
            Protocol = Protocol.Chlorophyll,
            AskedAfter = true,
            Pictured = true,
            Rising = "The water is getting greener: {0} more chlorophyll each decade.",
            Falling = "The water is getting less green: {0} less chlorophyll each decade.",
        },
        new()
        {
            Code = Parameter.Phosphorus,
            Rank = 30,
            Name = "phosphorus",
            Unit = "µg/L",
            AskedPerDecade = 5,
            Better = BetterWhen.Lower,
            Analyte = "total-phosphorus",
            Protocol = Protocol.Phosphorus,
            AskedAfter = true,
            Rising = "Phosphorus is rising: {0} more each decade.",
            Falling = "Phosphorus is falling: {0} less each decade.",
        },
    ];

    /// <inheritdoc/>
    internal override IEnumerable<SampleStepTaken> SampleSteps(SheetDraft draft) => ResultSteps.Of(draft);
}
