namespace UpperStill.Core.Science.Statistics;

/// <summary>The distributions that tests are read from.</summary>
public static class Distributions
{
    private const int MostTerms = 500;
    private const double Tiny = 1e-300;

    /// <summary>How likely a standard normal deviate is to lie at least so far from 0, both sides.</summary>
    public static double BothSides(double z) => z == 0 ? 1 : GammaAbove(0.5, z * z / 2);

    /// <summary>How likely a χ² with <paramref name="degrees"/> degrees of freedom is to exceed <paramref name="value"/>.</summary>
    public static double ChiSquareAbove(double value, int degrees) => degrees < 1 || value <= 0 ? 1 : GammaAbove(degrees / 2.0, value / 2);

    /// <summary>The χ² that a share <paramref name="p"/> lies below, 0 &lt; p &lt; 1, to nine figures.</summary>
    public static double ChiSquareQuantile(double p, int degrees)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(p);
        ArgumentOutOfRangeException.ThrowIfGreaterThanOrEqual(p, 1);
        ArgumentOutOfRangeException.ThrowIfLessThan(degrees, 1);
        var (low, high) = (0.0, 1.0);
        while (1 - ChiSquareAbove(high, degrees) < p)
        {
            high *= 2;
        }

        // It rises all the way: halving finds it.
        while (high - low > 1e-10 * high)
        {
            var middle = (low + high) / 2;
            (low, high) = 1 - ChiSquareAbove(middle, degrees) < p ? (middle, high) : (low, middle);
        }

        return (low + high) / 2;
    }

    /// <summary>The standard normal deviate that a share <paramref name="p"/> lies below, 0 &lt; p &lt; 1.</summary>
    /// <remarks>Wichura 1988, Applied Statistics 37, 477–484 (algorithm AS 241, seven figures), then one step of Newton's method.</remarks>
    public static double NormalQuantile(double p)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(p);
        ArgumentOutOfRangeException.ThrowIfGreaterThanOrEqual(p, 1);
        var q = p - 0.5;
        double z;
        if (Math.Abs(q) <= 0.425)
        {
            var r = 0.180625 - (q * q);
            z =
                q
                * (
                    ((((((59.109374720 * r) + 159.29113202) * r) + 50.434271938) * r) + 3.3871327179)
                    / ((((((67.187563600 * r) + 78.757757664) * r) + 17.895169469) * r) + 1)
                );
        }
        else
        {
            var r = Math.Sqrt(-Math.Log(Math.Min(p, 1 - p)));
            if (r <= 5)
            {
                r -= 1.6;
                z =
                    ((((((0.17023821103 * r) + 1.3067284816) * r) + 2.7568153900) * r) + 1.4234372777)
                    / ((((0.12021132975 * r) + 0.73700164250) * r) + 1);
            }
            else
            {
                r -= 5;
                z =
                    ((((((0.017337203997 * r) + 0.42868294337) * r) + 3.0812263860) * r) + 6.6579051150)
                    / ((((0.012258202635 * r) + 0.24197894225) * r) + 1);
            }

            z = q < 0 ? -z : z;
        }

        var below = z < 0 ? BothSides(z) / 2 : 1 - (BothSides(z) / 2);
        return z - ((below - p) * Math.Sqrt(2 * Math.PI) * Math.Exp(z * z / 2));
    }

    // The upper regularised incomplete gamma function: series below a + 1, continued fraction above (Abramowitz & Stegun 1964, 6.5.29 and
    // 6.5.31).
    private static double GammaAbove(double a, double x)
    {
        var scale = Math.Exp((a * Math.Log(x)) - x - LogGammaOfHalves(a));
        if (x < a + 1)
        {
            var (sum, term) = (1 / a, 1 / a);
            for (var i = 1; i < MostTerms && term > sum * 1e-17; i++)
            {
                term *= x / (a + i);
                sum += term;
            }

            return Math.Max(0, 1 - (sum * scale));
        }

        var b = x + 1 - a;
        var (c, d) = (1 / Tiny, 1 / b);
        var h = d;
        for (var i = 1; i < MostTerms; i++)
        {
            var an = -i * (i - a);
            b += 2;
            d = 1 / Away((an * d) + b);
            c = Away(b + (an / c));
            h *= d * c;
            if (Math.Abs((d * c) - 1) < 1e-16)
            {
                break;
            }
        }

        return h * scale;

        static double Away(double value) => Math.Abs(value) < Tiny ? Tiny : value;
    }

    // Γ of whole and half numbers, from Γ(1) = 1 and Γ(1/2) = √π.
    private static double LogGammaOfHalves(double a)
    {
        var (from, log) = a % 1 == 0 ? (1.0, 0.0) : (0.5, Math.Log(Math.PI) / 2);
        for (; from < a; from++)
        {
            log += Math.Log(from);
        }

        return log;
    }
}
