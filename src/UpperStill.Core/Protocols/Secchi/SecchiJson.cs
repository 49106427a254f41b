using System.Text.Json;
using System.Text.Json.Serialization;

namespace UpperStill.Core.Protocols.Secchi;

/// <summary>The JSON of these entries’ bodies.</summary>
[JsonSourceGenerationOptions(
    JsonSerializerDefaults.General,
    PropertyNamingPolicy = JsonKnownNamingPolicy.CamelCase,
    DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
    GenerationMode = JsonSourceGenerationMode.Metadata,
    RespectNullableAnnotations = true,
    RespectRequiredConstructorParameters = true
)]
[JsonSerializable(typeof(DiscMarkBody))]
[JsonSerializable(typeof(DiscOutcomeBody))]
[JsonSerializable(typeof(ClarityStatedBody))]
[JsonSerializable(typeof(DiscConditionsBody))]
[JsonSerializable(typeof(ColourBody))]
[JsonSerializable(typeof(OpinionBody))]
public sealed partial class SecchiJson : JsonSerializerContext;
