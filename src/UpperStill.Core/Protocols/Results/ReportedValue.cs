using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Setup.Laboratories;

namespace UpperStill.Core.Protocols.Results;

/// <summary>A reported value brought to its analyte's own unit, or what stands in the way.</summary>
/// <param name="Analyte">The analyte; null where nobody knows it.</param>
/// <param name="Value">In the analyte's own unit; null where it cannot be used.</param>
/// <param name="Below">True where it is a limit that the value lies under.</param>
/// <param name="Text">As reported, with its unit.</param>
/// <param name="Conversion">How the unit was brought over; null where it was its own.</param>
/// <param name="Findings">What to look at.</param>
public sealed record ReportedValue(
    Analyte? Analyte,
    decimal? Value,
    bool Below,
    string Text,
    string? Conversion,
    IReadOnlyList<Finding> Findings
)
{
    private const decimal Thousand = 1000;

    /// <summary>Reads what was reported. A value is never guessed: without a unit, or with a unit that could be two, it is kept and not
    /// used.</summary>
    public static ReportedValue Read(ResultBody body)
    {
        ArgumentNullException.ThrowIfNull(body);
        List<Finding> findings = [];
        var written = body.Value.Trim();
        var below = body.Qualifier == Qualifier.Below || written.StartsWith('<');
        var (number, finding) = NumberText.Read(written.TrimStart('<', '>', ' '));
        var mark =
            below ? "< "
            : body.Qualifier == Qualifier.Above || written.StartsWith('>') ? "> "
            : string.Empty;
        var text = $"{mark}{written.TrimStart('<', '>', ' ')} {body.Unit}".Trim();
        if (Analytes.Find(body.Analyte) is not { } analyte)
        {
            findings.Add(
                Finding.Check(
                    "analyte-unknown",
                    $"“{body.Analyte}” is not an analyte that is known here.",
                    "It could be read two ways.",
                    "It is kept as written and not used; ask for it to be added."
                )
            );
            return new ReportedValue(null, null, below, text, null, findings);
        }

        if (finding is not null)
        {
            findings.Add(finding);
        }
        else if (number < 0)
        {
            findings.Add(
                Finding.Stop(
                    "result-negative",
                    $"{text} of {analyte.Name} is below nothing.",
                    "A value below the limit is reported as “<” and the limit.",
                    "Ask the laboratory; it is kept and not used."
                )
            );
            number = null;
        }

        var unit = body.Unit is null ? null : analyte.UnitOf(body.Unit);
        if (unit is null)
        {
            findings.Add(
                string.IsNullOrWhiteSpace(body.Unit)
                    ? Finding.Stop(
                        "unit-missing",
                        $"{written} has no unit.",
                        "It could be read two ways and is lost if we guess.",
                        $"Choose the unit, such as {analyte.Unit}; until then it is kept and not used."
                    ) with
                    {
                        NoWayRound = true,
                    }
                    : Finding.Stop(
                        "unit-missing",
                        $"“{body.Unit}” does not say what {analyte.Name} is counted in.",
                        Basis(analyte),
                        $"Choose one of {string.Join(", ", analyte.Units.Select(u => u.Name))}; until then it is kept and not used."
                    ) with
                    {
                        NoWayRound = true,
                    }
            );
        }

        // The entry keeps it as it was written; here it is spelled as everywhere else.
        if (number is not null && unit is not null)
        {
            text = $"{mark}{written.TrimStart('<', '>', ' ').Replace(',', '.')} {unit.Name}";
        }

        if (body.Qualifier == Qualifier.Rejected || number is null || unit is null)
        {
            return new ReportedValue(analyte, null, below, text, null, findings);
        }

        var value = number.Value * unit.Factor;
        if (
            !below
            && (value > analyte.Usual.High || (value < analyte.Usual.Low && value > 0))
            && Unlikely(analyte, number.Value, unit) is { } unlikely
        )
        {
            findings.Add(unlikely);
        }

        if (below)
        {
            findings.Add(
                Finding.Note(
                    "result-below-limit",
                    $"Below {Decimals.Text(number.Value)} {unit.Name}.",
                    "It is no number between nothing and that.",
                    "Kept as “<”, never as the limit."
                )
            );
        }

        var conversion =
            unit.Factor == 1
                ? null
                : $"{Decimals.Text(number.Value)} {unit.Name} × {Decimals.Text(unit.Factor)} = {Decimals.Text(value)} {analyte.Unit}";
        return new ReportedValue(analyte, Decimals.Published(value), below, text, conversion, findings);
    }

    private static string Basis(Analyte analyte) =>
        analyte.Units.Any(u => u.Name.Contains(" as ", StringComparison.Ordinal))
            ? "As the element and as the ion it differs by up to four times."
            : "It could be read two ways and is lost if we guess.";

    private static Finding? Unlikely(Analyte analyte, decimal number, AnalyteUnit unit)
    {
        var other = analyte.Units.FirstOrDefault(u =>
            u != unit
            && (u.Factor / unit.Factor is Thousand or 1 / Thousand)
            && number * u.Factor >= analyte.Usual.Low
            && number * u.Factor <= analyte.Usual.High
        );
        return other is null
            ? null
            : Finding.Check(
                "unit-unlikely",
                $"{Decimals.Text(number)} {unit.Name} of {analyte.Name} is unusual.",
                $"In {other.Name} it would be usual.",
                "Which was it? Ask the laboratory; strike it and write it with the right unit."
            );
    }
}
