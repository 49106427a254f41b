using UpperStill.Core.Application.Import;

namespace UpperStill.Core.Tests.Application.Import;

public sealed class HistoricHeadsTests
{
    [Theory]
    [InlineData("Secchi (ft)", HistoricRole.Clarity, "ft")]
    [InlineData("Transparency [m]", HistoricRole.Clarity, "m")]
    [InlineData("CLARITY, m", HistoricRole.Clarity, "m")]
    [InlineData("Turbidity", HistoricRole.Clarity, null)]
    [InlineData("secchi_m", HistoricRole.Clarity, "m")]
    [InlineData("Water temp (deg)", HistoricRole.Temperature, null)]
    [InlineData("Temp (F)", HistoricRole.Temperature, "°F")]
    [InlineData("DO (% sat)", HistoricRole.Oxygen, "%")]
    [InlineData("TP (ug/L)", HistoricRole.Analyte, "µg/L as P")]
    [InlineData("TP", HistoricRole.Analyte, null)]
    [InlineData("Chl a (µg/L)", HistoricRole.Analyte, "µg/L")]
    [InlineData("Date", HistoricRole.Date, null)]
    [InlineData("Remarks", HistoricRole.None, null)]
    public void A_head_says_what_it_holds_and_a_unit_only_where_it_stands_there(string head, HistoricRole role, string? unit)
    {
        var column = HistoricHeads.Guess(head);
        Assert.Equal((role, unit), (column.Role, column.Unit));
    }

    [Fact]
    public void Every_unit_that_can_be_chosen_is_understood() =>
        Assert.All(HistoricHeads.Choices.SelectMany(c => c.Units.Select(u => (c, u))), pair =>
            Assert.Equal(pair.u, HistoricHeads.Guess($"{Name(pair.c)} ({pair.u})").Unit)
        );

    private static string Name(HistoricChoice choice) =>
        choice.Role switch
        {
            HistoricRole.Analyte => choice.Analyte!,
            HistoricRole.Clarity => "secchi",
            HistoricRole.Temperature => "temp",
            HistoricRole.Oxygen => "DO",
            _ => "depth",
        };
}
