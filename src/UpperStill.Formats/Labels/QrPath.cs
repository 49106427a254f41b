using System.Text;
using QRCoder;

namespace UpperStill.Formats.Labels;

/// <summary>A QR code (ISO/IEC 18004) as the path of a drawing.</summary>
/// <param name="Size">Modules along a side, the quiet zone of four on each side with them.</param>
/// <param name="Path">The dark modules as an SVG path, one unit a module.</param>
public sealed record QrPath(int Size, string Path)
{
    /// <summary>Draws a text; error correction M: a smear of 15 % is still read.</summary>
    public static QrPath Of(string text)
    {
        using var code = QRCodeGenerator.GenerateQrCode(text, QRCodeGenerator.ECCLevel.M);
        var rows = code.ModuleMatrix;
        var path = new StringBuilder();
        for (var y = 0; y < rows.Count; y++)
        {
            for (var x = 0; x < rows.Count; x++)
            {
                var begin = x;
                while (x < rows.Count && rows[y][x])
                {
                    x++;
                }

                if (x > begin)
                {
                    path.Append('M')
                        .Append(begin)
                        .Append(' ')
                        .Append(y)
                        .Append('h')
                        .Append(x - begin)
                        .Append("v1h-")
                        .Append(x - begin)
                        .Append('z');
                }
            }
        }

        return new QrPath(rows.Count, path.ToString());
    }
}
