using System.Text.Json;
using System.Text.Json.Serialization;

namespace UpperStill.Core.Protocols.Filtering;

/// <summary>The JSON of these entries’ bodies.</summary>
[JsonSourceGenerationOptions(
    JsonSerializerDefaults.General,
    PropertyNamingPolicy = JsonKnownNamingPolicy.CamelCase,
    DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
    GenerationMode = JsonSourceGenerationMode.Metadata,
    RespectNullableAnnotations = true,
    RespectRequiredConstructorParameters = true
)]
[JsonSerializable(typeof(FilterBody))]
[JsonSerializable(typeof(FilterFillBody))]
public sealed partial class FilterJson : JsonSerializerContext;
