using UpperStill.Core.Protocols.Arrival;
using UpperStill.Core.Protocols.Audit;
using UpperStill.Core.Protocols.Bacteria;
using UpperStill.Core.Protocols.Bloom;
using UpperStill.Core.Protocols.Bottles;
using UpperStill.Core.Protocols.Bridge;
using UpperStill.Core.Protocols.Composite;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Protocols.Dip;
using UpperStill.Core.Protocols.Filtering;
using UpperStill.Core.Protocols.Grab;
using UpperStill.Core.Protocols.Header;
using UpperStill.Core.Protocols.Leaving;
using UpperStill.Core.Protocols.Mesh;
using UpperStill.Core.Protocols.NetTow;
using UpperStill.Core.Protocols.Own;
using UpperStill.Core.Protocols.Paper;
using UpperStill.Core.Protocols.Plastics;
using UpperStill.Core.Protocols.Pond;
using UpperStill.Core.Protocols.Profile;
using UpperStill.Core.Protocols.Rake;
using UpperStill.Core.Protocols.Refractometer;
using UpperStill.Core.Protocols.Results;
using UpperStill.Core.Protocols.Review;
using UpperStill.Core.Protocols.Seawater;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Protocols.Sounding;
using UpperStill.Core.Protocols.Surf;
using UpperStill.Core.Protocols.Survey;
using UpperStill.Core.Protocols.Tributary;
using UpperStill.Core.Protocols.UltraClean;
using UpperStill.Core.Record.Described;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Record.Readings;
using UpperStill.Core.Setup.Composed;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Application.Visits;

/// <summary>The parts of a visit. The order is that in which they are folded: each rests only on those before it.</summary>
public static class VisitParts
{
    /// <summary>All of them.</summary>
    public static IReadOnlyList<VisitPart> All { get; } =
    [
        new HeaderPart(),
        new SoundingPart(),
        new ArrivalPart(),
        new SecchiPart(),
        new ProfilePart(),
        new BottlesPart(),
        new CompositePart(),
        new UltraCleanProtocol(),
        new BloomProtocol(),
        new BacteriaProtocol(),
        new SurfProtocol(),
        new DipProtocol(),
        new PondProtocol(),
        new PlasticsProtocol(),
        new SurveyProtocol(),
        new RefractometerProtocol(),
        new SeawaterProtocol(),
        new BridgeProtocol(),
        new MeshProtocol(),
        new NetTowProtocol(),
        new GrabProtocol(),
        new RakeProtocol(),
        new TributaryProtocol(),
        new AuditProtocol(),
        new FilteringPart(),
        new CustodyPart(),
        new ResultsPart(),
        new ReviewPart(),
        new PaperPart(),
        new LeavingPart(),
    ];

    /// <summary>Those that describe themselves.</summary>
    public static IReadOnlyList<DescribedProtocol> Described { get; } = [.. All.OfType<DescribedProtocol>()];

    /// <summary>The parts of a visit by a programme: the group’s own protocols stand before the audit, which looks at all.</summary>
    public static IReadOnlyList<VisitPart> Of(Programme programme)
    {
        ArgumentNullException.ThrowIfNull(programme);
        return programme.Own is { Count: > 0 }
            ? [.. All.TakeWhile(p => p is not AuditProtocol), .. OwnProtocol.In(programme), .. All.SkipWhile(p => p is not AuditProtocol)]
            : All;
    }

    /// <summary>A composed protocol as a visit knows it; null where it could not be published.</summary>
    public static ProtocolDescription? Describe(ComposedProtocol composed) => OwnProtocol.Of(composed)?.Description;

    /// <summary>What a programme's own protocols give to the record.</summary>
    public static IReadOnlyList<ParameterDescription> OwnParameters(Programme programme) =>
        [.. OwnProtocol.In(programme).SelectMany(p => p.Parameters)];

    /// <summary>Those of a programme that describe themselves.</summary>
    public static IEnumerable<DescribedProtocol> DescribedIn(Programme programme) => Of(programme).OfType<DescribedProtocol>();

    /// <summary>The bottles that a protocol fills.</summary>
    public static IReadOnlyList<BottlePlan> Bottles(ProtocolPlan plan, Programme programme)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return plan.Bottles ?? [.. Of(programme).SelectMany(p => p.Bottles(plan, programme))];
    }

    /// <summary>Everything that a visit may give to the record; what several parts give stands once.</summary>
    public static IReadOnlyList<ParameterDescription> Parameters { get; } =
    [.. All.SelectMany(p => p.Parameters).DistinctBy(p => p.Code).OrderBy(p => p.Rank)];

    /// <summary>Everything that a programme may choose.</summary>
    public static KnownOptions Options { get; } =
        new([.. All.SelectMany(p => p.Methods), .. SeasonOptions.Methods], [.. All.SelectMany(p => p.Thresholds)]);
}
