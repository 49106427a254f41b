using System.Text.Json;
using System.Text.Json.Serialization;

namespace UpperStill.Core.Protocols.Arrival;

/// <summary>The JSON of these entries’ bodies.</summary>
[JsonSourceGenerationOptions(
    JsonSerializerDefaults.General,
    PropertyNamingPolicy = JsonKnownNamingPolicy.CamelCase,
    DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
    GenerationMode = JsonSourceGenerationMode.Metadata,
    RespectNullableAnnotations = true,
    RespectRequiredConstructorParameters = true
)]
[JsonSerializable(typeof(FixBody))]
[JsonSerializable(typeof(LandmarksBody))]
[JsonSerializable(typeof(ConditionsBody))]
public sealed partial class ArrivalJson : JsonSerializerContext;
