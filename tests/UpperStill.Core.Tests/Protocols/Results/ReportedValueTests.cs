using UpperStill.Core.Protocols.Results;
using UpperStill.Core.Setup.Laboratories;

namespace UpperStill.Core.Tests.Protocols.Results;

public class ReportedValueTests
{
    [Theory]
    [InlineData("total-phosphorus", "12", "ug/L", 12)]
    [InlineData("total-phosphorus", "0.012", "mg P/L", 12)]
    [InlineData("total-phosphorus", "36.8", "µg/L as PO4", 12.0018)] // P is 30.973762 of 94.9714 parts of phosphate
    [InlineData("phosphate", "1", "µmol/L", 30.973762)]
    [InlineData("nitrate", "4.427", "mg/L as NO3", 1.000046)] // N is 14.007 of 62.004 parts of nitrate
    [InlineData("nitrate", "350", "µg N/L", 0.35)]
    [InlineData("chlorophyll-a", "4", "mg/m³", 4)]
    [InlineData("conductivity", "0.21", "mS/cm", 210)]
    [InlineData("conductivity", "21", "mS/m", 210)]
    [InlineData("suspended-solids", "1,5", "mg/L", 1.5)]
    public void Units_of_one_kind_are_brought_together(string analyte, string value, string unit, double expected) =>
        Assert.Equal((double)expected, (double)ReportedValue.Read(new ResultBody("X", analyte, value, unit)).Value!.Value, 3);

    [Theory]
    [InlineData("nitrate", "mg/L")] // as N, or as the ion: four times as much
    [InlineData("nitrate", null)]
    [InlineData("conductivity", "mg/L")]
    [InlineData("total-phosphorus", "ft")]
    public void A_unit_that_could_be_two_or_none_keeps_the_value_out(string analyte, string? unit)
    {
        var value = ReportedValue.Read(new ResultBody("X", analyte, "4", unit));

        Assert.Null(value.Value);
        Assert.True(Assert.Single(value.Findings).NoWayRound);
    }

    [Theory]
    [InlineData("<0.5", null)]
    [InlineData("< 0,5", null)]
    [InlineData("0.5", Qualifier.Below)]
    public void Below_the_limit_is_the_limit_and_says_so(string written, Qualifier? qualifier)
    {
        var value = ReportedValue.Read(new ResultBody("X", "chlorophyll-a", written, "µg/L", qualifier));

        Assert.Equal((0.5m, true), (value.Value, value.Below));
        Assert.StartsWith("< 0", value.Text, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("1,234", "number-comma")]
    [InlineData("twelve", "number-unreadable")]
    [InlineData("-1", "result-negative")]
    public void What_cannot_be_read_is_kept_and_not_used(string written, string code)
    {
        var value = ReportedValue.Read(new ResultBody("X", "chlorophyll-a", written, "µg/L"));

        Assert.Equal(code, Assert.Single(value.Findings).Code);
        Assert.Null(value.Value);
        Assert.Contains(written, value.Text, StringComparison.Ordinal);
    }

    [Fact]
    public void A_thousandfold_slip_is_asked_about()
    {
        var slip = Assert.Single(ReportedValue.Read(new ResultBody("X", "total-phosphorus", "0.012", "µg/L")).Findings);

        Assert.Equal("unit-unlikely", slip.Code);
        Assert.Contains("mg/L as P", slip.Why, StringComparison.Ordinal);
    }

    [Fact]
    public void What_the_laboratory_rejected_is_never_a_number() =>
        Assert.Null(ReportedValue.Read(new ResultBody("X", "chlorophyll-a", "4", "µg/L", Qualifier.Rejected)).Value);

    [Fact]
    public void No_two_analytes_share_a_spelling_and_no_two_units_of_one_analyte_do()
    {
        Assert.Equal(Analytes.All.SelectMany(a => a.Spellings).Distinct().Count(), Analytes.All.Sum(a => a.Spellings.Count));
        Assert.All(Analytes.All, a => Assert.All(a.Units, u => Assert.All(u.Spellings.Append(u.Name), s => Assert.Same(u, a.UnitOf(s)))));
    }
}
