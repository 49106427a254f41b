using System.Text.Json;
using System.Text.Json.Serialization;
using UpperStill.Core.Protocols.Custody;

namespace UpperStill.Core.Protocols.Results;

/// <summary>The JSON of these entries’ bodies.</summary>
[JsonSourceGenerationOptions(
    JsonSerializerDefaults.General,
    PropertyNamingPolicy = JsonKnownNamingPolicy.CamelCase,
    DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
    GenerationMode = JsonSourceGenerationMode.Metadata,
    RespectNullableAnnotations = true,
    RespectRequiredConstructorParameters = true
)]
[JsonSerializable(typeof(MeasuredBody))]
[JsonSerializable(typeof(ResultBody))]
[JsonSerializable(typeof(ValueStatedBody))]
[JsonSerializable(typeof(SamplesBody))]
[JsonSerializable(typeof(FlowBody))]
public sealed partial class ResultJson : JsonSerializerContext;
