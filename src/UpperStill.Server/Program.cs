using System.Reflection;
using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using System.Threading.RateLimiting;
using CsvHelper;
using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using UpperStill.Core.Application.Outings;
using UpperStill.Core.Science.Sky;
using UpperStill.Core.Setup.Laboratories;
using UpperStill.Core.Setup.Seasons;
using UpperStill.Server.Backups;
using UpperStill.Server.Endpoints;
using UpperStill.Server.Historic;
using UpperStill.Server.Hosting;
using UpperStill.Server.Instruments;
using UpperStill.Server.Ledger;
using UpperStill.Server.OpenApi;
using UpperStill.Server.Outings;
using UpperStill.Server.Packages;
using UpperStill.Server.People;
using UpperStill.Server.Record;
using UpperStill.Server.Seasons;
using UpperStill.StandIns.Services;
using UpperStill.Store;
using UpperStill.Store.Log;
using UpperStill.Store.People;
using UpperStill.Store.Projections;

const long LargestBody = 1024 * 1024;

// Beside a table stands how its columns are read, and which of its fields are right.
const int LongestAddress = 64 * 1024;

if (Commands.IsOne(args))
{
    Environment.ExitCode = await Commands.RunAsync(args, Console.Out, CancellationToken.None);
    return;
}

var rebuild = args is ["rebuild", ..];
var builder = WebApplication.CreateBuilder(rebuild ? args[1..] : args);
var instance = Instance.From(builder.Configuration);
var folder = BasePath.Of(builder.Configuration);
var clock = new InstanceClock();

builder.WebHost.ConfigureKestrel(kestrel =>
{
    kestrel.Limits.MaxRequestBodySize = LargestBody;
    kestrel.Limits.MaxRequestLineSize = LongestAddress;
    kestrel.AddServerHeader = false;
});
builder.Services.AddSingleton(instance);
builder.Services.AddSingleton(clock);
builder.Services.AddSingleton<TimeProvider>(clock);
builder.Services.AddSingleton<LogBook>();
builder.Services.AddPeople(instance);
builder.Services.AddHttpContextAccessor();
builder.Services.AddScoped<SessionEndpoints.Sessions>();
builder.Services.AddScoped<AccountEndpoints.Own>();
builder.Services.AddScoped<PeopleEndpoints.Register>();
builder.Services.AddScoped<TrainingEndpoints.TrainingDesk>();
builder.Services.AddScoped<SeasonDesk>();
builder.Services.AddSingleton<CalendarKeys>();
builder.Services.AddScoped<OutingDesk>();
builder.Services.AddSingleton<WholePages>();
builder.Services.AddScoped<LedgerDesk>().AddScoped<RecordDesk>().AddScoped<PackageExport>().AddScoped<PackageImport>();
builder.Services.AddScoped<ResultDesk>().AddScoped<HistoricDesk>();
builder.Services.AddSingleton<ImportWork>().AddHostedService(services => services.GetRequiredService<ImportWork>());
builder.Services.AddSingleton(InstrumentSettings.From(builder.Configuration, instance.Demo));
builder.Services.AddSingleton<SimulatedInstruments>();
builder.Services.AddHostedService(services => services.GetRequiredService<SimulatedInstruments>());
builder.Services.AddSingleton<IPassCalendar, SimulatedPasses>();
builder.Services.AddSingleton<IForecastService, SimulatedForecast>();
builder.Services.AddSingleton<ITideConstants, SimulatedTide>();
builder.Services.AddSingleton<ILaboratoryLink>(
    new SimulatedLaboratory(clock, TimeSpan.FromSeconds(builder.Configuration.GetValue("laboratory-works-s", 60)))
);
var backups = builder.Configuration["backup-to"] is { Length: > 0 } given ? Path.GetFullPath(given) : null;
if (backups is not null)
{
    builder.Services.AddHostedService(services => new NightlyBackup(
        instance,
        backups,
        services.GetRequiredService<ILogger<NightlyBackup>>()
    ));
}

builder.Services.AddHealth(instance, backups);
builder.AddMetrics(instance, backups);

// An error page shows a trace id; in the log it stands beside what happened.
builder.Logging.Configure(log => log.ActivityTrackingOptions = ActivityTrackingOptions.TraceId);
if (builder.Configuration["log"] == "json")
{
    builder.Logging.AddJsonConsole(json => json.IncludeScopes = true);
}

