using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Tests.Basis.Quantities;

public sealed class WrittenDateTests
{
    [Theory]
    [InlineData("2013-06-15", null, "2013-06-15")]
    [InlineData("2013-06-15T10:20", null, "2013-06-15")]
    [InlineData("15.6.2013", null, "2013-06-15")]
    [InlineData("6/15/2013 14:02", null, "2013-06-15")]
    [InlineData("6/6/2013", null, "2013-06-06")]
    [InlineData("5/6/2013", null, null)]
    [InlineData("5/6/2013", DateOrder.DayFirst, "2013-06-05")]
    [InlineData("5/6/2013", DateOrder.MonthFirst, "2013-05-06")]
    [InlineData("13-06-15", DateOrder.YearFirst, "2013-06-15")]
    [InlineData("31.2.2013", null, null)]
    [InlineData("1742-06-15", null, null)]
    [InlineData("June 2013", null, null)]
    [InlineData("", null, null)]
    public void A_day_is_read_only_where_it_can_be_one_day(string written, DateOrder? order, string? day) =>
        Assert.Equal(day, WrittenDate.Read(written, order)?.ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture));

    [Fact]
    public void A_year_of_two_figures_is_not_in_the_future()
    {
        var today = new DateOnly(2026, 8, 12);
        Assert.Equal(1987, WrittenDate.Read("15.6.87", null, today)!.Value.Year);
        Assert.Equal(2024, WrittenDate.Read("15.6.24", null, today)!.Value.Year);
    }

    [Fact]
    public void One_day_of_a_column_can_tell_the_order_of_all()
    {
        Assert.Equal(DateOrder.DayFirst, WrittenDate.OrderOf(["5/6/2013", "15/6/2013"]));
        Assert.Equal(DateOrder.MonthFirst, WrittenDate.OrderOf(["5/6/2013", "6/15/2013"]));
        Assert.Null(WrittenDate.OrderOf(["5/6/2013", "6/7/2013"]));
        Assert.Null(WrittenDate.OrderOf(["15/6/2013", "6/15/2013"]));
        Assert.True(WrittenDate.CouldBeTwo("5/6/2013"));
        Assert.False(WrittenDate.CouldBeTwo("15/6/2013"));
    }
}
