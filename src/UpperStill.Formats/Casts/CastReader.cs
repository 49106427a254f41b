using System.Text;
using UpperStill.Core.Basis.Findings;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Core.Protocols.Profile;
using UpperStill.Core.Science.Oxygen;

namespace UpperStill.Formats.Casts;

/// <summary>Reads a logged cast as it streams by, chunk after chunk, and then gives its levels. It keeps the numbers of the columns asked
/// for and nothing else.</summary>
public sealed class CastReader
{
    /// <summary>More rows than this are not read: at ten a second, over a day.</summary>
    public const int MostRows = 1_200_000;

    private const int LongestLine = 4096;
    private const int MostDecimals = 4;

    // The deepest sounding known is 10 935 m.
    private const double DeepestWaterM = 11_500;

    private readonly CastRequest request;
    private readonly byte separator;
    private readonly byte point;
    private readonly Series?[] byColumn;
    private readonly Series? depth;
    private byte[] rest = [];
    private int line;
    private int rows;
    private int unread;
    private int firstUnread;
    private int aboveSurface;
    private int tooDeep;

    /// <summary>Begins a cast.</summary>
    public CastReader(CastRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        this.request = request;
        separator =
            request.Separator.Length == 1 && request.Separator[0] < 128
                ? (byte)request.Separator[0]
                : throw new ArgumentException("The separator is one of comma, semicolon, tab and bar.", nameof(request));
        point = request.DecimalComma ? (byte)',' : (byte)'.';
        byColumn = [.. request.Columns.Select(c => c.Quantity == CastQuantity.None ? null : new Series(c.Quantity, c.Unit))];
        depth = Of(CastQuantity.Depth);
    }

    /// <summary>Takes the next bytes of the file.</summary>
    public void Push(ReadOnlySpan<byte> chunk)
    {
        if (rest.Length > 0)
        {
            var end = chunk.IndexOf((byte)'\n');
            if (end < 0)
            {
                // A line that never ends is not kept whole.
                rest = rest.Length > LongestLine ? rest : [.. rest, .. chunk];
                return;
            }

            byte[] whole = [.. rest, .. chunk[..end]];
            rest = [];
            Line(whole);
            chunk = chunk[(end + 1)..];
        }

        for (int end; (end = chunk.IndexOf((byte)'\n')) >= 0; chunk = chunk[(end + 1)..])
        {
            Line(chunk[..end]);
        }

        rest = chunk.ToArray();
    }

    /// <summary>Ends the file and gives its levels.</summary>
    public CastResult Finish()
    {
        if (rest.Length > 0)
        {
            Line(rest);
            rest = [];
        }

        List<FieldFinding> findings = [];
        if (depth is null)
        {
            return new CastResult(
                rows,
                0,
                false,
                null,
                [],
                [
                    Finding
                        .Stop(
                            "cast-no-depth",
                            "No column is the depth.",
                            "Without it no reading has a place.",
                            "Say which column holds the depth."
                        )
                        .At("columns"),
                ]
            );
        }

        var metres = depth.Values.ToArray();
        Surface(metres, findings);
        var (picked, wayUp) = LoggedCast.Pick(metres);
        Said(picked, wayUp, findings);
        var deepest = picked.Count == 0 ? (decimal?)null : decimal.Round((decimal)picked.Max(i => metres[i]), 2);
        var levels = Levels(metres, picked, deepest ?? 0);
        if (levels.Count == 0)
        {
            findings.Add(
                Finding
                    .Stop(
                        "cast-no-levels",
                        $"None of the {rows} rows belongs to a level that is still to be read.",
                        "Nothing would be written.",
                        "Look whether the right column is the depth, and in which unit."
                    )
                    .At("columns")
            );
        }

        return new CastResult(rows, picked.Count, wayUp, deepest, levels, findings);
    }

    private void Line(ReadOnlySpan<byte> text)
    {
        if (line++ < request.FirstRow)
        {
            return;
        }

        if (line == 1 && text.StartsWith(Encoding.UTF8.Preamble))
        {
            text = text[3..];
        }

        text = text.TrimEnd((byte)'\r');
        if (text.IsEmpty || rows >= MostRows)
        {
            return;
        }

        rows++;
        for (var column = 0; column < byColumn.Length; column++)
        {
            var end = text.IndexOf(separator);
            if (byColumn[column] is { } series)
            {
                series.Read(end < 0 ? text : text[..end], point);
            }

            text = end < 0 ? [] : text[(end + 1)..];
        }

        if (depth is not null && double.IsNaN(depth.Values[^1]))
        {
            unread++;
            firstUnread = firstUnread == 0 ? line : firstUnread;
        }
    }

    // Depths that are all below zero count downward from it; a few are the sensor in the air.
    private void Surface(double[] metres, List<FieldFinding> findings)
    {
        var below = metres.Count(m => m < 0);
        if (below * 2 > metres.Length)
        {
            for (var i = 0; i < metres.Length; i++)
            {
                metres[i] = -metres[i];
            }

            findings.Add(
                Finding
                    .Note(
                        "cast-depth-negative",
                        "The depths are written below zero.",
                        "They are taken as metres or feet under the surface.",
                        "Choose another column if they are not."
                    )
                    .At("columns")
            );
        }

        for (var i = 0; i < metres.Length; i++)
        {
            if (metres[i] < 0)
            {
                metres[i] = double.NaN;
                aboveSurface++;
            }
            else if (metres[i] > DeepestWaterM)
            {
                metres[i] = double.NaN;
                tooDeep++;
            }
        }
    }

