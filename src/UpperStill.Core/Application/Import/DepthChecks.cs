using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Core.Application.Import;

/// <summary>Leaves out what was read deeper than the water is, until somebody says that it is right: a point was lost, or it is another
/// unit.</summary>
internal static class DepthChecks
{
    // Levels of water rise and fall, and a drifting boat finds a deeper spot.
    private const decimal Room = 1.25m;
    private const decimal RoomM = 1;

    internal static void LeaveOut(HistoricRequest request, IReadOnlyList<HistoricLine> lines, List<HistoricFinding> findings)
    {
        var depths = request.Mapping.Columns.ToList().FindIndex(c => c.Role == HistoricRole.Depth);
        foreach (var line in lines)
        {
            if (line.Station.DepthM is not { } water)
            {
                continue;
            }

            var most = (water * Room) + RoomM;
            if (line.Depth?.Read().Length is { } depth && depth.Metres > most)
            {
                Leave(line, c => c.Column.Role != HistoricRole.Clarity, LengthText.Write(depth), depths, water);
            }

            if (line.Cells.Find(c => c.Used && c.Column.Role == HistoricRole.Clarity && c.Value > most) is { } clarity)
            {
                Leave(line, c => c == clarity, $"{clarity.Written} {clarity.Column.Unit}", clarity.At, water);
            }
        }

        void Leave(HistoricLine line, Func<HistoricCell, bool> which, string written, int at, decimal water)
        {
            if (request.Stands(line.Line, at))
            {
                return;
            }

            findings.Add(
                new HistoricFinding(
                    Finding.Stop(
                        "deeper-than-water",
                        $"{written} is deeper than {line.Station.Name}, which has {Decimals.Text(decimal.Round(water, 1))} m.",
                        "A point was lost, or it is another unit.",
                        "Correct it in the table, or bring it in as it stands."
                    ),
                    line.Line,
                    request.Mapping.Columns[at].Head,
                    at,
                    Answerable: true
                )
            );
            line.Cells.Where(which).ToList().ForEach(c => c.Used = false);
        }
    }
}
