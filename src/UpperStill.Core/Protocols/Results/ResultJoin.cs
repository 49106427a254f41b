using System.Buffers.Binary;
using System.Globalization;
using System.Security.Cryptography;
using System.Text;
using UpperStill.Core.Protocols.Custody;
using UpperStill.Core.Setup.Labels;

namespace UpperStill.Core.Protocols.Results;

/// <summary>A sample that a result may belong to.</summary>
/// <param name="Number">Its number.</param>
/// <param name="Visit">Its visit.</param>
/// <param name="Station">The station's code.</param>
/// <param name="Water">The water's code.</param>
/// <param name="State">Where it is in its life.</param>
/// <param name="Day">Its day.</param>
public sealed record NamedSample(string Number, Guid Visit, string Station, string Water, SampleState State, DateOnly Day);

/// <summary>What is in the record already, of the visits that are reported on.</summary>
/// <param name="Ids">Ids of all results that were ever written, struck ones among them.</param>
/// <param name="Standing">Results that stand, by <see cref="ResultJoin.KeyOf"/>.</param>
public sealed record PresentResults(IReadOnlySet<Guid> Ids, ILookup<(string Body, string Analyte), ResultBody> Standing);

/// <summary>A reported row on its way to its sample: joined, or held with a reason.</summary>
/// <typeparam name="TRow">The row, wherever it comes from.</typeparam>
/// <param name="row">The row.</param>
/// <param name="number">The sample number as it stands there.</param>
/// <param name="result">What it reports; null where it cannot be read.</param>
public sealed class JoiningResult<TRow>(TRow row, string number, ResultBody? result)
{
    /// <summary>The row.</summary>
    public TRow Row => row;

    /// <summary>The sample number as it stands there.</summary>
    public string Number => number;

    /// <summary>What it reports.</summary>
    public ResultBody? Result => result;

    /// <summary>The sample; null where none or several have its number.</summary>
    public NamedSample? Sample { get; internal set; }

    /// <summary>Why it is held: the code of a finding; null where it joins its sample.</summary>
    public string? Code { get; private set; }

    /// <summary>The same in words.</summary>
    public string? Why { get; private set; }

    /// <summary>Identity of the entry that it becomes; null where it is held, or where the record has it already.</summary>
    public Guid? Entry { get; internal set; }

    /// <summary>Holds it.</summary>
    public JoiningResult<TRow> Hold(string code, string why)
    {
        (Code, Why) = (code, why);
        return this;
    }
}

/// <summary>Joins reported rows to samples. What becomes of a row follows from what the rows say, never from their order; contradictions
/// are all held, because whichever stood first must not win.</summary>
public static class ResultJoin
{
    /// <summary>What results of the same thing share.</summary>
    public static (string Body, string Analyte) KeyOf(ResultBody result)
    {
        ArgumentNullException.ThrowIfNull(result);
        return (SampleNumber.Body(result.Sample), result.Analyte);
    }

    /// <summary>Gives each row that is not held yet its sample, and holds what names none, or contradicts another row.</summary>
    /// <param name="rows">The rows.</param>
    /// <param name="known">Samples that exist, by the body of their number.</param>
    /// <param name="mayReport">True where whoever reports may do so for a water, by its code.</param>
    public static void Match<TRow>(
        IReadOnlyList<JoiningResult<TRow>> rows,
        ILookup<string, NamedSample> known,
        Func<string, bool> mayReport
    )
    {
        ArgumentNullException.ThrowIfNull(rows);
        ArgumentNullException.ThrowIfNull(known);
        foreach (var row in rows)
        {
            Find(row, known, mayReport);
        }

        foreach (var same in rows.Where(r => r.Code is null).GroupBy(r => (r.Sample!.Visit, r.Sample.Number, r.Result!.Analyte)).ToList())
        {
            var said = same.Select(r => Said(r.Result!)).Distinct().Count();
            foreach (var row in said > 1 ? [.. same] : Array.Empty<JoiningResult<TRow>>())
            {
                row.Hold("result-twice", $"The file has {said} different results of {row.Result!.Analyte} for this sample.");
            }
        }
    }

