using System.Runtime.InteropServices.JavaScript;
using System.Runtime.Versioning;
using System.Text;
using System.Text.Json;
using UpperStill.Core.Application.Operations;
using UpperStill.Core.Basis.Quantities;
using UpperStill.Formats;
using UpperStill.Formats.Casts;
using UpperStill.Formats.Instruments;
using UpperStill.StandIns.Instruments;

namespace UpperStill.Browser;

/// <summary>The browser's door to the table of operations.</summary>
[SupportedOSPlatform("browser")]
public static partial class Door
{
    /// <summary>Nothing runs at start; the worker calls <see cref="Invoke"/>.</summary>
    public static void Main() { }

    private static readonly FoldMemory Memory = new();

    /// <summary>Folds a visit again after an entry; see <see cref="FoldMemory"/>.</summary>
    /// <param name="context">Context as JSON, or empty where it has not changed.</param>
    /// <param name="changed">New and changed entries as a JSON array.</param>
    /// <param name="afresh">True to forget the entries of the last fold first.</param>
    /// <param name="reader">as-read, m or ft.</param>
    /// <returns>The field sheet as JSON.</returns>
    [JSExport]
    public static string Fold(string context, string changed, bool afresh, string reader) =>
        Encoding.UTF8.GetString(
            Memory.Fold(
                Encoding.UTF8.GetBytes(context),
                Encoding.UTF8.GetBytes(changed),
                afresh,
                reader switch
                {
                    "m" => ReaderUnit.Metres,
                    "ft" => ReaderUnit.Feet,
                    _ => ReaderUnit.AsRead,
                }
            )
        );

    private static readonly SimulatedBoat Boat = new();
    private static SondeTable table = new();
    private static CastReader? cast;

    /// <summary>Commands the simulated boat of this device.</summary>
    /// <param name="command">A <see cref="BoatCommand"/> as JSON.</param>
    /// <returns>A <see cref="BoatLines"/> as JSON.</returns>
    [JSExport]
    public static string Simulate(string command) =>
        JsonSerializer.Serialize(Boat.Do(JsonSerializer.Deserialize(command, BoatJson.Default.BoatCommand)!), BoatJson.Default.BoatLines);

    /// <summary>Reads lines of the boat's instruments.</summary>
    /// <param name="instrument"><c>receiver</c>, <c>sonde</c>, or <c>sonde-anew</c> where another sonde begins.</param>
    /// <param name="lines">The lines, one below the other.</param>
    /// <returns>An <see cref="InstrumentLines"/> as JSON.</returns>
    [JSExport]
    public static string Lines(string instrument, string lines)
    {
        table = instrument == "sonde-anew" ? new SondeTable() : table;
        return JsonSerializer.Serialize(
            instrument == "receiver" ? InstrumentLines.OfReceiver(lines) : InstrumentLines.OfSonde(lines, table),
            FormatsJson.Default.InstrumentLines
        );
    }

    /// <summary>Looks at the head of a logged cast.</summary>
    /// <param name="head">The first bytes of the file.</param>
    /// <returns>A <see cref="CastLayout"/> as JSON.</returns>
    [JSExport]
    public static string CastLayoutOf(byte[] head) => JsonSerializer.Serialize(CastLook.At(head), FormatsJson.Default.CastLayout);

    /// <summary>Begins to read a logged cast.</summary>
    /// <param name="request">A <see cref="CastRequest"/> as JSON.</param>
    [JSExport]
    public static void CastBegin(string request) =>
        cast = new CastReader(JsonSerializer.Deserialize(request, FormatsJson.Default.CastRequest)!);

    /// <summary>Takes the next bytes of the cast that was begun.</summary>
    /// <param name="chunk">The bytes.</param>
    [JSExport]
    public static void CastPush(byte[] chunk) => cast?.Push(chunk);

    /// <summary>Ends the cast that was begun.</summary>
    /// <returns>A <see cref="CastResult"/> as JSON.</returns>
    [JSExport]
    public static string CastFinish()
    {
        var result = cast?.Finish() ?? throw new InvalidOperationException("No cast was begun.");
        cast = null;
        return JsonSerializer.Serialize(result, FormatsJson.Default.CastResult);
    }

    /// <summary>Looks at a request that somebody typed, before it is run.</summary>
    /// <param name="operation">Its name in the table.</param>
    /// <param name="request">The request as JSON.</param>
    /// <returns>A <see cref="NumberOutside"/> as JSON; empty where every number is in its range.</returns>
    [JSExport]
    public static string Outside(string operation, string request)
    {
        using var given = JsonDocument.Parse(request);
        return OperationTable.All.TryGetValue(operation, out var found) && found.Outside(given.RootElement) is { } outside
            ? JsonSerializer.Serialize(outside, CoreJson.Default.NumberOutside)
            : string.Empty;
    }

    /// <summary>Runs an operation on JSON.</summary>
    /// <param name="operation">Its name in the table.</param>
    /// <param name="request">The request as JSON.</param>
    /// <returns>The response as JSON, the same characters as the server would answer.</returns>
    [JSExport]
    public static string Invoke(string operation, string request) =>
        OperationTable.All.TryGetValue(operation, out var found)
            ? Encoding.UTF8.GetString(found.Invoke(Encoding.UTF8.GetBytes(request)))
            : throw new ArgumentException($"There is no operation {operation}.", nameof(operation));
}
