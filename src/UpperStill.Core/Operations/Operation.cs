using System.Text.Json;
using System.Text.Json.Serialization.Metadata;

namespace UpperStill.Core.Operations;

/// <summary>One operation of Core: a name, a request, a response. The server and the browser offer the same table of them.</summary>
public abstract class Operation
{
    private protected Operation(string name, string description, JsonTypeInfo request, JsonTypeInfo response)
    {
        (Name, Description, Request, Response) = (name, description, request, response);
    }

    /// <summary>The name, in kebab case.</summary>
    public string Name { get; }

    /// <summary>One line on what it does.</summary>
    public string Description { get; }

    /// <summary>Shape of the request.</summary>
    public JsonTypeInfo Request { get; }

    /// <summary>Shape of the response.</summary>
    public JsonTypeInfo Response { get; }

    /// <summary>Runs it on UTF-8 JSON.</summary>
    /// <exception cref="JsonException">The request is not of the operation's shape.</exception>
    public abstract byte[] Invoke(ReadOnlySpan<byte> request);
}

/// <summary>An operation from <typeparamref name="TRequest"/> to <typeparamref name="TResponse"/>.</summary>
internal sealed class Operation<TRequest, TResponse>(
    string name, string description, JsonTypeInfo<TRequest> request, JsonTypeInfo<TResponse> response, Func<TRequest, TResponse> work)
    : Operation(name, description, request, response)
{
    public override byte[] Invoke(ReadOnlySpan<byte> request) =>
        JsonSerializer.SerializeToUtf8Bytes(
            work(JsonSerializer.Deserialize(request, (JsonTypeInfo<TRequest>)Request) ?? throw new JsonException("The request is empty.")),
            (JsonTypeInfo<TResponse>)Response);
}
