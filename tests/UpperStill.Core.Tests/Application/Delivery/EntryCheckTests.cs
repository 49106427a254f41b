using System.Text.Json;
using UpperStill.Core.Application.Delivery;
using UpperStill.Core.Record.Entries;
using UpperStill.Core.Tests.Application.Visits;

namespace UpperStill.Core.Tests.Application.Delivery;

public class EntryCheckTests
{
    private static readonly Entry Good = SampleVisit.Begun().Sound("102");

    public static TheoryData<string, Entry> Bad =>
        new()
        {
            { "entry-id", Good with { Id = Guid.NewGuid() } },
            { "entry-id", Good with { Visit = Guid.Empty } },
            { "entry-kind", Good with { Kind = "weather-balloon" } },
            { "entry-kind", Good with { Version = 2 } },
            { "entry-by", Good with { By = " " } },
            { "entry-by", Good with { Device = new string('x', 121) } },
            { "entry-body", Good with { Body = JsonSerializer.SerializeToElement(new { depth = 4 }) } },
            { "entry-body", Good with { Body = JsonSerializer.SerializeToElement("102") } },
            { "entry-too-long", Good with { Body = JsonSerializer.SerializeToElement(new string('x', EntryCheck.LongestBody)) } },
            { "reason-missing", Good with { Strikes = Guid.CreateVersion7() } },
            { "strike-itself", Good with { Strikes = Good.Id, Why = "twice" } },
        };

    [Fact]
    public void A_plain_entry_is_kept() => Assert.Null(EntryCheck.Refusal(Good));

    [Fact]
    public void Even_an_unreadable_number_is_kept_as_written() => Assert.Null(EntryCheck.Refusal(SampleVisit.Begun().Sound("about 30")));

    [Fact]
    public void A_clock_years_off_is_no_reason_to_refuse() => Assert.Null(EntryCheck.Refusal(Good with { At = DateTimeOffset.UnixEpoch }));

    [Theory]
    [MemberData(nameof(Bad))]
    public void What_could_never_be_read_back_is_refused_with_a_reason(string code, Entry entry) =>
        Assert.Equal(code, EntryCheck.Refusal(entry)!.Code);

    [Fact]
    public void A_bare_strike_must_name_its_entry() =>
        Assert.Equal("strike-nothing", EntryCheck.Refusal(SampleVisit.Begun().Strike(Good) with { Strikes = null })!.Code);
}
