using UpperStill.Core.Application.Samples;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Protocols.Filtering;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.Fills;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Samples;
using UpperStill.Core.Tests.Application.Visits;

namespace UpperStill.Core.Tests.Protocols.Custody;

/// <summary>A visit whose chlorophyll goes through the bench, for the tests of samples.</summary>
internal sealed class BenchVisit
{
    internal static readonly string C1 = SampleNumber.Checked("HAR-2-260812-C1");
    internal static readonly string C1R = SampleNumber.Checked("HAR-2-260812-C1R");
    internal static readonly string F1 = SampleNumber.Checked("HAR-2-260812-F1");
    internal static readonly string F1R = SampleNumber.Checked("HAR-2-260812-F1R");
    internal static readonly Guid Manifest = Guid.CreateVersion7();

    internal SampleVisit Visit { get; } = SampleVisit.MetricBegun(Protocol.Chlorophyll);

    internal VisitContext Context { get; init; } = SampleVisit.Metric;

    /// <summary>Both bottles filled.</summary>
    internal static BenchVisit Filled()
    {
        var bench = new BenchVisit();
        bench.Fill(C1);
        bench.Fill(C1R);
        return bench;
    }

    /// <summary>Both filters in the freezer, so much through each.</summary>
    internal static BenchVisit Frozen(string through = "50", string throughReplicate = "50")
    {
        var bench = Filled();
        bench.Filtered(F1, C1, through);
        bench.Filtered(F1R, C1R, throughReplicate);
        bench.Visit.Write(CustodyKinds.Labelled, new LabelledBody([F1, F1R]));
        bench.Visit.Write(CustodyKinds.Stored, new StoredBody([F1, F1R], StorePlace.Freezer, "Box 1", Foil: true));
        return bench;
    }

    internal Entry Fill(string number) =>
        Visit.Write(FillKinds.Fill, new FillBody(number, "chlorophyll-water", FilledFrom.Composite, FilledTo.AsAsked, Rinses: 1, Drops: 5));

    internal Entry Filtered(string filter, string from, string through)
    {
        Visit.Write(FilterKinds.Filter, new FilterBody(filter, from, FilterBy.Syringe, WhiteDisc: true, Rinsed: true));
        Visit.Write(FilterKinds.FilterFill, new FilterFillBody(filter, ThroughMl: through));
        return Visit.Write(FilterKinds.Filter, new FilterBody(filter) { Folded = true });
    }

    internal BenchVisit AtTheLab()
    {
        Visit.Write(
            CustodyKinds.HandedOver,
            new HandedOverBody(Manifest, [F1, F1R], "the lab", TravelBy.Hand, TravelOn.FrozenPacks, "Asa")
        );
        Visit.Write(CustodyKinds.Received, new ReceivedBody([F1, F1R], ArrivedAs.Good, "Ivo", Manifest));
        return this;
    }

    internal VisitSamples Fold() => VisitSamples.Fold(new FoldRequest(Visit.Entries, Context));

    internal LedgerSample Sample(string number) => Fold().Samples.Single(s => s.Number == number);

    /// <summary>Codes of all open findings on samples, in order, without those that stand beside the fill on the water.</summary>
    internal IEnumerable<string> Codes() => Fold().Samples.SelectMany(s => s.Findings).Where(f => f.Kept is null).Select(f => f.Code);
}
