using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Protocols.Filtering;
using UpperStill.Core.Science.Hydraulics;
using UpperStill.Core.Setup.Laboratories;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Protocols.Custody;

/// <summary>Something that happened to a sample.</summary>
/// <param name="Entry">The entry.</param>
/// <param name="Step">What.</param>
/// <param name="Text">In words.</param>
/// <param name="At">When.</param>
/// <param name="By">Who.</param>
/// <param name="Where">Where it then was.</param>
/// <param name="TemperatureC">What a thermometer showed there, °C, as read.</param>
public sealed record SampleEvent(
    Guid Entry,
    SampleStep Step,
    string Text,
    DateTimeOffset At,
    string By,
    string? Where = null,
    string? TemperatureC = null
);

/// <summary>How long a sample may wait for its next step; the time runs whatever the clocks of a place show.</summary>
/// <param name="From">From when it runs.</param>
/// <param name="Limit">Until when.</param>
/// <param name="What">What must be done by then.</param>
/// <param name="Better">Until when it were better; null where that is not asked.</param>
/// <param name="TurnIn">True where it waits for a turn-in date.</param>
/// <param name="Fresh">True where it goes to the lab within its hours of intake, by hand.</param>
public sealed record SampleHold(
    DateTimeOffset From,
    DateTimeOffset Limit,
    string What,
    DateTimeOffset? Better = null,
    bool TurnIn = false,
    bool Fresh = false
);

/// <summary>A result of a sample.</summary>
/// <param name="Entry">The entry it stands in.</param>
/// <param name="Analyte">The analyte's code.</param>
/// <param name="Name">The analyte's name.</param>
/// <param name="Text">As reported.</param>
/// <param name="Unit">The analyte's own unit.</param>
/// <param name="Below">True where it is a limit that the value lies under.</param>
/// <param name="Stands">True where it is the one that counts.</param>
/// <param name="Value">In that unit; null where it cannot be used.</param>
/// <param name="Qualifier">What the laboratory says beside it.</param>
/// <param name="Method">The method.</param>
/// <param name="On">The day of the analysis.</param>
/// <param name="Conversion">How the unit was brought over.</param>
/// <param name="Working">How it came about, where it was worked out here.</param>
/// <param name="Final">True once it is reported; until then it is the laboratory's own.</param>
/// <param name="Load">What a stream carries of it.</param>
public sealed record SampleResult(
    Guid Entry,
    string Analyte,
    string Name,
    string Text,
    string Unit,
    bool Below,
    bool Stands,
    decimal? Value = null,
    Qualifier? Qualifier = null,
    string? Method = null,
    DateOnly? On = null,
    string? Conversion = null,
    Working? Working = null,
    bool Final = true,
    LoadResult? Load = null
);

