using System.Buffers.Binary;
using System.Text;
using UpperStill.Formats.Photos;

namespace UpperStill.Formats.Tests;

/// <summary>What a camera writes beside a picture stays with whoever took it.</summary>
public sealed class PhotoMetadataTests
{
    private static readonly byte[] Quantization = Segment(0xDB, [0, 16, 11, 10]);
    private static readonly byte[] Colours = Segment(0xE2, "ICC_PROFILE\0"u8.ToArray());
    private static readonly byte[] Picture = [0xFF, 0xDA, 0, 4, 1, 0, 0x12, 0x34, 0xFF, 0, 0xE1, 0xFF, 0xD9];

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void A_jpeg_loses_position_and_words_and_keeps_its_way_up_and_its_picture(bool little)
    {
        byte[] photo =
        [
            0xFF,
            0xD8,
            .. Segment(0xE1, Exif(6, little)),
            .. Segment(0xE1, "http://ns.adobe.com/xap/1.0/\0<x/>"u8.ToArray()),
            .. Colours,
            .. Segment(0xFE, "by the boathouse"u8.ToArray()),
            .. Segment(0xED, "where"u8.ToArray()),
            0xFF,
            .. Quantization,
            .. Picture,
        ];
        var plain = PhotoMetadata.Without(photo)!;

        var text = Encoding.Latin1.GetString(plain);
        Assert.DoesNotContain("51.5 N", text, StringComparison.Ordinal);
        Assert.DoesNotContain("boathouse", text, StringComparison.Ordinal);
        Assert.DoesNotContain("xap", text, StringComparison.Ordinal);
        Assert.DoesNotContain("where", text, StringComparison.Ordinal);
        Assert.Equal(
            [
                0xFF,
                0xD8,
                .. Segment(0xE1, [.. "Exif\0\0"u8, .. "MM"u8, 0, 42, 0, 0, 0, 8, 0, 1, 1, 0x12, 0, 3, 0, 0, 0, 1, 0, 6, 0, 0, 0, 0, 0, 0]),
                .. Colours,
                .. Quantization,
                .. Picture,
            ],
            plain
        );
        Assert.Equal(plain, PhotoMetadata.Without(plain));
    }

    [Fact]
    public void A_png_keeps_only_what_makes_the_picture()
    {
        byte[] photo =
        [
            .. Begin,
            .. Chunk("IHDR", new byte[13]),
            .. Chunk("tEXt", "Author\0somebody"u8.ToArray()),
            .. Chunk("eXIf", "51.5 N"u8.ToArray()),
            .. Chunk("gAMA", new byte[4]),
            .. Chunk("IDAT", [1, 2, 3]),
            .. Chunk("tIME", new byte[7]),
            .. Chunk("IEND", []),
            9,
            9,
        ];
        Assert.Equal(
            [.. Begin, .. Chunk("IHDR", new byte[13]), .. Chunk("gAMA", new byte[4]), .. Chunk("IDAT", [1, 2, 3]), .. Chunk("IEND", [])],
            PhotoMetadata.Without(photo)!
        );
    }

    [Fact]
    public void What_breaks_off_anywhere_is_no_photograph_and_never_a_fault()
    {
        byte[][] whole =
        [
            [0xFF, 0xD8, .. Segment(0xE1, Exif(3, true)), .. Quantization, .. Picture[..6]],
            [.. Begin, .. Chunk("IHDR", new byte[13]), .. Chunk("IDAT", [1, 2, 3]), .. Chunk("IEND", [])],
        ];
        foreach (var photo in whole)
        {
            Assert.NotNull(PhotoMetadata.Without(photo));
            for (var length = 0; length < photo.Length; length++)
            {
                Assert.Null(PhotoMetadata.Without(photo.AsSpan(0, length)));
            }
        }

        var random = new Random(11);
        for (var i = 0; i < 20_000; i++)
        {
            var bent = (byte[])whole[i % 2].Clone();
            for (var n = random.Next(1, 6); n > 0; n--)
            {
                bent[random.Next(bent.Length)] = (byte)random.Next(256);
            }

            _ = PhotoMetadata.Without(bent);
        }
    }

    private static byte[] Begin => [0x89, 0x50, 0x4E, 0x47, 0x0D, 0x0A, 0x1A, 0x0A];

    private static byte[] Segment(byte kind, byte[] body) => [0xFF, kind, (byte)((body.Length + 2) >> 8), (byte)(body.Length + 2), .. body];

    // The check sum is not looked at here; it goes along as it is.
    private static byte[] Chunk(string kind, byte[] body) =>
        [0, 0, 0, (byte)body.Length, .. Encoding.ASCII.GetBytes(kind), .. body, 1, 2, 3, 4];

    // Two entries: a position in words, and which way up.
    private static byte[] Exif(ushort way, bool little)
    {
        var tiff = new byte[46];
        (little ? "II"u8 : "MM"u8).CopyTo(tiff);
        Two(2, 42);
        Four(4, 8);
        Two(8, 2);
        Two(10, 0x010E);
        Two(12, 2);
        Four(14, 6);
        Four(18, 38);
        Two(22, 0x0112);
        Two(24, 3);
        Four(26, 1);
        Two(30, way);
        "51.5 N"u8.CopyTo(tiff.AsSpan(38));
        return [.. "Exif\0\0"u8, .. tiff];

        void Two(int at, ushort value)
        {
            if (little)
            {
                BinaryPrimitives.WriteUInt16LittleEndian(tiff.AsSpan(at), value);
            }
            else
            {
                BinaryPrimitives.WriteUInt16BigEndian(tiff.AsSpan(at), value);
            }
        }

        void Four(int at, uint value)
        {
            if (little)
            {
                BinaryPrimitives.WriteUInt32LittleEndian(tiff.AsSpan(at), value);
            }
            else
            {
                BinaryPrimitives.WriteUInt32BigEndian(tiff.AsSpan(at), value);
            }
        }
    }
}
