using System.Runtime.InteropServices.JavaScript;
using System.Runtime.Versioning;
using System.Text;
using UpperStill.Core.Operations;

namespace UpperStill.Browser;

/// <summary>The browser's door to the table of operations.</summary>
[SupportedOSPlatform("browser")]
public static partial class Door
{
    /// <summary>Nothing runs at start; the worker calls <see cref="Invoke"/>.</summary>
    public static void Main()
    {
    }

    /// <summary>Runs an operation on JSON.</summary>
    /// <param name="operation">Its name in the table.</param>
    /// <param name="request">The request as JSON.</param>
    /// <returns>The response as JSON, the same characters as the server would answer.</returns>
    [JSExport]
    public static string Invoke(string operation, string request) => OperationTable.All.TryGetValue(operation, out var found)
        ? Encoding.UTF8.GetString(found.Invoke(Encoding.UTF8.GetBytes(request)))
        : throw new ArgumentException($"There is no operation {operation}.", nameof(operation));
}
