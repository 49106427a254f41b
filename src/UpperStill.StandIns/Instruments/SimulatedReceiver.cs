using System.Globalization;
using UpperStill.Core.Science.Geodesy;
using UpperStill.StandIns.Lakes;

namespace UpperStill.StandIns.Instruments;

/// <summary>A stand-in for a receiver and a depth sounder on one cable: a position and a depth each second in NMEA 0183, the boat swinging
/// at its anchor, now and then a garbled line.</summary>
public sealed class SimulatedReceiver(Position anchor, double depthM, ulong seed)
{
    private const double SwingM = 4;
    private const double SwingS = 90;
    private const int GarbledEvery = 17;
    private const double TransducerM = 0.3;

    private readonly Chance chance = new(seed ^ 0xA5A5);
    private int seconds;

    /// <summary>A second goes by.</summary>
    /// <param name="secondsOfDay">Universal time, s.</param>
    /// <returns>The lines that it sends.</returns>
    public IReadOnlyList<string> Second(int secondsOfDay)
    {
        seconds++;
        var swing = 2 * Math.PI * seconds / SwingS;
        var here = Shape.FromPlane(anchor, (SwingM * Math.Sin(swing)) + chance.Bell(), (SwingM * 0.4 * Math.Cos(swing)) + chance.Bell());
        var time = TimeSpan.FromSeconds(secondsOfDay % 86400);
        var gga = Line(
            string.Create(
                CultureInfo.InvariantCulture,
                $"GPGGA,{time:hhmmss},{Angle(here.LatitudeDeg, 2)},{(here.LatitudeDeg < 0 ? "S" : "N")},{Angle(here.LongitudeDeg, 3)},{(here.LongitudeDeg < 0 ? "W" : "E")},1,09,{0.8 + (0.1 * chance.Even()):F1},12.0,M,,M,,"
            )
        );
        var dpt = Line(
            string.Create(
                CultureInfo.InvariantCulture,
                $"SDDPT,{Math.Max(0.4, depthM - TransducerM + (0.03 * chance.Bell())):F2},{TransducerM:F1}"
            )
        );
        return seconds % GarbledEvery == 0 ? [gga[..(gga.Length / 2)], dpt] : [gga, dpt];
    }

    private static string Angle(double degrees, int digits)
    {
        var size = Math.Abs(degrees);
        var whole = Math.Floor(size);
        return whole.ToString(CultureInfo.InvariantCulture).PadLeft(digits, '0')
            + ((size - whole) * 60).ToString("00.00000", CultureInfo.InvariantCulture);
    }

    private static string Line(string body)
    {
        var sum = 0;
        foreach (var letter in body)
        {
            sum ^= letter;
        }

        return $"${body}*{sum:X2}";
    }
}
