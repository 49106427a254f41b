using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Secchi;

/// <summary>The disc on the paper sheet: the marks that the programme's method reads, and what it asks beside them.</summary>
internal static class SecchiPaper
{
    internal static IEnumerable<PaperPiece> Of(PlannedStop stop)
    {
        var method = DiscMethod.Of(stop.Programme);
        var line = stop.Line is { } code ? $", line {code}" : string.Empty;
        yield return new PaperPiece(
            $"{SecchiOptions.Step(stop.Programme).Title}, {stop.Unit}{line}: as read, no sums",
            SecchiOptions.RankOf(stop.Programme)
        )
        {
            Boxes =
            [
                .. Enumerable
                    .Range(1, method.Settings.Needed)
                    .SelectMany(reading =>
                        DiscMethod
                            .Events(method.Settings, method.Folded)
                            .Select(seen => new PaperBox($"{DiscMethod.Words(seen)}, reading {reading}", stop.Unit))
                    ),
                PaperBox.Of(SecchiBoxes.Outcome),
                PaperBox.Of(SecchiBoxes.LineHung),
                .. DiscQuestions.Of(stop.Programme).SelectMany(question => Asked(question, stop.Programme)),
            ],
        };
    }

    private static PaperBox[] Asked(string question, Programme programme) =>
        question switch
        {
            DiscQuestions.Side => [PaperBox.Of(SecchiBoxes.Side)],
            DiscQuestions.Sunglasses => [PaperBox.Of(SecchiBoxes.Sunglasses)],
            DiscQuestions.Tube => [PaperBox.Of(SecchiBoxes.Tube)],
            DiscQuestions.Algae => [PaperBox.Of(SecchiBoxes.Algae)],
            DiscQuestions.Recreation => [PaperBox.Of(SecchiBoxes.Recreation)],
            DiscQuestions.Remark => [new("Remark on the water")],
            _ => programme.ChoiceOf(SecchiOptions.Method) switch
            {
                "words-foot" =>
                [
                    PaperBox.Of(SecchiBoxes.Murky),
                    PaperBox.Of("Colour, the disc one foot down", null, ColourChart.AtOneFoot),
                ],
                "chart-half" => [new("Colour by the chart, at half the clarity")],
                _ => [new("Colour of the water")],
            },
        };
}
