using System.Net.ServerSentEvents;
using System.Net.Sockets;
using System.Runtime.CompilerServices;
using System.Text;
using UpperStill.Server.Instruments;
using UpperStill.Server.People;
using UpperStill.StandIns.Instruments;

namespace UpperStill.Server.Endpoints;

/// <summary>Which of the boat's instruments can be heard through this instance.</summary>
/// <param name="Receiver">True where a receiver and sounder is named.</param>
/// <param name="Sonde">True where a sonde is named.</param>
/// <param name="Simulated">True where they are the stand-ins.</param>
public sealed record Instruments(bool Receiver, bool Sonde, bool Simulated);

/// <summary>The boat's instruments. A page cannot open a TCP line itself; the lines pass as they are, and the device reads them.</summary>
internal static class InstrumentEndpoints
{
    private const int LongestLine = 1000;

    internal static void MapInstruments(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/instruments").WithTags("instruments").For(AccessLevel.Works);
        group
            .MapGet("", (InstrumentSettings settings) =>
                new Instruments(
                    settings.Receiver is not null || settings.Simulated,
                    settings.Sonde is not null || settings.Simulated,
                    settings.Simulated
                )
            )
            .WithName("instruments")
            .WithSummary("Which of the boat’s instruments can be heard.");
        group
            .MapGet("/receiver/lines", (InstrumentSettings settings, SimulatedInstruments simulated, CancellationToken cancel) =>
                Lines(settings.Receiver ?? simulated.Receiver, cancel)
            )
            .WithName("receiver-lines")
            .WithSummary("The lines of receiver and sounder, NMEA 0183, as server-sent events.")
            .Produces(StatusCodes.Status200OK, contentType: "text/event-stream")
            .ProducesProblem(StatusCodes.Status404NotFound);
        group
            .MapGet("/sonde/lines", (InstrumentSettings settings, SimulatedInstruments simulated, CancellationToken cancel) =>
                Lines(settings.Sonde ?? simulated.Sonde, cancel)
            )
            .WithName("sonde-lines")
            .WithSummary("The lines of the sonde as server-sent events.")
            .Produces(StatusCodes.Status200OK, contentType: "text/event-stream")
            .ProducesProblem(StatusCodes.Status404NotFound);
        group
            .MapPost("/simulated", (BoatCommand command, InstrumentSettings settings, SimulatedInstruments simulated) =>
                settings.Simulated
                    ? Results.Ok(simulated.Do(command))
                    : Results.Problem(
                        "The instruments named to this instance are real ones.",
                        statusCode: StatusCodes.Status404NotFound,
                        title: "There is no simulated boat here."
                    )
            )
            .WithName("command-boat")
            .WithSummary("Lowers, raises and sets the simulated instruments; real ones are not touched.")
            .Produces<BoatLines>()
            .ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static IResult Lines(LineSource? source, CancellationToken cancel) =>
        source is null
            ? Results.Problem(
                "Name it when the instance is started: --receiver host:port, --sonde host:port.",
                statusCode: StatusCodes.Status404NotFound,
                title: "No such instrument."
            )
            : TypedResults.ServerSentEvents(HearAsync(source, cancel));

    private static async IAsyncEnumerable<SseItem<string>> HearAsync(LineSource source, [EnumeratorCancellation] CancellationToken cancel)
    {
        using var client = new TcpClient();
        string? unreached = null;
        try
        {
            await client.ConnectAsync(source.Host, source.Port, cancel);
        }
        catch (SocketException e)
        {
            unreached = e.Message;
        }

        if (unreached is not null)
        {
            yield return new SseItem<string>($"{source.Host}:{source.Port}: {unreached}", "unreached");
            yield break;
        }

        // Before the first line, so that who listens knows that it is there.
        yield return new SseItem<string>($"{source.Host}:{source.Port}", "reached");
        using var reader = new StreamReader(client.GetStream(), Encoding.Latin1);
        while (await LineAsync(reader, cancel) is { } line)
        {
            yield return new SseItem<string>(line);
        }
    }

    private static async Task<string?> LineAsync(StreamReader reader, CancellationToken cancel)
    {
        try
        {
            // A stream that never ends its line must not fill the memory.
            var line = new StringBuilder();
            var letter = new char[1];
            while (await reader.ReadAsync(letter, cancel) == 1)
            {
                if (letter[0] == '\n' || line.Length >= LongestLine)
                {
                    return line.ToString().TrimEnd('\r');
                }

                line.Append(letter[0]);
            }

            return null;
        }
        catch (IOException)
        {
            return null;
        }
    }
}
