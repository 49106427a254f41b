using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Science.Statistics;

namespace UpperStill.Core.Setup.Programmes;

/// <summary>A programme to begin from.</summary>
/// <param name="Programme">The rules.</param>
/// <param name="For">Whom it suits, in words.</param>
public sealed record Preset(Programme Programme, string For);

/// <summary>The presets that ship: common ways of working, each under an invented name.</summary>
public static class Presets
{
    private static readonly HoursWindow TenToFour = new(new TimeOnly(10, 0), new TimeOnly(16, 0));
    private static readonly HoursWindow TenToTwo = new(new TimeOnly(10, 0), new TimeOnly(14, 0));
    private static readonly HoursWindow Daylight = new(new TimeOnly(8, 0), new TimeOnly(18, 0));
    private static readonly WrittenLength ThreeFeet = new("3", LengthUnit.Foot);
    private static readonly WrittenLength OneMetre = new("1", LengthUnit.Metre);
    private static readonly DayOfYear May = new(5, 1);
    private static readonly DayOfYear June = new(6, 1);
    private static readonly DayOfYear EndOfSeptember = new(9, 30);
    private static readonly DayOfYear EndOfOctober = new(10, 31);

    private static readonly CompositeSettings TwiceSecchiFeet = new(
        CompositeDepthRule.Factor,
        2,
        ThreeFeet,
        CompositeMethod.WeightedBottle
    );
    private static readonly CompositeSettings TwiceSecchiMetres = new(
        CompositeDepthRule.Factor,
        2,
        OneMetre,
        CompositeMethod.WeightedBottle
    );

    /// <summary>Water that was dipped by hand within a week or two of ice-out.</summary>
    private static readonly ProtocolPlan Overturn = new(Protocol.Phosphorus, Rhythm.Once, new(3, 15), new(5, 31), TurnIn: true)
    {
        DaysAfterIceOut = 7,
    };

    private static readonly BottlePlan[] SurfaceAndDeep = [new("depth-water", SampleFrom.Surface), new("depth-water", SampleFrom.Deep)];

