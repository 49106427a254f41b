using UpperStill.Core.Science.Density;

namespace UpperStill.Core.Science.Stratification;

/// <summary>One level of a profile in working units.</summary>
/// <param name="DepthM">m.</param>
/// <param name="TemperatureC">°C.</param>
/// <param name="OxygenMgL">mg/L; null where it was not read.</param>
/// <param name="Density">kg/m³.</param>
internal readonly record struct LayerLevel(double DepthM, double TemperatureC, double? OxygenMgL, double Density)
{
    internal static LayerLevel Of(double depthM, double temperatureC, double? oxygenMgL, double salinity) =>
        new(depthM, temperatureC, oxygenMgL, WaterDensity.KgPerM3(temperatureC, salinity));
}

/// <summary>The water between two levels.</summary>
/// <param name="TopM">Its top, m.</param>
/// <param name="BottomM">Its bottom, m.</param>
/// <param name="Gradient">Density, kg/m³ per m.</param>
/// <param name="Falls">Temperature, °C per m, positive where it falls with depth.</param>
internal readonly record struct Layer(double TopM, double BottomM, double Gradient, double Falls)
{
    internal double MidM => (TopM + BottomM) / 2;
}

/// <summary>How a column is layered, by both methods of the thermocline.</summary>
/// <remarks>
/// The thermocline as the plane of steepest change: Hutchinson 1957, A Treatise on Limnology, vol. 1, by density, refined by the vertex of
/// the parabola through three neighbouring layers. One degree per metre: Birge 1897, in Wetzel 2001, Limnology, 3rd ed.
/// </remarks>
internal sealed class Stratification
{
    /// <summary>Below this gradient, kg/m³ per m, nothing is called a thermocline.</summary>
    internal const double LeastGradient = 0.1;

    /// <summary>A column that spans less, °C, and less than <see cref="LeastSpanDensity"/>, is mixed.</summary>
    internal const double LeastSpanC = 1;

    /// <summary>kg/m³. Less than a degree never makes so much in fresh water: it is salt that layers the column.</summary>
    internal const double LeastSpanDensity = 0.5;

    // Depths and readings are decimals that no binary number is: exactly a degree a metre is a degree a metre.
    private const double Nothing = 1e-9;

    private const double MixedExcess = 0.1;
    private const double ReferenceM = 1;
    private const double BirgeCPerM = 1;

    private readonly IReadOnlyList<LayerLevel> levels;

    /// <summary>Works on levels sorted by depth, no depth twice.</summary>
    internal Stratification(IReadOnlyList<LayerLevel> levels)
    {
        this.levels = levels;
        List<Layer> layers = [];
        for (var i = 1; i < levels.Count; i++)
        {
            var (a, b) = (levels[i - 1], levels[i]);
            var thick = b.DepthM - a.DepthM;
            layers.Add(new Layer(a.DepthM, b.DepthM, (b.Density - a.Density) / thick, (a.TemperatureC - b.TemperatureC) / thick));
        }

        Layers = layers;
        if (layers.Count == 0)
        {
            return;
        }

        var warm = levels.Max(l => l.TemperatureC) - levels.Min(l => l.TemperatureC) >= LeastSpanC - Nothing;
        BySalt = !warm && levels[^1].Density - levels.Min(l => l.Density) >= LeastSpanDensity;
        if (warm || BySalt)
        {
            var steepest = 0;
            for (var i = 1; i < layers.Count; i++)
            {
                steepest = layers[i].Gradient > layers[steepest].Gradient ? i : steepest;
            }

            if (layers[steepest].Gradient >= LeastGradient - Nothing)
            {
                Steepest = steepest;
                ThermoclineM = Vertex(steepest);
                Metalimnion = Run(steepest, l => l.Gradient >= LeastGradient - Nothing);
            }

            var fastest = 0;
            for (var i = 1; i < layers.Count; i++)
            {
                fastest = layers[i].Falls > layers[fastest].Falls ? i : fastest;
            }

            if (
                layers[fastest].Falls >= BirgeCPerM - Nothing
                && Run(fastest, l => l.Falls >= BirgeCPerM - Nothing) is var run
                && Falls(run) >= LeastSpanC - Nothing
            )
            {
                // A third of a degree within a third of a metre is a step of the surface, not a layer.
                Birge = run;
            }
        }
    }

    internal IReadOnlyList<Layer> Layers { get; }

    /// <summary>Which layer is the steepest; null in a mixed column.</summary>
    internal int? Steepest { get; }

    /// <summary>True where salt layers the column, and temperature hardly changes.</summary>
    internal bool BySalt { get; }

    /// <summary>Buoyancy frequency squared of the steepest layer, N² = g / ρ dρ/dz, per s²; null in a mixed column.</summary>
    internal double? SteepestN2 => Steepest is { } i ? Basin.Gravity * Layers[i].Gradient / levels.Average(level => level.Density) : null;

