namespace UpperStill.Server.Instruments;

/// <summary>Where an instrument speaks.</summary>
/// <param name="Host">Its host.</param>
/// <param name="Port">Its port.</param>
internal sealed record LineSource(string Host, int Port)
{
    /// <summary>Reads <c>host:port</c>.</summary>
    /// <exception cref="ArgumentException">Where it is anything else.</exception>
    internal static LineSource Read(string text, string option)
    {
        var cut = text.LastIndexOf(':');
        return cut > 0 && ushort.TryParse(text[(cut + 1)..], out var port) && port > 0
            ? new LineSource(text[..cut], port)
            : throw new ArgumentException($"{option} is “{text}”; it should be host:port, such as 192.168.4.1:10110.");
    }
}

/// <summary>The boat's instruments, from <c>--receiver host:port</c> and <c>--sonde host:port</c>; in the demo the stand-ins, where none is
/// named.</summary>
/// <param name="Receiver">Receiver and sounder, NMEA 0183 over TCP.</param>
/// <param name="Sonde">Sonde, a table streamed over TCP.</param>
/// <param name="Simulated">True where the stand-ins speak.</param>
internal sealed record InstrumentSettings(LineSource? Receiver, LineSource? Sonde, bool Simulated)
{
    internal static InstrumentSettings From(IConfiguration configuration, bool demo)
    {
        var (receiver, sonde) = (configuration["receiver"], configuration["sonde"]);
        return new InstrumentSettings(
            receiver is null ? null : LineSource.Read(receiver, "--receiver"),
            sonde is null ? null : LineSource.Read(sonde, "--sonde"),
            demo && receiver is null && sonde is null
        );
    }
}
