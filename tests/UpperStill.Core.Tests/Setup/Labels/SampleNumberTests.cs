using CsCheck;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Setup.Labels;

namespace UpperStill.Core.Tests.Setup.Labels;

public class SampleNumberTests
{
    private const string Characters = "0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ";

    // The example of the Global Release Identifier, which uses the same check character: A1-2425G-ABC1234002-M.
    [Fact]
    public void The_check_character_is_that_of_the_standard() =>
        Assert.Equal("A12425GABC1234002-M", SampleNumber.Checked("A12425GABC1234002"));

    [Fact]
    public void One_wrong_character_is_always_seen() =>
        Gen.Select(Gen.Int[100000, 991231], Gen.Int[1, 99], Gen.Int[0, 30], Gen.Char[Characters])
            .Sample(
                (day, count, at, other) =>
                {
                    var number = SampleNumber.Checked($"HAR-1-{day}-F{count}");
                    var place = at % (number.Length - 2);
                    if (number[place] == '-' || number[place] == other)
                    {
                        return;
                    }

                    var wrong = number[..place] + other + number[(place + 1)..];
                    Assert.Null(SampleNumber.Read(wrong).Number);
                }
            );

    [Fact]
    public void Nearly_every_two_neighbours_changed_about_are_seen()
    {
        var (seen, all) = (0, 0);
        for (var n = 0; n < 4000; n++)
        {
            var number = SampleNumber.Checked($"PEL-1-{260000 + (n * 7 % 9999)}-C{n % 90}");
            for (var i = 0; i < number.Length - 3; i++)
            {
                if (number[i] != number[i + 1] && number[i] != '-' && number[i + 1] != '-')
                {
                    all++;
                    seen += SampleNumber.Read(number[..i] + number[i + 1] + number[i] + number[(i + 2)..]).Number is null ? 1 : 0;
                }
            }
        }

        Assert.True(seen > 0.97 * all, $"{seen} of {all}");
    }

    [Theory]
    [InlineData(" har-1-260812-c1-7 ")]
    [InlineData("HAR-1 -260812-C1-7")]
    [InlineData("HAR–1–260812–C1–7")]
    [InlineData("HAR-1-260812-C1")]
    public void Small_letters_blanks_and_an_old_label_do_no_harm(string typed)
    {
        var right = SampleNumber.Checked("HAR-1-260812-C1");
        Assert.Equal(
            right,
            SampleNumber
                .Read(
                    typed.Replace("-7", "-" + right[^1], StringComparison.Ordinal).Replace("–7", "–" + right[^1], StringComparison.Ordinal)
                )
                .Number
        );
    }

    [Theory]
    [InlineData(null, "sample-number-missing")]
    [InlineData("  ", "sample-number-missing")]
    [InlineData("5449000000996", "sample-number-shape")]
    [InlineData("https://example.org/x", "sample-number-shape")]
    [InlineData("HAR-1-26081-C1", "sample-number-shape")]
    [InlineData("HAR-1-260812-C1-?", "sample-number-shape")]
    public void What_is_no_number_says_so(string? typed, string code) => Assert.Equal(code, SampleNumber.Read(typed).Finding?.Code);

    [Fact]
    public void A_very_long_text_is_refused_and_not_repeated_whole() =>
        Assert.InRange(SampleNumber.Read(new string('A', 100_000)).Finding!.Seen.Length, 1, 200);

    [Fact]
    public void A_number_tells_its_station_also_where_the_station_has_hyphens()
    {
        Assert.Equal("LONG-SALLOW-1", SampleNumber.StationOf(SampleNumber.Checked("LONG-SALLOW-1-260812-C1R")));
        Assert.Equal("HAR-1", SampleNumber.StationOf("HAR-1-260812-C1"));
    }

    [Theory]
    [InlineData(SampleKin.Replicate, "chlorophyll-filter", "F1R2")]
    [InlineData(SampleKin.Blank, "chlorophyll-filter", "Q1")]
    [InlineData(SampleKin.Split, "solids", "S1")]
    public void A_sample_beside_the_plan_gets_the_next_free_number(SampleKin kin, string type, string tail)
    {
        string[] taken = [SampleNumber.Checked("HAR-1-260812-F1"), SampleNumber.Checked("HAR-1-260812-F1R")];

        Assert.Equal(
            SampleNumber.Checked($"HAR-1-260812-{tail}"),
            NewNumberResult.Work(new NewNumberRequest(taken[0], kin, type, taken)).Number
        );
    }
}
