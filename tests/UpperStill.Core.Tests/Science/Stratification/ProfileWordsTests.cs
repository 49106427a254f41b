using UpperStill.Core.Science.Stratification;

namespace UpperStill.Core.Tests.Science.Stratification;

public sealed class ProfileWordsTests
{
    [Theory]
    [InlineData(null, null, null, "Mixed, no thermocline.")]
    [InlineData(6.44, null, null, "Thermocline at 6.4 m.")]
    [InlineData(6.44, 9.0, 10.26, "Thermocline at 6.4 m, under 2 mg/L from 9.0 m, under 1 mg/L from 10.3 m.")]
    public void A_profile_in_one_sentence(double? thermocline, double? hypoxic, double? anoxic, string words) =>
        Assert.Equal(words, ProfileWords.Of(thermocline, hypoxic, anoxic));
}
