using UpperStill.Formats.Labels;

namespace UpperStill.Formats.Tests;

public class QrPathTests
{
    [Theory]
    // ISO/IEC 18004, table 7: with correction M version 1 (21 modules) holds 20 letters and digits, version 2 (25) 38; four quiet modules
    // on each side.
    [InlineData("HAR-1-260812-C1", 29)]
    [InlineData("HAR-1-260812-C1R-IN-THE-NORTH", 33)]
    public void A_number_takes_no_larger_code_than_it_needs(string number, int size) => Assert.Equal(size, QrPath.Of(number).Size);

    [Fact]
    public void Its_three_corners_are_drawn_and_its_edge_is_quiet()
    {
        var dark = Dark(QrPath.Of("HAR-1-260812-C1"));

        // The finder pattern: a ring of 7, a white ring, a block of 3; upper left, upper right, lower left.
        foreach (var (left, top) in new[] { (4, 4), (18, 4), (4, 18) })
        {
            for (var y = 0; y < 7; y++)
            {
                for (var x = 0; x < 7; x++)
                {
                    var ring = Math.Max(Math.Abs(x - 3), Math.Abs(y - 3));
                    Assert.Equal(ring != 2, dark.Contains((left + x, top + y)));
                }
            }
        }

        Assert.All(dark, d => Assert.True(d.X is >= 4 and < 25 && d.Y is >= 4 and < 25));
    }

    private static HashSet<(int X, int Y)> Dark(QrPath code)
    {
        HashSet<(int, int)> dark = [];
        foreach (var run in code.Path.Split('M', StringSplitOptions.RemoveEmptyEntries))
        {
            var parts = run.Split([' ', 'h', 'v']);
            var (x, y, length) = (int.Parse(parts[0]), int.Parse(parts[1]), int.Parse(parts[2]));
            for (var i = 0; i < length; i++)
            {
                Assert.True(dark.Add((x + i, y)));
            }
        }

        return dark;
    }
}
