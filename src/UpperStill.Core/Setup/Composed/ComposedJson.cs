using System.Text.Json.Serialization;

namespace UpperStill.Core.Setup.Composed;

/// <summary>A composed protocol as text, to be held against another version of it.</summary>
[JsonSerializable(typeof(ComposedProtocol))]
internal sealed partial class ComposedJson : JsonSerializerContext;