/// <summary>A sample of a visit, from the plan to the report.</summary>
/// <param name="Number">Its number.</param>
/// <param name="Visit">Its visit.</param>
/// <param name="Station">The station's code.</param>
/// <param name="WaterCode">The water's code.</param>
/// <param name="Water">The water.</param>
/// <param name="District">The district.</param>
/// <param name="Day">The day.</param>
/// <param name="Type">The sample type's code.</param>
/// <param name="Measures">What is measured.</param>
/// <param name="Container">The container.</param>
/// <param name="Keep">How it is kept.</param>
/// <param name="Place">Where in the water.</param>
/// <param name="Depth">Depth or interval.</param>
/// <param name="State">Where it is in its life.</param>
/// <param name="StateText">The same in words.</param>
/// <param name="Life">What happened to it, oldest first.</param>
/// <param name="Findings">What to look at.</param>
/// <param name="Results">Its results.</param>
/// <param name="Replicate">0 for the sample, 1 and on for its replicates.</param>
/// <param name="Kin">What it is to <paramref name="Of"/>.</param>
/// <param name="Of">The sample that it belongs to.</param>
/// <param name="CollectedAt">When its water was collected.</param>
/// <param name="In">Where it is put away.</param>
/// <param name="Spot">Box and place.</param>
/// <param name="Foil">True where it is said to be wholly in foil.</param>
/// <param name="Labelled">True where its label was looked at and nothing is missing.</param>
/// <param name="VolumeMl">What went through the filter, mL.</param>
/// <param name="Hold">How long it may wait.</param>
/// <param name="Manifest">The manifest it left with.</param>
/// <param name="To">To whom it went.</param>
/// <param name="Filter">The filter's run.</param>
/// <param name="Added">What was added, as it stands on the label.</param>
public sealed record LedgerSample(
    string Number,
    Guid Visit,
    string Station,
    string WaterCode,
    string Water,
    string District,
    DateOnly Day,
    string Type,
    string Measures,
    string Container,
    Keeping Keep,
    string Place,
    string Depth,
    SampleState State,
    string StateText,
    IReadOnlyList<SampleEvent> Life,
    IReadOnlyList<Finding> Findings,
    IReadOnlyList<SampleResult> Results,
    int Replicate = 0,
    SampleKin? Kin = null,
    string? Of = null,
    DateTimeOffset? CollectedAt = null,
    StorePlace? In = null,
    string? Spot = null,
    bool? Foil = null,
    bool Labelled = false,
    decimal? VolumeMl = null,
    SampleHold? Hold = null,
    Guid? Manifest = null,
    string? To = null,
    FilterRun? Filter = null,
    string? Added = null
)
{
    /// <summary>The protocol whose steps at the bench wait for this sample; null where none do.</summary>
    public Protocol? Bench { get; init; }

    /// <summary>In whose hands it is.</summary>
    public Whereabouts Whereabouts => State.Whereabouts();

    /// <summary>True where a filter may take its water: it is a bottle for filters that was filled and is not lost.</summary>
    public bool Filterable => SampleTypes.ForFilters(Type) && Whereabouts != Whereabouts.Planned && State != SampleState.Lost;

    /// <summary>True where its water is still to go through a filter.</summary>
    public bool ToFilter => Filterable && Whereabouts == Whereabouts.Hand;

    /// <summary>True where its extract can be measured here: a filter at the laboratory.</summary>
    public bool ToMeasure => SampleTypes.OnFilter(Type) && Whereabouts == Whereabouts.Lab;

    /// <summary>True where readings of its extract can be entered: to measure, or measured before.</summary>
    public bool Measurable => ToMeasure || (SampleTypes.OnFilter(Type) && State == SampleState.Reported);

    /// <summary>What stands on a filter's label, field by field; null for what is no filter.</summary>
    public IReadOnlyList<LabelLine>? Label => Filter is null ? null : LabelLine.Of(this);

    /// <summary>True where it must be wholly in foil before it is frozen.</summary>
    public bool NeedsFoil => SampleTypes.OnFilter(Type);

    /// <summary>Where it is usually put away.</summary>
    public StorePlace UsualPlace => Keep.UsualPlace();
}

/// <summary>What a visit says of an analyte at a place in the water: replicates averaged, limits kept as limits.</summary>
/// <param name="Analyte">The analyte's code.</param>
/// <param name="Name">Its name.</param>
/// <param name="Place">Where in the water.</param>
/// <param name="Depth">Depth or interval.</param>
/// <param name="Value">In the analyte's own unit.</param>
/// <param name="Below">True where it lies under <paramref name="Value"/>.</param>
/// <param name="Unit">The unit.</param>
/// <param name="Text">For the reader.</param>
/// <param name="Samples">The samples that it rests on.</param>
/// <param name="Working">How it came about.</param>
/// <param name="Method">The method, in the laboratory's words.</param>
public sealed record VisitValue(
    string Analyte,
    string Name,
    string Place,
    string Depth,
    decimal Value,
    bool Below,
    string Unit,
    string Text,
    IReadOnlyList<string> Samples,
    Working Working,
    string? Method = null
)
{
    /// <summary>True where it lies over the value: more than could be counted.</summary>
    public bool Above { get; init; }
}