// Whoever stops it, for an update or a lack of power, does not wait for a long answer.
builder.Services.Configure<HostOptions>(host => host.ShutdownTimeout = TimeSpan.FromSeconds(4));

builder.Services.AddDbContext<FieldBook>(options => FieldBookFactory.Configure(options, instance.DatabaseFile));
builder.Services.ConfigureHttpJsonOptions(options =>
{
    var json = options.SerializerOptions;
    json.NumberHandling = JsonNumberHandling.Strict;
    json.DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull;
    json.UnmappedMemberHandling = JsonUnmappedMemberHandling.Disallow;
    json.RespectNullableAnnotations = true;
    json.RespectRequiredConstructorParameters = true;
    json.TypeInfoResolver = (json.TypeInfoResolver ?? new DefaultJsonTypeInfoResolver()).WithAddedModifier(NoNulls.Refuse);
});
builder.Services.AddOpenApi(options => options.AddDocumentTransformer<EntryBodies>().AddSchemaTransformer<OpenCodes>());
builder.Services.AddProblemDetails(problems =>
    problems.CustomizeProblemDetails = context =>
    {
        if (context.ProblemDetails.Status == StatusCodes.Status413PayloadTooLarge)
        {
            context.ProblemDetails.Title = "More than 1 MB in one request.";
            context.ProblemDetails.Detail = "No reading is that long; nothing of it was kept. Send it in parts.";
        }
        else if (StorageFaults.Of(context.Exception) is StorageFault.Full)
        {
            context.ProblemDetails.Title = "The server has no room left.";
            context.ProblemDetails.Detail =
                "Nothing of this was kept. What waits on a device stays there and is sent again by itself; tell whoever runs this instance.";
        }
        else if (StorageFaults.Of(context.Exception) is StorageFault.Busy)
        {
            context.ProblemDetails.Title = "Somebody else is writing just now.";
            context.ProblemDetails.Detail = "Nothing of this was kept. Try again in a moment.";
        }
        else if (context.Exception is UnknownChoiceException unknown)
        {
            context.ProblemDetails.Title = unknown.Message;
            context.ProblemDetails.Detail = "Nothing else is shown in its place. Give one of these, or leave it away.";
        }
        else if (context.Exception is CsvHelperException)
        {
            context.ProblemDetails.Title = "A field of the table is longer than any number or name.";
            context.ProblemDetails.Detail =
                "Most often a quotation mark is opened and never closed. Nothing of it was kept. Look at the file as text, or save "
                + "it from the spreadsheet again.";
        }
    }
);
builder.Services.AddRateLimiter(limiter =>
{
    limiter.RejectionStatusCode = StatusCodes.Status429TooManyRequests;
    limiter.AddPolicy(CoreEndpoints.RateLimit, http =>
        RateLimitPartition.GetTokenBucketLimiter(
            http.Connection.RemoteIpAddress?.ToString() ?? "unknown",
            _ => new TokenBucketRateLimiterOptions
            {
                TokenLimit = 400,
                TokensPerPeriod = 100,
                ReplenishmentPeriod = TimeSpan.FromSeconds(1),
            }
        )
    );
    limiter.AddPolicy(SessionEndpoints.RateLimit, http =>
        RateLimitPartition.GetTokenBucketLimiter(
            http.Connection.RemoteIpAddress?.ToString() ?? "unknown",
            _ => new TokenBucketRateLimiterOptions
            {
                TokenLimit = 60,
                TokensPerPeriod = 1,
                ReplenishmentPeriod = TimeSpan.FromSeconds(1),
            }
        )
    );
});

var app = builder.Build();

