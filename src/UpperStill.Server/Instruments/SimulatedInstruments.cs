using System.Net;
using System.Net.Sockets;
using System.Text;
using System.Threading.Channels;
using UpperStill.StandIns.Instruments;

namespace UpperStill.Server.Instruments;

/// <summary>The stand-in instruments on the network: a receiver with its sounder and a sonde, each on a TCP port of this machine, as real
/// ones would be.</summary>
internal sealed class SimulatedInstruments(InstrumentSettings settings, TimeProvider clock) : BackgroundService
{
    private const int LinesBehind = 200;
    private const int MostListeners = 16;
    private static readonly TimeSpan Second = TimeSpan.FromSeconds(1);

    private readonly Lock gate = new();
    private readonly Speaker receiver = new();
    private readonly Speaker sonde = new();
    private SimulatedBoat boat = new();

    /// <summary>Where the stand-in receiver speaks.</summary>
    internal LineSource? Receiver => receiver.Source;

    /// <summary>Where the stand-in sonde speaks.</summary>
    internal LineSource? Sonde => sonde.Source;

    /// <summary>Does what the panel asks; time goes by of itself.</summary>
    internal BoatLines Do(BoatCommand command)
    {
        lock (gate)
        {
            return boat.Do(command with { Seconds = 0 });
        }
    }

    /// <summary>Another boat, that was told nothing yet.</summary>
    internal void Afresh()
    {
        lock (gate)
        {
            boat = new SimulatedBoat();
        }
    }

    public override void Dispose()
    {
        receiver.Dispose();
        sonde.Dispose();
        base.Dispose();
    }

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        if (!settings.Simulated)
        {
            return;
        }

        receiver.Listen();
        sonde.Listen();
        await Task.WhenAll(receiver.AcceptAsync(stoppingToken), sonde.AcceptAsync(stoppingToken), LiveAsync(stoppingToken));
    }

    private async Task LiveAsync(CancellationToken cancel)
    {
        using var timer = new PeriodicTimer(Second, clock);
        while (await timer.WaitForNextTickAsync(cancel))
        {
            BoatLines lines;
            lock (gate)
            {
                // With nobody listening the instruments are off.
                if (!receiver.Heard && !sonde.Heard)
                {
                    continue;
                }

                lines = boat.Do(new BoatCommand(Seconds: boat.Pace));
            }

            receiver.Say(lines.Receiver);
            sonde.Say(lines.Sonde);
        }
    }

    /// <summary>One TCP port and who listens to it.</summary>
    private sealed class Speaker : IDisposable
    {
        private readonly TcpListener listener = new(IPAddress.Loopback, 0);
        private readonly List<Channel<string>> listeners = [];

        internal LineSource? Source { get; private set; }

        internal bool Heard
        {
            get
            {
                lock (listeners)
                {
                    return listeners.Count > 0;
                }
            }
        }

        internal void Listen()
        {
            listener.Start();
            Source = new LineSource("127.0.0.1", ((IPEndPoint)listener.LocalEndpoint).Port);
        }

        public void Dispose() => listener.Dispose();

        internal void Say(IReadOnlyList<string> lines)
        {
            lock (listeners)
            {
                foreach (var one in listeners)
                {
                    foreach (var line in lines)
                    {
                        one.Writer.TryWrite(line);
                    }
                }
            }
        }

        internal async Task AcceptAsync(CancellationToken cancel)
        {
            try
            {
                while (true)
                {
                    var client = await listener.AcceptTcpClientAsync(cancel);
                    _ = SpeakAsync(client, cancel);
                }
            }
            catch (OperationCanceledException)
            {
                // The instance ends.
            }
        }

        private async Task SpeakAsync(TcpClient client, CancellationToken cancel)
        {
            // One who does not read does not hold up the others.
            var lines = Channel.CreateBounded<string>(
                new BoundedChannelOptions(LinesBehind) { FullMode = BoundedChannelFullMode.DropOldest }
            );
            lock (listeners)
            {
                if (listeners.Count >= MostListeners)
                {
                    client.Dispose();
                    return;
                }

                listeners.Add(lines);
            }

            try
            {
                using (client)
                {
                    var stream = client.GetStream();
                    await foreach (var line in lines.Reader.ReadAllAsync(cancel))
                    {
                        await stream.WriteAsync(Encoding.ASCII.GetBytes(line + "\r\n"), cancel);
                    }
                }
            }
            catch (Exception e) when (e is IOException or SocketException or OperationCanceledException)
            {
                // It went away.
            }
            finally
            {
                lock (listeners)
                {
                    listeners.Remove(lines);
                }
            }
        }
    }
}
