using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Secchi;

/// <summary>What a programme asks beside the marks of the disc, on the page and on paper.</summary>
internal static class DiscQuestions
{
    internal const string Side = "side";
    internal const string Sunglasses = "sunglasses";
    internal const string Tube = "tube";
    internal const string Colour = "colour";
    internal const string Algae = "algae";
    internal const string Recreation = "recreation";
    internal const string Remark = "remark";

    /// <summary>The questions, in the order in which they are asked.</summary>
    internal static IReadOnlyList<string> Of(Programme programme)
    {
        List<string> asked = [];
        if (!programme.Chooses(SecchiOptions.Side, "unasked"))
        {
            asked.Add(Side);
        }

        if (!programme.Chooses(SecchiOptions.Glasses, "unasked"))
        {
            asked.Add(Sunglasses);
        }

        if (programme.Chooses(SecchiOptions.Side, "sunny-tube"))
        {
            asked.Add(Tube);
        }

        if (!programme.Chooses(SecchiOptions.Method, "none"))
        {
            asked.Add(Colour);
        }

        asked.AddRange(
            programme.ChoiceOf(SecchiOptions.Questions) switch
            {
                "none" => [],
                "remarks" => (string[])[Remark],
                "named" => [Algae, Recreation],
                _ => [Algae],
            }
        );
        return asked;
    }
}
