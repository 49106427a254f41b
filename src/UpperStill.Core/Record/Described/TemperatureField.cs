using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Record.Described;

/// <summary>A temperature of air or water.</summary>
internal sealed class TemperatureField(string code, string label) : Field(code, label)
{
    private static readonly FieldUnit[] Units = [new("°C"), new("°F")];

    internal override FieldDescription Describe() => new(Code, Label, FieldKind.Temperature, Required, Units, -50, 60);

    internal override bool Filled(ObservedValue value) => value.Written is not null;

    /// <summary>°C; null where it cannot be used.</summary>
    internal static decimal? Read(ObservedValue value) => As(value)?.Read().Celsius is { } c && c >= -50 && c <= 60 ? c : null;

    internal override IEnumerable<Finding> Judge(ObservedValue value)
    {
        if (As(value) is not { } written)
        {
            return
            [
                CommonFindings.UnitUnknown.With(("value", value.Written!), ("unit", value.Unit!), ("field", Label), ("units", "°C or °F")),
            ];
        }

        var (celsius, finding) = written.Read();
        return celsius is not { } c ? [finding!] : InRange(c, Text(value), (-50, 60), null, "°C");
    }

    internal override string Text(ObservedValue value) =>
        value.Unit is { } unit ? $"{value.Written} {unit}" : value.Written ?? string.Empty;

    private static WrittenTemperature? As(ObservedValue value) =>
        value.Unit switch
        {
            null => new WrittenTemperature(value.Written!),
            "°C" => new WrittenTemperature(value.Written!, TemperatureUnit.Celsius),
            "°F" => new WrittenTemperature(value.Written!, TemperatureUnit.Fahrenheit),
            _ => null,
        };
}
