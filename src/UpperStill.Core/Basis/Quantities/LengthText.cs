using System.Text.Json.Serialization;

namespace UpperStill.Core.Basis.Quantities;

/// <summary>The unit in which a reader wants depths shown. What was read is always kept in its own.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<ReaderUnit>))]
public enum ReaderUnit
{
    /// <summary>As the line or finder is marked.</summary>
    [JsonStringEnumMemberName("as-read")]
    AsRead,

    /// <summary>Metres.</summary>
    [JsonStringEnumMemberName("m")]
    Metres,

    /// <summary>Feet and inches.</summary>
    [JsonStringEnumMemberName("ft")]
    Feet,
}

/// <summary>Lengths as text. <see cref="Write"/> is the inverse of <see cref="LengthParser.Parse"/>.</summary>
public static class LengthText
{
    /// <summary>The length with its own unit and every digit it has.</summary>
    public static string Write(Length length) =>
        length.Unit switch
        {
            LengthUnit.Metre => $"{AtStep(length)} m",
            LengthUnit.Centimetre => $"{AtStep(length)} cm",
            LengthUnit.Foot => $"{AtStep(length)} ft",
            LengthUnit.Inch => $"{AtStep(length)} in",
            LengthUnit.FootInch => length.Resolution == 12 ? $"{Decimals.Text(length.Value / 12)} ft" : FeetAndInches(length.Value),
            _ => throw new ArgumentOutOfRangeException(nameof(length)),
        };

    /// <summary>Total inches as feet and inches: 153 is "12 ft 9 in".</summary>
    public static string FeetAndInches(decimal inches)
    {
        var feet = decimal.Truncate(inches / 12);
        return $"{Decimals.Text(feet)} ft {Decimals.Text(inches - (feet * 12))} in";
    }

    /// <summary>A reading for the reader: as written, or converted and rounded for display only (0.01 m, or a half inch).</summary>
    public static string Show(Length length, ReaderUnit reader) =>
        Native(length.Unit, reader) ? Write(length) : Converted(length.Metres, reader);

    /// <summary>A derived depth in metres for the reader, at most 0.01 m or a half inch fine: it is display, not a rounding of the
    /// value.</summary>
    /// <param name="metres">The depth in metres.</param>
    /// <param name="native">The unit of the readings it comes from.</param>
    /// <param name="reader">The unit the reader chose.</param>
    public static string Show(decimal metres, LengthUnit native, ReaderUnit reader) =>
        Converted(metres, reader == ReaderUnit.AsRead ? (Length.IsFootBased(native) ? ReaderUnit.Feet : ReaderUnit.Metres) : reader);

    /// <summary>What was written, for the reader; in quotation marks where it says no length.</summary>
    internal static string AsRead(WrittenLength depth, ReaderUnit reader) =>
        depth.Read().Length is { } length ? Show(length, reader) : $"“{depth.Written}”";

    /// <summary>A depth in a working, in the unit of the readings, so finely that the step can be worked out again.</summary>
    /// <param name="metres">The depth in metres.</param>
    /// <param name="native">The unit of the readings it comes from.</param>
    public static string Working(decimal metres, LengthUnit native) =>
        Length.IsFootBased(native)
            ? FeetAndInches(decimal.Round(metres / Length.MetresPerInch, 3, MidpointRounding.AwayFromZero))
            : $"{Decimals.Text(Decimals.Published(metres))} m";

    /// <summary>A mark of a line as somebody would write it down from it, in the line's own unit: 24 ft is <c>24 0</c>.</summary>
    /// <param name="metres">By the line's marks, m.</param>
    /// <param name="unit">The unit of the line.</param>
    public static WrittenLength Mark(decimal metres, LengthUnit unit)
    {
        if (!Length.IsFootBased(unit))
        {
            return new WrittenLength(Trim(Decimals.Fixed(metres, 2)), LengthUnit.Metre);
        }

        var inches = Decimals.RoundTo(metres / Length.MetresPerInch, 0.5m);
        return new WrittenLength($"{Decimals.Text(decimal.Truncate(inches / 12))} {Decimals.Text(inches % 12)}", LengthUnit.FootInch);
    }

    private static string Converted(decimal metres, ReaderUnit reader) =>
        reader == ReaderUnit.Feet
            ? FeetAndInches(Decimals.RoundTo(metres / Length.MetresPerInch, 0.5m))
            : $"{Trim(Decimals.Fixed(metres, 2))} m";

    private static bool Native(LengthUnit unit, ReaderUnit reader) =>
        reader switch
        {
            ReaderUnit.Metres => unit is LengthUnit.Metre or LengthUnit.Centimetre,
            ReaderUnit.Feet => Length.IsFootBased(unit),
            _ => true,
        };

    // 24.40 reads worse than 24.4; 24.0 keeps its tenth.
    private static string Trim(string text) => text.EndsWith('0') ? text[..^1] : text;

    private static string AtStep(Length length)
    {
        var decimals = 0;
        for (var step = length.Resolution; step < 1 && decimals < 12; step *= 10)
        {
            decimals++;
        }

        return decimals < 12 && decimal.Round(length.Value, decimals) == length.Value
            ? Decimals.Fixed(length.Value, decimals)
            : Decimals.Text(length.Value);
    }
}