    /// <summary>Depth of the thermocline by density, m; null in a mixed column.</summary>
    internal double? ThermoclineM { get; }

    /// <summary>Top and bottom of the metalimnion by density, m.</summary>
    internal (double TopM, double BottomM)? Metalimnion { get; }

    /// <summary>Top and bottom of the layer in which temperature falls by a degree a metre, m.</summary>
    internal (double TopM, double BottomM)? Birge { get; }

    /// <summary>Depth of the mixed layer, m; null where the density never exceeds it by that much.</summary>
    internal double? MixedM
    {
        get
        {
            var at = levels.Count == 0 || levels[0].DepthM >= ReferenceM ? (levels.Count == 0 ? 0 : levels[0].DepthM) : ReferenceM;
            if (levels.Count < 2)
            {
                return null;
            }

            var reference = At([at], l => l.Density)[0];
            return Crossing(l => l.Density - reference - MixedExcess, at);
        }
    }

    /// <summary>Depth at which oxygen first falls below a limit, m, interpolated; null where it does not.</summary>
    internal double? OxygenBelow(double mgPerL)
    {
        var read = levels.Where(l => l.OxygenMgL is not null).ToList();
        if (read.Count > 0 && read[0].OxygenMgL < mgPerL)
        {
            return read[0].DepthM;
        }

        for (var i = 1; i < read.Count; i++)
        {
            var (above, below) = (read[i - 1].OxygenMgL!.Value, read[i].OxygenMgL!.Value);
            if (below < mgPerL)
            {
                return read[i - 1].DepthM + ((above - mgPerL) / (above - below) * (read[i].DepthM - read[i - 1].DepthM));
            }
        }

        return null;
    }

    /// <summary>A value at depths from the surface down, straight between the levels that have it, constant beyond the first and the
    /// last.</summary>
    /// <param name="depthsM">m, none less than the one before it.</param>
    /// <param name="value">The value; at least one level has it.</param>
    internal double[] At(double[] depthsM, Func<LayerLevel, double?> value)
    {
        var known = levels.Where(l => value(l) is not null).Select(l => (l.DepthM, Value: value(l)!.Value)).ToArray();
        var found = new double[depthsM.Length];
        for (int i = 0, below = 0; i < depthsM.Length; i++)
        {
            while (below < known.Length && known[below].DepthM < depthsM[i])
            {
                below++;
            }

            found[i] =
                below == 0 ? known[0].Value
                : below == known.Length ? known[^1].Value
                : known[below - 1].Value
                    + (
                        (known[below].Value - known[below - 1].Value)
                        * (depthsM[i] - known[below - 1].DepthM)
                        / (known[below].DepthM - known[below - 1].DepthM)
                    );
        }

        return found;
    }

    private double Falls((double TopM, double BottomM) run) =>
        levels.First(l => l.DepthM == run.TopM).TemperatureC - levels.First(l => l.DepthM == run.BottomM).TemperatureC;

    private double? Crossing(Func<LayerLevel, double> over, double fromM)
    {
        for (var i = 0; i < levels.Count; i++)
        {
            var here = over(levels[i]);
            if (levels[i].DepthM <= fromM || here < 0)
            {
                continue;
            }

            var before = i == 0 ? here : over(levels[i - 1]);
            return before >= 0
                ? levels[i].DepthM
                : levels[i - 1].DepthM + (-before / (here - before) * (levels[i].DepthM - levels[i - 1].DepthM));
        }

        return null;
    }

    private double Vertex(int i)
    {
        if (i == 0 || i == Layers.Count - 1)
        {
            return Layers[i].MidM;
        }

        var (a, b, c) = (Layers[i - 1], Layers[i], Layers[i + 1]);
        var (x1, x2, x3) = (a.MidM, b.MidM, c.MidM);
        var (left, right) = ((b.Gradient - a.Gradient) / (x2 - x1), (c.Gradient - b.Gradient) / (x3 - x2));
        var bend = (right - left) / (x3 - x1);

        // The slope of Newton's parabola, left + bend (2x - x1 - x2), is nothing at the vertex.
        return bend >= 0 ? x2 : Math.Clamp(((x1 + x2) / 2) - (left / (2 * bend)), x1, x3);
    }

    private (double TopM, double BottomM) Run(int around, Func<Layer, bool> holds)
    {
        var (top, bottom) = (around, around);
        while (top > 0 && holds(Layers[top - 1]))
        {
            top--;
        }

        while (bottom < Layers.Count - 1 && holds(Layers[bottom + 1]))
        {
            bottom++;
        }

        return (Layers[top].TopM, Layers[bottom].BottomM);
    }
}
