using UpperStill.Core.Setup.Laboratories;

namespace UpperStill.Core.Application.Import;

/// <summary>What the heads of old tables mean, and the units that each meaning allows.</summary>
public static class HistoricHeads
{
    private static readonly string[] Lengths = ["m", "cm", "ft", "ft-in", "in"];

    /// <summary>Everything that a column can hold.</summary>
    public static IReadOnlyList<HistoricChoice> Choices { get; } =
    [
        new(HistoricRole.None, "leave out", []),
        new(HistoricRole.Station, "station", []),
        new(HistoricRole.Date, "date", []),
        new(HistoricRole.Time, "time", []),
        new(HistoricRole.Observers, "observers", []),
        new(HistoricRole.Depth, "depth of the row", Lengths),
        new(HistoricRole.Clarity, "clarity (Secchi depth)", Lengths),
        new(HistoricRole.ClarityMethod, "how clarity was read", []),
        new(HistoricRole.Temperature, "water temperature", ["°C", "°F"]),
        new(HistoricRole.Oxygen, "dissolved oxygen", ["mg/L", "%"]),
        new(HistoricRole.Salinity, "salinity", []),
        .. Analytes.All.Select(a => new HistoricChoice(HistoricRole.Analyte, a.Name, [.. a.Units.Select(u => u.Name)], a.Code)),
    ];

    // In small letters, letters and digits only. Clarity hides under several names, and is never a turbidity: it is a length.
    private static readonly (HistoricRole Role, string[] Heads)[] Usual =
    [
        (
            HistoricRole.Station,
            ["station", "site", "stationid", "siteid", "stationcode", "sitecode", "stationname", "sitename", "location"]
        ),
        (HistoricRole.Date, ["date", "day", "sampledate", "visitdate", "sampled"]),
        (HistoricRole.Time, ["time", "sampletime", "localtime"]),
        (HistoricRole.Observers, ["observer", "observers", "sampler", "samplers", "by", "name", "volunteer"]),
        (HistoricRole.Depth, ["depth", "sampledepth", "z", "level"]),
        (
            HistoricRole.Clarity,
            ["secchi", "secchidepth", "sd", "zsd", "clarity", "transparency", "waterclarity", "secchidisc", "secchidisk", "turbidity"]
        ),
        (HistoricRole.ClarityMethod, ["secchimethod", "claritymethod"]),
        (HistoricRole.Temperature, ["temperature", "temp", "watertemp", "watertemperature", "t"]),
        (HistoricRole.Oxygen, ["oxygen", "do", "dissolvedoxygen", "o2", "odo"]),
        (HistoricRole.Salinity, ["salinity", "sal", "psu"]),
    ];

    /// <summary>What a head seems to mean. A unit is taken from the head alone and never guessed.</summary>
    /// <param name="head">The head, such as <c>Secchi (ft)</c>.</param>
    public static HistoricColumn Guess(string head)
    {
        ArgumentNullException.ThrowIfNull(head);
        var (name, unit) = Parts(head);
        var plain = new string([.. name.ToLowerInvariant().Where(char.IsAsciiLetterOrDigit)]);
        foreach (var (role, heads) in Usual)
        {
            if (heads.Contains(plain))
            {
                return new HistoricColumn(head, role, UnitOf(role, null, unit));
            }
        }

        return Analytes.Named(name) is { } analyte
            ? new HistoricColumn(head, HistoricRole.Analyte, UnitOf(HistoricRole.Analyte, analyte.Code, unit), analyte.Code)
            : new HistoricColumn(head);
    }

    /// <summary>The unit that was meant; null where it is none of the role's.</summary>
    internal static string? UnitOf(HistoricRole role, string? analyte, string? written)
    {
        if (string.IsNullOrWhiteSpace(written))
        {
            return null;
        }

        var plain = written.Trim().ToLowerInvariant();
        return role switch
        {
            HistoricRole.Analyte => Analytes.Find(analyte ?? string.Empty)?.UnitOf(written)?.Name,
            HistoricRole.Temperature => plain is "°c" or "c" or "degc" or "celsius" ? "°C"
            : plain is "°f" or "f" or "degf" or "fahrenheit" ? "°F"
            : null,
            HistoricRole.Oxygen => plain is "mg/l" or "ppm" or "mgl" ? "mg/L"
            : plain is "%" or "%sat" or "% sat" or "percent" or "sat" ? "%"
            : null,
            HistoricRole.Depth or HistoricRole.Clarity => plain switch
            {
                "m" or "metre" or "metres" or "meter" or "meters" => "m",
                "ft" or "feet" or "foot" => "ft",
                "cm" => "cm",
                "in" or "inch" or "inches" => "in",
                "ft-in" or "ft in" => "ft-in",
                _ => null,
            },
            _ => null,
        };
    }

    // "Secchi (ft)", "Secchi [ft]", "Secchi, ft", "secchi_ft": the unit stands behind the name.
    private static (string Name, string? Unit) Parts(string head)
    {
        var text = head.Trim();
        var open = text.IndexOfAny(['(', '[', ',']);
        if (open > 0)
        {
            return (text[..open], text[(open + 1)..].Trim(' ', ')', ']'));
        }

        var low = text.LastIndexOf('_');
        return low > 0 && text[(low + 1)..].ToLowerInvariant() is "m" or "ft" or "cm" or "in" or "c" or "f" or "mgl" or "ugl"
            ? (text[..low], text[(low + 1)..])
            : (text, null);
    }
}
