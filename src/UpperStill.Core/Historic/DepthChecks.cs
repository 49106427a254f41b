using UpperStill.Core.Findings;
using UpperStill.Core.Quantities;

namespace UpperStill.Core.Historic;

/// <summary>Leaves out what was read deeper than the water is, until somebody says that it is right: a point was lost, or it is another unit.</summary>
internal static class DepthChecks
{
    // Levels of water rise and fall, and a drifting boat finds a deeper spot.
    private const decimal Room = 1.25m;
    private const decimal RoomM = 1;

    internal static void LeaveOut(HistoricRequest request, IReadOnlyList<HistoricLine> lines, List<HistoricFinding> findings)
    {
        foreach (var line in lines.Where(l => request.AsTheyStand?.Contains(l.Line) != true))
        {
            if (line.Station.DepthM is not { } water)
            {
                continue;
            }

            var most = (water * Room) + RoomM;
            if (line.Depth?.Read().Length is { } depth && depth.Metres > most)
            {
                Leave(line, c => c.Column.Role != HistoricRole.Clarity, LengthText.Write(depth), request.Mapping.Columns.First(c => c.Role == HistoricRole.Depth).Head, water);
            }

            if (line.Cells.Find(c => c.Used && c.Column.Role == HistoricRole.Clarity && c.Value > most) is { } clarity)
            {
                Leave(line, c => c == clarity, $"{clarity.Written} {clarity.Column.Unit}", clarity.Column.Head, water);
            }
        }

        void Leave(HistoricLine line, Func<HistoricCell, bool> which, string written, string head, decimal water)
        {
            findings.Add(new HistoricFinding(
                Finding.Stop("deeper-than-water", $"{written} is deeper than {line.Station.Name}, which has {Decimals.Text(decimal.Round(water, 1))} m.", "A point was lost, or it is another unit.", "Correct it in the table, or bring it in as it stands."),
                line.Line, head, Answerable: true));
            line.Cells.Where(which).ToList().ForEach(c => c.Used = false);
        }
    }
}
