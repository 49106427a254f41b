using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Formats.Casts;
using UpperStill.Formats.Instruments;

namespace UpperStill.Formats;

/// <summary>JSON of what is read on the device: casts and lines of instruments.</summary>
// Answers are only ever written: without the means to read them they are small. What is asked with as well stands by itself.
[JsonSourceGenerationOptions(
    GenerationMode = JsonSourceGenerationMode.Metadata,
    PropertyNamingPolicy = JsonKnownNamingPolicy.CamelCase,
    DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull
)]
[JsonSerializable(typeof(CastLayout), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(CastRequest))]
[JsonSerializable(typeof(CastColumn))]
[JsonSerializable(typeof(WrittenLength))]
[JsonSerializable(typeof(CastResult), GenerationMode = JsonSourceGenerationMode.Serialization)]
[JsonSerializable(typeof(InstrumentLines), GenerationMode = JsonSourceGenerationMode.Serialization)]
public sealed partial class FormatsJson : JsonSerializerContext;
