using System.Text.Json;
using System.Text.Json.Serialization.Metadata;
using UpperStill.Core.Record.Entries;

namespace UpperStill.Core.Application.Operations;

/// <summary>What an operation costs at its largest input.</summary>
public enum OperationCost
{
    /// <summary>A few numbers in, a few out: anybody may ask.</summary>
    Light,

    /// <summary>It takes series, profiles or whole visits: only whoever is signed in asks a server for it.</summary>
    Heavy,
}

/// <summary>A number of a request that nobody can mean.</summary>
/// <param name="At">Where it stands, such as <c>harmonics[2].amplitudeM</c>.</param>
/// <param name="Words">What it is and what it may be, to follow its name.</param>
public sealed record NumberOutside(string At, string Words);

/// <summary>One operation of Core: a name, a request, a response. The server and the browser offer the same table of them.</summary>
public abstract class Operation
{
    private protected Operation(string name, string description, OperationCost cost) =>
        (Name, Description, Cost) = (name, description, cost);

    /// <summary>The name, in kebab case.</summary>
    public string Name { get; }

    /// <summary>One line on what it does.</summary>
    public string Description { get; }

    /// <summary>What it costs.</summary>
    public OperationCost Cost { get; }

    /// <summary>The longest request, bytes of JSON. At that length it takes less than a second of a processor; see the benchmark.</summary>
    public int Longest => Cost == OperationCost.Light ? 16 * 1024 : 1024 * 1024;

    /// <summary>Shape of the request.</summary>
    public abstract JsonTypeInfo Request { get; }

    /// <summary>Shape of the response.</summary>
    public abstract JsonTypeInfo Response { get; }

    /// <summary>What a request holds that its shape does not know, or that nobody can mean, with its place; null where there is
    /// nothing.</summary>
    /// <param name="given">The request.</param>
    public string? Fault(JsonElement given) =>
        BodyShape.Fault(given, Request, Judged.Asked) ?? (Outside(given) is { } outside ? $"“{outside.At}” {outside.Words}" : null);

    /// <summary>The first number of a request outside its range; null where there is none.</summary>
    /// <param name="given">The request.</param>
    public NumberOutside? Outside(JsonElement given) =>
        Record.Entries.Ranges.Outside(given, Request) is var (at, seen, range)
            ? new NumberOutside(at, $"is {seen}: it runs from {range.Words}")
            : null;

    /// <summary>Every number that it is asked with: where it stands, and what it may be.</summary>
    public IReadOnlyList<DeclaredRange> Ranges => Record.Entries.Ranges.Of(Request);

    /// <summary>Runs it on UTF-8 JSON.</summary>
    /// <exception cref="JsonException">The request is not of the operation's shape.</exception>
    /// <exception cref="ArgumentOutOfRangeException">A number in it is outside what the operation works with.</exception>
    /// <exception cref="OverflowException">So large a number follows from it that it cannot be said.</exception>
    public abstract byte[] Invoke(ReadOnlySpan<byte> given);
}

/// <summary>An operation from <typeparamref name="TRequest"/> to <typeparamref name="TResponse"/>.</summary>
// The shapes are asked for when they are needed: to know them all takes a browser more than a second.
internal sealed class Operation<TRequest, TResponse>(
    string name,
    string description,
    Func<CoreJson, JsonTypeInfo<TRequest>> request,
    Func<CoreJson, JsonTypeInfo<TResponse>> response,
    Func<TRequest, TResponse> work,
    OperationCost cost = OperationCost.Light
) : Operation(name, description, cost)
{
    public override JsonTypeInfo Request => request(CoreJson.Default);

    public override JsonTypeInfo Response => response(CoreJson.Default);

    public override byte[] Invoke(ReadOnlySpan<byte> given) =>
        JsonSerializer.SerializeToUtf8Bytes(
            work(JsonSerializer.Deserialize(given, request(CoreJson.Default)) ?? throw new JsonException("The request is empty.")),
            response(CoreJson.Default)
        );
}
