namespace UpperStill.Formats.Casts;

/// <summary>Guesses from its name and unit what a column holds. People see the guess and may change it.</summary>
internal static class CastHeader
{
    private static readonly (string Unit, string[] Names)[] Units =
    [
        ("m", ["m", "meter", "metre", "meters", "metres"]),
        ("ft", ["ft", "feet", "foot"]),
        ("°C", ["c", "degc", "celsius"]),
        ("°F", ["f", "degf", "fahrenheit"]),
        ("mg/L", ["mg/l", "mgl", "mg_l", "mgl-1", "ppm"]),
        ("%", ["%", "%sat", "%sat.", "%local", "%lb", "pct", "percent", "sat%"]),
        ("µS/cm", ["us/cm", "µs/cm", "μs/cm", "uscm", "us_cm"]),
        ("mS/cm", ["ms/cm", "mscm", "ms_cm"]),
        ("", ["ph", "psu", "ppt", "pss", "ntu", "fnu", "v", "mv", "s", "hh:mm:ss", "rfu", "mmhg", "kpa", "mbar", "-"]),
    ];

    /// <summary>What one column holds, from its name and the row of units.</summary>
    internal static CastColumn Guess(string name, string? unitRow)
    {
        var header = name.Trim();
        var lower = header.ToLowerInvariant();
        var unit = (unitRow is null ? null : UnitOf(unitRow)) ?? UnitIn(lower);
        var words = Words(lower);
        var quantity = QuantityOf(words, unit, lower);
        return new CastColumn(header, quantity, Fits(quantity, unit) ? unit : null);
    }

    /// <summary>True where a text is the unit of something and nothing else.</summary>
    internal static bool IsUnit(string text) => Find(text) is not null;

    /// <summary>One column for each quantity: oxygen in mg/L before per cent, specific conductance before the raw.</summary>
    internal static CastColumn[] OneOfEach(CastColumn[] columns)
    {
        foreach (var quantity in Enum.GetValues<CastQuantity>())
        {
            var best = -1;
            for (var i = 0; quantity != CastQuantity.None && i < columns.Length; i++)
            {
                if (columns[i].Quantity == quantity && (best < 0 || Rank(columns[i]) > Rank(columns[best])))
                {
                    best = i;
                }
            }

            for (var i = 0; best >= 0 && i < columns.Length; i++)
            {
                if (i != best && columns[i].Quantity == quantity)
                {
                    columns[i] = columns[i] with { Quantity = CastQuantity.None, Unit = null };
                }
            }
        }

        return columns;
    }

    private static int Rank(CastColumn column) =>
        (column.Unit == "mg/L" ? 2 : 0)
        + (column.Header.Contains("sp", StringComparison.OrdinalIgnoreCase) && column.Quantity == CastQuantity.Conductivity ? 2 : 0)
        + (column.Unit is null ? 0 : 1);

    private static CastQuantity QuantityOf(List<string> words, string? unit, string lower)
    {
        if (Has(words, "air", "internal", "battery", "baro", "barometer", "wiper", "target"))
        {
            return CastQuantity.None;
        }

        if (Has(words, "depth", "dep", "dpt"))
        {
            return CastQuantity.Depth;
        }

        if (Has(words, "do", "odo", "ldo", "rdo", "oxygen", "o2", "dissolved") && !lower.Contains("mv", StringComparison.Ordinal))
        {
            return CastQuantity.Oxygen;
        }

        if (Has(words, "cond", "conductivity", "conductance", "spc", "spcond", "sc"))
        {
            return CastQuantity.Conductivity;
        }

        if (Has(words, "temp", "temperature", "watertemp") || (words.Count > 0 && words[0] == "t" && unit is "°C" or "°F"))
        {
            return CastQuantity.Temperature;
        }

        return Has(words, "ph") && !lower.Contains("mv", StringComparison.Ordinal) ? CastQuantity.Ph
            : Has(words, "sal", "salinity") ? CastQuantity.Salinity
            : CastQuantity.None;
    }

    private static bool Fits(CastQuantity quantity, string? unit) =>
        quantity switch
        {
            CastQuantity.Depth => unit is "m" or "ft",
            CastQuantity.Temperature => unit is "°C" or "°F",
            CastQuantity.Oxygen => unit is "mg/L" or "%",
            CastQuantity.Conductivity => unit is "µS/cm" or "mS/cm",
            _ => false,
        };

    // In brackets, after a comma or an underscore, or as the last word.
    private static string? UnitIn(string lower)
    {
        var open = lower.IndexOfAny(['(', '[']);
        if (open >= 0)
        {
            var close = lower.IndexOfAny([')', ']'], open);
            return UnitOf(lower[(open + 1)..(close < 0 ? lower.Length : close)]);
        }

        var cut = lower.LastIndexOfAny([' ', '_', ',']);
        return cut >= 0 ? UnitOf(lower[(cut + 1)..]) ?? (lower.Contains('%', StringComparison.Ordinal) ? "%" : null)
            : lower.Contains('%', StringComparison.Ordinal) ? "%"
            : null;
    }

    private static string? UnitOf(string text) => Find(text) is { Length: > 0 } unit ? unit : null;

    private static string? Find(string text)
    {
        var bare = text.Trim()
            .Trim('(', ')', '[', ']', '"')
            .ToLowerInvariant()
            .Replace(" ", "", StringComparison.Ordinal)
            .Replace("°", "", StringComparison.Ordinal);
        foreach (var (unit, names) in Units)
        {
            if (Array.IndexOf(names, bare) >= 0)
            {
                return unit;
            }
        }

        return bare is "deg" or "ºc" ? "°C" : null;
    }

    private static bool Has(List<string> words, params ReadOnlySpan<string> names)
    {
        foreach (var name in names)
        {
            if (words.Contains(name))
            {
                return true;
            }
        }

        return false;
    }

    private static List<string> Words(string lower)
    {
        List<string> words = [];
        var from = -1;
        for (var i = 0; i <= lower.Length; i++)
        {
            var inside = i < lower.Length && (char.IsLetterOrDigit(lower[i]));
            if (inside && from < 0)
            {
                from = i;
            }
            else if (!inside && from >= 0)
            {
                words.Add(lower[from..i]);
                from = -1;
            }
        }

        return words;
    }
}
