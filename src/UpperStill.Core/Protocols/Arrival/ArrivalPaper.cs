using UpperStill.Core.Record.Parts;
using UpperStill.Core.Setup.Programmes;

namespace UpperStill.Core.Protocols.Arrival;

/// <summary>The head of the paper sheet: the boxes of the page, and the marks that must stand in line.</summary>
internal static class ArrivalPaper
{
    internal static IEnumerable<PaperPiece> Of(PlannedStop stop)
    {
        yield return new PaperPiece("Arriving", StepRank.Arrive)
        {
            Boxes =
            [
                new("Who"),
                new("Began (24 h)"),
                .. stop.Programme.AsksHalf() ? [new PaperBox("Half of the day", Answers: ["a.m.", "p.m."])] : Array.Empty<PaperBox>(),
                new("Air, thermometer dry", "°C or °F"),
                new("Surface water", "°C or °F"),
                .. ArrivalBoxes
                    .All.Where(b => b != ArrivalBoxes.InLine && !(stop.Station.OnLand && b == ArrivalBoxes.Anchored))
                    .Select(PaperBox.Of),
            ],
            Ticks = [.. (stop.Station.Transits ?? []).Select(t => $"in line: {t.Near.Name} with {t.Far.Name}")],
        };
    }
}
