using System.Text.Json;
using System.Text.Json.Serialization;

namespace UpperStill.Core.Record.Fills;

/// <summary>The JSON of these entries’ bodies.</summary>
[JsonSourceGenerationOptions(
    JsonSerializerDefaults.General,
    PropertyNamingPolicy = JsonKnownNamingPolicy.CamelCase,
    DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
    GenerationMode = JsonSourceGenerationMode.Metadata,
    RespectNullableAnnotations = true,
    RespectRequiredConstructorParameters = true
)]
[JsonSerializable(typeof(FillBody))]
[JsonSerializable(typeof(PreservedBody))]
public sealed partial class FillJson : JsonSerializerContext;
