using UpperStill.Core.Setup.Labels;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Tests.Setup.Labels;

public class SamplePlaceTests
{
    [Theory]
    [InlineData("composite", "composite 0 to", "composite", "0 to 24 ft, composite")]
    [InlineData("surface", "surface", "surface", "surface 24 ft")]
    [InlineData("deep", "deep, at", "deep", "deep, 24 ft")]
    [InlineData("layer-2", "at the thermocline", "at the thermocline", "at the thermocline 24 ft")]
    public void A_label_leaves_room_for_the_depth_and_the_record_has_it(string code, string before, string without, string with)
    {
        var place = new SamplePlace(code);

        Assert.Equal((before, without, with), (place.Before, place.At(null), place.At("24 ft")));
    }

    [Theory]
    [InlineData(SampleFrom.Layers, "layer-1", "layer-2", "layer-3")]
    [InlineData(SampleFrom.Deep, "deep")]
    [InlineData(SampleFrom.Protocol, "net-tow")]
    public void A_plan_fills_from_its_places(SampleFrom from, params string[] places) =>
        Assert.Equal(places, SamplePlace.Of(from, new Protocol("net-tow")).Select(p => p.Code));
}
