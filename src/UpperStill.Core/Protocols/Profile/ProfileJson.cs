using System.Text.Json;
using System.Text.Json.Serialization;

namespace UpperStill.Core.Protocols.Profile;

/// <summary>The JSON of these entries’ bodies.</summary>
[JsonSourceGenerationOptions(
    JsonSerializerDefaults.General,
    PropertyNamingPolicy = JsonKnownNamingPolicy.CamelCase,
    DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
    GenerationMode = JsonSourceGenerationMode.Metadata,
    RespectNullableAnnotations = true,
    RespectRequiredConstructorParameters = true
)]
[JsonSerializable(typeof(MeterCheckBody))]
[JsonSerializable(typeof(LevelBody))]
[JsonSerializable(typeof(LoggedCastBody))]
[JsonSerializable(typeof(RereadBody))]
public sealed partial class ProfileJson : JsonSerializerContext;
