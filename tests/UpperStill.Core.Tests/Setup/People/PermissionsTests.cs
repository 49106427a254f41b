using CsCheck;
using UpperStill.Core.Setup.People;

namespace UpperStill.Core.Tests.Setup.People;

public class PermissionsTests
{
    private static readonly Gen<string> Water = Gen.OneOfConst("tarn", "mere", "sound");

    private static readonly Gen<Grant> Grants = Gen.Select(Gen.Enum<Role>(), Gen.Bool, Water.Array[0, 3])
        .Select((role, all, waters) => new Grant(role, all ? null : waters));

    [Theory]
    [InlineData(Role.Sampler, true, true, false)]
    [InlineData(Role.Coordinator, true, true, true)]
    [InlineData(Role.Laboratory, true, false, false)]
    [InlineData(Role.Reader, true, false, false)]
    public void A_role_holds_on_its_waters_and_on_no_other(Role role, bool sees, bool samples, bool coordinates)
    {
        var may = new Permissions([new Grant(role, ["tarn"])]);

        Assert.Equal((sees, samples, coordinates), (may.Sees("tarn"), may.Samples("tarn"), may.Coordinates("tarn")));
        Assert.False(may.Sees("mere") || may.Samples("mere") || may.Coordinates("mere") || may.CoordinatesAll);
    }

    [Fact]
    public void A_grant_without_waters_holds_for_waters_to_come() =>
        Assert.True(new Permissions([new Grant(Role.Reader)]).Sees("not-there-yet"));

    [Fact]
    public void A_stranger_may_do_nothing() =>
        Water.Sample(water =>
            Assert.False(
                Permissions.None.Sees(water) || Permissions.None.Samples(water) || Permissions.None.CoordinatesAll || Permissions.None.Works
            )
        );

    [Fact]
    public void Another_grant_never_takes_anything_away() =>
        Gen.Select(Grants.Array[0, 4], Grants, Water)
            .Sample(
                (held, added, water) =>
                {
                    var (before, after) = (new Permissions(held), new Permissions([.. held, added]));
                    Assert.True(!before.Sees(water) || after.Sees(water));
                    Assert.True(!before.Samples(water) || after.Samples(water));
                    Assert.True(!before.Coordinates(water) || after.Coordinates(water));
                    Assert.True(!before.CoordinatesAll || after.CoordinatesAll);
                }
            );

    [Fact]
    public void Who_changes_a_water_may_also_see_it() =>
        Gen.Select(Grants.Array[0, 4], Water)
            .Sample(
                (held, water) =>
                {
                    var may = new Permissions(held);
                    Assert.True(!may.Coordinates(water) || may.Samples(water));
                    Assert.True(!may.Samples(water) || may.Sees(water));
                }
            );
}
