using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Protocols.Filtering;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Samples;

namespace UpperStill.Core.Protocols.Custody;

/// <summary>A sample while its visit is folded.</summary>
internal sealed class SampleDraft(string number, SampleType type, SamplePlace place, string depth, int replicate)
{
    internal string Number => number;

    internal SampleType Type => type;

    internal SamplePlace Place => place;

    internal string Depth => depth;

    internal int Replicate => replicate;

    internal SampleKin? Kin { get; set; }

    internal string? Of { get; set; }

    internal SampleState State { get; set; }

    internal List<SampleEvent> Life { get; } = [];

    internal List<Finding> Findings { get; } = [];

    internal List<SampleResult> Results { get; } = [];

    internal FilterPart? Filter { get; set; }

    internal DateTimeOffset? CollectedAt { get; set; }

    internal StorePlace? In { get; set; }

    internal string? Spot { get; set; }

    internal bool? Foil { get; set; }

    internal bool Labelled { get; set; }

    internal Guid? Manifest { get; set; }

    internal string? To { get; set; }

    internal string? Added { get; set; }

    internal bool Blank => Kin == SampleKin.Blank || Type.Code == "blank";

    /// <summary>What a step says of it.</summary>
    internal void Take(SampleStepTaken step, SampleState after)
    {
        State = after;
        CollectedAt = step.CollectedAt ?? CollectedAt;
        Added = step.Added ?? Added;
        Labelled = step.Labelled ?? Labelled;
        if (step.Stored is { } stored)
        {
            (In, Spot, Foil) = (stored.In, stored.Spot, stored.Foil ?? Foil);
        }

        if (step.Sent is { } sent)
        {
            (Manifest, To, In, Spot) = (sent.Manifest, sent.To, null, null);
        }

        Life.Add(new SampleEvent(step.Entry.Id, step.Step, step.Text, step.Entry.At, step.Entry.By, step.Where, step.TemperatureC));
    }

    internal LedgerSample Show(SheetDraft draft, DateOnly day, SampleHold? hold, IReadOnlyList<Finding> findings)
    {
        var station = draft.Context.Station;
        return new LedgerSample(
            Number,
            draft.Start!.Entry.Visit,
            station.Code,
            station.WaterCode,
            station.Water,
            station.District,
            day,
            Type.Code,
            Type.Measures,
            Type.Container
        )
        {
            Keep = Type.Keep,
            Place = Place,
            Depth = Depth,
            State = State,
            StateText = State.Words(),
            Life = Life,
            Findings = findings,
            Results = Results,
            Replicate = Replicate,
            Kin = Kin,
            Of = Of,
            CollectedAt = CollectedAt,
            In = In,
            Spot = Spot,
            Foil = Foil,
            Labelled = Labelled,
            VolumeMl = Filter is { TotalMl: > 0 } filter ? filter.TotalMl : null,
            Hold = hold,
            Manifest = Manifest,
            To = To,
            Filter = Filter?.Run(
                draft.Context.Programme,
                Labelled,
                State is not (SampleState.Planned or SampleState.Labelled or SampleState.Taken)
            ),
            Added = Added,
        };
    }
}
