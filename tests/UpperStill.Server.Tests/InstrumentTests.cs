using System.Net;
using System.Net.Http.Json;
using System.Net.ServerSentEvents;
using System.Net.Sockets;
using System.Text;
using System.Text.Json.Nodes;
using UpperStill.Formats.Instruments;

namespace UpperStill.Server.Tests;

public class InstrumentTests(RunningServer server) : IClassFixture<RunningServer>
{
    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    [Fact]
    public async Task In_the_demo_the_stand_ins_speak_over_the_network_and_do_what_the_panel_says()
    {
        using var http = await server.AsAsync("sampler");
        Assert.Equal("{\"receiver\":true,\"sonde\":true,\"simulated\":true}", await http.GetStringAsync("/api/instruments", Cancel));
        var place = new
        {
            station = "HAR-1",
            latitudeDeg = 51.9,
            longitudeDeg = -11.4,
            depthM = 31,
            kind = "lake",
            day = "2026-08-12",
        };
        var boat = await (
            await http.PostAsJsonAsync(
                "/api/instruments/simulated",
                new
                {
                    place,
                    lowerToM = 9,
                    percent = true,
                    pace = 30,
                },
                Cancel
            )
        ).Content.ReadFromJsonAsync<JsonObject>(Cancel);
        Assert.Equal((true, 30), ((bool)boat!["percent"]!, (int)boat["pace"]!));

        var table = new SondeTable();
        List<SondeReading> readings = [];
        await foreach (var line in LinesAsync(http, "sonde"))
        {
            if (table.Read(line.Data).Reading is { } reading)
            {
                readings.Add(reading);
            }

            if (readings.Count == 60)
            {
                break;
            }
        }

        Assert.InRange(readings[^1].DepthM, 8.9m, 9.1m);
        Assert.InRange(readings.Max(r => decimal.Parse(r.Oxygen!.Written, System.Globalization.CultureInfo.InvariantCulture)), 60, 130);

        await foreach (var line in LinesAsync(http, "receiver"))
        {
            if (NmeaLine.Read(line.Data).Fix is { } fix)
            {
                Assert.InRange(fix.LatitudeDeg, 51.899, 51.901);
                break;
            }
        }
    }

    [Fact]
    public async Task A_real_receivers_lines_pass_as_they_are_and_nothing_is_simulated()
    {
        using var receiver = new RealReceiver();
        using var named = new NamedServer(receiver.Port);
        using var http = await named.AsAsync("sampler");
        Assert.Equal("{\"receiver\":true,\"sonde\":true,\"simulated\":false}", await http.GetStringAsync("/api/instruments", Cancel));
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await http.PostAsJsonAsync("/api/instruments/simulated", new { lowerToM = 3 }, Cancel)).StatusCode
        );

        List<string> lines = [];
        await foreach (var line in LinesAsync(http, "receiver"))
        {
            lines.Add($"{line.EventType} {line.Data}");
        }

        Assert.Equal([$"reached 127.0.0.1:{receiver.Port}", "message $GPGGA,1*00", "message half"], lines);
    }

    [Fact]
    public async Task An_instrument_that_does_not_answer_is_said_to_be_unreached()
    {
        using var receiver = new RealReceiver();
        using var named = new NamedServer(receiver.Port);
        using var http = await named.AsAsync("sampler");

        // The sonde of that server is on a port where nobody listens.
        var only = await LinesAsync(http, "sonde").SingleAsync(Cancel);
        Assert.Equal("unreached", only.EventType);
    }

    private static async IAsyncEnumerable<SseItem<string>> LinesAsync(HttpClient http, string instrument)
    {
        using var answer = await http.GetAsync($"/api/instruments/{instrument}/lines", HttpCompletionOption.ResponseHeadersRead, Cancel);
        Assert.Equal("text/event-stream", answer.Content.Headers.ContentType!.MediaType);
        await foreach (var item in SseParser.Create(await answer.Content.ReadAsStreamAsync(Cancel)).EnumerateAsync(Cancel))
        {
            yield return item;
        }
    }

    /// <summary>Says two lines to whoever connects, and hangs up.</summary>
    private sealed class RealReceiver : IDisposable
    {
        private readonly TcpListener listener = new(IPAddress.Loopback, 0);

        internal RealReceiver()
        {
            listener.Start();
            _ = SpeakAsync();
        }

        internal int Port => ((IPEndPoint)listener.LocalEndpoint).Port;

        public void Dispose() => listener.Dispose();

        private async Task SpeakAsync()
        {
            using var client = await listener.AcceptTcpClientAsync();
            await client.GetStream().WriteAsync(Encoding.ASCII.GetBytes("$GPGGA,1*00\r\nhalf\n"));
        }
    }

    private sealed class NamedServer(int receiver) : RunningServer
    {
        protected override IReadOnlyDictionary<string, string> Options =>
            new Dictionary<string, string> { ["receiver"] = $"127.0.0.1:{receiver}", ["sonde"] = "127.0.0.1:1" };
    }
}
