using System.Text.Json;
using System.Text.Json.Serialization;

namespace UpperStill.Core.Record.Entries;

/// <summary>The JSON of these entries’ bodies.</summary>
[JsonSourceGenerationOptions(
    JsonSerializerDefaults.General,
    PropertyNamingPolicy = JsonKnownNamingPolicy.CamelCase,
    DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
    GenerationMode = JsonSourceGenerationMode.Metadata,
    RespectNullableAnnotations = true,
    RespectRequiredConstructorParameters = true
)]
[JsonSerializable(typeof(Entry))]
[JsonSerializable(typeof(VisitStartedBody))]
[JsonSerializable(typeof(VisitMovedBody))]
[JsonSerializable(typeof(StepSkippedBody))]
[JsonSerializable(typeof(StepOrderBody))]
[JsonSerializable(typeof(TakenBody))]
[JsonSerializable(typeof(EmptyBody))]
[JsonSerializable(typeof(KeptBody))]
public sealed partial class VisitJson : JsonSerializerContext;
