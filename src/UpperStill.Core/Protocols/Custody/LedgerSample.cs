using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Workings;
using UpperStill.Core.Protocols.Filtering;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Hydraulics;
using UpperStill.Core.Setup.Labels;
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
/// <param name="Final">True once it is reported; until then it is the laboratory's own.</param>
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
    bool Final = true
)
{
    /// <summary>The method.</summary>
    public string? Method { get; init; }

    /// <summary>The day of the analysis.</summary>
    public DateOnly? On { get; init; }

    /// <summary>How the unit was brought over.</summary>
    public string? Conversion { get; init; }

    /// <summary>How it came about, where it was worked out here.</summary>
    public Working? Working { get; init; }

    /// <summary>What a stream carries of it.</summary>
    public LoadResult? Load { get; init; }
}

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
    string Container
)
{
    /// <summary>How it is kept.</summary>
    public required Keeping Keep { get; init; }

    /// <summary>Where in the water.</summary>
    public required SamplePlace Place { get; init; }

    /// <summary>Depth or interval.</summary>
    public required string Depth { get; init; }

    /// <summary>Where it is in its life.</summary>
    public required SampleState State { get; init; }

    /// <summary>The same in words.</summary>
    public required string StateText { get; init; }

    /// <summary>What happened to it, oldest first.</summary>
    public required IReadOnlyList<SampleEvent> Life { get; init; }

    /// <summary>What to look at.</summary>
    public required IReadOnlyList<Finding> Findings { get; init; }

    /// <summary>Its results.</summary>
    public required IReadOnlyList<SampleResult> Results { get; init; }

    /// <summary>0 for the sample, 1 and on for its replicates.</summary>
    public int Replicate { get; init; }

    /// <summary>What it is to that sample.</summary>
    public SampleKin? Kin { get; init; }

    /// <summary>The sample that it belongs to.</summary>
    public string? Of { get; init; }

    /// <summary>When its water was collected.</summary>
    public DateTimeOffset? CollectedAt { get; init; }

    /// <summary>Where it is put away.</summary>
    public StorePlace? In { get; init; }

    /// <summary>Box and place.</summary>
    public string? Spot { get; init; }

    /// <summary>True where it is said to be wholly in foil.</summary>
    public bool? Foil { get; init; }

    /// <summary>True where its label was looked at and nothing is missing.</summary>
    public bool Labelled { get; init; }

    /// <summary>What went through the filter, mL.</summary>
    public decimal? VolumeMl { get; init; }

    /// <summary>How long it may wait.</summary>
    public SampleHold? Hold { get; init; }

    /// <summary>The manifest it left with.</summary>
    public Guid? Manifest { get; init; }

    /// <summary>To whom it went.</summary>
    public string? To { get; init; }

    /// <summary>The filter's run.</summary>
    public FilterRun? Filter { get; init; }

    /// <summary>What was added, as it stands on the label.</summary>
    public string? Added { get; init; }

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
    Working Working
)
{
    /// <summary>The method, in the laboratory's words.</summary>
    public string? Method { get; init; }

    /// <summary>True where it lies over the value: more than could be counted.</summary>
    public bool Above { get; init; }
}
