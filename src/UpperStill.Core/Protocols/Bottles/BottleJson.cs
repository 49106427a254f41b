using System.Text.Json;
using System.Text.Json.Serialization;

namespace UpperStill.Core.Protocols.Bottles;

/// <summary>The JSON of these entries’ bodies.</summary>
[JsonSourceGenerationOptions(
    JsonSerializerDefaults.General,
    PropertyNamingPolicy = JsonKnownNamingPolicy.CamelCase,
    DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
    GenerationMode = JsonSourceGenerationMode.Metadata,
    RespectNullableAnnotations = true,
    RespectRequiredConstructorParameters = true
)]
[JsonSerializable(typeof(BottleDepthBody))]
[JsonSerializable(typeof(CastBody))]
public sealed partial class BottleJson : JsonSerializerContext;