// The description is written at build time, without a database.
if (Assembly.GetEntryAssembly()?.GetName().Name != "GetDocument.Insider")
{
    Durable.Folder(instance.DataFolder);
    Durable.OwnFolder(instance.DataFolder);
    if (DataFolderLock.Take(instance) is not { } alone)
    {
        await Console.Error.WriteLineAsync(
            $"Another server is running on {instance.DataFolder}. One at a time: stop that one, or give this one a folder of its "
                + "own with --data DIR."
        );
        Environment.ExitCode = 1;
        return;
    }

    app.Lifetime.ApplicationStopped.Register(alone.Dispose);
    using var scope = app.Services.CreateScope();
    var book = scope.ServiceProvider.GetRequiredService<FieldBook>();
    try
    {
        await DatabaseSetup.PrepareAsync(
            book,
            scope.ServiceProvider.GetRequiredService<UserManager<Person>>(),
            instance,
            clock,
            CancellationToken.None
        );
    }
    catch (BrokenBookException broken)
    {
        await Console.Error.WriteLineAsync(
            $"{broken.Message}\nNothing is served, so that nothing more is written over it. See docs/operating.md, “When something is wrong”."
        );
        Environment.ExitCode = 1;
        return;
    }

    if (rebuild)
    {
        var changes = await book.RebuildAsync(CancellationToken.None);
        foreach (var change in changes)
        {
            Console.WriteLine(change);
        }

        Console.WriteLine(
            $"Rebuilt {await book.Visits.CountAsync()} visits from {await book.Entries.CountAsync()} entries; {changes.Count} "
                + "published values changed."
        );
        return;
    }

    app.Services.GetRequiredService<ImportWork>().GoOn();
    if (DemoAfresh.IsOffered(builder.Configuration, instance))
    {
        await DemoAfresh.KeepAsync(book, instance, CancellationToken.None);
    }

    if (await FirstCoordinator.IsNeededAsync(book, CancellationToken.None))
    {
        var first = app.Services.GetRequiredService<FirstCoordinator>();
        app.Lifetime.ApplicationStarted.Register(() =>
            Console.WriteLine(
                "Nobody is in this group yet. The one-time link for its first coordinator stands in "
                    + $"{first.Keep(app.Urls.First() + folder)}, which only you can read."
            )
        );
    }
}

app.UseProxy();
app.UseBasePath(folder);
app.UseExceptionHandler(
    new ExceptionHandlerOptions
    {
        StatusCodeSelector = e =>
            e switch
            {
                BadHttpRequestException bad => bad.StatusCode,
                JsonException or CsvHelperException => StatusCodes.Status400BadRequest,
                _ when StorageFaults.Of(e) is StorageFault.Full => StatusCodes.Status507InsufficientStorage,
                _ when StorageFaults.Of(e) is StorageFault.Busy => StatusCodes.Status503ServiceUnavailable,
                _ => StatusCodes.Status500InternalServerError,
            },
        SuppressDiagnosticsCallback = context => context.Exception is BadHttpRequestException or CsvHelperException,
    }
);
app.UseStatusCodePages();
app.UseSecurityHeaders(
    new HeaderPolicyCollection()
        .AddDefaultSecurityHeaders()
        .AddContentSecurityPolicy(policy =>
        {
            policy.AddDefaultSrc().Self();
            policy.AddScriptSrc().Self().WasmUnsafeEval();
            policy.AddStyleSrc().Self();
            policy.AddImgSrc().Self().Data().Blob();
            policy.AddObjectSrc().None();
            policy.AddBaseUri().Self();
            policy.AddFormAction().Self();
            policy.AddFrameAncestors().None();
        })
);
app.UsePlainRequests();
app.UseRateLimiter();
app.UseAuthentication();
app.UseGate();
app.MapHealth();
app.MapOpenApi("/api/description.json").For(AccessLevel.Anyone);
app.MapMeta();
app.MapSession();
app.MapAccount();
app.MapPeople();
app.MapTraining();
app.MapCore();
app.MapEntries();
app.MapStations();
app.MapRecord();
app.MapReviews();
app.MapPackages();
app.MapHistoric();
app.MapBenchmarks();
app.MapWaters();
app.MapStationSetup();
app.MapProposals();
app.MapPhotos();
app.MapKit();
app.MapFormats();
app.MapProgrammes();
app.MapSeason();
app.MapOutings();
app.MapLedger();
app.MapResults();
app.MapInstruments();
app.MapCastFiles();
if (DemoAfresh.IsOffered(builder.Configuration, instance))
{
    app.MapDemoAfresh();
}

app.Map("/api/{**rest}", () =>
        Results.Problem(statusCode: StatusCodes.Status404NotFound, title: "No such address.", detail: "See GET /api/description.json.")
    )
    .ExcludeFromDescription()
    .For(AccessLevel.Anyone, form: false);
app.MapWebApplication(folder);
await app.RunAsync();

/// <summary>The server's entry point, visible to its tests.</summary>
public partial class Program;
