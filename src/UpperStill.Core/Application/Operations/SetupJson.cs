using System.Text.Json;
using System.Text.Json.Serialization;
using UpperStill.Core.Application.Trends;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Setup.Equipment;
using UpperStill.Core.Setup.Laboratories;
using UpperStill.Core.Setup.People;
using UpperStill.Core.Setup.Waters;

namespace UpperStill.Core.Application.Operations;

/// <summary>The JSON of what is set up ashore and never computed with on a device; apart from <see cref="CoreJson"/> so that it does not
/// travel there.</summary>
[JsonSourceGenerationOptions(
    JsonSerializerDefaults.General,
    PropertyNamingPolicy = JsonKnownNamingPolicy.CamelCase,
    DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
    RespectNullableAnnotations = true,
    RespectRequiredConstructorParameters = true
)]
[JsonSerializable(typeof(Water))]
[JsonSerializable(typeof(IReadOnlyList<Grant>))]
[JsonSerializable(typeof(Laboratory))]
[JsonSerializable(typeof(KitItem))]
[JsonSerializable(typeof(KitCheck))]
[JsonSerializable(typeof(LedgerSample))]
[JsonSerializable(typeof(LabDoor))]
[JsonSerializable(typeof(SeriesAnswer))]
[JsonSerializable(typeof(RegionalStation))]
public sealed partial class SetupJson : JsonSerializerContext;
