using UpperStill.Core.Review;

namespace UpperStill.Core.Tests.Review;

/// <summary>Who may vouch for a visit.</summary>
public sealed class VouchingTests
{
    [Theory]
    [InlineData("Asa", true)] // read it
    [InlineData(" asa ", true)]
    [InlineData("Maren", true)] // wrote it down
    [InlineData("Ilse", false)]
    public void Nobody_vouches_for_what_they_read_or_wrote(string who, bool own) => Assert.Equal(own, Vouching.IsOwn(who, ["Asa", "Jonas"], "Maren"));
}
