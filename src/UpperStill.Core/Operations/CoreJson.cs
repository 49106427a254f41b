using System.Text.Json;
using System.Text.Json.Serialization;
using UpperStill.Core.Clarity;
using UpperStill.Core.Composites;
using UpperStill.Core.Findings;
using UpperStill.Core.Kit;
using UpperStill.Core.Places;
using UpperStill.Core.Programmes;
using UpperStill.Core.Quantities;
using UpperStill.Core.Visits;

namespace UpperStill.Core.Operations;

/// <summary>The JSON of Core, the same on the server and in the browser: camel case, numbers as numbers, names of choices in kebab case.</summary>
[JsonSourceGenerationOptions(
    JsonSerializerDefaults.General,
    PropertyNamingPolicy = JsonKnownNamingPolicy.CamelCase,
    DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
    RespectNullableAnnotations = true,
    RespectRequiredConstructorParameters = true)]
[JsonSerializable(typeof(FoldRequest))]
[JsonSerializable(typeof(FieldSheet))]
[JsonSerializable(typeof(Entry))]
[JsonSerializable(typeof(Line))]
[JsonSerializable(typeof(Station))]
[JsonSerializable(typeof(Programme))]
[JsonSerializable(typeof(VisitContext))]
[JsonSerializable(typeof(Finding))]
[JsonSerializable(typeof(ClarityRequest))]
[JsonSerializable(typeof(ClarityResult))]
[JsonSerializable(typeof(CompositeRequest))]
[JsonSerializable(typeof(CompositeResult))]
[JsonSerializable(typeof(ClarityYearsRequest))]
[JsonSerializable(typeof(ClarityYearsResult))]
[JsonSerializable(typeof(MonthHistoryRequest))]
[JsonSerializable(typeof(MonthHistoryResult))]
[JsonSerializable(typeof(LengthRequest))]
[JsonSerializable(typeof(LengthResult))]
[JsonSerializable(typeof(ResectionRequest))]
[JsonSerializable(typeof(ResectionResult))]
[JsonSerializable(typeof(TransitRequest))]
[JsonSerializable(typeof(TransitResult))]
[JsonSerializable(typeof(VisitStartedBody))]
[JsonSerializable(typeof(SoundingBody))]
[JsonSerializable(typeof(DiscMarkBody))]
[JsonSerializable(typeof(DiscOutcomeBody))]
[JsonSerializable(typeof(TakenBody))]
[JsonSerializable(typeof(KeptBody))]
[JsonSerializable(typeof(EmptyBody))]
[JsonSerializable(typeof(EntryRefusal))]
public sealed partial class CoreJson : JsonSerializerContext;
