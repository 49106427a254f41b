using System.Text.Json;
using System.Text.Json.Serialization;

namespace UpperStill.Core.Protocols.Paper;

/// <summary>The JSON of these entries’ bodies.</summary>
[JsonSourceGenerationOptions(
    JsonSerializerDefaults.General,
    PropertyNamingPolicy = JsonKnownNamingPolicy.CamelCase,
    DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
    GenerationMode = JsonSourceGenerationMode.Metadata,
    RespectNullableAnnotations = true,
    RespectRequiredConstructorParameters = true
)]
[JsonSerializable(typeof(WorkedByHandBody))]
public sealed partial class PaperJson : JsonSerializerContext;
