using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Secchi;

/// <summary>The disc on the paper sheet: the marks that the programme's method reads, and what is noted beside them.</summary>
internal static class SecchiPaper
{
    private const string Colour = "colour.";
    private const string Opinion = "opinion.";

    internal static IEnumerable<PaperPiece> Of(PlannedStop stop)
    {
        var method = DiscMethod.Of(stop.Programme);
        var unit = Length.Symbol(stop.LineUnit);
        var line = stop.Line is { } code ? $", line {code}" : string.Empty;
        yield return new PaperPiece(
            $"{SecchiOptions.Step(stop.Programme).Title}, {unit}{line}: as read, no sums",
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
                            .Select(seen => new PaperBox($"{DiscMethod.Words(seen)}, reading {reading}", unit))
                    ),
                .. SecchiBoxes.All.Where(b => Asked(b.Code, stop.Programme)).Select(PaperBox.Of),
                .. Words(stop.Programme),
            ],
        };
    }

    private static bool Asked(string code, Programme programme) =>
        code.StartsWith(Colour, StringComparison.Ordinal) ? programme.Chooses(SecchiOptions.Method, "words-foot")
        : code.StartsWith(Opinion, StringComparison.Ordinal) ? programme.Chooses(SecchiOptions.Questions, "algae")
        : true;

    private static IEnumerable<PaperBox> Words(Programme programme)
    {
        if (!programme.Chooses(SecchiOptions.Method, "none"))
        {
            yield return new PaperBox("Colour");
        }

        if (!programme.Chooses(SecchiOptions.Questions, "none") && !programme.Chooses(SecchiOptions.Questions, "algae"))
        {
            yield return new PaperBox("Opinion");
        }
    }
}
