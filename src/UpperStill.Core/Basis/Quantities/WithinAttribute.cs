using System.Collections.Concurrent;
using System.Globalization;
using System.Text.Json;
using System.Text.Json.Serialization.Metadata;

namespace UpperStill.Core.Basis.Quantities;

/// <summary>
/// What a number may be at all, and in what unit: the one declaration of it. Outside, an operation refuses it by name and a log keeps
/// it as written, with a finding. On a list it holds for each member. What is only unlikely lies within.
/// </summary>
/// <param name="least">The least, in <paramref name="unit"/>.</param>
/// <param name="most">The most, in <paramref name="unit"/>.</param>
/// <param name="unit">The unit; empty for a count.</param>
[AttributeUsage(AttributeTargets.Property)]
public sealed class WithinAttribute(double least, double most, string unit = "") : Attribute
{
    private static readonly ConcurrentDictionary<JsonPropertyInfo, WithinAttribute?> Known = [];

    /// <summary>The least.</summary>
    public double Least { get; } = least;

    /// <summary>The most.</summary>
    public double Most { get; } = most;

    /// <summary>The unit; empty for a count.</summary>
    public string Unit { get; } = unit;

    /// <summary>From where to where, with the unit.</summary>
    public string Words => $"{Number(Least)} to {Number(Most)}{(Unit is "°" or "" ? Unit : " " + Unit)}";

    /// <summary>The declaration at a property; null where it has none.</summary>
    /// <param name="property">The property as JSON knows it.</param>
    public static WithinAttribute? Of(JsonPropertyInfo property) =>
        Known.GetOrAdd(property, p =>
            p.AttributeProvider?.GetCustomAttributes(typeof(WithinAttribute), false) is [WithinAttribute declared] ? declared : null
        );

    /// <summary>The first number outside, as it stands; null where all lie within.</summary>
    /// <param name="given">A number, or a list or set of them.</param>
    internal string? Outside(JsonElement given) =>
        given.ValueKind switch
        {
            JsonValueKind.Number => given.GetDouble() is var number && number >= Least && number <= Most
                ? null
                : given.GetRawText().Replace('-', '−'),
            JsonValueKind.Array => given.EnumerateArray().Select(Outside).FirstOrDefault(n => n is not null),
            JsonValueKind.Object => given.EnumerateObject().Select(p => Outside(p.Value)).FirstOrDefault(n => n is not null),
            _ => null,
        };

    private static string Number(double value) =>
        value.ToString("#,0.########", CultureInfo.InvariantCulture).Replace(',', ' ').Replace('-', '−');
}
