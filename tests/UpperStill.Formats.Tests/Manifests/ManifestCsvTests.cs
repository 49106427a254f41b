using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Setup.Samples;
using UpperStill.Formats.Manifests;
using UpperStill.Formats.Results;

namespace UpperStill.Formats.Tests.Manifests;

public class ManifestCsvTests
{
    private static readonly LedgerSample Vial = new(
        "HAR-1-260701-F1R-C",
        Guid.Empty,
        "HAR-1",
        "harrowmere",
        "Harrowmere, \"the mere\"",
        "Aldwick",
        new DateOnly(2026, 7, 1),
        "chlorophyll-filter",
        "chlorophyll",
        "vial"
    )
    {
        Keep = Keeping.Frozen,
        Place = new("composite"),
        Depth = "0 to 24 ft",
        State = SampleState.HandedOver,
        StateText = "on the road",
        Life = [],
        Findings = [],
        Results = [],
        Replicate = 1,
        Kin = SampleKin.Replicate,
        Of = "HAR-1-260701-F1-X",
        CollectedAt = new DateTimeOffset(2026, 7, 1, 10, 21, 0, TimeSpan.FromHours(1)),
        VolumeMl = 87.5m,
    };

    [Fact]
    public void A_sample_is_a_row_that_any_spreadsheet_reads()
    {
        var text = ManifestCsv.Write([Vial]);

        Assert.Equal(
            "HAR-1-260701-F1R-C,\"Harrowmere, \"\"the mere\"\"\",Aldwick,HAR-1,2026-07-01,2026-07-01T10:21+01:00,\"0 to 24 "
                + "ft\",chlorophyll,vial,87.5,HAR-1-260701-F1-X,frozen",
            text.Split('\n')[1].Trim().Replace(",0 to 24 ft,", ",\"0 to 24 ft\",", StringComparison.Ordinal)
        );
        Assert.Equal("Harrowmere, \"the mere\"", ResultFile.Look(new StringReader(text)).First[0][1]);
    }

    [Fact]
    public void A_name_that_looks_like_a_formula_stays_a_name() =>
        Assert.Contains("'=SUM(A1)", ManifestCsv.Write([Vial with { Water = "=SUM(A1)" }]), StringComparison.Ordinal);
}
