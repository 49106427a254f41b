using UpperStill.Core.Application.Composing;
using UpperStill.Core.Application.Delivery;
using UpperStill.Core.Application.Guides;
using UpperStill.Core.Application.Outings;
using UpperStill.Core.Application.Review;
using UpperStill.Core.Application.Samples;
using UpperStill.Core.Application.Trends;
using UpperStill.Core.Application.Visits;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Bottles;
using UpperStill.Core.Protocols.Composite;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Protocols.Profile;
using UpperStill.Core.Protocols.Secchi;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Record.History;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Science.Chlorophyll;
using UpperStill.Core.Science.Density;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Core.Science.Hydraulics;
using UpperStill.Core.Science.Oxygen;
using UpperStill.Core.Science.Sky;
using UpperStill.Core.Science.Stratification;
using UpperStill.Core.Science.Trophic;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.People;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Application.Operations;

/// <summary>The one table of operations.</summary>
public static class OperationTable
{
    /// <summary>Every operation, by name.</summary>
    public static IReadOnlyDictionary<string, Operation> All { get; } =
        new Operation[]
        {
            new Operation<LengthRequest, LengthResult>(
                "length",
                "Reads a length as people type it, such as 12 9 or 3.85, and says what it means or what is wrong.",
                j => j.LengthRequest,
                j => j.LengthResult,
                LengthOperation.Work
            ),
            new Operation<NumberRequest, NumberResult>(
                "number",
                "Reads a plain number as people and meters write it, such as 8.6 or 8,6, and says what is wrong where it is none.",
                j => j.NumberRequest,
                j => j.NumberResult,
                NumberOperation.Work
            ),
            new Operation<ClarityRequest, ClarityResult>(
                "clarity",
                "Works out a clarity (Secchi depth) from marks on the line by the programme's method, with its working and findings.",
                j => j.ClarityRequest,
                j => j.ClarityResult,
                ClarityRule.Work
            ),
            new Operation<CompositeRequest, CompositeResult>(
                "composite-depth",
                "Works out how deep to take a composite: the lit layer, kept off the bottom, to the nearest mark of the line.",
                j => j.CompositeRequest,
                j => j.CompositeResult,
                CompositeRule.Work
            ),
            new Operation<TrendRequest, TrendResult>(
                "trend",
                "Looks at a series: by year, is it changing, how sure is that, what holds the answer back, what would it take to know.",
                j => j.TrendRequest,
                j => j.TrendResult,
                TrendRule.Work,
                OperationCost.Heavy
            ),
            new Operation<SeriesTextRequest, SeriesTextResult>(
                "read-series",
                "Reads a pasted series, a day or a year and a value in each line, and names the lines that it cannot read.",
                j => j.SeriesTextRequest,
                j => j.SeriesTextResult,
                SeriesText.Read,
                OperationCost.Heavy
            ),
            new Operation<TrophicRequest, TrophicResult>(
                "trophic",
                "Works out the trophic index of clarity, chlorophyll and phosphorus, each by itself, and reads their differences.",
                j => j.TrophicRequest,
                j => j.TrophicResult,
                TrophicState.Work
            ),
            new Operation<ChlorophyllClarityRequest, ChlorophyllClarityResult>(
                "chlorophyll-clarity",
                "Draws how clarity follows chlorophyll at a station, beside what algae alone would leave.",
                j => j.ChlorophyllClarityRequest,
                j => j.ChlorophyllClarityResult,
                ChlorophyllClarity.Work,
                OperationCost.Heavy
            ),
            new Operation<OxygenSeasonsRequest, OxygenSeasonsResult>(
                "oxygen-seasons",
                "Sums up oxygen by season: anoxic factor, deficit of the deep water, the least at the bottom.",
                j => j.OxygenSeasonsRequest,
                j => j.OxygenSeasonsResult,
                OxygenSeasons.Work,
                OperationCost.Heavy
            ),
            new Operation<DepthTimeRequest, DepthTimeResult>(
                "depth-time",
                "Lays profiles out over depth and time, to be contoured; never across a gap of more than 45 days.",
                j => j.DepthTimeRequest,
                j => j.DepthTimeResult,
                DepthTime.Work,
                OperationCost.Heavy
            ),
            new Operation<MonthHistoryRequest, MonthHistoryResult>(
                "month-history",
                "Picks from a station's record what a reading of a day is compared with: the same month of earlier years.",
                j => j.MonthHistoryRequest,
                j => j.MonthHistoryResult,
                MonthHistory.Work,
                OperationCost.Heavy
            ),
            new Operation<ResectionRequest, ResectionResult>(
                "resection",
                "Works out a position from three or more compass bearings to charted landmarks, with its error triangle.",
                j => j.ResectionRequest,
                j => j.ResectionResult,
                Resection.Work
            ),
            new Operation<TransitRequest, TransitResult>(
                "transit-crossing",
                "Works out where two pairs of landmarks in line cross, and at what angle.",
                j => j.TransitRequest,
                j => j.TransitResult,
                TransitCrossing.Work
            ),
            new Operation<OxygenRequest, OxygenResult>(
                "oxygen",
                "Turns an oxygen reading in mg/L into per cent of saturation at the station, or back, with its working, and says "
                    + "what looks like another unit.",
                j => j.OxygenRequest,
                j => j.OxygenResult,
                OxygenRule.Work
            ),
            new Operation<ProfileRequest, ProfileResult>(
                "profile",
                "Works out what a profile says: thermocline by both methods, mixed layer, where oxygen ends, stability and means by volume.",
                j => j.ProfileRequest,
                j => j.ProfileResult,
                ProfileRule.Work,
                OperationCost.Heavy
            ),
            new Operation<SettlingRequest, SettlingResult>(
                "settling",
                "Says whether a probe has settled at its depth, or what still moves.",
                j => j.SettlingRequest,
                j => j.SettlingResult,
                Settling.Work,
                OperationCost.Heavy
            ),
            new Operation<BottleDepthRequest, BottleDepthResult>(
                "bottle-depth",
                "Works out how deep a bottle is closed by the programme’s method, kept off the bottom, to the nearest mark of the line.",
                j => j.BottleDepthRequest,
                j => j.BottleDepthResult,
                BottleDepthRule.Work
            ),
            new Operation<OpenProtocolsRequest, OpenProtocolsResult>(
                "open-protocols",
                "Says which protocols of a programme are open on a day, to propose what a visit takes.",
                j => j.OpenProtocolsRequest,
                j => j.OpenProtocolsResult,
                OpenProtocols.Work,
                OperationCost.Heavy
            ),
            new Operation<CrewTrainingRequest, CrewTrainingResult>(
                "crew-training",
                "Says what training the programme asks for that nobody aboard has had this year.",
                j => j.CrewTrainingRequest,
                j => j.CrewTrainingResult,
                CrewTraining.Work,
                OperationCost.Heavy
            ),
            new Operation<ColourBody, ColourResult>(
                "colour",
                "Says a colour of the water in words, with the chart from blue-green to brown that it is compared with.",
                j => j.ColourBody,
                j => j.ColourResult,
                ColourChart.Work
            ),
            new Operation<StationsHereRequest, StationsHereResult>(
                "stations-here",
                "Orders stations by their distance from a position, and says where none is known there.",
                j => j.StationsHereRequest,
                j => j.StationsHereResult,
                StationsHere.Work,
                OperationCost.Heavy
            ),
            new Operation<CastingOffRequest, CastingOffResult>(
                "before-casting-off",
                "Names what of the safety gear on a pack list is not confirmed.",
                j => j.CastingOffRequest,
                j => j.CastingOffResult,
                BeforeCastingOff.Work,
                OperationCost.Heavy
            ),
            new Operation<StepGuideRequest, StepGuideResult>(
                "step-guide",
                "Says how a step of a visit is done by the programme's methods, why, and what can hurt.",
                j => j.StepGuideRequest,
                j => j.StepGuideResult,
                StepGuide.Work
            ),
            new Operation<ComposeRequest, ComposeResult>(
                "compose",
                "Looks at a protocol of a group's own while it is composed: codes for what has none, what is missing, how a visit will know it.",
                j => j.ComposeRequest,
                j => j.ComposeResult,
                Composing.Composing.Work,
                OperationCost.Heavy
            ),
            new Operation<PracticeRequest, VisitContext>(
                "practice-place",
                "Makes a place of practice, at which a composed protocol is due on any day; its code is reserved.",
                j => j.PracticeRequest,
                j => j.VisitContext,
                PracticePlace.Work,
                OperationCost.Heavy
            ),
            new Operation<ProtocolsRequest, ProtocolsResult>(
                "protocols",
                "Describes every protocol that describes itself: its steps, fields with units and ranges, methods, findings and parameters.",
                j => j.ProtocolsRequest,
                j => j.ProtocolsResult,
                DescribedProtocols.Work,
                OperationCost.Heavy
            ),
            new Operation<BoxesRequest, BoxesResult>(
                "boxes",
                "Says what each box of a visit, bench or custody asks that is answered with one touch, and every answer that it takes.",
                j => j.BoxesRequest,
                j => j.BoxesResult,
                BoxBook.Work
            ),
            new Operation<SheetTimeRequest, SheetTimeResult>(
                "sheet-time",
                "Says when the readings of a paper sheet were made, or what of its time is missing or contradicts itself.",
                j => j.SheetTimeRequest,
                j => j.SheetTimeResult,
                SheetTimes.Work
            ),
            new Operation<CrewRequest, CrewResult>(
                "crew",
                "Finds the people behind names among those who are known, so that one person keeps one id.",
                j => j.CrewRequest,
                j => j.CrewResult,
                Crew.Find
            ),
            new Operation<VisitPlaceRequest, VisitPlaceResult>(
                "visit-place",
                "Says at which station a visit lies: where it was begun, or where a coordinator moved it.",
                j => j.VisitPlaceRequest,
                j => j.VisitPlaceResult,
                VisitPlace.Of,
                OperationCost.Heavy
            ),
            new Operation<FoldRequest, FieldSheet>(
                "fold-visit",
                "Folds the entries of a visit into its state: readings, derived values, findings and what is still to do.",
                j => j.FoldRequest,
                j => j.FieldSheet,
                FieldSheet.Fold,
                OperationCost.Heavy
            ),
            new Operation<FoldRequest, VisitSamples>(
                "fold-samples",
                "Folds the entries of a visit into its samples: where each is, how long it may wait, its filter, its results.",
                j => j.FoldRequest,
                j => j.VisitSamples,
                VisitSamples.Fold,
                OperationCost.Heavy
            ),
            new Operation<FoldRequest, VisitReview>(
                "fold-review",
                "Folds the entries of a visit into its review: what is open, what was asked, and what is signed off.",
                j => j.FoldRequest,
                j => j.VisitReview,
                VisitReview.Fold,
                OperationCost.Heavy
            ),
            new Operation<SampleClocksRequest, SampleClocksResult>(
                "sample-clocks",
                "Says how long samples may still wait and what must move next, from their holds and the laboratory’s door.",
                j => j.SampleClocksRequest,
                j => j.SampleClocksResult,
                SampleClocks.Work,
                OperationCost.Heavy
            ),
            new Operation<HandOverRequest, HandOverResult>(
                "hand-over",
                "Checks a hand-over before anything leaves: what can go, what cannot, and why.",
                j => j.HandOverRequest,
                j => j.HandOverResult,
                HandOver.Work,
                OperationCost.Heavy
            ),
            new Operation<VisitSeriesRequest, VisitSeriesResult>(
                "visit-series",
                "Says which letter the sample numbers of a visit carry where it is not the first of its day and station.",
                j => j.VisitSeriesRequest,
                j => j.VisitSeriesResult,
                VisitSeries.Next
            ),
            new Operation<SampleNumberRequest, SampleNumberResult>(
                "sample-number",
                "Reads a sample number as typed or scanned, and sees a wrong character by its check character.",
                j => j.SampleNumberRequest,
                j => j.SampleNumberResult,
                SampleNumberResult.Work
            ),
            new Operation<NewNumberRequest, NewNumberResult>(
                "new-sample-number",
                "Gives the next free number for a replicate, a part or a blank of a sample.",
                j => j.NewNumberRequest,
                j => j.NewNumberResult,
                NewNumberResult.Work,
                OperationCost.Heavy
            ),
            new Operation<FilterVolumeRequest, FilterVolumeResult>(
                "filter-volume",
                "Works out how much water is worth filtering, from the clarity or the usual chlorophyll and the lab’s detection limit.",
                j => j.FilterVolumeRequest,
                j => j.FilterVolumeResult,
                FilterVolume.Work
            ),
            new Operation<ChlorophyllRequest, ChlorophyllResult>(
                "chlorophyll",
                "Works out chlorophyll a from absorbances or fluorescence of a filter’s extract, with its working.",
                j => j.ChlorophyllRequest,
                j => j.ChlorophyllResult,
                ChlorophyllRule.Work
            ),
            new Operation<LoadRequest, LoadResult>(
                "load",
                "Works out what a stream carries in a day from its flow and a concentration.",
                j => j.LoadRequest,
                j => j.LoadResult,
                Load.Work
            ),
            new Operation<DensityRequest, DensityResult>(
                "density",
                "Works out the density of water from its temperature and salinity, with its working.",
                j => j.DensityRequest,
                j => j.DensityResult,
                DensityRule.Work
            ),
            new Operation<SalinityRequest, SalinityResult>(
                "salinity",
                "Works out salinity by the practical scale and the specific conductance from what a conductivity meter showed.",
                j => j.SalinityRequest,
                j => j.SalinityResult,
                SalinityRule.Work
            ),
            new Operation<SunRequest, SunResult>(
                "sun",
                "Says where the sun stands over a place at an instant, and when it stands highest.",
                j => j.SunRequest,
                j => j.SunResult,
                SunRule.Work
            ),
            new Operation<TideRequest, TideResult>(
                "tide",
                "Works out high and low waters from the harmonic constants of a place.",
                j => j.TideRequest,
                j => j.TideResult,
                TideRule.Work
            ),
            new Operation<NetVolumeRequest, NetVolumeResult>(
                "net-volume",
                "Works out how much water went through a net from its mouth and the length of the tow.",
                j => j.NetVolumeRequest,
                j => j.NetVolumeResult,
                NetVolume.Work
            ),
            new Operation<Entry, EntryRefusal>(
                "check-entry",
                "Says whether an entry can be kept at all, before it is written.",
                j => j.Entry,
                j => j.EntryRefusal,
                e => new EntryRefusal(EntryCheck.Refusal(e)),
                OperationCost.Heavy
            ),
        }.ToDictionary(o => o.Name, StringComparer.Ordinal);
}
