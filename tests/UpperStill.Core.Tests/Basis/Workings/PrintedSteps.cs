using System.Globalization;
using System.Text.RegularExpressions;

namespace UpperStill.Core.Tests.Basis.Workings;

/// <summary>Reads the steps of a working as a person with a calculator would: what stands before “=” is worked out from the figures that
/// are printed.</summary>
internal static partial class PrintedSteps
{
    // Lengths are compared in metres; every other unit stands for itself.
    private static readonly Dictionary<string, double> Units =
        "ha m cm m³/s L/s ft³/s mg/L µg/L µg/mL mL kPa % µmol/L µmol/kg kg/day ° °C m³ m² s days mS/cm µS/cm kg/m³"
            .Split(' ')
            .ToDictionary(u => u, _ => 1.0, StringComparer.Ordinal)
            .Append(KeyValuePair.Create("ft", 0.3048))
            .Append(KeyValuePair.Create("in", 0.0254))
            .ToDictionary(StringComparer.Ordinal);

    /// <summary>Every equation of a step that has something to work out: what stands there, what it comes to, what is said, and half of the
    /// last place of that.</summary>
    internal static IEnumerable<(string Step, double WorkedOut, double Said, double Half)> Of(IEnumerable<string> steps)
    {
        foreach (var step in steps)
        {
            foreach (var clause in step.Split("; "))
            {
                var parts = clause.Split(" = ").SelectMany(p => p.Split(" and ")).ToArray();
                for (var i = 0; i + 1 < parts.Length; i++)
                {
                    if (Expression(parts[i]) is { } worked && Said(parts[i + 1]) is var (said, half))
                    {
                        yield return (clause, worked, said, half);
                    }
                }
            }
        }
    }

    // The longest end of the text that is an expression with an operator.
    private static double? Expression(string text)
    {
        var tokens = Token().Matches(text).Select(m => m.Value).ToList();
        for (var from = 0; from < tokens.Count; from++)
        {
            var reader = new Reader(tokens[from..]);
            if (tokens[from] is not (")" or "+" or "×" or "/") && reader.Operators && reader.Whole() is { } value)
            {
                return value;
            }
        }

        return null;
    }

    private static (double Value, double Half)? Said(string text)
    {
        var match = Number().Match(text);
        if (!match.Success)
        {
            return null;
        }

        var (value, half) = One(match);
        var next = Number().Match(text, match.Index + match.Length);
        if (
            match.Groups["unit"].Value == "ft"
            && next.Success
            && next.Index <= match.Index + match.Length + 1
            && next.Groups["unit"].Value == "in"
        )
        {
            var (inches, halfInch) = One(next);
            return (value + inches, halfInch);
        }

        return (value, half);

        (double, double) One(Match of)
        {
            var digits = of.Groups["number"].Value;
            var point = digits.IndexOf('.', StringComparison.Ordinal);
            var scale =
                Units.GetValueOrDefault(of.Groups["unit"].Value, 1) * (text.Contains("× 10⁻⁴", StringComparison.Ordinal) ? 1e-4 : 1);
            return (Value(digits) * scale, 0.5 * Math.Pow(10, point < 0 ? 0 : point + 1 - digits.Length) * scale);
        }
    }

    private static double Value(string digits) => double.Parse(digits.Replace('−', '-'), CultureInfo.InvariantCulture);

    [GeneratedRegex(@"\d+(\.\d+)?(e-?\d+)?|10⁻⁴|[A-Za-zµ°%√π][A-Za-zµ°³²/₂]*|[-+−×/()²,]", RegexOptions.CultureInvariant)]
    private static partial Regex Token();

    [GeneratedRegex(
        @"^(?<number>[−-]?\d+(\.\d+)?)( ?(?<unit>[A-Za-zµ°%][A-Za-z°³²/]*))?|(?<=^[−-]?\d+(\.\d+)? ft )(?<number>\d+(\.\d+)?)( (?<unit>in))",
        RegexOptions.CultureInvariant
    )]
    private static partial Regex Number();

    private sealed class Reader(IReadOnlyList<string> tokens)
    {
        private int at;

        internal bool Operators =>
            tokens.Any(t => t is "+" or "−" or "×" or "/" or "²" or "ln" or "cos" or "exp" or "√" or "min" or "floor");

        internal double? Whole() => Sum() is { } value && at == tokens.Count ? value : null;

        private string? Next => at < tokens.Count ? tokens[at] : null;

        private double? Sum()
        {
            var left = Product();
            while (left is not null && Next is "+" or "−" or "-")
            {
                var minus = tokens[at++] != "+";
                left = Product() is { } right
                    ? minus
                        ? left - right
                        : left + right
                    : null;
            }

            return left;
        }

        private double? Product()
        {
            var left = Factor();
            while (left is not null && Next is "×" or "/")
            {
                var over = tokens[at++] == "/";
                left = Factor() is { } right
                    ? over
                        ? left / right
                        : left * right
                    : null;
            }

            return left;
        }

        private double? Factor()
        {
            if (Next is not { } token)
            {
                return null;
            }

            at++;
            switch (token)
            {
                case "−" or "-":
                    return -Factor();
                case "π":
                    return Squared(Math.PI);
                case "ln":
                    return Factor() is { } of ? Math.Log(of) : null;
                case "exp":
                    return Factor() is { } power ? Math.Exp(power) : null;
                case "√":
                    return Factor() is { } root ? Math.Sqrt(root) : null;
                case "cos":
                    return Factor() is { } degrees ? Math.Cos(degrees * Math.PI / 180) : null;
                case "floor":
                    return Factor() is { } above ? Math.Floor(above + 1e-9) : null;
                case "(":
                    var inside = Sum();
                    return inside is not null && Next == ")" ? Squared(inside.Value, at++) : null;
                default:
                    return char.IsDigit(token[0]) ? Squared(Measured(Value(token))) : null;
            }
        }

        private double Squared(double value, int _ = 0)
        {
            if (Next == "²")
            {
                at++;
                return value * value;
            }

            return value;
        }

        // A number with its unit; feet take their inches along.
        private double Measured(double number)
        {
            if (Next is not { } unit || !Units.TryGetValue(unit, out var scale))
            {
                return number;
            }

            at++;
            number *= scale;
            if (unit == "ft" && at + 1 < tokens.Count && char.IsDigit(tokens[at][0]) && tokens[at + 1] == "in")
            {
                number += Value(tokens[at]) * Units["in"];
                at += 2;
            }

            return number;
        }
    }
}
