using Microsoft.AspNetCore.Antiforgery;
using Microsoft.EntityFrameworkCore;
using UpperStill.Store;

namespace UpperStill.Server.People;

/// <summary>Stands before every address under <c>/api</c> and refuses whom its <see cref="Access"/> does not name.</summary>
internal static class Gate
{
    internal const string TokenHeader = "X-Upper-Still";

    internal static void UseGate(this WebApplication app) =>
        app.Use(
            async (http, next) =>
            {
                if (http.GetEndpoint() is not { } endpoint || !http.Request.Path.StartsWithSegments("/api"))
                {
                    await next(http);
                    return;
                }

                // An address that does not say who may use it is shut, not open.
                var access = endpoint.Metadata.GetMetadata<Access>() ?? new Access(AccessLevel.CoordinatesAll);
                var caller = http.RequestServices.GetRequiredService<Caller>();
                if (http.User.Identity?.IsAuthenticated == true)
                {
                    // Opened once for the whole request, instead of for each thing that it asks of the database.
                    var book = http.RequestServices.GetRequiredService<FieldBook>();
                    await book.Database.OpenConnectionAsync(http.RequestAborted);
                    caller.Person = await Accounts.PersonOfAsync(book, http.User, http.RequestAborted);
                }

                if (access.Level != AccessLevel.Anyone && caller.Person is null)
                {
                    await Results
                        .Problem(NotSignedIn, statusCode: StatusCodes.Status401Unauthorized, title: "You are not signed in.")
                        .ExecuteAsync(http);
                }
                else if (!Opens(access.Level, caller))
                {
                    await Refused.ExecuteAsync(http);
                }
                else if (
                    access.Form
                    && !SafeMethod(http.Request.Method)
                    && !await http.RequestServices.GetRequiredService<IAntiforgery>().IsRequestValidAsync(http)
                )
                {
                    await Results
                        .Problem(
                            $"Ask GET /api/session for a token and send it as {TokenHeader}. Nothing was changed.",
                            statusCode: StatusCodes.Status400BadRequest,
                            title: "This request does not come from this session.",
                            type: "about:blank#token"
                        )
                        .ExecuteAsync(http);
                }
                else
                {
                    await next(http);
                }
            }
        );

    internal const string NotSignedIn = "Sign in; what waits on this device stays there until then.";

    /// <summary>The answer to someone whose role does not reach.</summary>
    internal static IResult Refused { get; } =
        Results.Problem(
            "Ask a coordinator of your group. Nothing was changed.",
            statusCode: StatusCodes.Status403Forbidden,
            title: "Your role does not reach this."
        );

    private static bool Opens(AccessLevel level, Caller caller) =>
        level switch
        {
            AccessLevel.Anyone => true,
            AccessLevel.SignedIn => caller.Person is not null,
            AccessLevel.Writes => caller.May.Writes,
            AccessLevel.Works => caller.May.Works,
            _ => caller.May.CoordinatesAll,
        };

    private static bool SafeMethod(string method) =>
        HttpMethods.IsGet(method) || HttpMethods.IsHead(method) || HttpMethods.IsOptions(method);
}
