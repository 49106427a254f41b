using System.Globalization;
using System.IO.Compression;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using CsvHelper;

namespace UpperStill.Formats.Packages;

/// <summary>Writes a Data Package (Frictionless, version 1) as a ZIP, straight into a stream: tables as CSV (RFC 4180, UTF-8), then the
/// descriptor with schemas, sizes and checksums. Nothing but one row is held in memory.</summary>
public sealed class PackageWriter : IAsyncDisposable
{
    private readonly ZipArchive zip;
    private readonly List<Written> written = [];
    private readonly string title;
    private readonly DateTimeOffset at;

    /// <summary>Begins a package.</summary>
    /// <param name="output">Where it goes; need not seek.</param>
    /// <param name="title">What it is.</param>
    /// <param name="at">When it was made.</param>
    public PackageWriter(Stream output, string title, DateTimeOffset at)
    {
        zip = new ZipArchive(output, ZipArchiveMode.Create, leaveOpen: true, Encoding.UTF8);
        (this.title, this.at) = (title, at);
    }

    /// <summary>Adds a table, row by row.</summary>
    public async Task AddAsync(PackageTable table, IAsyncEnumerable<string?[]> rows, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(table);
        ArgumentNullException.ThrowIfNull(rows);
        await WriteAsync(table.Path, table, async text =>
        {
            await using var csv = new CsvWriter(text, CultureInfo.InvariantCulture, leaveOpen: true);
            foreach (var field in table.Fields)
            {
                csv.WriteField(field.Name);
            }

            await csv.NextRecordAsync();
            await foreach (var row in rows.WithCancellation(cancel))
            {
                foreach (var field in row)
                {
                    csv.WriteField(table.Plain ? SpreadsheetText.Harmless(field) : field);
                }

                await csv.NextRecordAsync();
            }
        });
    }

    /// <summary>Adds a document that is no table, such as GeoJSON.</summary>
    public Task AddAsync(string path, string document) => WriteAsync(path, null, text => text.WriteAsync(document));

    /// <summary>Adds a document that is written as it is made.</summary>
    public Task AddAsync(string path, Action<TextWriter> write) => WriteAsync(path, null, text =>
        {
            write(text);
            return Task.CompletedTask;
        });

    /// <summary>Adds a file as it is, such as a photograph.</summary>
    public async Task AddAsync(string path, Stream content, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(content);
        await using var counting = new CountingStream(zip.CreateEntry(path, CompressionLevel.Optimal).Open());
        await content.CopyToAsync(counting, cancel);
        written.Add(new Written(path, null, counting.Count, counting.Sha256()));
    }

    /// <summary>Writes the descriptor and ends the package.</summary>
    public async ValueTask DisposeAsync()
    {
        var entry = zip.CreateEntry("datapackage.json", CompressionLevel.Optimal);
        await using (var stream = entry.Open())
        {
            await using var json = new Utf8JsonWriter(stream, new JsonWriterOptions { Indented = true });
            Describe(json);
        }

        zip.Dispose();
    }

    private async Task WriteAsync(string path, PackageTable? table, Func<TextWriter, Task> write)
    {
        var entry = zip.CreateEntry(path, CompressionLevel.Optimal);
        await using var counting = new CountingStream(entry.Open());
        await using (var text = new StreamWriter(counting, new UTF8Encoding(false), 65536, leaveOpen: true) { NewLine = "\r\n" })
        {
            await write(text);
        }

        written.Add(new Written(path, table, counting.Count, counting.Sha256()));
    }

    private void Describe(Utf8JsonWriter json)
    {
        json.WriteStartObject();
        json.WriteString("profile", "data-package");
        json.WriteString("name", "upper-still-record");
        json.WriteString("title", title);
        json.WriteString("created", at.ToString("O", CultureInfo.InvariantCulture));
        json.WriteString(
            "description",
            "Stations, visits and readings of people who watch lakes and coasts. The tables visits and readings are for people; the "
                + "others restore an instance."
        );
        json.WriteStartArray("licenses");
        json.WriteStartObject();
        json.WriteString("name", "CC-BY-4.0");
        json.WriteString("title", "Creative Commons Attribution 4.0, unless the group that collected it says otherwise");
        json.WriteEndObject();
        json.WriteEndArray();
        json.WriteStartArray("resources");
        foreach (var (path, table, bytes, sha256) in written)
        {
            json.WriteStartObject();
            json.WriteString("name", table?.Name ?? Path.ChangeExtension(path, null).Replace('/', '-'));
            json.WriteString("path", path);
            json.WriteString("profile", table is null ? "data-resource" : "tabular-data-resource");
            json.WriteString(
                "mediatype",
                Path.GetExtension(path) switch
                {
                    ".geojson" => "application/geo+json",
                    ".ics" => "text/calendar",
                    ".jpg" => "image/jpeg",
                    ".png" => "image/png",
                    _ => "text/csv",
                }
            );
            if (table is not null || Path.GetExtension(path) is ".geojson" or ".ics")
            {
                json.WriteString("encoding", "utf-8");
            }

            json.WriteNumber("bytes", bytes);
            json.WriteString("hash", $"sha256:{sha256}");
            if (table is not null)
            {
                json.WriteString("description", table.Description);
                json.WriteStartObject("schema");
                json.WriteStartArray("fields");
                foreach (var field in table.Fields)
                {
                    json.WriteStartObject();
                    json.WriteString("name", field.Name);
                    json.WriteString("type", field.Type);
                    json.WriteString("description", field.Description);
                    json.WriteEndObject();
                }

                json.WriteEndArray();
                json.WriteEndObject();
            }

            json.WriteEndObject();
        }

        json.WriteEndArray();
        json.WriteEndObject();
    }

    private sealed record Written(string Path, PackageTable? Table, long Bytes, string Sha256);

    /// <summary>Counts and sums up what passes through.</summary>
    private sealed class CountingStream(Stream inner) : Stream
    {
        private readonly IncrementalHash hash = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);

        internal long Count { get; private set; }

        public override bool CanRead => false;

        public override bool CanSeek => false;

        public override bool CanWrite => true;

        public override long Length => Count;

        public override long Position
        {
            get => Count;
            set => throw new NotSupportedException();
        }

        internal string Sha256() => Convert.ToHexStringLower(hash.GetHashAndReset());

        public override void Write(byte[] buffer, int offset, int count)
        {
            hash.AppendData(buffer, offset, count);
            Count += count;
            inner.Write(buffer, offset, count);
        }

        public override void Flush() => inner.Flush();

        public override int Read(byte[] buffer, int offset, int count) => throw new NotSupportedException();

        public override long Seek(long offset, SeekOrigin origin) => throw new NotSupportedException();

        public override void SetLength(long value) => throw new NotSupportedException();

        protected override void Dispose(bool disposing)
        {
            if (disposing)
            {
                hash.Dispose();
                inner.Dispose();
            }

            base.Dispose(disposing);
        }
    }
}
