using System.Text.Json;
using System.Text.Json.Serialization;

namespace UpperStill.Core.Protocols.Custody;

/// <summary>The JSON of these entries’ bodies.</summary>
[JsonSourceGenerationOptions(
    JsonSerializerDefaults.General,
    PropertyNamingPolicy = JsonKnownNamingPolicy.CamelCase,
    DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
    GenerationMode = JsonSourceGenerationMode.Metadata,
    RespectNullableAnnotations = true,
    RespectRequiredConstructorParameters = true
)]
[JsonSerializable(typeof(SampleAddedBody))]
[JsonSerializable(typeof(LabelledBody))]
[JsonSerializable(typeof(StoredBody))]
[JsonSerializable(typeof(HandedOverBody))]
[JsonSerializable(typeof(SamplesBody))]
[JsonSerializable(typeof(ReceivedBody))]
public sealed partial class CustodyJson : JsonSerializerContext;