    private void Said(IReadOnlyList<int> picked, bool wayUp, List<FieldFinding> findings)
    {
        if (wayUp)
        {
            findings.Add(
                Finding
                    .Check(
                        "cast-up-only",
                        "The file has only the way up.",
                        "Going up, the probe drags water of below with it and reads the layers too shallow.",
                        "Use it if there is no other; the way down is better."
                    )
                    .At("file")
            );
        }

        if (unread > 0)
        {
            findings.Add(
                Finding
                    .Check(
                        "cast-rows-unread",
                        $"{unread} of {rows} rows have no depth that can be read, the first in line {firstUnread}.",
                        "They are left out; the rest stands.",
                        "Look at that line if there should be none."
                    )
                    .At("file")
            );
        }

        if (aboveSurface > 0)
        {
            findings.Add(
                Finding
                    .Note(
                        "cast-above-surface",
                        $"{aboveSurface} rows lie above the surface.",
                        "The sensor was in the air, or its zero is off.",
                        "They are left out."
                    )
                    .At("file")
            );
        }

        if (tooDeep > 0)
        {
            findings.Add(
                Finding
                    .Check(
                        "cast-too-deep",
                        $"{(tooDeep == 1 ? "1 row is" : $"{tooDeep} rows are")} deeper than any water on Earth.",
                        "A garbled number, or not the depth at all.",
                        "They are left out. Look whether the right column is the depth, and in which unit."
                    )
                    .At("columns")
            );
        }

        if (rows >= MostRows)
        {
            findings.Add(
                Finding
                    .Check(
                        "cast-too-long",
                        $"The file has more than {MostRows} rows.",
                        "What comes after them was not looked at.",
                        "Cut the cast out of the log."
                    )
                    .At("file")
            );
        }

        foreach (
            var (quantity, name) in (ReadOnlySpan<(CastQuantity, string)>)
                [(CastQuantity.Depth, "depth"), (CastQuantity.Temperature, "temperature"), (CastQuantity.Oxygen, "oxygen")]
        )
        {
            if (Of(quantity) is { Unit: null })
            {
                findings.Add(
                    Finding
                        .Stop(
                            "unit-missing",
                            $"The {name} column has no unit.",
                            "It could be read two ways and is lost if we guess.",
                            "Choose the unit the meter logged."
                        )
                        .At(name)
                );
            }
        }
    }

    private List<CastLevel> Levels(double[] metres, IReadOnlyList<int> picked, decimal deepest)
    {
        IReadOnlyList<CastTarget> targets =
            request.Levels.Count > 0
                ? [.. request.Levels.OrderBy(l => l.DepthM)]
                :
                [
                    .. Enumerable
                        .Range(0, (int)deepest + 1)
                        .Select(m => new CastTarget(new WrittenLength(Decimals.Text(m), LengthUnit.Metre), m)),
                ];
        var bins = LoggedCast.Bin(metres, picked, [.. targets.Select(t => (double)t.DepthM)]);
        List<CastLevel> levels = [];
        for (var i = 0; i < targets.Count; i++)
        {
            var body =
                bins[i].Count == 0
                    ? null
                    : new LevelBody(
                        targets[i].Depth,
                        Text(CastQuantity.Temperature, bins[i]) is { } t
                            ? new WrittenTemperature(t, CastUnits.OfTemperature(Of(CastQuantity.Temperature)!.Unit))
                            : null,
                        Text(CastQuantity.Oxygen, bins[i]) is { } o
                            ? new WrittenOxygen(o, CastUnits.OfOxygen(Of(CastQuantity.Oxygen)!.Unit))
                            : null,
                        Text(CastQuantity.Conductivity, bins[i]),
                        Text(CastQuantity.Ph, bins[i]),
                        Text(CastQuantity.Salinity, bins[i])
                    );
            if (body is not null && (body.Temperature ?? (object?)body.Oxygen ?? body.Conductivity ?? body.Ph ?? body.Salinity) is not null)
            {
                levels.Add(new CastLevel(body, targets[i].DepthM, bins[i].Count));
            }
        }

        return levels;
    }

    private string? Text(CastQuantity quantity, IReadOnlyList<int> bin)
    {
        if (Of(quantity) is not { } series)
        {
            return null;
        }

        var median = LoggedCast.Median(System.Runtime.InteropServices.CollectionsMarshal.AsSpan(series.Values), bin);
        return double.IsNaN(median) || Math.Abs(median) > 1e9
            ? null
            : Decimals.Fixed((decimal)median, Math.Min(MostDecimals, series.Decimals));
    }

    private Series? Of(CastQuantity quantity) => Array.Find(byColumn, s => s?.Quantity == quantity);

    /// <summary>The numbers of one column, in working units.</summary>
    private sealed class Series(CastQuantity quantity, string? unit)
    {
        private readonly double factor = (quantity, unit) switch
        {
            (CastQuantity.Depth, "ft") => (double)Length.MetresPerFoot,
            (CastQuantity.Conductivity, "mS/cm") => 1000,
            _ => 1,
        };

        internal CastQuantity Quantity => quantity;

        internal string? Unit => unit;

        internal List<double> Values { get; } = [];

        internal int Decimals { get; private set; }

        internal void Read(ReadOnlySpan<byte> field, byte point)
        {
            if (CastNumber.TryRead(field, point, out var value, out var decimals))
            {
                Values.Add(value * factor);
                Decimals = factor > 1 ? 1 : Math.Max(Decimals, decimals);
            }
            else
            {
                Values.Add(double.NaN);
            }
        }
    }
}