    /// <summary>Holds what contradicts the record, and gives what is new its identity.</summary>
    public static void Settle<TRow>(IReadOnlyList<JoiningResult<TRow>> rows, PresentResults present)
    {
        ArgumentNullException.ThrowIfNull(rows);
        ArgumentNullException.ThrowIfNull(present);
        HashSet<Guid> taken = [];
        foreach (var row in rows.Where(r => r.Code is null))
        {
            var result = row.Result!;
            var id = EntryId(result, row.Sample!);
            var standing = present.Standing[(SampleNumber.Body(row.Sample!.Number), result.Analyte)].ToList();
            if (present.Ids.Contains(id))
            {
                continue;
            }

            if (standing.Find(o => Said(o) != Said(result)) is { } other)
            {
                row.Hold("result-twice", $"{row.Number} has another result of {result.Analyte} already: {other.Value} {other.Unit}.");
            }
            else if (standing.Count == 0 && taken.Add(id))
            {
                row.Entry = id;
            }
        }
    }

    /// <summary>Identity of a held row: the same row held again is the same.</summary>
    /// <param name="result">What it reports; null where it cannot be read.</param>
    /// <param name="raw">The row as it stands in the file.</param>
    public static Guid HeldId(ResultBody? result, string raw) =>
        result is null
            ? Id(DateTimeOffset.UnixEpoch, raw)
            : Id(DateTimeOffset.UnixEpoch, result.Sample, result.Analyte, Said(result), result.Method, Day(result));

    private static void Find<TRow>(JoiningResult<TRow> row, ILookup<string, NamedSample> known, Func<string, bool> mayReport)
    {
        var (number, finding) = SampleNumber.Read(row.Number);
        var samples = number is null
            ? []
            : known[SampleNumber.Body(number)].Where(s => s.State.Whereabouts() != Whereabouts.Planned).ToList();
        row.Sample = samples.Count == 1 ? samples[0] : null;
        if (row.Code is not null)
        {
            return;
        }

        if (finding is not null)
        {
            row.Hold(finding.Code, finding.Seen);
        }
        else if (row.Sample is not { } sample)
        {
            row.Hold(
                "result-unmatched",
                samples.Count == 0
                    ? $"{number} matches no sample. It may not have been sent from its boat yet."
                    : $"{number} matches {samples.Count} samples."
            );
        }
        else if (sample.State is SampleState.Rejected or SampleState.Lost)
        {
            row.Hold(
                "result-of-rejected",
                sample.State == SampleState.Lost ? $"{number} is written down as lost." : $"{number} was rejected by the laboratory."
            );
        }
        else if (sample.State == SampleState.Filtered)
        {
            row.Hold("result-unmatched", $"{number} is a bottle whose water was filtered; the filter has another number.");
        }
        else if (!mayReport(sample.Water))
        {
            row.Hold("role-missing", $"Your role does not report for {sample.Station}.");
        }
    }

    private static Guid EntryId(ResultBody result, NamedSample sample) =>
        Id(
            new DateTimeOffset((result.On ?? sample.Day).ToDateTime(new TimeOnly(12, 0)), TimeSpan.Zero),
            sample.Visit.ToString(),
            sample.Number,
            result.Analyte,
            Said(result),
            result.Method,
            Day(result)
        );

    // What a result says, apart from where and when it was written down.
    private static string Said(ResultBody result) =>
        $"{result.Qualifier} {result.Value.Replace(',', '.')} {result.Unit} {result.DetectionLimit}";

    private static string? Day(ResultBody result) => result.On?.ToString("O", CultureInfo.InvariantCulture);

    // A UUID of version 7 (RFC 9562) that follows from what is said.
    private static Guid Id(DateTimeOffset at, params string?[] said)
    {
        Span<byte> bytes = stackalloc byte[32];
        SHA256.HashData(Encoding.UTF8.GetBytes(string.Join('\n', said)), bytes);
        Span<byte> id = stackalloc byte[16];
        BinaryPrimitives.WriteUInt64BigEndian(id, (ulong)at.ToUnixTimeMilliseconds() << 16);
        bytes[..10].CopyTo(id[6..]);
        id[6] = (byte)(0x70 | (id[6] & 0x0F));
        id[8] = (byte)(0x80 | (id[8] & 0x3F));
        return new Guid(id, bigEndian: true);
    }
}
