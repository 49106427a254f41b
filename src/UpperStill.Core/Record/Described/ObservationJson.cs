using System.Text.Json;
using System.Text.Json.Serialization;

namespace UpperStill.Core.Record.Described;

/// <summary>The JSON of this entry’s body.</summary>
[JsonSourceGenerationOptions(
    JsonSerializerDefaults.General,
    PropertyNamingPolicy = JsonKnownNamingPolicy.CamelCase,
    DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
    GenerationMode = JsonSourceGenerationMode.Metadata,
    RespectNullableAnnotations = true,
    RespectRequiredConstructorParameters = true
)]
[JsonSerializable(typeof(ObservationBody))]
public sealed partial class ObservationJson : JsonSerializerContext;
