namespace UpperStill.Core.Science.Stratification;

/// <summary>A water's area by depth, for means by volume and for the work it would take to mix it.</summary>
/// <remarks>
/// Schmidt 1928; Idso 1973, Limnol. Oceanogr. 18: 681–683. Between the depths of the table and of the readings everything is straight,
/// so that each integrand is at most cubic and Simpson's rule is exact.
/// </remarks>
internal sealed class Basin
{
    /// <summary>m/s², standard.</summary>
    internal const double Gravity = 9.80665;

    private const double HeatJPerKgK = 4186;

    // Area times the weight of Simpson's rule, at each depth of Depths.
    private readonly double[] weights;

    private readonly (double DepthM, double AreaM2)[] table;

    private Basin(double[] depths, double[] weights, (double DepthM, double AreaM2)[] table)
    {
        (Depths, this.weights, this.table, SurfaceM2) = (depths, weights, table, table[0].AreaM2);
        VolumeM3 = weights.Sum();
    }

    /// <summary>The depths at which anything that is integrated must be known, from the surface down; some stand twice.</summary>
    internal double[] Depths { get; }

    /// <summary>Area at the surface, m².</summary>
    internal double SurfaceM2 { get; }

    /// <summary>Volume, m³.</summary>
    internal double VolumeM3 { get; }

    /// <summary>Null where the table has too little to integrate over, or is none: <see cref="AreaTable"/> says what is wrong with
    /// it.</summary>
    /// <param name="hypsography">Area by depth.</param>
    /// <param name="breaks">Depths at which something else bends, from the surface down.</param>
    internal static Basin? From(IReadOnlyList<AreaAtDepth>? hypsography, IReadOnlyList<double> breaks)
    {
        var table = (hypsography ?? []).Select(r => (DepthM: (double)r.DepthM, AreaM2: (double)r.AreaM2)).ToArray();
        if (table.Length < 2 || table[0].AreaM2 <= 0 || AreaTable.Findings(hypsography ?? []).Any())
        {
            return null;
        }

        var end = table[^1].DepthM;
        double[] edges = [.. table.Select(r => r.DepthM).Concat(breaks.Where(b => b > 0 && b < end)).Distinct().Order()];
        var depths = new double[3 * (edges.Length - 1)];
        var weights = new double[depths.Length];
        for (int i = 1, k = 0; i < edges.Length; i++)
        {
            var (a, b) = (edges[i - 1], edges[i]);
            foreach (var (depth, share) in ((double, double)[])[(a, 1), ((a + b) / 2, 4), (b, 1)])
            {
                depths[k] = depth;
                weights[k++] = (b - a) / 6 * share * Area(table, depth);
            }
        }

        return new Basin(depths, weights, table);
    }

    /// <summary>Mean by volume.</summary>
    /// <param name="values">At each of <see cref="Depths"/>.</param>
    internal double Mean(double[] values) => Integral(values) / VolumeM3;

    /// <summary>Schmidt stability, J/m²: positive where lighter water lies over heavier, nothing where it is mixed.</summary>
    /// <param name="density">kg/m³ at each of <see cref="Depths"/>.</param>
    internal double StabilityJPerM2(double[] density)
    {
        var (centre, mean) = (Mean(Depths), Mean(density));
        var sum = 0.0;
        for (var i = 0; i < weights.Length; i++)
        {
            sum += weights[i] * (Depths[i] - centre) * (density[i] - mean);
        }

        return Gravity / SurfaceM2 * sum;
    }

    /// <summary>Area at a depth, m²; 0 below the table.</summary>
    internal double AreaM2(double depthM) => Area(table, depthM);

    /// <summary>Mean by volume of the water below a depth that is one of the breaks, and its volume; null where there is none.</summary>
    /// <param name="fromM">The depth, m.</param>
    /// <param name="values">At each of <see cref="Depths"/>.</param>
    internal (double Mean, double VolumeM3)? Below(double fromM, double[] values)
    {
        var (sum, volume) = (0.0, 0.0);

        // Three weights to a layer: its top, its middle, its bottom.
        for (var i = 0; i < weights.Length; i += 3)
        {
            for (var k = i; Depths[i] >= fromM && k < i + 3; k++)
            {
                sum += weights[k] * values[k];
                volume += weights[k];
            }
        }

        return volume > 0 ? (sum / volume, volume) : null;
    }

    /// <summary>Heat above 0 °C, J/m² of surface.</summary>
    /// <param name="density">kg/m³ at each of <see cref="Depths"/>.</param>
    /// <param name="temperature">°C at each of <see cref="Depths"/>.</param>
    internal double HeatJPerM2(double[] density, double[] temperature)
    {
        var sum = 0.0;
        for (var i = 0; i < weights.Length; i++)
        {
            sum += weights[i] * density[i] * temperature[i];
        }

        return HeatJPerKgK / SurfaceM2 * sum;
    }

    private double Integral(double[] values)
    {
        var sum = 0.0;
        for (var i = 0; i < weights.Length; i++)
        {
            sum += weights[i] * values[i];
        }

        return sum;
    }

    private static double Area((double DepthM, double AreaM2)[] table, double depthM)
    {
        for (var i = 1; i < table.Length; i++)
        {
            if (depthM <= table[i].DepthM)
            {
                var (above, below) = (table[i - 1], table[i]);
                return above.AreaM2 + ((below.AreaM2 - above.AreaM2) * (depthM - above.DepthM) / (below.DepthM - above.DepthM));
            }
        }

        return 0;
    }
}
