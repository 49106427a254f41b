using System.Buffers.Binary;

namespace UpperStill.Formats.Photos;

/// <summary>
/// Takes out of a photograph what the camera wrote beside the picture: position, time, device, words. Which way up it is stays.
/// JPEG: ISO/IEC 10918-1 with Exif (JEITA CP-3451); PNG: ISO/IEC 15948.
/// </summary>
public static class PhotoMetadata
{
    private const byte Mark = 0xFF;
    private const byte Scan = 0xDA;
    private const byte App1 = 0xE1;
    private const byte App15 = 0xEF;
    private const byte App14 = 0xEE;
    private const byte App2 = 0xE2;
    private const byte Comment = 0xFE;
    private const ushort OrientationTag = 0x0112;
    private static readonly byte[] ExifHead = [.. "Exif\0\0"u8];
    private static readonly string[] PictureChunks =
    [
        "IHDR",
        "PLTE",
        "IDAT",
        "IEND",
        "tRNS",
        "gAMA",
        "cHRM",
        "sRGB",
        "iCCP",
        "sBIT",
        "bKGD",
        "pHYs",
        "hIST",
    ];

    /// <summary>The photograph without it; null where it cannot be read as far as that.</summary>
    /// <param name="photo">A JPEG or PNG file.</param>
    public static byte[]? Without(ReadOnlySpan<byte> photo) =>
        photo.StartsWith<byte>([Mark, 0xD8, Mark]) ? Jpeg(photo)
        : photo.StartsWith<byte>([0x89, 0x50, 0x4E, 0x47, 0x0D, 0x0A, 0x1A, 0x0A]) ? Png(photo)
        : null;

    private static byte[]? Jpeg(ReadOnlySpan<byte> photo)
    {
        List<byte> kept = [.. photo[..2]];
        for (var at = 2; ; )
        {
            // Any number of fill bytes may stand before a marker.
            while (at + 1 < photo.Length && photo[at] == Mark && photo[at + 1] == Mark)
            {
                at++;
            }

            if (at + 4 > photo.Length || photo[at] != Mark)
            {
                return null;
            }

            var kind = photo[at + 1];
            var length = BinaryPrimitives.ReadUInt16BigEndian(photo[(at + 2)..]) + 2;
            if (at + length > photo.Length || length < 4)
            {
                return null;
            }

            if (kind == Scan)
            {
                // The picture itself, to the end.
                kept.AddRange(photo[at..]);
                return [.. kept];
            }

            var segment = photo.Slice(at, length);
            if (kind == App1 && Orientation(segment[4..]) is { } way)
            {
                kept.AddRange(OnlyOrientation(way));
            }
            else if (kind != Comment && kind is < App1 or App2 or App14 or > App15)
            {
                // Of the application's own only the colours (2) and how they were coded (14).
                kept.AddRange(segment);
            }

            at += length;
        }
    }

    private static ushort? Orientation(ReadOnlySpan<byte> exif)
    {
        if (!exif.StartsWith(ExifHead) || exif.Length < ExifHead.Length + 8)
        {
            return null;
        }

        var tiff = exif[ExifHead.Length..];
        var little = tiff[0] == 'I';
        var first = Four(tiff, 4, little);
        if (first + 2 > tiff.Length)
        {
            return null;
        }

        var count = Two(tiff, (int)first, little);
        for (var i = 0; i < count; i++)
        {
            var at = (int)first + 2 + (i * 12);
            if (at + 12 > tiff.Length)
            {
                return null;
            }

            if (Two(tiff, at, little) == OrientationTag)
            {
                return Two(tiff, at + 8, little) is >= 1 and <= 8 and var way ? way : null;
            }
        }

        return null;

        static ushort Two(ReadOnlySpan<byte> from, int at, bool little) =>
            little ? BinaryPrimitives.ReadUInt16LittleEndian(from[at..]) : BinaryPrimitives.ReadUInt16BigEndian(from[at..]);
        static uint Four(ReadOnlySpan<byte> from, int at, bool little) =>
            little ? BinaryPrimitives.ReadUInt32LittleEndian(from[at..]) : BinaryPrimitives.ReadUInt32BigEndian(from[at..]);
    }

    private static byte[] OnlyOrientation(ushort way) =>
        [
            Mark,
            App1,
            0,
            34,
            .. ExifHead,
            (byte)'M',
            (byte)'M',
            0,
            42,
            0,
            0,
            0,
            8,
            0,
            1,
            0x01,
            0x12,
            0,
            3,
            0,
            0,
            0,
            1,
            0,
            (byte)way,
            0,
            0,
            0,
            0,
            0,
            0,
        ];

    private static byte[]? Png(ReadOnlySpan<byte> photo)
    {
        List<byte> kept = [.. photo[..8]];
        for (var at = 8; ; )
        {
            if (at + 12 > photo.Length)
            {
                return null;
            }

            var length = BinaryPrimitives.ReadUInt32BigEndian(photo[at..]);
            if (length > photo.Length - at - 12)
            {
                return null;
            }

            var kind = System.Text.Encoding.ASCII.GetString(photo.Slice(at + 4, 4));
            if (PictureChunks.Contains(kind))
            {
                kept.AddRange(photo.Slice(at, (int)length + 12));
            }

            if (kind == "IEND")
            {
                return [.. kept];
            }

            at += (int)length + 12;
        }
    }
}
