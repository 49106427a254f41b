using UpperStill.Store;
using UpperStill.Store.Log;
using UpperStill.Store.Projections;

namespace UpperStill.Server.Historic;

/// <summary>Works out the visits of long imports, some at a time between the deliveries of boats; takes up what was cut off.</summary>
/// <param name="scopes">Gives the database.</param>
/// <param name="book">The log.</param>
/// <param name="log">Says what failed.</param>
public sealed partial class ImportWork(IServiceScopeFactory scopes, LogBook book, ILogger<ImportWork> log) : BackgroundService
{
    private static readonly TimeSpan AfterFault = TimeSpan.FromSeconds(30);
    private static readonly TimeSpan LongestAnswer = TimeSpan.FromSeconds(10);
    private static readonly TimeSpan Often = TimeSpan.FromMilliseconds(20);

    private readonly SemaphoreSlim wake = new(0);
    private readonly SemaphoreSlim turn = new(1, 1);

    /// <summary>Reads, keeps or takes back one table at a time: two of the same days would not know of each other.</summary>
    public async Task<T> InTurnAsync<T>(Func<Task<T>> work, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(work);
        await turn.WaitAsync(cancel);
        try
        {
            return await work();
        }
        finally
        {
            turn.Release();
        }
    }

    /// <summary>Goes on with what waits, also with what was cut off before this start.</summary>
    public void GoOn() => wake.Release();

    /// <summary>Goes on with what waits, and gives it some seconds to be done; the list of imports tells how much is left.</summary>
    public async Task GoOnAsync(FieldBook own, CancellationToken cancel)
    {
        GoOn();
        for (
            var began = TimeProvider.System.GetTimestamp();
            await own.WaitingAsync(cancel) > 0 && TimeProvider.System.GetElapsedTime(began) < LongestAnswer;

        )
        {
            await Task.Delay(Often, cancel);
        }
    }

    /// <inheritdoc/>
    public override void Dispose()
    {
        wake.Dispose();
        turn.Dispose();
        base.Dispose();
    }

    /// <inheritdoc/>
    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        while (true)
        {
            await wake.WaitAsync(stoppingToken);
            try
            {
                await using var scope = scopes.CreateAsyncScope();
                var own = scope.ServiceProvider.GetRequiredService<FieldBook>();
                for (var left = await own.WaitingAsync(stoppingToken); left > 0; )
                {
                    left = await book.WorkOutSomeAsync(own, stoppingToken);
                }
            }
            catch (Exception e) when (e is not OperationCanceledException)
            {
                Failed(e, AfterFault.TotalSeconds);
                await Task.Delay(AfterFault, stoppingToken);
                GoOn();
            }
        }
    }

    [LoggerMessage(LogLevel.Error, "What a table brought in could not be worked out; tried again in {Seconds} seconds.")]
    private partial void Failed(Exception fault, double seconds);
}
