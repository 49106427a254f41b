using UpperStill.Core.Application.Outings;
using UpperStill.Core.Basis.Findings;

namespace UpperStill.Core.Tests.Application.Outings;

public class BeforeCastingOffTests
{
    [Fact]
    public void What_keeps_people_safe_is_named_until_it_is_ticked()
    {
        var finding = BeforeCastingOff
            .Work(
                new CastingOffRequest([
                    new Tick("flotation", "flotation, worn", false),
                    new Tick("anchor", "anchor with spare line", true),
                    new Tick("told", "someone ashore told where, and when back", false),
                ])
            )
            .Finding;

        Assert.Equal(("safety-unticked", FindingLevel.Check), (finding?.Code, finding?.Level));
        Assert.Equal("Not confirmed: flotation, worn; someone ashore told where, and when back.", finding?.Seen);
    }

    [Fact]
    public void Other_things_on_the_list_keep_nobody_ashore() =>
        Assert.Null(
            BeforeCastingOff
                .Work(new CastingOffRequest([new Tick("flotation", "flotation, worn", true), new Tick("cooler", "cooler", false)]))
                .Finding
        );
}
