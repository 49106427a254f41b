using System.Text.Json;
using System.Text.Json.Serialization;
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
using UpperStill.Core.Setup.Composed;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.People;
using UpperStill.Core.Setup.Programmes;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Application.Operations;

/// <summary>The JSON of Core, the same on the server and in the browser: camel case, numbers as numbers, names of choices in kebab
/// case.</summary>
[JsonSourceGenerationOptions(
    JsonSerializerDefaults.General,
    PropertyNamingPolicy = JsonKnownNamingPolicy.CamelCase,
    DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
    GenerationMode = JsonSourceGenerationMode.Metadata,
    RespectNullableAnnotations = true,
    RespectRequiredConstructorParameters = true
)]
// Answers are only ever written: without the means to read them a third of the payload is saved. A type that is both asked and
// answered with stands in the second list by itself, or it could not be read.
[JsonSerializable(typeof(NumberOutside), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(CrewResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(FieldSheet), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(ClarityResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(CompositeResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(TrendResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(TrophicResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(ChlorophyllClarityResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(OxygenSeasonsResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(DepthTimeResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(MonthHistoryResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(LengthResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(NumberResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(ResectionResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(TransitResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(OxygenResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(ProfileResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(BottleDepthResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(SettlingResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(CrewTrainingResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(OpenProtocolsResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(ComposeResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(ColourResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(VisitPlaceResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(EntryRefusal), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(SheetTimeResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(StationsHereResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(CastingOffResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(StepGuideResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(VisitSamples), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(VisitReview), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(SampleClocksResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(HandOverResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(SampleNumberResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(NewNumberResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(FilterVolumeResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(ChlorophyllResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(LoadResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(ProtocolsResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(BoxesResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(ClarityPoint))]
[JsonSerializable(typeof(Gear))]
[JsonSerializable(typeof(ProfileLevel))]
[JsonSerializable(typeof(AreaAtDepth))]
[JsonSerializable(typeof(WrittenLength))]
[JsonSerializable(typeof(WrittenTemperature))]
[JsonSerializable(typeof(WrittenOxygen))]
[JsonSerializable(typeof(LineCheck))]
[JsonSerializable(typeof(TapedMark))]
[JsonSerializable(typeof(Position))]
[JsonSerializable(typeof(FoldRequest))]
[JsonSerializable(typeof(IReadOnlyList<Entry>))]
[JsonSerializable(typeof(Entry))]
[JsonSerializable(typeof(Line))]
[JsonSerializable(typeof(Station))]
[JsonSerializable(typeof(Programme))]
[JsonSerializable(typeof(VisitContext))]
[JsonSerializable(typeof(ClarityRequest))]
[JsonSerializable(typeof(CompositeRequest))]
[JsonSerializable(typeof(TrendRequest))]
[JsonSerializable(typeof(SeriesPoint))]
[JsonSerializable(typeof(TrendLimit))]
[JsonSerializable(typeof(TrophicRequest))]
[JsonSerializable(typeof(OxygenSeasonsRequest))]
[JsonSerializable(typeof(ChlorophyllClarityRequest))]
[JsonSerializable(typeof(ChlorophyllClarityPair))]
[JsonSerializable(typeof(DepthTimeRequest))]
[JsonSerializable(typeof(MonthHistoryRequest))]
[JsonSerializable(typeof(LengthRequest))]
[JsonSerializable(typeof(NumberRequest))]
[JsonSerializable(typeof(ResectionRequest))]
[JsonSerializable(typeof(TransitRequest))]
[JsonSerializable(typeof(OxygenRequest))]
[JsonSerializable(typeof(CrewRequest))]
[JsonSerializable(typeof(VisitPlaceRequest))]
[JsonSerializable(typeof(ColourBody))]
[JsonSerializable(typeof(SeriesTextRequest))]
[JsonSerializable(typeof(SeriesTextResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(DensityRequest))]
[JsonSerializable(typeof(DensityResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(SalinityRequest))]
[JsonSerializable(typeof(SalinityResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(SunRequest))]
[JsonSerializable(typeof(SunResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(TideRequest))]
[JsonSerializable(typeof(TideResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(NetVolumeRequest))]
[JsonSerializable(typeof(NetVolumeResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(SheetTimeRequest))]
[JsonSerializable(typeof(StationsHereRequest))]
[JsonSerializable(typeof(CastingOffRequest))]
[JsonSerializable(typeof(StepGuideRequest))]
[JsonSerializable(typeof(CrewTrainingRequest))]
[JsonSerializable(typeof(OpenProtocolsRequest))]
[JsonSerializable(typeof(SettlingRequest))]
[JsonSerializable(typeof(ProfileRequest))]
[JsonSerializable(typeof(BottleDepthRequest))]
[JsonSerializable(typeof(SampleHold))]
[JsonSerializable(typeof(SampleClocksRequest))]
[JsonSerializable(typeof(HandOverRequest))]
[JsonSerializable(typeof(VisitSeriesRequest))]
[JsonSerializable(typeof(VisitSeriesResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(OtherVisit))]
[JsonSerializable(typeof(SampleNumberRequest))]
[JsonSerializable(typeof(NewNumberRequest))]
[JsonSerializable(typeof(FilterVolumeRequest))]
[JsonSerializable(typeof(ChlorophyllRequest))]
[JsonSerializable(typeof(LoadRequest))]
[JsonSerializable(typeof(ProtocolsRequest))]
[JsonSerializable(typeof(ComposeRequest))]
[JsonSerializable(typeof(PracticeRequest))]
[JsonSerializable(typeof(ComposedProtocol))]
[JsonSerializable(typeof(BoxesRequest))]
public sealed partial class CoreJson : JsonSerializerContext;
