using System.Text.Json.Serialization;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Basis.Workings;

namespace UpperStill.Core.Science.Trophic;

/// <summary>Three readings of one water, to be put side by side.</summary>
/// <param name="ClarityM">Clarity, m, above 0; null where there is none.</param>
/// <param name="ChlorophyllUgL">Chlorophyll a, µg/L, above 0.</param>
/// <param name="PhosphorusUgL">Total phosphorus, µg/L as P, above 0.</param>
/// <param name="Native">The unit in which clarity was read.</param>
/// <param name="Reader">Unit for the words.</param>
public sealed record TrophicRequest(
    [property: Within(0, 100, "m")] decimal? ClarityM = null,
    [property: Within(0, 5000, "µg/L")] decimal? ChlorophyllUgL = null,
    [property: Within(0, 10000, "µg/L")] decimal? PhosphorusUgL = null,
    LengthUnit Native = LengthUnit.Metre,
    ReaderUnit Reader = ReaderUnit.AsRead
);

/// <summary>Which of the three an index is of.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<TrophicOf>))]
public enum TrophicOf
{
    /// <summary>Clarity.</summary>
    [JsonStringEnumMemberName("clarity")]
    Clarity,

    /// <summary>Chlorophyll.</summary>
    [JsonStringEnumMemberName("chlorophyll")]
    Chlorophyll,

    /// <summary>Phosphorus.</summary>
    [JsonStringEnumMemberName("phosphorus")]
    Phosphorus,
}

/// <summary>An index.</summary>
/// <param name="Of">Of what.</param>
/// <param name="Index">The number; 10 more is half the clarity, or about twice the phosphorus.</param>
/// <param name="Class">oligotrophic, mesotrophic, eutrophic or hypereutrophic.</param>
/// <param name="Text">The value for the reader.</param>
/// <param name="Working">How it came about.</param>
public sealed record TrophicIndex(TrophicOf Of, decimal Index, string Class, string Text, Working Working);

/// <summary>A class of trophic state.</summary>
/// <param name="Name">Its name.</param>
/// <param name="From">Index from which it holds.</param>
/// <param name="Until">Index up to which it holds; null in the last.</param>
public sealed record TrophicClass(string Name, int From, int? Until = null);

/// <summary>The three side by side; never one number of them.</summary>
/// <param name="Indices">Those that can be worked out.</param>
/// <param name="Reading">What their differences say, sentence by sentence.</param>
/// <param name="Findings">What stands in the way.</param>
/// <param name="Classes">The classes, to draw behind the indices.</param>
public sealed record TrophicResult(
    IReadOnlyList<TrophicIndex> Indices,
    IReadOnlyList<string> Reading,
    IReadOnlyList<Finding> Findings,
    IReadOnlyList<TrophicClass> Classes
);

/// <summary>Trophic state by clarity, chlorophyll and phosphorus, each by itself.</summary>
/// <remarks>Carlson 1977, Limnol. Oceanogr. 22, 361–369; the differences, Carlson &amp; Havens 2005, Lake Reserv. Manage. 21,
/// 67–78.</remarks>
public static class TrophicState
{
    private const string Source = "Carlson 1977, Limnol. Oceanogr. 22, 361–369";

    // Indices closer than this say the same.
    private const decimal Apart = 5;

    /// <summary>Works them out.</summary>
    public static TrophicResult Work(TrophicRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        List<TrophicIndex> indices = [];
        List<Finding> findings = [];
        Add(TrophicOf.Clarity, request.ClarityM, "m", v => 60 - (14.41 * Math.Log(v)), "60 − 14.41 × ln");
        Add(TrophicOf.Chlorophyll, request.ChlorophyllUgL, "µg/L", v => (9.81 * Math.Log(v)) + 30.6, "30.6 + 9.81 × ln");
        Add(TrophicOf.Phosphorus, request.PhosphorusUgL, "µg/L", v => (14.42 * Math.Log(v)) + 4.15, "4.15 + 14.42 × ln");
        if (request is { ClarityM: null, ChlorophyllUgL: null, PhosphorusUgL: null })
        {
            findings.Add(
                Finding.Stop(
                    "number-missing",
                    "Neither clarity nor chlorophyll nor phosphorus is given.",
                    "Each index stands on one of them.",
                    "Give at least one."
                )
            );
        }

        return new TrophicResult(indices, [.. Read(indices)], findings, Classes);

        void Add(TrophicOf of, decimal? value, string unit, Func<double, double> index, string equation)
        {
            if (value is <= 0)
            {
                findings.Add(
                    Finding.Check(
                        "equation-range",
                        $"{Decimals.Text(value.Value)} {unit} has no logarithm.",
                        "The index holds for values above nothing.",
                        "Read it again; below a limit there is no index."
                    )
                );
            }
            else if (value is { } v)
            {
                var number = decimal.Round((decimal)index((double)v), 1, MidpointRounding.AwayFromZero);
                var text = of == TrophicOf.Clarity ? LengthText.Show(v, request.Native, request.Reader) : $"{Decimals.Fixed(v, 1)} {unit}";
                indices.Add(
                    new TrophicIndex(
                        of,
                        number,
                        Class(number),
                        text,
                        new Working(
                            $"Trophic index of {of.ToString().ToLowerInvariant()}",
                            [new WorkingInput(of.ToString().ToLowerInvariant(), text)],
                            [$"{equation} {Decimals.Text(v)} = {Decimals.Fixed(number, 1)}", $"{Class(number)}: {Bounds(number)}"],
                            "Each index stands for itself; the three are never averaged.",
                            Source
                        )
                    )
                );
            }
        }
    }

    private static readonly TrophicClass[] Classes =
    [
        new("oligotrophic", 0, 40),
        new("mesotrophic", 40, 50),
        new("eutrophic", 50, 70),
        new("hypereutrophic", 70),
    ];

    private static string Class(decimal index) =>
        Classes[
            index switch
            {
                < 40 => 0,
                < 50 => 1,
                <= 70 => 2,
                _ => 3,
            }
        ].Name;

    private static string Bounds(decimal index) =>
        index switch
        {
            < 40 => "below 40",
            < 50 => "40 to 50",
            <= 70 => "50 to 70",
            _ => "above 70",
        };

    private static IEnumerable<string> Read(List<TrophicIndex> indices)
    {
        decimal? Of(TrophicOf of) => indices.Find(i => i.Of == of)?.Index;
        if (Of(TrophicOf.Chlorophyll) is not { } chlorophyll)
        {
            yield break;
        }

        if (Of(TrophicOf.Clarity) is { } clarity)
        {
            yield return chlorophyll - clarity > Apart ? "Chlorophyll sits above clarity: large particles let light through."
            : clarity - chlorophyll > Apart ? "Chlorophyll sits below clarity: colour or mineral turbidity dims the water."
            : "Chlorophyll and clarity agree: algae dim the water.";
        }

        if (Of(TrophicOf.Phosphorus) is { } phosphorus)
        {
            yield return phosphorus - chlorophyll > Apart
                ? "Chlorophyll sits below phosphorus: something other than phosphorus limits algae."
            : chlorophyll - phosphorus > Apart ? "Chlorophyll sits above phosphorus: more algae than phosphorus alone would let expect."
            : "Chlorophyll and phosphorus agree.";
        }
    }
}
