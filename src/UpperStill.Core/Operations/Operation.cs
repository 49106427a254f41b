using System.Text.Json;
using System.Text.Json.Serialization.Metadata;

namespace UpperStill.Core.Operations;

/// <summary>One operation of Core: a name, a request, a response. The server and the browser offer the same table of them.</summary>
public abstract class Operation
{
    private protected Operation(string name, string description) => (Name, Description) = (name, description);

    /// <summary>The name, in kebab case.</summary>
    public string Name { get; }

    /// <summary>One line on what it does.</summary>
    public string Description { get; }

    /// <summary>Shape of the request.</summary>
    public abstract JsonTypeInfo Request { get; }

    /// <summary>Shape of the response.</summary>
    public abstract JsonTypeInfo Response { get; }

    /// <summary>Runs it on UTF-8 JSON.</summary>
    /// <exception cref="JsonException">The request is not of the operation's shape.</exception>
    public abstract byte[] Invoke(ReadOnlySpan<byte> given);
}

/// <summary>An operation from <typeparamref name="TRequest"/> to <typeparamref name="TResponse"/>.</summary>
// The shapes are asked for when they are needed: to know them all takes a browser more than a second.
internal sealed class Operation<TRequest, TResponse>(
    string name, string description, Func<CoreJson, JsonTypeInfo<TRequest>> request, Func<CoreJson, JsonTypeInfo<TResponse>> response, Func<TRequest, TResponse> work)
    : Operation(name, description)
{
    public override JsonTypeInfo Request => request(CoreJson.Default);

    public override JsonTypeInfo Response => response(CoreJson.Default);

    public override byte[] Invoke(ReadOnlySpan<byte> given) =>
        JsonSerializer.SerializeToUtf8Bytes(
            work(JsonSerializer.Deserialize(given, request(CoreJson.Default)) ?? throw new JsonException("The request is empty.")), response(CoreJson.Default));
}
