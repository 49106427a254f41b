namespace UpperStill.StandIns.Lakes;

/// <summary>
/// Repeatable chance: the same seed gives the same numbers on every machine and release.
/// SplitMix64, Steele, Lea &amp; Flood 2014, doi:10.1145/2714064.2660195.
/// </summary>
public sealed class Chance(ulong seed)
{
    private ulong state = seed;

    /// <summary>The next 64 bits.</summary>
    public ulong Bits()
    {
        state += 0x9E3779B97F4A7C15;
        var z = state;
        z = (z ^ (z >> 30)) * 0xBF58476D1CE4E5B9;
        z = (z ^ (z >> 27)) * 0x94D049BB133111EB;
        return z ^ (z >> 31);
    }

    /// <summary>Evenly between 0 (included) and 1 (excluded).</summary>
    public double Even() => (Bits() >> 11) * (1.0 / (1UL << 53));

    /// <summary>A whole number from <paramref name="from"/> to <paramref name="until"/>, both included.</summary>
    public int Whole(int from, int until) => from + (int)(Even() * (until - from + 1));

    /// <summary>Bell-shaped about 0 with a standard deviation of about 1: the sum of twelve even numbers, less six.</summary>
    public double Bell()
    {
        var sum = -6.0;
        for (var i = 0; i < 12; i++)
        {
            sum += Even();
        }

        return sum;
    }

    /// <summary>A UUIDv7 (RFC 9562) at an instant.</summary>
    public Guid Uuid(DateTimeOffset at)
    {
        Span<byte> bytes = stackalloc byte[16];
        System.Buffers.Binary.BinaryPrimitives.WriteUInt64BigEndian(bytes, (ulong)at.ToUnixTimeMilliseconds() << 16);
        System.Buffers.Binary.BinaryPrimitives.WriteUInt64BigEndian(bytes[8..], Bits());
        var head = Bits();
        bytes[6] = (byte)(0x70 | ((byte)head & 0x0F));
        bytes[7] = (byte)(head >> 8);
        bytes[8] = (byte)(0x80 | (bytes[8] & 0x3F));
        return new Guid(bytes, bigEndian: true);
    }
}