    /// <summary>Every preset.</summary>
    public static IReadOnlyList<Preset> All { get; } =
    [
        new(
            Of(
                "fortnight-clarity",
                "Fortnight clarity",
                TenToFour,
                new(EndPoint.Mean, 1, ObserverMethod.Same, RoundingMethod.QuarterFoot),
                TwiceSecchiFeet,
                new(6, 9, 6),
                Days(Protocol.Clarity, new(4, 15), EndOfOctober, 12, 10, 14, 6)
            ) with
            {
                Methods = Methods(("clarity.overshoot", "feet"), ("programme.units", "feet")),
            },
            "A disc and a boat: clarity every 10–14 days of open water, lost and seen again, to the quarter foot."
        ),
        new(
            Of(
                "monthly-composite",
                "Monthly composite",
                TenToFour,
                new(EndPoint.Mean, 1, ObserverMethod.Same, RoundingMethod.QuarterFoot),
                TwiceSecchiFeet,
                new(6, 9, 6),
                Days(Protocol.Clarity, May, EndOfSeptember, 14, 10, 18, 6),
                Monthly(Protocol.Chlorophyll, May, EndOfSeptember, 4) with
                {
                    TurnIn = true,
                },
                Monthly(Protocol.Profile, May, EndOfSeptember, 0),
                Overturn,
                new(Protocol.Phosphorus, Rhythm.Once, new(8, 15), new(9, 15), TurnIn: true)
            ) with
            {
                Methods = Methods(("bottle.surface-depth", "one-foot"), ("programme.units", "feet"), ("profile.levels", "5-ft")),
            },
            "Volunteers with a weighted bottle: chlorophyll from twice the clarity, five months, at least four for a mean; "
                + "phosphorus at overturn and in late summer."
        ),
        new(
            Of(
                "layered-lake",
                "Layered lake",
                TenToTwo,
                new(EndPoint.Reappear, 2, ObserverMethod.Swap, RoundingMethod.TenthMetre),
                new(CompositeDepthRule.Preset, 2, OneMetre, CompositeMethod.PooledOrTube, new WrittenLength("5", LengthUnit.Metre)),
                new(6, 8, 3),
                Monthly(Protocol.Clarity, June, new(8, 31), 3),
                Monthly(Protocol.Chlorophyll, June, new(8, 31), 3) with
                {
                    HoldHours = 24,
                },
                Monthly(Protocol.Phosphorus, June, new(8, 31), 0) with
                {
                    HoldHours = 24,
                },
                Monthly(Protocol.Profile, June, new(8, 31), 0)
            ) with
            {
                Methods = Methods(("bottle.deep-rule", "layers"), ("composite.lowering", "slow")),
            },
            "Two observers on a lake with layers: profile at each metre, bottles from each layer, water at the lab within 24 h."
        ),
        new(
            Of(
                "surface-and-deep",
                "Fixed surface and deep",
                TenToFour,
                new(EndPoint.Mean, 1, ObserverMethod.Same, RoundingMethod.TenthMetre),
                TwiceSecchiMetres,
                new(6, 9, 4),
                Monthly(Protocol.Clarity, May, EndOfOctober, 4),
                Monthly(Protocol.Chlorophyll, May, EndOfOctober, 4) with
                {
                    HoldHours = 24,
                },
                Monthly(Protocol.Phosphorus, May, EndOfOctober, 4) with
                {
                    HoldHours = 24,
                    Bottles = SurfaceAndDeep,
                },
                Monthly(Protocol.Profile, May, EndOfOctober, 0)
            ),
            "Bottles from 1.5 m and from the last whole metre above the bottom, the same all season."
        ),
        new(
            Of(
                "hard-rock-lake",
                "Hard-rock lake",
                TenToFour,
                new(EndPoint.Mean, 1, ObserverMethod.Same, RoundingMethod.TenthMetre),
                new(CompositeDepthRule.Factor, 1, OneMetre, CompositeMethod.WeightedBottle),
                new(5, 10, 6),
                Monthly(Protocol.Clarity, May, EndOfOctober, 6),
                new(Protocol.Phosphorus, Rhythm.Once, May, new(5, 31))
            ) with
            {
                Methods = Methods(("container.rinse-with", "filtered"), ("sample.replicates", "two-tubes")),
            },
            "A lake on hard rock: six or more clarities, phosphorus once in May through a mesh, two tubes."
        ),
        new(
            Of(
                "other-lake",
                "Other lake",
                TenToFour,
                new(EndPoint.Mean, 1, ObserverMethod.Same, RoundingMethod.TenthMetre),
                new(CompositeDepthRule.Factor, 1, OneMetre, CompositeMethod.WeightedBottle),
                new(5, 10, 6),
                Monthly(Protocol.Clarity, May, EndOfOctober, 6),
                Monthly(Protocol.Phosphorus, May, EndOfOctober, 4)
            ) with
            {
                Methods = Methods(("container.rinse-with", "filtered"), ("sample.replicates", "two-tubes")),
            },
            "A lake on softer ground: clarity and phosphorus each month from May to October."
        ),
        new(
            Of(
                "town-lakes",
                "Town lakes",
                TenToFour,
                new(EndPoint.Mean, 1, ObserverMethod.Same, RoundingMethod.TenthMetre),
                TwiceSecchiMetres,
                new(6, 9, 4),
                Days(Protocol.Clarity, June, EndOfOctober, 14, 10, 18, 6),
                Overturn with
                {
                    Bottles = [new("phosphorus-composite", SampleFrom.Composite, 2)],
                }
            ) with
            {
                Methods = Methods(("sample.replicates", "three"), ("composite.lowering", "fast-fill")),
            },
            "Small lakes in town: every two weeks from June to October, phosphorus a week after ice-out."
        ),
        new(
            Of(
                "reservoir-opinion",
                "Reservoir opinion",
                TenToFour,
                new(EndPoint.Mean, 2, ObserverMethod.Same, RoundingMethod.Inch),
                TwiceSecchiFeet,
                new(5, 9, 4),
                Monthly(Protocol.Clarity, May, EndOfSeptember, 4),
                Monthly(Protocol.Profile, May, EndOfSeptember, 0)
            ) with
            {
                Methods = Methods(("opinion.questions", "named"), ("programme.units", "feet")),
            },
            "Two full pairs to the inch, colour, and what people think of the water."
        ),
        new(
            Of(
                "consultant-cruise",
                "Consultant cruise",
                TenToFour,
                new(EndPoint.Mean, 1, ObserverMethod.Same, RoundingMethod.TwentiethMetre),
                TwiceSecchiMetres,
                new(5, 10, 4),
                Monthly(Protocol.Clarity, May, EndOfOctober, 4),
                Monthly(Protocol.Chlorophyll, May, EndOfOctober, 4) with
                {
                    HoldHours = 24,
                },
                Monthly(Protocol.Phosphorus, May, EndOfOctober, 4) with
                {
                    HoldHours = 24,
                    Bottles = SurfaceAndDeep,
                },
                Monthly(Protocol.Profile, May, EndOfOctober, 0)
            ) with
            {
                Methods = Methods(("visit.order", "clarity-first")),
            },
            "One crew, many waters: profile of four parameters at each metre, surface and deep bottles, clarity to 0.05 m."
        ),
        new(
            Of(
                "open-water-cruise",
                "Open-water cruise",
                Daylight,
                new(EndPoint.Disappear, 1, ObserverMethod.Same, RoundingMethod.WholeMetre),
                TwiceSecchiMetres,
                new(1, 12, 12),
                Days(Protocol.Clarity, new(1, 1), new(12, 31), 10, 7, 14, 12)
            ) with
            {
                Methods = Methods(("clarity.disc", "white-30"), ("bottle.deep-rule", "fixed")),
            },
            "Far from shore: a white disc on a metre wheel, where it is lost, every ten days."
        ),
        new(
            Of(
                "coastal-pier",
                "Coastal pier",
                Daylight,
                new(EndPoint.Disappear, 1, ObserverMethod.Same, RoundingMethod.TenthMetre),
                new(CompositeDepthRule.Preset, 2, OneMetre, CompositeMethod.WeightedBottle, new WrittenLength("5", LengthUnit.Metre)),
                new(6, 9, 6),
                Days(Protocol.Clarity, new(1, 1), new(12, 31), 7, 5, 9, 6),
                Days(Protocol.Seawater, new(1, 1), new(12, 31), 7, 5, 9, 0)
            ) with
            {
                Methods = Methods(("visit.hours-rule", "same-weekday"), ("clarity.disc", "white-30")),
            },
            "From a pier in the tide: clarity and a bottle of sea water each week at the same hour."
        ),
    ];

    private static Dictionary<string, string> Methods(params (string Setting, string Option)[] chosen) =>
        chosen.ToDictionary(c => c.Setting, c => c.Option);

    private static Programme Of(
        string code,
        string name,
        HoursWindow hours,
        ClaritySettings clarity,
        CompositeSettings composite,
        SummarySettings summary,
        params ProtocolPlan[] season
    ) => new(code, 1, name, hours, clarity, composite, summary, new CheckLimits(), season);

    private static ProtocolPlan Days(Protocol protocol, DayOfYear from, DayOfYear until, int every, int least, int greatest, int needed) =>
        new(protocol, Rhythm.Days, from, until, every, least, greatest, needed);

    private static ProtocolPlan Monthly(Protocol protocol, DayOfYear from, DayOfYear until, int needed) =>
        new(protocol, Rhythm.Monthly, from, until, 30, 21, 45, needed);
}
