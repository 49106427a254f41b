using System.Text;
using CsCheck;
using UpperStill.Core.Science.Geodesy;
using UpperStill.Formats.Shapes;

namespace UpperStill.Formats.Tests;

public class GeoJsonShapeTests
{
    [Fact]
    public async Task Polygons_are_the_outline_and_lines_with_a_depth_the_contours()
    {
        var shape = await ReadAsync(
            """
            {"type":"FeatureCollection","features":[
              {"type":"Feature","properties":{},"geometry":{"type":"Polygon","coordinates":[[[-21,51],[-20,51],[-20,52],[-21,51]]]}},
              {"type":"Feature","properties":{"depth":5},"geometry":{"type":"LineString","coordinates":[[-20.5,51.2],[-20.4,51.3]]}},
              {"type":"Feature","properties":{"name":"a path"},"geometry":{"type":"LineString","coordinates":[[-20.5,51.2],[-20.4,51.3]]}},
              {"type":"Feature","properties":null,"geometry":{"type":"Point","coordinates":[-20.5,51.2]}}]}
            """
        );

        Assert.Equal(new Position(51, -21), Assert.Single(shape.Outline)[0]);
        Assert.Equal(5, Assert.Single(shape.Contours).DepthM);
        Assert.Equal("2 things were left aside.", Assert.Single(shape.Findings).Finding.Seen);
    }

    [Theory]
    [InlineData("{\n\"type\":", "The file breaks off at line 2.")]
    [InlineData("{}", "The file holds no outline and no contour.")]
    [InlineData("[]", "The file holds no outline and no contour.")]
    [InlineData("""{"type":"Polygon","coordinates":[[["x",1]]]}""", "A coordinate in the file is not a number.")]
    public async Task What_is_no_shape_is_refused(string text, string seen) =>
        Assert.Equal(seen, Assert.Single((await ReadAsync(text)).Findings).Finding.Seen);

    [Fact]
    public async Task Any_json_at_all_gives_a_shape_or_a_finding() =>
        await Gen.Select(
                Gen.OneOfConst("Polygon", "MultiPolygon", "LineString", "Feature", "FeatureCollection"),
                Gen.OneOfConst("[]", "[[]]", "[[[1]]]", "[[[1,2]]]", "[[[[1,2]]]]", "null", "3", "[[[1,2],[\"a\",2]]]")
            )
            .SampleAsync(
                async (type, coordinates) =>
                {
                    var shape = await ReadAsync(
                        $$"""{"type":"{{type}}","coordinates":{{coordinates}},"geometry":{"type":"Polygon","coordinates":{{coordinates}}},"features":{{coordinates}}}"""
                    );
                    Assert.True(shape.Outline.Count + shape.Contours.Count + shape.Findings.Count > 0);
                }
            );

    private static async Task<WaterShape> ReadAsync(string text)
    {
        using var stream = new MemoryStream(Encoding.UTF8.GetBytes(text));
        return await GeoJsonShape.ReadAsync(stream, CancellationToken.None);
    }
}
