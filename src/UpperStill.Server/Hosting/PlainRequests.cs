using System.Reflection;
using Microsoft.Net.Http.Headers;
using UpperStill.Core.Basis.Quantities;

namespace UpperStill.Server.Hosting;

/// <summary>Refuses what no address can mean before it reaches one: a charset that does not exist, a choice by a number that names none, a
/// year that nobody lived in.</summary>
internal static class PlainRequests
{
    internal static void UsePlainRequests(this WebApplication app) =>
        app.Use(
            (http, next) =>
                http.Request.ContentType is { } type
                && MediaTypeHeaderValue.TryParse(type, out var media)
                && media.Charset.HasValue
                && media.Encoding is null
                    ? Results
                        .Problem(
                            "Send it as UTF-8. Nothing was kept.",
                            statusCode: StatusCodes.Status415UnsupportedMediaType,
                            title: $"No charset is called “{media.Charset}”."
                        )
                        .ExecuteAsync(http)
                    : next(http)
        );

    /// <summary>Looks at what an address is asked with.</summary>
    internal static TBuilder Plain<TBuilder>(this TBuilder endpoint)
        where TBuilder : IEndpointConventionBuilder =>
        endpoint.AddEndpointFilterFactory(
            (address, next) =>
            {
                var asked = address.MethodInfo.GetParameters();
                var judged = Enumerable.Range(0, asked.Length).Where(i => Choice(asked[i]) is not null || IsYear(asked[i])).ToList();
                return judged.Count == 0
                    ? next
                    : async call =>
                    {
                        foreach (var i in judged)
                        {
                            if (call.Arguments[i] is Enum choice && !Enum.IsDefined(Choice(asked[i])!, choice))
                            {
                                return Unmeant(
                                    asked[i].Name!,
                                    $"{choice}",
                                    $"It is one of {string.Join(", ", Enum.GetNames(Choice(asked[i])!))}."
                                );
                            }

                            if (call.Arguments[i] is int year && !PlausibleYear.Holds(year))
                            {
                                return Unmeant(asked[i].Name!, $"{year}", $"Years go from {PlausibleYear.First} to {PlausibleYear.Last}.");
                            }
                        }

                        return await next(call);
                    };
            }
        );

    private static Type? Choice(ParameterInfo parameter) =>
        (Nullable.GetUnderlyingType(parameter.ParameterType) ?? parameter.ParameterType) is { IsEnum: true } choice ? choice : null;

    private static bool IsYear(ParameterInfo parameter) =>
        parameter.Name == "year" && (Nullable.GetUnderlyingType(parameter.ParameterType) ?? parameter.ParameterType) == typeof(int);

    private static IResult Unmeant(string name, string given, string can) =>
        Results.Problem(can, statusCode: StatusCodes.Status400BadRequest, title: $"“{name}” cannot be {given}.");
}
