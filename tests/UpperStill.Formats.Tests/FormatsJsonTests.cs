using System.Text.Json;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Profile;
using UpperStill.Core.Science.Oxygen;
using UpperStill.Formats.Casts;
using UpperStill.Formats.Instruments;

namespace UpperStill.Formats.Tests;

/// <summary>What passes through the device's door: asked with what can be read, answered with what can be written.</summary>
public class FormatsJsonTests
{
    [Fact]
    public void A_request_is_read_as_the_page_writes_it()
    {
        var request = JsonSerializer.Deserialize(
            """{"separator":";","decimalComma":true,"firstRow":4,"columns":[{"header":"T","quantity":"temperature","unit":"°C"},{"header":"x","quantity":"none"}],"levels":[{"depth":{"written":"1","unit":"m"},"depthM":1}]}""",
            FormatsJson.Default.CastRequest
        )!;

        Assert.Equal([new CastColumn("T", CastQuantity.Temperature, "°C"), new CastColumn("x", CastQuantity.None)], request.Columns);
        Assert.Equal([new CastTarget(new WrittenLength("1", LengthUnit.Metre), 1)], request.Levels);
    }

    [Fact]
    public void Answers_are_written_whole()
    {
        var result = new CastResult(
            3,
            2,
            false,
            1.2m,
            [
                new CastLevel(
                    new LevelBody(
                        new WrittenLength("1", LengthUnit.Metre),
                        new WrittenTemperature("21.0", TemperatureUnit.Celsius),
                        new WrittenOxygen("8.6", OxygenUnit.MgPerL)
                    ),
                    1,
                    2
                ),
            ],
            []
        );
        Assert.Equal(
            """{"rows":3,"used":2,"wayUp":false,"deepestM":1.2,"levels":[{"body":{"depth":{"written":"1","unit":"m"},"temperature":{"written":"21.0","unit":"°C"},"oxygen":{"written":"8.6","unit":"mg/L"}},"depthM":1,"rows":2}],"findings":[]}""",
            Unescaped(JsonSerializer.Serialize(result, FormatsJson.Default.CastResult))
        );
        Assert.Contains(
            "\"header\":\"Depth m\"",
            JsonSerializer.Serialize(CastLook.At("Depth m,Temp C\n1,2\n2,3"u8), FormatsJson.Default.CastLayout),
            StringComparison.Ordinal
        );
        Assert.Equal(
            """{"fix":{"latitudeDeg":1.5,"longitudeDeg":2},"readings":[{"depth":{"written":"1.0","unit":"m"},"depthM":1}],"refused":[]}""",
            JsonSerializer.Serialize(
                new InstrumentLines(new NmeaFix(1.5, 2, null), null, [new SondeReading(new WrittenLength("1.0", LengthUnit.Metre), 1)], []),
                FormatsJson.Default.InstrumentLines
            )
        );
    }

    private static string Unescaped(string json) => json.Replace("\\u00B0", "°", StringComparison.Ordinal);
}
